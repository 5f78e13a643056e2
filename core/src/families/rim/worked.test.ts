import { describe, expect, it } from 'vitest'
import { expectOk } from '../../outcome/outcome.ts'
import { measured, PREPARED, written } from '../../testing/stand.ts'
import { FAMILIES } from '../../workshop/families.ts'
import { openJob } from '../../workshop/open.ts'

// A drum has shoes and no linkage: its own test has it. Two ways to one figure: the working shown beside the drawing, and the linkage the advice is made of.
describe('the working that is shown is of the brake that is drawn', () => {
  it.each(
    FAMILIES.filter(({ worked, track }) => worked && track !== 'drum').map((family) => [family.id, family] as const),
  )('a %s’s linkage ratio', (id, family) => {
    const job = expectOk(
      openJob({ family: id, end: 'rear', dimensions: {} }, written(...PREPARED, ...measured(1, 1, 20))),
    )
    const shown = family.worked?.(job)
    if (!shown) throw new Error(`nothing is shown of a ${id}`)
    const ratio = expectOk(shown.worked).outputs.linkageRatio as number
    // The calculation speaks of the gaps as they stand; at contact a rim brake’s ratio is within a tenth of that.
    expect(Math.abs(ratio / (job.model.contactRatio as number) - 1)).toBeLessThan(0.1)
    for (const dimension of shown.dimensions) expect(job.dimensions[dimension], dimension).toEqual(expect.any(Number))
  })
})
