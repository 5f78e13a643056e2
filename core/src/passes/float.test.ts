import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { expectOk } from '../outcome/outcome.ts'
import { DISCS } from '../simulate/discs.ts'
import { virtualDisc } from '../simulate/virtual-disc.ts'
import { describe as describeEntry } from '../stand/describe.ts'
import type { EntryBody } from '../stand/entries.ts'
import { readTape } from '../tape/tape.ts'
import { firstRefusal } from '../testing/refusal.ts'
import { written } from '../testing/stand.ts'
import { FAMILIES } from '../workshop/families.ts'
import { openJob } from '../workshop/open.ts'
import { advised } from './advised.ts'
import { bookBicycle } from './fleet.ts'
import { ownStop } from './trial.ts'

/** Rubs on one side or the other, or stands unequal, slack in the cable or none. */
const STARTS = [
  { innerMm: 0, outerMm: 0.8, slackMm: 0.5 },
  { innerMm: 0.75, outerMm: 0.02, slackMm: 0 },
  { innerMm: 0.15, outerMm: 0.6, slackMm: 1 },
  { innerMm: 0.6, outerMm: 0.2, slackMm: 2 },
]

describe('a caliper both of whose pads move, unequal or rubbing', () => {
  const family = FAMILIES.find(({ id }) => id === 'disc-both-move')
  const spec = DISCS['disc-both-move']
  if (!family || !spec) throw new Error('no disc-both-move')
  const bicycle = bookBicycle(family)
  const kit = kitOf(family)
  const hardware = { family: family.id, end: 'rear', dimensions: {} } as const
  const trials = STARTS.flatMap((start, index) =>
    Array.from({ length: 25 }, (_, k) => {
      const brake = virtualDisc(spec, bicycle.dimensions, 0.05, 1000 + 100 * index + k, { start })
      const right = () => {
        const { gapInner, gapOuter } = brake.truth()
        return Math.abs(Number(gapInner) - Number(gapOuter)) <= 0.2
      }
      return ownStop(bicycle, { brake, wheel: { rotorRunout: 0.05 }, isRight: right }, advised(bicycle))
    }),
  )

  it('is floated: at most 3 passes on average, never more than 8, none left unequal', () => {
    expect(trials.filter(({ failed }) => failed)).toEqual([])
    expect(trials.reduce((sum, { passes }) => sum + passes, 0) / trials.length).toBeLessThanOrEqual(3)
    expect(Math.max(...trials.map(({ passes }) => passes))).toBeLessThanOrEqual(8)
    expect(trials.filter(({ right }) => !right).length / trials.length).toBeLessThanOrEqual(0.05)
  })

  // Common practice: squeeze and tighten comes before any shift by tenths, which nobody slides.
  it('is never shifted by tenths', () => {
    const moves = trials.flatMap(({ log }) =>
      log.flatMap((entry) => (entry.kind === 'turn' && entry.adjuster === 'caliper' ? [entry] : [])),
    )
    expect(moves.length).toBeGreaterThan(trials.length / 2)
    expect(moves.filter(({ from }) => from?.contact !== 'float')).toEqual([])
  })

  // A card of 0.3 mm at a pad leaves it 0.3 mm further off than the other (geometry).
  it('is given a card at the near pad where its bolts have been seen to move it', () => {
    const log = [
      { kind: 'reading', reading: 'rotorRunout', value: 0.05, unit: 'mm' },
      ...[0, 1, 2, 3].flatMap(() => [
        { kind: 'turn', adjuster: 'caliper', amount: 0, unit: 'mm', from: { contact: 'float' } },
        { kind: 'confirm', step: 'squeezes', count: 10 },
        ...Object.entries({ gapInner: 0.25, gapOuter: 0.5, armStarts: 3, armRest: 0, biteTravel: 18 }).map(
          ([reading, value]) => ({ kind: 'reading', reading, value, unit: 'mm' }),
        ),
      ]),
    ].map((body, k) => ({ ...body, id: `e${k}`, at: '2026-01-01T00:00:00Z', by: '1', seq: k + 1 }))
    const { advice } = expectOk(openJob({ family: 'disc-both-move', end: 'rear', dimensions: {} }, log as never))
    const moves = advice.kind === 'turn' ? advice.turn.moves : []
    const float = moves.find(({ adjuster }) => adjuster === 'caliper')
    expect(float?.from).toEqual({ contact: 'float' })
    // Towards the wheel: the inner pad is the near one.
    expect(float?.amount).toBeLessThan(-0.04)
  })

  it('is written on the tape in a word, a card as half of its thickness', () => {
    const read = (line: string) => readTape(line, { kit, model: bicycle.model, length: 'mm' })
    const float = { kind: 'turn', adjuster: 'caliper', amount: 0, unit: 'mm', from: { contact: 'float' } }
    expect(read('cal float').entries).toEqual([float])
    expect(read('cal -0.15 float').entries).toEqual([{ ...float, amount: -0.15 }])
    expect(describeEntry(read('cal -0.15 float').entries[0] as EntryBody, { kit, model: bicycle.model })).toBe(
      'float the caliper, squeeze and hold, tighten by turns; a card of 0.3 mm between rotor and inner pad',
    )
  })

  it('is not wound in: other ways to find a place are refused, and so is a float of a barrel', () => {
    const refusal = (body: EntryBody) => firstRefusal(hardware, [], written(body))?.error
    const float: EntryBody = { kind: 'turn', adjuster: 'caliper', amount: 0, unit: 'mm', from: { contact: 'float' } }
    expect(refusal(float)).toBeUndefined()
    expect(refusal({ ...float, from: { contact: 'ear' } })?.message).toMatch(/not brought.*“ear”.*Accepted: float/)
    expect(refusal({ ...float, adjuster: 'barrel', unit: 'turn' })?.code).toBe('no-contact')
    const { from, ...still } = float
    expect(from && refusal(still)?.code).toBe('out-of-range')
  })

  it('that does not slide is not told to float again', () => {
    const readings = { rotorRunout: 0.05, gapInner: 0.05, gapOuter: 0.75, armStarts: 3, armRest: 0, biteTravel: 22 }
    const looked = Object.entries(readings).map(
      ([reading, value]): EntryBody => ({ kind: 'reading', reading, value, unit: 'mm' }),
    )
    const float: EntryBody = { kind: 'turn', adjuster: 'caliper', amount: 0, unit: 'mm', from: { contact: 'float' } }
    const movesAfter = (...bodies: readonly EntryBody[]) => {
      const { advice } = expectOk(openJob(hardware, written(...bodies)))
      return advice.kind === 'turn' ? advice.turn.moves.map(({ adjuster }) => adjuster) : []
    }
    expect(movesAfter(...looked)).toContain('caliper')
    const stuck: EntryBody = { ...float, endReached: true }
    const squeezes: EntryBody = { kind: 'confirm', step: 'squeezes', count: 10 }
    expect(movesAfter(...looked, stuck, squeezes, ...looked.slice(1))).not.toContain('caliper')
  })
})
