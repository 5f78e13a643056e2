import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import type { AdjusterSpec } from '../brake/adjuster.ts'
import { bookDimensions, hereAt } from '../brake/dimension.ts'
import { singlePivotFamily } from '../families/single-pivot/family.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { EntryBody } from '../stand/entries.ts'
import { fold } from '../stand/fold.ts'
import { confirm, HERE, KIT, MODEL, reading, turn, written } from '../testing/stand.ts'
import { toyFamily } from '../testing/toy.ts'
import { layoutFor } from './layout.ts'
import { timeline } from './timeline.ts'
import { Walk } from './walk.ts'

const BALANCE = MODEL.inputs.findIndex((each) => each.id === 'balance')
const CABLE = MODEL.inputs.findIndex((each) => each.id === 'cable')
const PER_TURN = 0.75 / 15

function replay(bodies: readonly EntryBody[], change: Readonly<Record<string, number>> = {}) {
  const happenings = timeline(KIT, MODEL, fold(KIT, MODEL, written(...bodies)))
  const layout = layoutFor(MODEL, happenings, {})
  const theta = Float64Array.from(layout.unknowns, ({ id, mean }) => change[id] ?? mean)
  const walk = new Walk(MODEL, layout, theta)
  happenings.forEach((happening, index) => {
    walk.step(happening, index)
  })
  walk.settle()
  return { walk, layout, theta, happenings }
}

/** Difference between the arms after these turns of the left screw, without slack at the start. */
const leftAfter = (turns: readonly number[], play = 0.2) =>
  replay(
    turns.map((amount) => turn('leftScrew', amount)),
    { 'leftScrew.play': play, 'leftScrew.slack': 0 },
  ).walk.q[BALANCE] as number

describe('a screw with lost motion', () => {
  // Fact of the trade: a thread with play does nothing until the play is taken up.
  it('does nothing until its play is taken up, then follows', () => {
    expect(leftAfter([0.15])).toBeCloseTo(0, 12)
    expect(leftAfter([0.5])).toBeCloseTo(0.3 * PER_TURN, 12)
    expect(leftAfter([0.25, 0.25])).toBeCloseTo(0.3 * PER_TURN, 12)
  })

  it('takes the play up again on every reversal', () => {
    expect(leftAfter([1, -0.2])).toBeCloseTo(0.8 * PER_TURN, 12)
    expect(leftAfter([1, -0.5])).toBeCloseTo(0.5 * PER_TURN, 12)
    expect(leftAfter([1, -1])).toBeCloseTo(0, 12)
  })

  it('without play is where its head is', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 1, maxLength: 8 }), (turns) => {
        const sum = turns.reduce((total, each) => total + each, 0)
        expect(leftAfter(turns, 0)).toBeCloseTo(sum * PER_TURN, 9)
      }),
    )
  })

  it('tells beforehand what a further turn would do', () => {
    const at = (turns: readonly number[]) => replay(turns.map((amount) => turn('leftScrew', amount))).walk
    const adjuster = MODEL.adjusters.findIndex((each) => each.id === 'leftScrew')
    for (const next of [0.5, -0.5, 0.1]) {
      const before = at([1, -0.25])
      const promised = before.reach(adjuster, next)
      expect((at([1, -0.25, next]).q[BALANCE] as number) - (before.q[BALANCE] as number)).toBeCloseTo(promised, 12)
    }
  })
})

describe('the log replayed', () => {
  it('left in and right out pull the same way; barrel out takes cable up', () => {
    const balance = (adjuster: string) =>
      replay([turn(adjuster, 2)], { [`${adjuster}.slack`]: 0 }).walk.q[BALANCE] as number
    expect(balance('leftScrew')).toBeGreaterThan(0)
    expect(balance('rightScrew')).toBeCloseTo(-balance('leftScrew'), 12)
    const cable = (bodies: readonly EntryBody[]) => replay(bodies).walk.q[CABLE] as number
    expect(cable([turn('barrel', 2)]) - cable([])).toBeCloseTo(-2, 9)
    expect(cable([turn('anchor', 3)]) - cable([])).toBeCloseTo(3, 9)
  })

  it('a new cable beds in with squeezes, slower and slower', () => {
    const after = (squeezes: number) =>
      replay([{ kind: 'swap', part: 'cable', to: 'new' }, confirm('squeezes', squeezes)]).walk.q[CABLE] as number
    expect(after(10) - after(1)).toBeGreaterThan(after(30) - after(20))
    expect(after(200) - (replay([{ kind: 'swap', part: 'cable', to: 'new' }]).walk.q[CABLE] as number)).toBeCloseTo(
      MODEL.bedding?.mean as number,
      2,
    )
  })

  it('knows a screw turned and not squeezed has not settled', () => {
    expect(replay([turn('leftScrew', 1)]).walk.unsettled).toBe(true)
    expect(replay([turn('leftScrew', 1), confirm('squeezes', 10)]).walk.unsettled).toBe(false)
    expect(replay([turn('barrel', 1)]).walk.unsettled).toBe(false)
  })

  it('each clamping, each wheel seated and each set of pads brings its own doubt', () => {
    const ids = (bodies: readonly EntryBody[]) => replay(bodies).layout.unknowns.map((each) => each.id)
    const plain = ids([]).length
    expect(ids([turn('anchor', 1), turn('anchor', 1)])).toHaveLength(plain + 2)
    expect(ids([confirm('wheel-seated')])).toHaveLength(plain + 1)
    expect(ids([{ kind: 'swap', part: 'pads', to: 'new' }])).toHaveLength(plain + 2)
  })

  it('gives the slope of every input by every unknown: the same as turning each a little', () => {
    const moves = fc.array(
      fc.oneof(
        fc
          .tuple(
            fc.constantFrom('leftScrew', 'rightScrew', 'barrel', 'anchor'),
            fc.constantFrom(-1, -0.5, 0.25, 0.75, 1.5),
          )
          .map(([id, amount]) => turn(id, amount)),
        fc.constant(confirm('squeezes', 10)),
        fc.constant(confirm('wheel-seated')),
        fc.constant<EntryBody>({ kind: 'swap', part: 'cable', to: 'new' }),
        fc.constant(reading('gapLeft', 1)),
      ),
      { maxLength: 10 },
    )
    fc.assert(
      fc.property(moves, (bodies) => {
        const { walk, layout, theta, happenings } = replay(bodies)
        layout.unknowns.forEach((_, unknown) => {
          const at = (by: number) => {
            const nudged = theta.slice()
            nudged[unknown] = (nudged[unknown] as number) + by
            const other = new Walk(MODEL, layout, nudged)
            happenings.forEach((happening, index) => {
              other.step(happening, index)
            })
            other.settle()
            return other.q
          }
          const [up, down] = [at(1e-6), at(-1e-6)]
          for (let input = 0; input < layout.inputs; input += 1) {
            const numeric = ((up[input] as number) - (down[input] as number)) / 2e-6
            const own = layout.inputOf[unknown] === input ? (walk.slope[unknown] as number) : 0
            expect(own).toBeCloseTo(numeric, 4)
          }
        })
      }),
      { numRuns: 60 },
    )
  })
})

describe('a turn told from contact', () => {
  const toy = expectOk(toyFamily.fit({}, HERE))
  const back: EntryBody = { kind: 'turn', adjuster: 'knob', amount: -7, unit: 'click', from: { contact: 'feel' } }
  const on: EntryBody = { kind: 'turn', adjuster: 'knob', amount: 4, unit: 'click' }
  const at = (change: Readonly<Record<string, number>> = {}) => {
    const kit = kitOf(toyFamily)
    const happenings = timeline(kit, toy, fold(kit, toy, written(on, back, { ...on, amount: -1 })))
    const layout = layoutFor(toy, happenings, {})
    const walk = new Walk(
      toy,
      layout,
      Float64Array.from(layout.unknowns, ({ id, mean }) => change[id] ?? mean),
    )
    happenings.forEach((each, index) => {
      walk.step(each, index)
    })
    walk.settle()
    return { walk, layout }
  }

  it('begins its input anew: eight clicks of 0.1 mm from where it meets, whatever was before', () => {
    expect(at().walk.q[0]).toBeCloseTo(0.8, 9)
    expect(at({ clearance: 3 }).walk.q[0]).toBeCloseTo(0.8, 9)
  })

  // Calculus: the slopes are what the walk itself does over a small change of each unknown.
  it('its slopes are those of the walk', () => {
    const { walk, layout } = at()
    const step = 1e-5
    for (const [index, { id, mean }] of layout.unknowns.entries()) {
      const input = layout.inputOf[index] as number
      const moved = (at({ [id]: mean + step }).walk.q[input] as number) - (walk.q[input] as number)
      expect(walk.slope[index], id).toBeCloseTo(moved / step, 4)
    }
  })

  it('is found as well as the hand finds contact: better by ear than by feel', () => {
    const spread = layoutSpread('ear')
    expect(spread).toBeCloseTo(0.03, 9)
    expect(layoutSpread('feel')).toBeCloseTo(0.1, 9)
  })

  const layoutSpread = (contact: 'ear' | 'feel') => {
    const kit = kitOf(toyFamily)
    const happenings = timeline(kit, toy, fold(kit, toy, written({ ...back, from: { contact } })))
    return layoutFor(toy, happenings, {}).unknowns.find(({ id }) => id.startsWith('knob.set'))?.sd
  }
})

// A caliper is told in mm at the pads, the model in radians between its arms: its creep as the bolt is tightened is the one times the other.
describe('the scatter of what is set', () => {
  it('is the adjuster’s own, in the unit of what it drives', () => {
    const caliper = expectOk(
      singlePivotFamily.fit(bookDimensions(singlePivotFamily), hereAt(singlePivotFamily, 'rear')),
    )
    const index = caliper.adjusters.findIndex(({ id }) => id === 'caliper')
    const spec = caliper.adjusters[index] as AdjusterSpec
    const layout = layoutFor(caliper, [{ kind: 'turn', adjuster: index, amount: 1 }], {})
    const set = layout.unknowns.find(({ id }) => id.startsWith('caliper.set'))
    expect(spec.settingSd).toBeGreaterThan(0.05)
    expect(set?.sd).toBeCloseTo(spec.settingSd * Math.abs(spec.book), 9)
    const anchor = caliper.adjusters.findIndex(({ id }) => id === 'anchor')
    const clamped = layoutFor(caliper, [{ kind: 'turn', adjuster: anchor, amount: 1 }], {}).unknowns.at(-1)
    expect(clamped).toMatchObject({ id: 'anchor.set.0', mean: 0, sd: 0.5 })
  })
})
