import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bookDimensions, hereAt } from '../../brake/dimension.ts'
import { placement } from '../../brake/window.ts'
import { backedOffMm, convertGap } from '../../features/disc-caliper/schools.ts'
import { leverMatch } from '../../features/match/lever-match.ts'
import { expectOk } from '../../outcome/outcome.ts'
import type { EntryBody } from '../../stand/entries.ts'
import { firstRefusal } from '../../testing/refusal.ts'
import { confirm, seen, written } from '../../testing/stand.ts'
import { FAMILIES, findFamily } from '../../workshop/families.ts'
import { openJob } from '../../workshop/open.ts'
import { discBothMoveFamily, discFixedPadFamily, discTwoAdjustersFamily } from './family.ts'
import { inputsOf, Q, Y } from './inputs.ts'
import { type Caliper, squeezed } from './squeeze.ts'

const DISCS = FAMILIES.filter(({ track }) => track === 'rotor')
const D = bookDimensions(discFixedPadFamily)
const MODEL = expectOk(discFixedPadFamily.fit(D, hereAt(discFixedPadFamily, 'front')))
const CALIPER: Caliper = { ratio: 9, bothMove: false, rotorStiffness: 35, stiffness: 26 }

const gap = fc.double({ min: 0.02, max: 1.2, noNaN: true })
const slack = fc.double({ min: -3, max: 4, noNaN: true })
const cable = fc.double({ min: 0, max: 25, noNaN: true })

describe('a squeeze of one moving pad', () => {
  // Cam equilibrium by virtual work: what the cable pulls is what the pad travels, times the ratio; the force is T·κ.
  it('works at the pad what is pulled at the cable', () => {
    fc.assert(
      fc.property(gap, gap, (innerMm, outerMm) => {
        const rest = { innerMm, outerMm, slackMm: 0 }
        const step = 1e-4
        const crossing = 0.5 * outerMm * CALIPER.ratio
        const at = (by: number) => squeezed(CALIPER, rest, crossing + by).outerMm
        expect((2 * step) / (at(-step) - at(step))).toBeCloseTo(CALIPER.ratio, 4)
        const hard = squeezed(CALIPER, rest, CALIPER.ratio * (innerMm + outerMm) + 3)
        expect(hard.movingN).toBeCloseTo(CALIPER.ratio * hard.tensionN, 6)
      }),
    )
  })

  it('the two pads’ forces differ by what bends the rotor on to the fixed one, and by no more', () => {
    fc.assert(
      fc.property(gap, gap, slack, cable, (innerMm, outerMm, slackMm, pulled) => {
        const now = squeezed(CALIPER, { innerMm, outerMm, slackMm }, pulled)
        expect(now.movingN - now.fixedN).toBeCloseTo(CALIPER.rotorStiffness * now.bentMm, 6)
        expect(now.movingN - now.fixedN).toBeLessThanOrEqual(CALIPER.rotorStiffness * innerMm + 1e-9)
      }),
    )
  })

  it('closes the moving gap first, then bends the rotor, then presses: nothing ever opens', () => {
    fc.assert(
      fc.property(gap, gap, slack, cable, cable, (innerMm, outerMm, slackMm, one, other) => {
        const rest = { innerMm, outerMm, slackMm }
        const [less, more] = [
          squeezed(CALIPER, rest, Math.min(one, other)),
          squeezed(CALIPER, rest, Math.max(one, other)),
        ]
        expect(more.outerMm).toBeLessThanOrEqual(less.outerMm + 1e-9)
        expect(more.innerMm).toBeLessThanOrEqual(less.innerMm + 1e-9)
        expect(more.tensionN).toBeGreaterThanOrEqual(less.tensionN - 1e-9)
        if (less.bentMm > 0) expect(less.outerMm).toBe(0)
      }),
    )
  })

  // Mechanics: bending a rotor 0.2 mm takes 7 N at the pad: first touch is seen or heard, not felt.
  it('takes 7 N at the pad to bend the rotor 0.2 mm', () => {
    const now = squeezed(CALIPER, { innerMm: 0.2, outerMm: 0.5, slackMm: 0 }, 9 * 0.7)
    expect(now.movingN).toBeCloseTo(7, 6)
    expect(now.fixedN).toBeCloseTo(0, 6)
  })
})

describe('readings of a disc', () => {
  const predict = (own: Partial<Record<keyof typeof Q, number>>, model = MODEL) => {
    const q = Float64Array.from(inputsOf('fixed-pad'), ({ mean }) => mean)
    for (const [id, value] of Object.entries(own)) q[Q[id as keyof typeof Q]] = value
    const y = new Float64Array(model.readings.length)
    model.predict(q, y)
    return y
  }

  it('the book’s caliper bites at a third: 6.75 mm of cable for gaps of 0.2 and 0.55, and 1.15 of free play', () => {
    // From memory, checked for consistency: (6.75 + 1.15) × 75/30 = 19.75 mm, a third of 60 mm.
    expect(predict({ gapA: 0.2, gapB: 0.55, slack: 0 })[Y.bite]).toBeCloseTo(19.75, 6)
  })

  it('bite is linear in slack and in each gap, through the arm’s stop too', () => {
    fc.assert(
      fc.property(gap, gap, slack, slack, (inner, outer, one, other) => {
        const bite = (slackMm: number) => predict({ gapA: inner, gapB: outer, slack: slackMm })[Y.bite] as number
        fc.pre(Math.abs(one - other) > 0.1 && bite(one) > 0 && bite(other) > 0)
        // Finger over cable arm is 2.5: a millimetre of cable is 2.5 mm of finger.
        expect((bite(one) - bite(other)) / (one - other)).toBeCloseTo(2.5, 4)
        const wider = predict({ gapA: inner + 0.1, gapB: outer, slack: one })[Y.bite] as number
        expect(wider - bite(one)).toBeCloseTo(2.5 * 9 * 0.1, 4)
      }),
    )
  })

  it('tells slack from gap by where the arm starts, and cable tension by the arm off its stop', () => {
    const [slackOne, off] = [predict({ slack: 2 }), predict({ slack: -2 })]
    expect((slackOne[Y.armStarts] as number) - (predict({ slack: 0 })[Y.armStarts] as number)).toBeCloseTo(5, 6)
    expect(slackOne[Y.armRest]).toBe(0)
    expect(off[Y.armRest]).toBe(2)
    // An arm 2 mm off its stop has taken 2/9 mm from the moving gap: wear taken up by cable.
    expect((predict({ slack: 0 })[Y.outer] as number) - (off[Y.outer] as number)).toBeCloseTo(2 / 9, 6)
  })

  it('shares what the cable holds between two moving pads', () => {
    const both = expectOk(discBothMoveFamily.fit(D, hereAt(discBothMoveFamily, 'rear')))
    const at = (slack: number) => predict({ gapA: 0.9, gapB: -0.1, slack }, both)
    const [free, held] = [at(0), at(-1.8)]
    expect([free[Y.inner], free[Y.outer]].map((each) => each?.toFixed(6))).toEqual(['0.350000', '0.550000'])
    expect((free[Y.inner] as number) - (held[Y.inner] as number)).toBeCloseTo(0.1, 6)
    expect((free[Y.outer] as number) - (held[Y.outer] as number)).toBeCloseTo(0.1, 6)
  })
})

describe('against the trade', () => {
  // Torque at the rotor’s own radius, 71 mm for 160 mm: 2·μ·κ·T·r.
  it.each([
    [160, 71],
    [180, 81],
    [203, 92.5],
  ])('a rotor of %i mm brakes at %f mm', (rotorDiameterMm, radiusMm) => {
    const model = expectOk(discFixedPadFamily.fit({ ...D, rotorDiameterMm }, hereAt(discFixedPadFamily, 'front')))
    expect(model.torqueNm(100, 1)).toBeCloseTo((2 * 0.4 * 9 * 100 * radiusMm) / 1000, 6)
  })

  // Worked out apart from this program: 95 kg, half a g, one disc.
  it.each([
    [160, 172],
    [180, 151],
    [203, 132],
  ])('with %i mm takes about %i N of the hand for half a g', (rotorDiameterMm, newtons) => {
    const dimensions = bookDimensions(discFixedPadFamily, { rotorDiameterMm }, 'front')
    const match = expectOk(
      leverMatch(discFixedPadFamily, dimensions, hereAt(discFixedPadFamily, 'front'), { schools: {}, wetShare: 0.75 }),
    )
    expect(Math.abs(match.handForceN / newtons - 1)).toBeLessThan(0.02)
    expect(match.decelerationG).toBeCloseTo(0.5, 6)
  })

  // Nothing jumps with the load: what one brake must stop alone is told of the bicycle.
  it('a bicycle told to stop with both its brakes is judged so, and that is said; its load decides nothing', () => {
    const heavy = bookDimensions(discFixedPadFamily, { loadedMassKg: 180, rotorDiameterMm: 203 }, 'front')
    const match = expectOk(
      leverMatch(discFixedPadFamily, heavy, hereAt(discFixedPadFamily, 'front', { stopsWith: 'both' }), {
        schools: {},
        wetShare: 0.75,
      }),
    )
    expect(match.decelerationG).toBeCloseTo(0.25, 6)
    expect(match.say).toMatch(/Both brakes are judged together/)
    const alone = (kg: number) =>
      expectOk(
        leverMatch(
          discFixedPadFamily,
          bookDimensions(discFixedPadFamily, { loadedMassKg: kg, rotorDiameterMm: 203 }, 'front'),
          hereAt(discFixedPadFamily, 'front'),
          { schools: {}, wetShare: 0.75 },
        ),
      )
    for (const kg of [119, 120, 121, 149, 150, 151, 180])
      expect(alone(kg).handForceN / kg).toBeCloseTo(alone(95).handForceN / 95, 9)
    expect(alone(151).say).toMatch(/the one brake that stops this load/)
  })

  // Textbook, for scale (from memory; Timoshenko, Plates and Shells): w = k·P·a²/(E·h³), inner edge held, about 0.2 at a/b 3.6.
  it('a rotor gives far more than a solid ring of its steel would: its carrier does', () => {
    const solid = (200_000 * 1.8 ** 3) / (0.2 * 80 ** 2)
    expect(solid).toBeGreaterThan(500)
    expect(D.rotorStiffness).toBeLessThan(solid / 5)
  })

  // A quarter turn is a quarter of the thread’s pitch; clicks are the caliper’s own count a turn: unit arithmetic.
  it('the three schools are one gap in three countings', () => {
    expect(backedOffMm({ option: 'quarter', amount: 0.25 }, 1, 16)).toBe(0.25)
    expect(backedOffMm({ option: 'clicks', amount: 3 }, 1, 16)).toBe(0.1875)
    fc.assert(
      fc.property(
        fc.constantFrom('float', 'quarter', 'clicks'),
        fc.constantFrom('float', 'quarter', 'clicks'),
        fc.double({ min: 0.05, max: 4, noNaN: true }),
        (one, other, amount) => {
          const there = convertGap({ option: one, amount }, other, 0.8, 20)
          expect(backedOffMm(there, 0.8, 20)).toBeCloseTo(backedOffMm({ option: one, amount }, 0.8, 20), 9)
        },
      ),
    )
  })
})

describe('windows of a disc', () => {
  const at = (rotorRunout: number, family = discFixedPadFamily) =>
    expectOk(family.fit(D, hereAt(family, 'front'))).windows(
      { bite: { option: 'third', amount: 1 / 3 } },
      { number: (id) => (id === 'rotorRunout' ? rotorRunout : undefined), seen: () => undefined },
    )

  it('the fixed pad stands from half the runout and 0.05 mm, 0.2 mm wide', () => {
    const window = at(0.2).of.gapFixed
    expect(window?.low).toBeCloseTo(0.15, 9)
    expect(window?.high).toBeCloseTo(0.35, 9)
  })

  it('a gap of nothing is never centred', () => {
    for (const id of ['gapInner', 'gapOuter']) {
      const window = at(0, discBothMoveFamily).of[id]
      expect(window && placement(window, 0)).toBe('low')
    }
  })

  it('a plain quarter turn by ear lands on its edge', () => {
    // Mechanics: by ear the mean gap is half the runout; a quarter of a 1 mm pitch on top of that is 0.25.
    expect(0.2 / 2 + 0.25).toBeCloseTo(at(0.2).of.gapFixed?.high as number, 9)
  })

  it('a bent rotor leaves no setting, and the sentence says to true or replace it', () => {
    expect(at(0.2).empty).toBeUndefined()
    expect(at(1.2).empty?.say).toMatch(/True or replace the rotor first: with 1\.20 mm/)
  })

  it('wear taken up by cable lies outside: the arm starts from its stop', () => {
    const window = at(0.1).of.armRest
    expect(window && placement(window, 1)).toBe('high')
    expect(window && placement(window, 0)).toBe('in')
  })
})

describe.each(DISCS.map((family) => [family.id, family] as const))('%s', (_, family) => {
  const model = expectOk(family.fit(bookDimensions(family), hereAt(family, 'rear')))
  const q = Float64Array.from(model.inputs, ({ mean }) => mean)

  it('draws its gaps as it predicts them, and every adjuster inside its bounds, however far it is squeezed', () => {
    const y = new Float64Array(model.readings.length)
    model.predict(q, y)
    for (const { reading: id, drawn } of model.frame(q, { travelMm: 0, wheelDeg: 0 }).leaders)
      expect(drawn).toBeCloseTo(y[model.readings.indexOf(id)] as number, 6)
    for (const travelMm of [0, 15, 40]) {
      const { still, moving, cable: wires, handles, bounds, tensionN } = model.frame(q, { travelMm, wheelDeg: 90 })
      for (const shape of [...still, ...moving, ...wires])
        for (const [x, height] of shape.kind === 'circle' ? [shape.centre] : shape.points) {
          expect(x).toBeGreaterThanOrEqual(bounds.min[0] - 4)
          expect(x).toBeLessThanOrEqual(bounds.max[0] + 4)
          expect(height).toBeGreaterThanOrEqual(bounds.min[1] - 4)
          expect(height).toBeLessThanOrEqual(bounds.max[1] + 4)
        }
      expect(handles.map(({ adjuster }) => adjuster).toSorted()).toEqual(model.adjusters.map(({ id }) => id).toSorted())
      if (travelMm === 40) expect(tensionN).toBeGreaterThan(0)
    }
  })

  it('swings its rotor by half the runout either way as the wheel turns', () => {
    const rotorX = (wheelDeg: number) => {
      const [rotor] = model.frame(q, { travelMm: 0, wheelDeg }).moving
      return rotor?.kind === 'polygon' ? (rotor.points[0]?.[0] as number) : Number.NaN
    }
    const runout = bookDimensions(family).rotorRunoutMm as number
    expect((rotorX(90) - rotorX(270)) / 14).toBeCloseTo(runout, 6)
  })

  it('says of its slopes what its predictions do', () => {
    const y = new Float64Array(model.readings.length)
    const jacobian = new Float64Array(y.length * q.length)
    const at = Float64Array.from(q)
    at[Q.slack] = -1.1
    model.slopes(at, y, jacobian)
    model.inputs.forEach(({ sd }, i) => {
      const moved = (by: number) => {
        const there = Float64Array.from(at)
        there[i] = (there[i] as number) + by
        const out = new Float64Array(y.length)
        model.predict(there, out)
        return out
      }
      const [high, low] = [moved(0.001 * sd), moved(-0.001 * sd)]
      for (let r = 0; r < y.length; r += 1) {
        const slope = ((high[r] as number) - (low[r] as number)) / (0.002 * sd)
        expect(jacobian[r * q.length + i]).toBeCloseTo(slope, 2)
      }
    })
  })
})

describe('what is refused', () => {
  const log = (...bodies: readonly EntryBody[]) => written(...bodies)
  const HARDWARE = { family: 'disc-two-adjusters', end: 'rear', dimensions: {} } as const
  const WHEEL = [seen('motorAt', 'none'), confirm('wheel-seated'), confirm('hub-play')] as const
  const unit = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'mm' })

  it('oil on a rotor or a pad: it cannot be skipped, only put right', () => {
    const job = expectOk(
      openJob(
        HARDWARE,
        log(...WHEEL, unit('rotorThickness', 1.8), unit('rotorRunout', 0.1), seen('rotorFace', 'oily')),
      ),
    )
    expect(job.next).toMatchObject({ kind: 'mend', stop: true, step: { id: 'rotor-sound' } })
    const [skip] = log({ kind: 'skip', step: 'rotor-sound', reason: 'in a hurry' })
    const refused = firstRefusal(HARDWARE, job.state.standing, skip ? [{ ...skip, id: 'skip', seq: 99 }] : [])
    expect(refused?.error.message).toBeTruthy()
  })

  it('a rotor thicker than the caliper takes', () => {
    const job = expectOk(
      openJob(
        HARDWARE,
        log(...WHEEL, unit('rotorThickness', 2.3), unit('rotorRunout', 0.1), seen('rotorFace', 'clean')),
      ),
    )
    expect(job.next).toMatchObject({ kind: 'mend', step: { id: 'rotor-sound' } })
    expect(job.next.kind === 'mend' && job.next.say).toMatch(/too thick for this caliper/)
  })

  it('brakes worked by fluid from the lever, said plainly', () => {
    const found = findFamily('hydraulic-disc')
    expect(found.ok ? undefined : found.error).toMatchObject({
      code: 'out-of-scope',
      message: expect.stringMatching(/fluid from the lever are out of scope/),
    })
  })

  it('a rotor with no track where the pads are', () => {
    const fitted = discTwoAdjustersFamily.fit(
      { ...D, rotorDiameterMm: 120, trackInsideMm: 35 },
      hereAt(discTwoAdjustersFamily, 'rear'),
    )
    expect(fitted.ok ? undefined : fitted.error.field).toBe('rotorDiameterMm')
  })
})

describe('an assisted bicycle', () => {
  it('has its battery out before a hand goes near, and its cut-off proven before the road', () => {
    const asked = (motorAt: string) =>
      expectOk(openJob({ family: 'disc-both-move', end: 'rear', dimensions: {} }, written(seen('motorAt', motorAt))))
        .next.step.id
    for (const at of ['this', 'other', 'cranks']) expect(asked(at)).toBe('battery-out')
    expect(asked('none')).toBe('wheel-fast')
  })
})
