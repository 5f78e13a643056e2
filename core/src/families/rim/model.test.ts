import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { linearPullLinkage } from '../../linkages/linear-pull.ts'
import { cablePull, gapAt, openingForGap, restOpening } from '../../mechanics/linkage.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { DIMENSIONS, MODEL, THROW } from '../../testing/stand.ts'
import { pull, Q, rimSqueeze } from './model.ts'

const LINKAGE = expectOk(linearPullLinkage(DIMENSIONS as never))
const LEVER = pull(DIMENSIONS, LINKAGE, { end: 'rear', traits: {} })

const squeeze = (q: Float64Array, travelMm: number) => rimSqueeze(LINKAGE, LEVER, q, travelMm)

const inputs = fc.record({
  cable: fc.double({ min: 2, max: 20, noNaN: true }),
  balance: fc.double({ min: -0.04, max: 0.04, noNaN: true }),
  ratio: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
  freePlay: fc.double({ min: 0, max: 2, noNaN: true }),
  lever: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
  stiffness: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
  offset: fc.double({ min: -0.8, max: 0.8, noNaN: true }),
})
type Inputs = { [K in keyof typeof Q]: number }

const vector = (given: Partial<Inputs>): Float64Array => {
  const q = new Float64Array(7)
  for (const [name, value] of Object.entries(given)) q[Q[name as keyof typeof Q]] = value
  return q
}
const predict = (given: Partial<Inputs>) => {
  const y = new Float64Array(MODEL.readings.length)
  MODEL.predict(vector(given), y)
  return {
    gapLeft: y[0] as number,
    gapRight: y[1] as number,
    bite: y[2] as number,
    reserve: y[3] as number,
    offset: y[4] as number,
  }
}

/** The same readings by plain geometry and bisection, sharing only the linkage. */
function byHand(given: Inputs) {
  const scale = Math.exp(given.ratio)
  const rest = restOpening(LINKAGE, given.cable / scale, given.balance)
  const left = gapAt(LINKAGE.left, rest.left) + given.offset
  const right = gapAt(LINKAGE.right, rest.right) - given.offset
  const gapsAfter = (turned: number) => [
    gapAt(LINKAGE.left, rest.left - turned) + given.offset,
    gapAt(LINKAGE.right, rest.right - turned) - given.offset,
  ]
  let low = 0
  let high = 0.4
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2
    if (Math.min(...gapsAfter(middle)) > 0) low = middle
    else high = middle
  }
  const toFirst = cablePull(LINKAGE, rest) - cablePull(LINKAGE, { left: rest.left - low, right: rest.right - low })
  const leverage = LEVER.leverage * Math.exp(given.lever)
  return { left, right, bite: leverage * (given.freePlay + scale * toFirst) }
}

describe('readings of a rim brake from its inputs', () => {
  it('agree with plain geometry and bisection wherever both pads stand clear', () => {
    fc.assert(
      fc.property(inputs, (given) => {
        const plain = byHand(given)
        fc.pre(plain.left > 0.05 && plain.right > 0.05)
        const seen = predict(given)
        expect(seen.gapLeft).toBeCloseTo(plain.left, 3)
        expect(seen.gapRight).toBeCloseTo(plain.right, 3)
        expect(Math.abs(seen.bite - plain.bite)).toBeLessThan(0.05)
      }),
    )
  })

  it('mirror when the brake is mirrored', () => {
    fc.assert(
      fc.property(inputs, (given) => {
        const one = predict(given)
        const other = predict({ ...given, balance: -given.balance, offset: -given.offset })
        expect(one.gapLeft).toBeCloseTo(other.gapRight, 6)
        expect(one.bite).toBeCloseTo(other.bite, 6)
        expect(one.reserve).toBeCloseTo(other.reserve, 6)
      }),
    )
  })

  // Handbook: a wheel offset adds to one gap and takes it from the other.
  it('a rim standing to the right widens the left gap by as much as it narrows the right', () => {
    const centred = predict({ cable: 10 })
    const off = predict({ cable: 10, offset: 0.4 })
    expect(off.gapLeft - centred.gapLeft).toBeCloseTo(0.4, 9)
    expect(off.gapRight - centred.gapRight).toBeCloseTo(-0.4, 9)
  })

  // Common practice, no source: more cable let out, wider gaps, later bite, less reserve.
  it('more cable let out: wider gaps, a later bite, less reserve', () => {
    fc.assert(
      fc.property(inputs, fc.double({ min: 0.2, max: 4, noNaN: true }), (given, more) => {
        const before = predict(given)
        fc.pre(before.gapLeft > 0.05 && before.gapRight > 0.05)
        const after = predict({ ...given, cable: given.cable + more })
        expect(after.gapLeft).toBeGreaterThan(before.gapLeft)
        expect(after.gapRight).toBeGreaterThan(before.gapRight)
        expect(after.bite).toBeGreaterThan(before.bite)
        expect(after.reserve).toBeLessThan(before.reserve)
      }),
    )
  })

  it('with one pad on the rim the bite is only the free play, and the other pad has the whole gap', () => {
    const jammed = predict({ cable: 6, balance: -0.2, freePlay: 1 })
    expect(jammed.gapLeft).toBeLessThan(0)
    expect(jammed.bite).toBeCloseTo(LEVER.leverage, 1)
  })
})

describe('the squeeze', () => {
  const travel = fc.double({ min: 0, max: 60, noNaN: true })

  it('starts at rest', () => {
    fc.assert(
      fc.property(inputs, (given) => {
        const seen = predict(given)
        fc.pre(seen.gapLeft > 0 && seen.gapRight > 0)
        const pose = squeeze(vector(given), 0)
        expect(pose.gapLeftMm).toBeCloseTo(seen.gapLeft, 6)
        expect(pose.gapRightMm).toBeCloseTo(seen.gapRight, 6)
        expect(pose.tensionN).toBe(0)
      }),
    )
  })

  it('touches first where the bite says', () => {
    fc.assert(
      fc.property(inputs, (given) => {
        const seen = predict(given)
        fc.pre(seen.gapLeft > 0.1 && seen.gapRight > 0.1 && seen.bite < 55)
        const at = (mm: number) => {
          const { gapLeftMm, gapRightMm } = squeeze(vector(given), mm)
          return Math.min(gapLeftMm, gapRightMm)
        }
        expect(at(seen.bite - 1)).toBeGreaterThan(0)
        expect(at(seen.bite + 0.5)).toBeLessThan(0.03)
      }),
    )
  })

  it('never opens a gap or slackens the cable as the lever comes in', () => {
    fc.assert(
      fc.property(inputs, travel, fc.double({ min: 0.1, max: 5, noNaN: true }), (given, at, more) => {
        const seen = predict(given)
        fc.pre(seen.gapLeft > 0 && seen.gapRight > 0)
        const now = squeeze(vector(given), at)
        const then = squeeze(vector(given), at + more)
        expect(then.gapLeftMm).toBeLessThanOrEqual(now.gapLeftMm + 0.02)
        expect(then.gapRightMm).toBeLessThanOrEqual(now.gapRightMm + 0.02)
        expect(then.tensionN).toBeGreaterThanOrEqual(now.tensionN - 1e-9)
      }),
    )
  })

  it('at a hard squeeze leaves the reserve', () => {
    fc.assert(
      fc.property(inputs, (given) => {
        const seen = predict({ ...given, offset: 0 })
        fc.pre(seen.gapLeft > 0.05 && seen.gapRight > 0.05 && seen.reserve > 0)
        const pose = squeeze(vector({ ...given, offset: 0 }), (DIMENSIONS.leverReachMm as number) - seen.reserve)
        expect(pose.tensionN / LEVER.squeezeTensionN).toBeCloseTo(1, 1)
      }),
    )
  })
})

describe('the lever’s pull', () => {
  // Textbook: springs in series are softer than the softest of them.
  it('is softer than its softest part', () => {
    expect(LEVER.stiffness).toBeLessThan(DIMENSIONS.brakeStiffness as number)
  })
  // From memory: a long-pull lever of 75/30 multiplies the finger by 2.5; half a turn of bends at μ 0.1 leaves 73 %.
  it('loses over the bends what Euler and Eytelwein say', () => {
    expect(LEVER.leverage).toBeCloseTo(2.5, 9)
    expect(LEVER.efficiency).toBeCloseTo(Math.exp(-0.1 * Math.PI), 9)
  })
})

describe('the cable behind a gap', () => {
  it('is the school’s arithmetic: there and back', () => {
    for (const gap of [0.3, 0.54, 1, 1.5]) {
      const cable = THROW.cableForGap(gap)
      expect(predict({ cable }).gapLeft).toBeCloseTo(gap, 3)
      const open = openingForGap(LINKAGE.left, gap) as number
      expect(cable).toBeCloseTo(cablePull(LINKAGE, { left: open, right: open }), 6)
    }
  })
})

// A pad that meets the rim first pushes it towards the other: a quarter of what is left (our choice, for the drawing).
describe('a held rim', () => {
  const full = (balance: number) => squeeze(vector({ cable: 9, balance, freePlay: 1 }), 45)
  it('is pushed away from the pad that touches first, and back from the other', () => {
    expect(full(-0.04).rimShiftMm).toBeGreaterThan(0)
    expect(full(0.04).rimShiftMm).toBeCloseTo(-full(-0.04).rimShiftMm, 6)
    expect(full(0).rimShiftMm).toBeCloseTo(0, 9)
  })
  it('by a quarter of the other gap, once that pad has come after', () => {
    const q = vector({ cable: 9, balance: -0.04, freePlay: 1 })
    const atTouch = predict({ cable: 9, balance: -0.04, freePlay: 1 })
    expect(squeeze(q, 60).rimShiftMm).toBeCloseTo((atTouch.gapRight - atTouch.gapLeft) / 4, 1)
  })
  it('stands where it stood until it is touched', () => {
    const q = vector({ cable: 9, balance: -0.04, freePlay: 1 })
    expect(squeeze(q, 5).rimShiftMm).toBe(0)
    expect(squeeze(q, 5).tensionN).toBe(0)
  })
})
