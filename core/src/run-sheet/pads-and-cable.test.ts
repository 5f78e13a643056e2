import { describe, expect, it } from 'vitest'
import { cableFeel, leverWeightOf } from '../features/cable/feel.ts'
import { leverWeightAt } from '../features/cable/judge.ts'
import { routeDimensions } from '../features/cable/route.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { EntryBody } from '../stand/entries.ts'
import { fault, outputs } from '../testing/calculate.ts'
import {
  confirm,
  DIMENSIONS,
  HARDWARE,
  MATCHED,
  measured,
  PADS,
  PREPARED,
  reading,
  refusal,
  seen,
  WHEEL,
  written,
} from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'
import { readingMark } from './job.ts'
import { sheetOf } from './status.ts'

const job = (...bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...bodies)))
const MOUNTED = [...WHEEL, ...MATCHED, confirm('untouched'), confirm('arms-free')]
const edges = (mm: number) => [reading('padEdgeLeft', mm), reading('padEdgeRight', mm)]
const school = (id: string, to: string): EntryBody => ({ kind: 'swap', part: `school.${id}`, to })
const padsJob = (...instead: readonly EntryBody[]) => {
  const changed = new Set(instead.flatMap((each) => (each.kind === 'reading' ? [each.reading] : [])))
  return job(...MOUNTED, ...PADS.filter((each) => each.kind === 'reading' && !changed.has(each.reading)), ...instead)
}
const pads = (...instead: readonly EntryBody[]) => padsJob(...instead).next

describe('pads on the sheet', () => {
  it('a pad too high is said to meet the tyre, too low to overhang, and when', () => {
    expect(pads(reading('padEdgeLeft', -1))).toMatchObject({ kind: 'mend', say: expect.stringContaining('burst') })
    expect(pads(reading('padEdgeRight', 3))).toMatchObject({
      kind: 'mend',
      say: expect.stringMatching(/^The right pad .*overhang.*As set, after \d\.\d mm of wear/),
    })
  })

  // Handbook: neither end hanging down nor pointing at the tyre; a pad that meets the tyre can burst it.
  it('an end that points at the tyre cannot be skipped; one that hangs is turned', () => {
    expect(pads(seen('padArc', 'tyre'))).toMatchObject({ kind: 'mend', stop: true })
    expect(pads(seen('padArc', 'hang'))).toMatchObject({ kind: 'mend', stop: false })
  })

  it('a height school wants its own height', () => {
    const track = [reading('trackTall', 16), reading('padTall', 8), ...edges(1.5)]
    expect(pads(...track, school('height', 'top-edge'))).toMatchObject({ kind: 'confirm', step: { id: 'pads-tight' } })
    expect(pads(...track, school('height', 'middle'))).toMatchObject({
      kind: 'mend',
      say: expect.stringContaining('this school wants 3.5 to 4.5 mm'),
    })
  })

  it('a straight pad at the edge of the track has its ends over it', () => {
    expect(pads(...edges(0.2))).toMatchObject({ kind: 'confirm' })
    expect(pads(...edges(0.2), seen('padShape', 'straight'), reading('padLength', 55))).toMatchObject({
      kind: 'mend',
      say: expect.stringContaining('above the track'),
      stop: true,
    })
  })

  it('uneven wear, glaze and grooves each have their remedy', () => {
    for (const [face, words] of [
      ['grit', 'Pick out'],
      ['glazed', 'abrasive'],
      ['grooved', 'File flat'],
    ] as const)
      expect(pads(seen('padFace', face))).toMatchObject({ say: expect.stringContaining(words) })
  })

  // Handbook: replaced under about 1.5 mm, or at the maker’s mark, whichever comes first (common practice, no source).
  it('pads worn to their maker’s mark are replaced, however thick they measure', () => {
    expect(pads(seen('padMarks', 'gone'))).toMatchObject({ kind: 'mend', say: expect.stringContaining('maker’s mark') })
    for (const answer of ['there', 'none']) expect(pads(seen('padMarks', answer)).kind).toBe('confirm')
  })

  // Handbook: thick and thin pairs swapped inside to outside, so that arms stand parallel; a wide rim wants the thin pair inside.
  it('arms are seen upright where a shoe was loose, and the washers that do it are named', () => {
    const loose = [...WHEEL, ...MATCHED, confirm('shoes-loosened')]
    const said = (answer: string) =>
      expectOk(openJob(HARDWARE, written(...loose, seen('armsStand', answer)))).kit.option('armsStand', answer)
    expect(said('apart')?.remedy).toMatch(/wide rim: the thin pair of washers between shoe and arm/)
    expect(said('together')?.remedy).toMatch(/narrow rim: the thick pair of washers between shoe and arm/)
    const ids = (...bodies: readonly EntryBody[]) =>
      sheetOf(job(...bodies), { kind: 'in-window', chanceNow: 1 }).map(({ step }) => step.id)
    expect(ids(...loose)).toContain('arms-upright')
    expect(ids(...WHEEL, ...MATCHED)).not.toContain('arms-upright')
  })

  // Handbook: the front of the pad meets the rim 0.5 mm before the rear; rear first never.
  it('each pad is toed in: rear first is named by its side', () => {
    expect(pads(reading('toeRight', -0.3))).toMatchObject({
      kind: 'mend',
      say: expect.stringMatching(/^The rear of the right pad meets the rim first/),
    })
    expect(pads(reading('toeLeft', 1.2), reading('toeRight', 0))).toMatchObject({
      kind: 'mend',
      say: expect.stringMatching(/^Toe-in of the left pad 1\.2 mm; this school wants 0\.3 to 0\.8 mm\.$/),
    })
    // All at once is accepted where 0.5 mm is too fine to set (common practice).
    expect(pads(reading('toeLeft', 0.1), reading('toeRight', 0))).toMatchObject({ step: { id: 'pads-tight' } })
  })

  it('what its school refuses is marked so on the drawing and the gauge, each pad for itself', () => {
    const marks = (ids: readonly string[], ...instead: readonly EntryBody[]) =>
      ids.map((id) => readingMark(padsJob(...instead), id))
    const toes = ['toeLeft', 'toeRight']
    expect(marks(toes, reading('toeLeft', 1.4), reading('toeRight', 0.6))).toEqual(['high', 'in'])
    expect(marks(toes, reading('toeLeft', 0.6), reading('toeRight', -0.3))).toEqual(['in', 'low'])
    expect(marks(toes, reading('toeLeft', 0.1), reading('toeRight', 0))).toEqual(['in', 'in'])
    const heights = ['padEdgeLeft', 'padEdgeRight']
    expect(marks(heights, reading('padEdgeLeft', -1))).toEqual(['low', 'in'])
    expect(marks(heights, reading('padEdgeRight', 3))).toEqual(['in', 'high'])
    const track = [reading('trackTall', 16), reading('padTall', 8), ...edges(1.5)]
    expect(marks(heights, ...track, school('height', 'middle'))).toEqual(['low', 'low'])
    expect(marks(heights, ...track, school('height', 'top-edge'))).toEqual(['in', 'in'])
  })

  it('a pad too thick for its room is found at the match', () => {
    const thick = [...WHEEL, ...MATCHED, reading('padDeep', 26), reading('armSpace', 24)]
    expect(job(...thick).next).toMatchObject({
      step: { id: 'pad-match' },
      say: expect.stringContaining('Accepted: a pad thinner than 24 mm'),
    })
  })

  it('is never released without both shoes looked at', () => {
    const without = PREPARED.filter((each) => !(each.kind === 'reading' && each.reading === 'shoeRight'))
    const log = [...without, ...measured(1, 1, 20)]
    expect(refusal(log, { kind: 'skip', step: 'pads-direction', reason: 'in a hurry' })?.code).toBe('not-skipped')
    expect(refusal(log, { kind: 'release', initials: '7' })).toMatchObject({
      code: 'not-ready',
      message: expect.stringContaining('closed ends of the shoes forward'),
    })
  })

  it('refuses a school it does not know, naming those it does', () => {
    expect(refusal([], school('height', 'high'))).toMatchObject({
      field: 'to',
      message: expect.stringContaining('longest, top-edge, middle'),
    })
  })
})

describe('cable on the sheet', () => {
  // Handbook (common practice): lined, coated cables are replaced, not oiled; oil in a bare one is a stop-gap.
  it('lined is replaced, bare is oiled, a stuck one is replaced whatever it is', () => {
    expect(cableFeel('smooth', 'lined')).toBeUndefined()
    expect(cableFeel('gritty', 'lined')).toContain('not oiled')
    expect(cableFeel('gritty', 'unlined')).toContain('PTFE')
    expect(cableFeel('stuck', 'unlined')).toContain('Replace')
    const gritty = PREPARED.map((each) =>
      each.kind === 'reading' && each.reading === 'cableFeel' ? seen('cableFeel', 'gritty') : each,
    )
    expect(job(...gritty).next).toMatchObject({
      kind: 'mend',
      step: { id: 'cable-smooth', mends: ['cable', 'housing'] },
    })
  })

  it('a written way stands for the book’s length, bends and housing', () => {
    const segments = [
      { kind: 'housing', lengthMm: 400, bendDeg: 90, radiusMm: 90 },
      { kind: 'bare', lengthMm: 500 },
      { kind: 'housing', lengthMm: 300, bendDeg: 120, radiusMm: 70 },
    ] as const
    expect(routeDimensions(segments)).toMatchObject({ cableLengthMm: 1200, bendDeg: 210 })
    const { dimensions } = job({ kind: 'route', segments })
    expect(dimensions).toMatchObject({ cableLengthMm: 1200, bendDeg: 210 })
    // Hooke: 0.7 m of housing at 0.005 mm a metre and newton gives 1 mm for 286 N.
    expect(dimensions.housingStiffness).toBeCloseTo(1 / (0.005 * 0.7), 6)
  })
})

describe('the lever’s weight', () => {
  // Euler–Eytelwein both ways, put together here from a known spring and friction.
  it('tells a known spring and a known friction apart again', () => {
    for (const [springN, mu, bendDeg] of [
      [20, 0.1, 180],
      [35, 0.25, 240],
      [12, 0.05, 90],
    ] as const) {
      const passes = Math.exp((-mu * bendDeg * Math.PI) / 180)
      const told = outputs('lever-weight', {
        pullN: springN / passes / 2.5,
        backN: (springN * passes) / 2.5,
        leverCableArmMm: 30,
        leverFingerArmMm: 75,
      })
      expect(told.springN).toBeCloseTo(springN, 9)
      expect(told.efficiency).toBeCloseTo(passes, 9)
    }
  })

  it('a heavy lever is blamed on the springs or on the cable, whichever it is', () => {
    expect(expectOk(leverWeightOf(24, 16, DIMENSIONS)).remedy).toContain('It is the springs')
    expect(expectOk(leverWeightOf(24, 3, DIMENSIONS)).remedy).toContain('friction')
    expect(expectOk(leverWeightOf(1.5, 0.8, DIMENSIONS)).remedy).toContain('too weak')
    expect(expectOk(leverWeightOf(7, 4, DIMENSIONS)).remedy).toBeUndefined()
    expect(fault('lever-weight', { pullN: 3, backN: 4, leverCableArmMm: 30, leverFingerArmMm: 75 })).toMatchObject({
      field: 'backN',
    })
  })

  it('pads that do not come back are put right before the fasteners', () => {
    const bite = [...PREPARED, ...measured(1, 1, 20)]
    expect(job(...bite).next).toMatchObject({ step: { id: 'pads-back' }, readings: ['padsBack'] })
    expect(job(...bite, seen('padsBack', 'one')).next).toMatchObject({
      kind: 'mend',
      say: expect.stringContaining('stiff, or its spring weak'),
    })
    const heavy = job(...bite, seen('padsBack', 'both'), reading('leverWeight', 30), reading('leverBack', 20))
    expect(heavy.next).toMatchObject({ kind: 'mend', remedy: expect.stringContaining('springs') })
    expect(leverWeightAt(heavy)).toMatchObject({ value: { springN: expect.closeTo(2.5 * Math.sqrt(600), 9) } })
  })
})
