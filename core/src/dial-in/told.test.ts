import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { tellNext } from '../run-sheet/told.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { firstRefusal } from '../testing/refusal.ts'
import { HARDWARE, measured, PREPARED, written } from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'

const TWO: Hardware = { family: 'disc-two-adjusters', end: 'front', dimensions: {} }
const FIXED: Hardware = { family: 'disc-fixed-pad', end: 'front', dimensions: {} }
const DRUM: Hardware = { family: 'drum', end: 'front', dimensions: {} }
const mm = (reading: string, value: number): EntryBody => ({ kind: 'reading', reading, value, unit: 'mm' })
const job = (hardware: Hardware, log: readonly EntryBody[]) => expectOk(openJob(hardware, written(...log)))
const turnIn = (hardware: Hardware, ...log: readonly EntryBody[]) => {
  const { advice } = job(hardware, log)
  return advice.kind === 'turn' ? advice.turn : undefined
}
/** Why the log would refuse what is told, or undefined where it takes it. */
const refused = (hardware: Hardware, log: readonly EntryBody[], moves: readonly object[]) => {
  const all = written(...log, ...moves.map((move) => ({ kind: 'turn', ...move }) as EntryBody))
  return firstRefusal(hardware, all.slice(0, log.length), all.slice(log.length) as readonly Entry[])?.error.message
}

describe('what is told, the log takes', () => {
  it('two knobs far out: what is told from contact goes back from it', () => {
    const log = [
      mm('gapFixed', 1.05),
      mm('gapMoving', 1.55),
      mm('armStarts', 8),
      mm('armRest', 0),
      mm('biteTravel', 60),
    ]
    const turn = turnIn(TWO, ...log)
    for (const { from, amount } of turn?.moves ?? []) if (from) expect(amount).toBeLessThan(0)
    expect(refused(TWO, log, turn?.moves ?? [])).toBeUndefined()
  })

  it.each([
    [TWO, 0.1, 0.1, 0, 0, 10],
    [TWO, 0, 2, 20, 0, 58],
    [TWO, 2, 0, 1, 3, 30],
    [TWO, 1.8, 2.2, 2, 0, 60],
    [FIXED, 1.1, 1.8, 3, 0, 60],
    [FIXED, 0, 0, 0, 2, 4],
    [FIXED, 0.6, 0.3, 12, 0, 40],
  ])('%j, gaps %s and %s, arm %s and %s, bite %s', (hardware, fixed, moving, starts, rest, bite) => {
    const log = [
      mm('gapFixed', fixed),
      mm('gapMoving', moving),
      mm('armStarts', starts),
      mm('armRest', rest),
      mm('biteTravel', bite),
    ]
    const { advice } = job(hardware, log)
    for (const turn of advice.kind === 'turn' ? [advice.turn, ...advice.others] : [])
      expect(refused(hardware, log, turn.moves)).toBeUndefined()
  })
})

describe('back from contact', () => {
  // The barrel stands at its inner end and the shoes still scrape: there is nothing left to come back by.
  it('goes no further than the thread that is left: the cable is let out at the anchor', () => {
    const end: EntryBody = { kind: 'turn', adjuster: 'barrel', amount: 0, unit: 'turn', endReached: true, tried: -1 }
    const log: EntryBody[] = [
      { kind: 'reading', reading: 'barrelOut', value: 0, unit: 'turn' },
      end,
      { kind: 'confirm', step: 'squeezes', count: 10 },
      mm('biteTravel', 6),
      mm('reserve', 20),
      { kind: 'reading', reading: 'drag', value: 'lightly', unit: '' },
    ]
    const turn = turnIn(DRUM, ...log)
    expect(turn?.moves.map(({ adjuster }) => adjuster)).toEqual(['anchor'])
    expect(turn?.moves[0]?.amount).toBeGreaterThan(0)
  })
})

it('a machine is asked for what the sentence asks: a drum’s bite, and whether it drags', () => {
  const at = job(DRUM, [])
  const told = tellNext({
    ...at,
    next: { kind: 'measure', step: at.kit.step('dial-in') as never, readings: ['biteTravel'] },
  })
  expect(told.readings).toEqual(['biteTravel', 'drag'])
})

describe('what a machine is told', () => {
  it('of a turn is the turn, each move a sentence, and what is measured after it', () => {
    const told = tellNext(job(HARDWARE, [...PREPARED, ...measured(0.2, 2.4, 12)]))
    expect(told.act).toBe('turn')
    expect(told.say).toMatch(/^((Left|Right) screw (in|out)|Barrel (in|out)|(Let|Take) cable) .*\.$/)
    expect(told.say.match(/\.( |$)/g)).toHaveLength(told.moves.length)
    expect(told.more).toMatch(/(so that it settles\. )?Squeeze ten times, then measure both gaps and the bite\.$/)
  })

  it('of what is not well is the finding, and what puts it right', () => {
    const short = PREPARED.map((each) =>
      each.kind === 'reading' && each.reading === 'leverPull' ? { ...each, value: 20 } : each,
    )
    const told = tellNext(job(HARDWARE, short))
    expect(told).toMatchObject({ act: 'mend', step: 'lever-match', remedy: expect.stringMatching(/lever/) })
    expect(told.remedy).not.toBe(told.say)
  })
})
