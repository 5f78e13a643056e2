import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Part } from '../../drawer/part.ts'
import { BRIDGE, CROWN, concave, DRAWER, sleeve } from '../../testing/mount.ts'
import { mountTorque } from './bolt.ts'
import { frameStops } from './drilling.ts'
import type { SleeveChoice } from './fit.ts'
import type { BoltMount } from './measured.ts'
import { type Plan, planMount } from './plan.ts'
import { type Preference, WAYS } from './ways.ts'

const byWay = (mount: BoltMount, stock: readonly Part[] = DRAWER, preference: Preference = 'reversible') =>
  Object.fromEntries(planMount(mount, stock, preference).map((plan) => [plan.way.id, plan])) as Record<string, Plan>
const stopsOf = (plan: Plan | undefined) =>
  plan?.reasons.filter((each) => each.kind === 'stop').map((each) => each.say) ?? []
const order = (mount: BoltMount, preference: Preference, stock = DRAWER) =>
  planMount(mount, stock, preference).map((each) => `${each.way.id} ${each.state}`)

const length = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true }).map((value) => Math.round(value * 10) / 10)

const anyMount: fc.Arbitrary<BoltMount> = fc
  .record({
    end: fc.constantFrom('front' as const, 'rear' as const),
    holeFrontMm: length(5.5, 8.5),
    holeBackMm: length(5.5, 8.8),
    depthMm: length(10, 35),
    tubeMm: length(14, 30),
    wall: fc.option(length(0.5, 2.5), { nil: undefined }),
    curveFrontMm: fc.constantFrom(0, 8, 10, 18),
    curveBackMm: fc.constantFrom(0, 8, 10),
    roomMm: length(20, 150),
    boltOutMm: length(10, 45),
    threaded: fc.double({ min: 0.3, max: 1, noNaN: true }),
    drillHeadMm: length(50, 110),
    caliperDepthMm: fc.option(length(10, 40), { nil: undefined }),
    material: fc.constantFrom('steel', 'aluminium', 'titanium', 'carbon'),
    cracked: fc.boolean(),
    rust: fc.constantFrom('none', 'surface', 'pitted'),
    nutted: fc.boolean(),
    boltClass: fc.constantFrom('8.8', '10.9', 'a2-70', 'unmarked'),
    approved: fc.boolean(),
    makerNm: fc.constantFrom(undefined, 6),
  })
  .map(({ wall, threaded, ...rest }) => ({ ...rest, wallMm: wall, threadedMm: rest.boltOutMm * threaded }))

const anyNut = fc
  .tuple(length(6, 34), length(5, 18), fc.constantFrom('steel', 'aluminium'))
  .map(([shank, thread, material]) => sleeve(shank, thread, material))
const anyWasher = fc
  .tuple(fc.constantFrom(8, 9, 10, 18), length(1, 5))
  .map(([radius, thickness]) => concave(radius, thickness))
const anyStock = fc
  .tuple(fc.array(anyNut, { maxLength: 12 }), fc.array(anyWasher, { maxLength: 6 }))
  .map(([nuts, washers]) => [...nuts, ...washers, ...DRAWER.slice(-2)])

/** The thickness at the seated centre of a washer, nothing where there is none. */
const thick = (part: Part | undefined) => part?.dimensions.thicknessMm ?? 0

describe('a plan that holds', () => {
  // The definitions of the product’s own calculations, written out again here and put to every plan.
  it('satisfies its own constraints, whatever the mount and the drawer', () => {
    fc.assert(
      fc.property(anyMount, anyStock, (mount, stock) => {
        for (const plan of planMount(mount, stock, 'reversible')) {
          const stack = plan.stack
          if (!stack) continue
          const clamped = mount.depthMm + thick(stack.front) + thick(stack.rear)
          if (stack.kind === 'through') {
            const over = mount.boltOutMm - clamped - thick(stack.flat)
            expect(over - (stack.nut.dimensions.heightMm ?? 0)).toBeGreaterThanOrEqual(1 - 1e-9)
            expect(mount.boltOutMm - mount.threadedMm).toBeLessThanOrEqual(clamped + thick(stack.flat) + 1e-9)
          } else {
            const { shankMm = 0, threadDepthMm = 0 } = stack.nut.dimensions
            const tip = clamped - shankMm
            const engaged = mount.boltOutMm - tip
            expect(engaged).toBeGreaterThanOrEqual((stack.nut.material === 'aluminium' ? 12 : 6) - 1e-9)
            expect(engaged).toBeLessThanOrEqual(threadDepthMm + 1e-9)
            expect(tip - thick(stack.front)).toBeGreaterThanOrEqual((mount.wallMm ?? 0) - 1e-9)
            expect(mount.boltOutMm - mount.threadedMm).toBeLessThanOrEqual(tip + 1e-9)
          }
        }
      }),
      { numRuns: 300 },
    )
  })

  it('ranks nothing on a frame that says stop, and never drills carbon', () => {
    fc.assert(
      fc.property(anyMount, anyStock, (mount, stock) => {
        const plans = planMount(mount, stock, 'flush')
        const approved = mount.material !== 'carbon' || (mount.approved && mount.makerNm !== undefined)
        if (mount.cracked || mount.rust === 'pitted' || (mount.wallMm ?? 1) < 0.8 || !approved)
          expect(plans).toEqual([])
        for (const plan of plans) {
          const drills = plan.way.drills !== 'nothing' && plan.tools.some((tool) => tool.includes('drill'))
          if (drills && plan.state !== 'no') expect(mount.material).not.toBe('carbon')
        }
      }),
      { numRuns: 300 },
    )
  })

  const STATES = ['no', 'measure', 'buy', 'ready']

  it('is never made worse by more nuts in the drawer', () => {
    fc.assert(
      fc.property(anyMount, anyStock, fc.array(anyNut, { minLength: 1, maxLength: 6 }), (mount, stock, more) => {
        const before = byWay(mount, stock)
        const after = byWay(mount, [...stock, ...more])
        for (const [way, plan] of Object.entries(before)) {
          const now = after[way] as Plan
          expect(STATES.indexOf(now.state)).toBeGreaterThanOrEqual(STATES.indexOf(plan.state))
          if (plan.stack?.kind === 'sleeve' && now.stack?.kind === 'sleeve') {
            const held = ({ front, rear, nut }: SleeveChoice) =>
              (nut.dimensions.shankMm ?? 0) - thick(front) - thick(rear)
            expect(held(now.stack)).toBeGreaterThanOrEqual(held(plan.stack) - 1e-9)
          }
        }
      }),
      { numRuns: 200 },
    )
  })

  it('names every part it uses once, with its count, and no part that is not there', () => {
    fc.assert(
      fc.property(anyMount, anyStock, (mount, stock) => {
        for (const { parts } of planMount(mount, stock, 'reversible')) {
          expect(new Set(parts.map((each) => each.partId)).size).toBe(parts.length)
          for (const { partId, count } of parts)
            expect(stock.find((each) => each.id === partId)?.count).toBeGreaterThanOrEqual(count)
        }
      }),
      { numRuns: 100 },
    )
  })
})

describe('an older bridge and a short bolt', () => {
  it('takes a sleeve nut let into its back, and says by how many threads it holds', () => {
    const { B } = byWay(BRIDGE)
    expect(B?.state).toBe('ready')
    expect(B?.stack).toMatchObject({ kind: 'sleeve', nut: { code: 'SN-13-10-steel' }, front: { code: 'CW-8-2.5' } })
    // tip = 2.5 + 16 + 2.5 − 13 = 8 mm; 18 − 8 = 10 mm of thread, all the nut has; 8 − 2.5 − 1 = 4.5 mm clear.
    expect(B?.reasons.find((each) => each.kind === 'holds')?.say).toContain('holds by 10.0 mm of thread (10 threads')
    expect(B?.reasons.find((each) => each.kind === 'holds')?.say).toContain('4.5 mm clear')
    expect(B?.parts).toEqual([
      { name: 'Concave washer R8', partId: 'CW-8-2.5', count: 2 },
      { name: 'Sleeve nut 13', partId: 'SN-13-10-steel', count: 1 },
    ])
  })

  // 16 × 1 mm, 6 and 6 → 8 and 6: 0.74 and 0.50 before, 0.69 and 0.43 after; worked with the thin-wall formula.
  it('shows what is left of the tube before and after', () => {
    const { tube } = byWay(BRIDGE).B as Plan
    expect(tube?.sectionBefore).toBeCloseTo(0.738, 3)
    expect(tube?.bendingBefore).toBeCloseTo(0.505, 3)
    expect(tube?.sectionAfter).toBeCloseTo(0.69, 2)
    expect(tube?.bendingAfter).toBeCloseTo(0.43, 2)
  })

  it('says how short the bit must be, and when no drill fits', () => {
    expect(byWay(BRIDGE).B?.bit).toMatchObject({ longestMm: 25 })
    // Half of 8 mm over tan 59° is 2.40 mm of point: 1 + 2.4 + 1.
    expect(byWay(BRIDGE).B?.bit?.shortestMm).toBeCloseTo(4.403, 3)
    expect(stopsOf(byWay({ ...BRIDGE, roomMm: 72 }).B)[0]).toMatch(/No drill fits behind: 72.0 mm of room/)
    expect(byWay({ ...BRIDGE, roomMm: 72 }).C?.state).toBe('measure')
    expect(byWay({ ...BRIDGE, roomMm: 72, caliperDepthMm: 30 }).C?.state).toBe('ready')
    expect(stopsOf(byWay({ ...BRIDGE, roomMm: 20, caliperDepthMm: 30 }).C)[0]).toMatch(/30.0 mm deep, the room/)
  })

  it('gives the stages, the inch bit and what to ream, and widens the washer in a vice', () => {
    const steps = byWay(BRIDGE).B?.steps.join(' ') ?? ''
    expect(steps).toContain('in stages 6 → 7 → 8 mm')
    expect(steps).toContain('5/16 in leaves 0.11 mm for the reamer')
    expect(steps).toMatch(/held in a vice or clamped pliers, never by hand/)
    expect(steps).toContain('Start the nut by hand')
  })

  it('says what to buy when nothing in the drawer holds, by the lengths that would', () => {
    const plan = byWay(BRIDGE, DRAWER.slice(4)).B as Plan
    expect(plan.state).toBe('buy')
    // Holds from 21 − 18 + 6 = 9.0 mm to 21 − 18 + 10 = 13.0 mm.
    expect(plan.reasons.find((each) => each.kind === 'lacks')?.say).toContain('9.0 mm to 13.0 mm')
    expect(byWay(BRIDGE, DRAWER.slice(0, 4)).B?.reasons.find((each) => each.kind === 'lacks')?.say).toContain(
      'hollowed to 8.0 mm under the caliper and one hollowed to 8.0 mm under the nut',
    )
  })

  it('takes a front brake’s longer bolt right through without drilling', () => {
    expect(byWay(BRIDGE).A?.state).toBe('buy')
    expect(byWay(BRIDGE).A?.reasons[0]?.say).toContain('Use a front brake')
    // Drawer empty: 16 mm of bridge, two concave washers of usually 2.5 mm, a flat one of 1, a nut of 5, one thread of 1.
    expect(byWay(BRIDGE, []).A?.reasons[0]?.say).toContain('right through it needs about 28.0 mm')
    const long = byWay({ ...BRIDGE, boltOutMm: 30 })
    expect(long.A?.state).toBe('ready')
    expect(long.A?.reasons[0]?.say).toContain('3.0 threads show')
    expect(long.A?.steps.join(' ')).toContain('Leave the sleeve nut out')
  })

  it('goes by what the workshop would rather', () => {
    const long = { ...BRIDGE, boltOutMm: 30, threadedMm: 26 }
    expect(order(long, 'reversible', [...DRAWER, sleeve(5, 14)])[0]).toBe('A ready')
    expect(order(BRIDGE, 'flush')).toEqual(['B ready', 'A buy', 'D buy', 'C measure'])
    expect(order(BRIDGE, 'reversible')[0]).toBe('B ready')
  })
})

describe('what may not be done', () => {
  const stopped = (own: Partial<BoltMount>) => frameStops({ ...BRIDGE, ...own }).map((each) => each.say)

  // Handbook: carbon by its maker’s written approval and figure, else stop, before any other way is ranked.
  it('hangs nothing on carbon without its maker’s approval and figure, and prints no torque of ours on it', () => {
    for (const own of [{}, { approved: true }, { makerNm: 6 }]) {
      expect(stopped({ material: 'carbon', ...own }).join()).toContain('written approval')
      expect(planMount({ ...BRIDGE, material: 'carbon', ...own }, DRAWER, 'flush')).toEqual([])
    }
    const approved = { ...BRIDGE, material: 'carbon', approved: true, makerNm: 6 }
    const plans = byWay(approved)
    expect(stopsOf(plans.B)).toContain('Carbon is never drilled.')
    expect(stopsOf(plans.C)).toContain('Carbon is never drilled.')
    const straight = byWay({ ...approved, holeBackMm: 8, boltOutMm: 18 })['as-is'] as Plan
    expect(straight.state).toBe('ready')
    expect(straight.steps.join(' ')).toContain('6.0 N·m, the frame maker’s figure')
    expect(straight.steps.join(' ')).not.toContain('8–10')
  })

  it('sends cracks, pits, thin walls, oversize holes and weak tubes to a frame builder', () => {
    for (const own of [{ cracked: true }, { rust: 'pitted' }, { wallMm: 0.7 }]) {
      expect(stopped(own).join()).toContain('frame builder')
      expect(planMount({ ...BRIDGE, ...own }, DRAWER, 'reversible')).toEqual([])
    }
    expect(stopped({ wallMm: 0.8 })).toEqual([])
    expect(stopsOf(byWay({ ...BRIDGE, holeBackMm: 8.4 })['as-is'])[0]).toContain('oversize')
    expect(stopsOf(byWay({ ...BRIDGE, tubeMm: 12, curveFrontMm: 6, curveBackMm: 6 }).B).join()).toContain(
      'bending stiffness',
    )
  })

  // Handbook: way D where a 6 mm bolt sits in the hole without play; a hole already opened needs a sleeve or a frame builder.
  it('leaves the frame alone only where a 6 mm bolt has no play', () => {
    expect(stopsOf(byWay(BRIDGE).D)).toEqual([])
    for (const nutted of [false, true])
      expect(stopsOf(byWay({ ...BRIDGE, holeBackMm: 8, nutted, boltOutMm: 30 }).D).join()).toMatch(
        /play in it.*sleeve turned to fit, or a frame builder/,
      )
    expect(stopsOf(byWay({ ...BRIDGE, holeBackMm: 6.6 }).D)).toHaveLength(1)
    expect(stopsOf(byWay({ ...BRIDGE, holeBackMm: 6.5 }).D)).toEqual([])
    expect(WAYS.map((way) => way.says).join()).not.toMatch(/always possible/i)
  })

  // Our choice: a solid mount keeps at least twice the hole across.
  it('a solid mount too is judged by what is left round its hole', () => {
    expect(stopsOf(byWay({ ...CROWN, tubeMm: 15.9 }).fork).join()).toMatch(/frame builder/)
    expect(stopsOf(byWay({ ...CROWN, tubeMm: 16 }).fork)).toEqual([])
    expect(
      byWay(CROWN)
        .fork?.reasons.map((each) => each.say)
        .join(),
    ).toContain('8.0 mm either side')
  })

  it('does not hang a bolt in a hole too narrow or too wide for it', () => {
    expect(stopsOf(byWay({ ...BRIDGE, holeFrontMm: 5.5 }).B)[0]).toContain('does not take the M6 bolt')
    expect(stopsOf(byWay({ ...BRIDGE, holeFrontMm: 7.5 }).B)[0]).toContain('hangs loose')
    expect(stopsOf(byWay({ ...BRIDGE, holeBackMm: 8, boltOutMm: 30 }).A)[0]).toContain('too wide')
  })
})

describe('how hard the bolt is pulled', () => {
  const told = (boltClass: string) =>
    byWay({ ...BRIDGE, boltClass }).B?.reasons.find((each) => each.say.includes('kN'))?.say

  // Shigley, T = K·F·d: 10 N·m in M6, K 0.20 dry and 0.15 oiled, is 8.3 and 11.1 kN; ISO 898-1 class 8.8: 11.66 kN proof (from memory).
  it('is told for a dry and an oiled thread, by the bolt’s class', () => {
    expect(told('8.8')).toMatch(
      /10\.0 N·m pulls 8\.3 kN \(71 % of its proof\) on a dry thread, 11\.1 kN \(95 % of its proof\) oiled/,
    )
    expect(told('10.9')).toContain('50 % of its proof')
  })

  it('a softer bolt is given less torque, in the plan and at the step', () => {
    // 0.95 × 450 MPa × 20.1 mm² × 0.15 × 6 mm = 7.7 N·m.
    expect(told('a2-70')).toContain('7.7 N·m')
    expect(told('unmarked')).toContain('judged as stainless')
    expect(mountTorque({ material: 'steel', makerNm: undefined, boltClass: 'a2-70' })).toContain('up to 7.7 N·m')
    expect(mountTorque({ material: 'steel', makerNm: undefined, boltClass: '8.8' })).toContain('8–10 N·m')
    expect(mountTorque({ material: 'carbon', makerNm: undefined, boltClass: '8.8' })).not.toMatch(/\d/)
  })
})

describe('drilling', () => {
  it('takes the wheel out, stops the bit, and guards what lies behind', () => {
    const bridge = byWay(BRIDGE).B as Plan
    expect(bridge.steps.join(' ')).toMatch(/Wheel out\..*depth stop.*far wall/)
    expect(bridge.tools).toContain('depth stop')
    expect(byWay(CROWN).fork?.steps.join(' ')).toContain('headset')
  })

  it('opens the washer under the nut to 8 mm', () => {
    expect(byWay(BRIDGE).B?.steps.join(' ')).toContain('Open the hole of the Concave washer R8 to 8 mm')
    expect(byWay(BRIDGE, DRAWER.slice(0, 4)).B?.reasons.find((each) => each.kind === 'lacks')?.say).toContain(
      'its hole opened to 8 mm',
    )
  })
})

describe('a fork crown', () => {
  it('takes a wide washer in front and the nut from behind, by an ordinary drill', () => {
    const { fork, B, C } = byWay(CROWN)
    expect(B).toBeUndefined()
    expect(C).toBeUndefined()
    expect(fork?.state).toBe('ready')
    expect(fork?.stack).toMatchObject({ front: { code: 'CW-18-3' }, nut: { code: 'SN-20-14-steel' } })
    expect(fork?.stack?.rear).toBeUndefined()
    expect(fork?.bit).toBeUndefined()
    expect(fork?.reasons.some((each) => each.say.startsWith('Solid:'))).toBe(true)
  })

  it('bored for a sleeve nut already, it goes straight in and nothing is cut', () => {
    const plans = byWay({ ...CROWN, holeBackMm: 8.1 })
    expect(plans.fork).toBeUndefined()
    expect(plans['as-is']?.state).toBe('ready')
    expect(plans['as-is']?.steps.join(' ')).not.toMatch(/[Dd]rill/)
  })

  it('an older nutted brake goes right through as it always did', () => {
    const plans = byWay({ ...CROWN, nutted: true, boltOutMm: 40, threadedMm: 20 })
    expect(plans.A).toBeUndefined()
    expect(plans.D?.state).toBe('ready')
    expect(plans.D?.parts.map((each) => each.name)).toContain('Hex nut M6')
  })
})
