import { describe, expect, it } from 'vitest'
import { hereAt } from '../brake/dimension.ts'
import { expectOk } from '../outcome/outcome.ts'
import { type Bicycle, bookBicycle, rimFleetBrake } from '../passes/fleet.ts'
import { FAMILIES, findFamily } from '../workshop/families.ts'
import { VIRTUAL } from './families.ts'
import { type Scatter, type Start, type VirtualBrake, virtualBrake } from './virtual-brake.ts'

/** Every row of the scatter table in docs/bench.md, measured on brakes of fixed seeds. */
const SEEDS = Array.from({ length: 1200 }, (_, index) => 77_000 + index * 7919)
const RIMS = FAMILIES.filter(({ track }) => track === 'rim')
const bicycles = new Map(RIMS.map((family) => [family.id, bookBicycle(family)]))

function brakesOf(familyId: string, options: { scatter?: Scatter; start?: Start } = {}): readonly VirtualBrake[] {
  const { dimensions } = bicycles.get(familyId) as Bicycle
  const spec = VIRTUAL[familyId]?.(dimensions, hereAt(expectOk(findFamily(familyId)), 'rear'))
  if (!spec) throw new Error(familyId)
  return SEEDS.map((seed) => virtualBrake(spec, dimensions, seed, options))
}

const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length
const sd = (values: readonly number[]) => {
  const middle = mean(values)
  return Math.sqrt(mean(values.map((each) => (each - middle) ** 2)))
}
/** Three standard errors of a spread from so many brakes, and a little. */
const near = (expected: number) => ({ least: expected * 0.93, most: expected * 1.07 })
function expectSpread(values: readonly number[], expected: number) {
  const { least, most } = near(expected)
  expect(sd(values)).toBeGreaterThan(least)
  expect(sd(values)).toBeLessThan(most)
}
function expectUniform(values: readonly number[], low: number, high: number) {
  expect(Math.min(...values)).toBeGreaterThanOrEqual(low)
  expect(Math.max(...values)).toBeLessThanOrEqual(high)
  expect(mean(values)).toBeCloseTo((low + high) / 2, high - low > 1 ? 0 : 1)
  expectSpread(values, (high - low) / Math.sqrt(12))
}

const book = (familyId: string, dimension: string) => bicycles.get(familyId)?.dimensions[dimension] as number
const strays = (familyId: string, dimension: string, scatter?: Scatter) =>
  brakesOf(familyId, scatter && { scatter }).map(({ hidden }) =>
    Math.log((hidden.dimensions[dimension] as number) / book(familyId, dimension)),
  )

const STRAYING = [
  ['linear-pull', 'padHeightMm', 0.1],
  ['linear-pull', 'armMm', 0.03],
  ['cantilever', 'padHeightMm', 0.1],
  ['cantilever', 'cableUpMm', 0.05],
  ['dual-pivot', 'cableOffsetMm', 0.08],
  ['dual-pivot', 'secondPivotMm', 0.05],
  ['single-pivot', 'cableOffsetMm', 0.1],
  ['centre-pull', 'cableAcrossMm', 0.05],
  ['centre-pull', 'straddleMm', 0.01],
] as const

describe('geometry strays from the book', () => {
  it.each(STRAYING)('%s: %s by %s', (familyId, dimension, expected) => {
    expectSpread(strays(familyId, dimension), expected)
  })

  it('and no other dimension of any family', () => {
    for (const { id } of RIMS) {
      const { dimensions } = bicycles.get(id) as Bicycle
      const own = brakesOf(id)[0]?.hidden.dimensions ?? {}
      const strayed = Object.keys(own).filter((each) => own[each] !== dimensions[each] && each !== 'leverFingerArmMm')
      expect(strayed.sort()).toEqual(
        STRAYING.filter(([family]) => family === id)
          .map(([, dimension]) => dimension)
          .sort(),
      )
    }
  })

  it('on the harsh fleet twice as far, and its screws by 60 %', () => {
    expectSpread(strays('linear-pull', 'padHeightMm', { geometry: 2, screw: 0.6 }), 0.2)
    const screws = brakesOf('linear-pull', { scatter: { geometry: 2, screw: 0.6 } }).map(({ hidden }) =>
      Math.log(hidden.screws.leftScrew?.effect ?? 1),
    )
    expectSpread(screws, 0.6)
  })
})

describe('lever, cable and stiffness', () => {
  const all = brakesOf('linear-pull').map(({ hidden }) => hidden)
  const ratio = (d: Readonly<Record<string, number>>) =>
    Math.log((d.leverFingerArmMm as number) / (d.leverCableArmMm as number) / (75 / 30))

  it('lever ratio 6 %, free play 0.3–2 mm, stiffness 25 %', () => {
    expectSpread(
      all.map(({ dimensions }) => ratio(dimensions as Record<string, number>)),
      0.06,
    )
    expectUniform(
      all.map(({ freePlayMm }) => freePlayMm),
      0.3,
      2,
    )
    expectSpread(
      all.map(({ stiffer }) => Math.log(stiffer)),
      0.25,
    )
  })

  it('the lever it hides is the lever it answers with', () => {
    // Fact of the trade: what a lever pulls is its travel over its leverage. Cable let out shows at the finger by it.
    for (const brake of brakesOf('linear-pull', { start: { kind: 'gaps', meanMm: 1.5, differenceMm: 0 } }).slice(
      0,
      40,
    )) {
      const { leverFingerArmMm, leverCableArmMm } = brake.hidden.dimensions
      const leverage = (leverFingerArmMm as number) / (leverCableArmMm as number)
      const before = brake.truth().biteTravel
      const { turned } = brake.turn('barrel', 0.5)
      const moved = brake.truth().biteTravel - before
      expect(-moved / leverage / turned).toBeCloseTo(brake.hidden.screws.barrel?.effect as number, 6)
    }
  })

  it('beds in by 0.4–1.2 mm of cable: half of it in six squeezes, nearly all in two hundred', () => {
    expectUniform(
      all.map(({ beddingMm }) => beddingMm),
      0.4,
      1.2,
    )
    for (const brake of brakesOf('linear-pull', { start: { kind: 'gaps', meanMm: 1.5, differenceMm: 0 } }).slice(
      0,
      40,
    )) {
      const { beddingMm, dimensions } = brake.hidden
      const leverage = (dimensions.leverFingerArmMm as number) / (dimensions.leverCableArmMm as number)
      const at = () => brake.truth().biteTravel / leverage
      const before = at()
      brake.squeeze(6)
      expect(at() - before).toBeCloseTo(beddingMm / 2, 6)
      brake.squeeze(194)
      expect(at() - before).toBeCloseTo(beddingMm * (1 - 6 / 206), 6)
    }
  })
})

describe('what the hand turns', () => {
  const linear = brakesOf('linear-pull').map(({ hidden }) => hidden.screws)

  it('a screw’s effect by 35 %, a spring’s hole too, the whole caliper by 15 %, the barrel by 3 %', () => {
    expectSpread(
      linear.map(({ leftScrew }) => Math.log(leftScrew?.effect ?? 1)),
      0.35,
    )
    expectSpread(
      linear.map(({ rightSpring }) => Math.log(rightSpring?.effect ?? 1)),
      0.35,
    )
    expectSpread(
      linear.map(({ barrel }) => Math.log(barrel?.effect ?? 1)),
      0.03,
    )
    const calipers = brakesOf('single-pivot').map(({ hidden }) => Math.log(hidden.screws.caliper?.effect ?? 1))
    expectSpread(calipers, 0.15)
  })

  it('a further 12 % from one end of its travel to the other', () => {
    expectUniform(
      linear.map(({ leftScrew }) => leftScrew?.bend ?? 1),
      -0.12,
      0.12,
    )
  })

  it('lost motion of 0.1–0.35 turn, starting anywhere inside it', () => {
    expectUniform(
      linear.map(({ leftScrew }) => leftScrew?.play ?? 1),
      0.1,
      0.35,
    )
    const taken = linear.map(({ leftScrew }) => (leftScrew?.slack ?? 9) / (leftScrew?.play ?? 1))
    expectUniform(taken, 0, 1)
    const held = brakesOf('single-pivot').map(({ hidden }) => hidden.screws.caliper?.play ?? 1)
    expectUniform(held, 0.1, 0.35)
  })

  it('each screw a turn or more from an end, the barrel 0.5–3 turns out', () => {
    const travel = book('linear-pull', 'screwTravelTurns')
    expectUniform(
      linear.map(({ leftScrew }) => leftScrew?.position ?? -1),
      1,
      travel - 1,
    )
    expectUniform(
      linear.map(({ barrel }) => barrel?.position ?? -1),
      0.5,
      3,
    )
  })

  it('a dual-pivot’s screw works either way, one as likely as the other', () => {
    const ways = brakesOf('dual-pivot').map(({ hidden }) => Math.sign(hidden.screws.centringScrew?.effect ?? 0))
    expect(Math.abs(mean(ways))).toBeLessThan(0.1)
    expect(ways.every((way) => way !== 0)).toBe(true)
  })

  it('half of a screw’s effect waits for squeezes, with a constant of 2–5 of them', () => {
    expectUniform(
      brakesOf('linear-pull').map(({ hidden }) => hidden.settleSqueezes),
      2,
      5,
    )
    const start: Start = { kind: 'gaps', meanMm: 2.5, differenceMm: 0 }
    for (const brake of brakesOf('cantilever', { start }).slice(0, 40)) {
      brake.squeeze(500)
      const apart = () => brake.truth().gapLeft - brake.truth().gapRight
      brake.turn('leftScrew', 0.5)
      brake.squeeze(60)
      const before = apart()
      brake.turn('leftScrew', 0.25)
      const at = apart() - before
      brake.squeeze(200)
      const all = apart() - before
      if (all > 0.05) expect(at / all).toBeCloseTo(0.5, 1)
    }
  })

  it('a clamp at the anchor comes out by 0.5 mm, a caliper by 0.12 mm at the pads', () => {
    const start: Start = { kind: 'gaps', meanMm: 2, differenceMm: 0 }
    const clamped = brakesOf('linear-pull', { start }).map((brake) => {
      const { leverFingerArmMm, leverCableArmMm } = brake.hidden.dimensions
      const at = () => (brake.truth().biteTravel * (leverCableArmMm as number)) / (leverFingerArmMm as number)
      const before = at()
      brake.turn('anchor', 1)
      return at() - before - 1
    })
    expectSpread(clamped, 0.5)
    expect(mean(clamped)).toBeCloseTo(0, 1)
    const spread = (familyId: string) =>
      brakesOf(familyId, { start }).map((brake) => {
        // Turned far enough one way that its lost motion is taken up, then as far again.
        brake.turn('caliper', 1)
        const before = brake.truth()
        brake.turn('caliper', 0.5)
        const after = brake.truth()
        return (
          (after.gapLeft - before.gapLeft - (after.gapRight - before.gapRight)) / 2 -
          0.5 * (brake.hidden.screws.caliper?.effect ?? 1)
        )
      })
    const scattered = sd(spread('single-pivot'))
    expect(scattered).toBeGreaterThan(0.1)
    expect(scattered).toBeLessThan(0.15)
  })
})

describe('the wheel and the start', () => {
  const bicycle = bicycles.get('single-pivot') as Bicycle
  const fleet = SEEDS.slice(0, 500).map((seed) => rimFleetBrake(bicycle, seed))

  it('runout 0.1–0.8 mm side to side', () => {
    const runouts = fleet.map(({ wheel }) => wheel.lateralRunout as number)
    expect(Math.min(...runouts)).toBeLessThan(0.13)
    expect(Math.max(...runouts)).toBeGreaterThan(0.77)
    expectUniform(runouts, 0.1, 0.8)
  })

  it('two in ten with both pads on the rim, one with one of them, two far out', () => {
    const starts = fleet.map(({ brake }) => brake.truth())
    const share = (of: (start: ReturnType<VirtualBrake['truth']>) => boolean) =>
      starts.filter(of).length / starts.length
    const both = share(({ gapLeft, gapRight }) => Math.max(gapLeft, gapRight) < 0.05)
    const one = share(
      ({ gapLeft, gapRight }) => Math.min(gapLeft, gapRight) < 0.05 && Math.max(gapLeft, gapRight) >= 0.05,
    )
    expect(both).toBeGreaterThan(0.15)
    expect(both).toBeLessThan(0.25)
    expect(one).toBeGreaterThan(0.06)
    expect(one).toBeLessThan(0.18)
    expect(share(({ biteTravel }) => biteTravel > 33)).toBeGreaterThan(0.2)
  })

  it('no brake of the fleet is without a setting, and none comes twice', () => {
    const known = new Set(fleet.map(({ brake }) => brake.hidden.freePlayMm))
    expect(known.size).toBe(fleet.length)
  })
})
