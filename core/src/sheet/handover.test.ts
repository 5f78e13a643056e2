import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import type { EntryBody } from '../stand/entries.ts'
import { HARDWARE, SOUND, turn, written } from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'
import { handoverOf } from './handover.ts'
import { jobSheet } from './job-sheet.ts'
import type { EndsStand } from './tag.ts'

const job = (...bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...bodies)))
const RELEASED = job(...SOUND, { kind: 'release', initials: '7' })
const SUBJECT = { jobNumber: 142, bicycle: 'Hire 07', complaint: '' }
const slip = (ends?: EndsStand) => handoverOf(RELEASED, { ...SUBJECT, ...(ends && { ends }) })

describe('the slip of a released brake', () => {
  it.each([
    ['open', 'its front brake is in work, not released'],
    ['closed', 'its front brake is closed as not to be ridden'],
  ] as const)('says that the bicycle is not to be ridden yet while the other end is %s', (state, why) => {
    const { unfit } = slip({ rear: { state: 'released' }, front: { state } })
    expect(unfit).toEqual([`The bicycle is not to be ridden yet: ${why}.`])
  })

  it('knows its own end by its own log, whatever the house keeps of it', () => {
    expect(slip({ rear: { state: 'open' } }).ends).toEqual(['front: not looked at', 'rear: released'])
  })

  it('says nothing of that where the other end is released, or no brake hangs there', () => {
    expect(slip({ rear: { state: 'open' }, front: { state: 'released' } }).unfit).toEqual([])
    expect(slip({ rear: { state: 'released' } }).unfit).toEqual([])
    expect(slip().unfit).toEqual([])
  })
})

describe('what was done', () => {
  it('is told of a turn as done, not as a command', () => {
    const { done } = jobSheet(job(turn('anchor', -3), turn('barrel', 0.5)), SUBJECT, 'mm')
    expect(done).toEqual(['Barrel out ½ turn', 'Cable taken in at the anchor 3.0 mm'])
  })
})
