import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { cardOf } from '../run-sheet/card.ts'
import { confirm, HARDWARE, seen, written } from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'
import { readTape } from './tape.ts'

const JOB = expectOk(openJob(HARDWARE, written(seen('motorAt', 'none'))))
const CARD = cardOf(JOB) as NonNullable<ReturnType<typeof cardOf>>
const read = (text: string, shownS?: number) =>
  readTape(text, {
    kit: JOB.kit,
    model: JOB.model,
    length: 'mm',
    card: { card: CARD, ...(shownS !== undefined && { shownS }) },
  })

describe('allsound', () => {
  it('answers every row that is only well or not, in the order of the card', () => {
    const { entries, error } = read('allsound')
    expect(error).toBeUndefined()
    expect(entries.slice(0, 2)).toEqual([confirm('wheel-fast'), confirm('hub-play')])
    expect(entries).toContainEqual(confirm('fasteners'))
  })

  it('says otherwise what stands behind but, and the rest as it was', () => {
    const { entries } = read('allsound but hub no bolts no')
    expect(entries).toContainEqual({ kind: 'confirm', step: 'hub-play', well: false })
    expect(entries).toContainEqual({ kind: 'confirm', step: 'untouched', well: false })
    expect(entries.filter((each) => each.kind === 'confirm' && each.step === 'hub-play')).toHaveLength(1)
    expect(entries).toContainEqual(confirm('wheel-fast'))
  })

  it('a row that is chosen may be chosen on the same line', () => {
    expect(read('allsound but pad alloy').entries).toContainEqual(seen('padCompound', 'alloy'))
  })

  it.each([
    ['allsound but walk no', /“walk no” is not of this card\. On it: wheel fast and straight; hub without play/],
    ['allsound hub no', /write allsound, or allsound but hub no/],
    ['allsound but', /write allsound, or allsound but hub no/],
    ['fast ok allsound', /stands first on its line/],
    ['allsound but xyz', /“xyz” is not on the tape’s list/],
  ])('refuses %s', (line, says) => {
    expect(read(line).error?.message).toMatch(says)
  })

  it('waits for as long as its rows cannot have been read', () => {
    const { rows } = CARD
    expect(read('allsound', 2).error?.message).toBe(
      `${rows.length} rows in 2 s: nobody has looked at them yet. In ${rows.length - 2} s.`,
    )
    expect(read('allsound', rows.length).error).toBeUndefined()
  })

  it('is refused where no card is in hand', () => {
    const { error } = readTape('allsound', { kit: JOB.kit, model: JOB.model, length: 'mm' })
    expect(error?.message).toMatch(/do what Next says/)
  })
})
