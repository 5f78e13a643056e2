import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { threadEngagement } from '../../calculations/bolts.ts'
import { boltHold, caliperStack } from '../../calculations/caliper-stack.ts'
import type { Part } from '../../drawer/part.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { bolt, bracket, spacer } from '../../testing/stack.ts'
import { judgeStack, laid } from './fits.ts'
import type { StandsNow } from './measured.ts'
import { planStacks } from './plan.ts'
import { liftsThatFit, toBuy } from './to-buy.ts'
import { wayOf } from './ways.ts'

/** A 160 mm rotor on a post mount, caliper straight on it; 180 mm is to run. */
const NOW: StandsNow = {
  rotorBeforeMm: 160,
  rotorAfterMm: 180,
  trackBeforeMm: 16,
  trackAfterMm: 16,
  spacingMm: 74,
  bracketMm: 0,
  spacersMm: 0,
  topMm: 1.5,
  bottomMm: 1.5,
  padEdgeMm: 0.5,
  padHeightMm: 15,
  earMm: 8,
  boltMm: 20,
  frameThreadMm: 14,
  frameMetal: 'aluminium',
  bracketThreadMm: undefined,
}

describe('a caliper over another rotor', () => {
  // Geometry: half of what the rotor is wider. A lift of as much leaves everything where it was.
  it('stands as it stood where bracket and spacers lift it by half the change of diameter', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(140, 160, 180, 203),
        fc.constantFrom(160, 180, 203),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (from, to, lift) => {
          const after = lift + (to - from) / 2
          fc.pre(after >= 0)
          const { outputs } = expectOk(
            caliperStack.work({
              rotorBeforeMm: from,
              rotorAfterMm: to,
              liftBeforeMm: lift,
              liftAfterMm: after,
              topMm: 1.2,
              bottomMm: 2,
              padEdgeMm: 0.4,
              padHeightMm: 14,
              trackBeforeMm: 16,
              trackAfterMm: 16,
            }),
          )
          expect(outputs.topAfterMm).toBeCloseTo(1.2, 9)
          expect(outputs.bottomAfterMm).toBeCloseTo(2, 9)
          expect(outputs.padEdgeAfterMm).toBeCloseTo(0.4, 9)
          expect([outputs.coverMm, outputs.hungMm]).toEqual([14, 0])
        },
      ),
    )
  })

  it.each([
    // On a 180 mm rotor, 10 mm are wanted; 2 mm more stand the pad 1.5 mm past the edge, 2 mm less grind the body.
    [10, true],
    [12, false],
    [8, false],
    [9.3, true],
    [9.2, false],
    [11, true],
    [11.1, false],
  ])('lifted by %s mm: %s', (lift, fits) => {
    expect(laid(NOW, lift).ok).toBe(fits)
  })

  it('says what is wrong and by how much', () => {
    expect(laid(NOW, 8)).toMatchObject({
      error: { code: 'no-stack', message: expect.stringContaining('-0.5 mm clear above') },
    })
    expect(laid({ ...NOW, topMm: 3, bottomMm: 0 }, 10)).toMatchObject({
      error: { message: expect.stringContaining('0.0 mm clear below') },
    })
    expect(laid(NOW, 12)).toMatchObject({
      error: { message: expect.stringContaining('Only 13.5 mm of the pad’s 15.0 mm') },
    })
  })

  it('a shallower track is reached by the arms sooner and covered by less', () => {
    const shallow = { ...NOW, trackAfterMm: 14 }
    expect(laid(shallow, 10)).toMatchObject({ error: { message: expect.stringContaining('-0.5 mm clear below') } })
    expect(laid({ ...shallow, bottomMm: 4 }, 10)).toMatchObject({ error: { message: /Only 13.5 mm/ } })
  })
})

describe('a bolt in its seat', () => {
  // FED-STD-H28/2: an M6 holds at full strength by 4.65 mm in its own steel; one diameter of thread is never less.
  it('is asked for more thread than equal strength in steel needs', () => {
    const least = expectOk(
      threadEngagement.work({
        stressAreaMm2: 20.1,
        internalMinorMaxMm: 5.153,
        externalPitchMinMm: 5.212,
        pitchMm: 1,
      }),
    ).outputs.minimumLengthMm
    const steel = expectOk(
      boltHold.work({ underHeadMm: 20, clampedMm: 9, threadDepthMm: 14, diameterMm: 6, engagementFactor: 1 }),
    ).outputs
    expect(least).toBeCloseTo(4.65, 2)
    expect(steel.wantedMm).toBeGreaterThan(least)
  })

  it.each([
    // Common practice, no source: one and a half diameters in aluminium, 9 mm of an M6.
    [17, 8, 14, { engagementMm: 9, bottoms: false, fits: true }],
    [16.9, 8, 14, { fits: false, bottoms: false }],
    [22, 8, 14, { engagementMm: 14, bottoms: false, fits: true }],
    [22.1, 8, 14, { engagementMm: 14, bottoms: true, fits: false }],
    [6, 8, 14, { engagementMm: 0, fits: false }],
  ])('of %s mm through %s mm into %s mm', (underHeadMm, clampedMm, threadDepthMm, expected) => {
    expect(expectOk(boltHold.work({ underHeadMm, clampedMm, threadDepthMm, diameterMm: 6 })).outputs).toMatchObject(
      expected,
    )
  })
})

describe('stacks out of the drawer', () => {
  it('the fewest pieces first, then what is at hand', () => {
    const plans = planStacks(NOW, [
      spacer(5, 8),
      spacer(10, 0),
      bracket(10, 0),
      bracket(9.5, 1),
      bolt(18),
      bolt(30),
      bolt(25),
    ])
    expect(plans.map(({ pieces }) => pieces)).toEqual(plans.map(({ pieces }) => pieces).toSorted((a, b) => a - b))
    expect(plans[0]).toMatchObject({ way: 'bracket', state: 'ready', pieces: 1, bracket: { name: 'bracket 74/9.5' } })
    expect(plans[1]).toMatchObject({ way: 'bracket', state: 'buy', bracket: { name: 'bracket 74/10', from: 'shop' } })
    const twoFives = plans.find(({ key }) => key === 'mount + spacer 5 + spacer 5')
    // 8 mm of ear and 10 of spacers leave 7 mm of a 25 mm bolt: the 30 mm one holds by 12.
    expect(twoFives).toMatchObject({ way: 'spacers', state: 'ready', pieces: 4, caliperBolt: { mm: 30 } })
    expect(twoFives?.parts).toEqual([
      { name: 'spacer 5', count: 4, partId: 'spacer 5' },
      { name: 'bolt 30', count: 2, partId: 'bolt 30' },
    ])
  })

  it('the bolts at hand serve where they hold, new ones where they do not', () => {
    const [first] = planStacks({ ...NOW, boltMm: 20 }, [bracket(10)])
    // 8 mm of ear: 12 of 20 mm stand in the bracket’s thread, and that is as deep as it goes.
    expect(first).toMatchObject({ caliperBolt: { from: 'bicycle', mm: 20 }, bracketBolt: { from: 'shop', mm: 18 } })
    const [longer] = planStacks({ ...NOW, boltMm: 21 }, [bracket(10)])
    expect(longer).toMatchObject({ caliperBolt: { from: 'shop', mm: 18 } })
  })

  it('of as many pieces, all at hand, the one whose pads come nearest to the middle of the track', () => {
    // 0.5 mm inside the edge of a 16 mm track is the middle for a pad of 15 mm.
    const rises = planStacks(NOW, [bracket(9.4), bracket(10.4), bracket(10.1), bolt(18)]).map(
      ({ figures }) => figures.bracketMm,
    )
    expect(rises).toEqual([10.1, 10.4, 9.4])
  })

  it('says how long a bolt may be where it would bottom', () => {
    const stack = { bracketMm: 0, spacersMm: 10, caliperBoltMm: 40, caliperThreadMm: 14, caliperFactor: 1.5 }
    // 8 mm of ear, 10 of spacers and 14 of thread.
    expect(judgeStack(NOW, stack)).toMatchObject({ error: { code: 'bolt-bottoms', message: /at most 32.0 mm/ } })
  })

  it('tabs take no caliper without a bracket, and none of another spacing', () => {
    const tabs = { ...NOW, spacingMm: 51 }
    const plans = planStacks(tabs, [spacer(10, 8), bracket(10, 1, 74), bracket(32, 1, 51), bolt(25)])
    expect(plans).toEqual([])
    const shifted = planStacks({ ...tabs, bracketMm: 22, bracketThreadMm: 12 }, [bracket(32, 1, 51)])
    expect(shifted.map(({ way }) => way)).toEqual(['bracket'])
    expect(
      judgeStack(tabs, { bracketMm: 0, spacersMm: 10, caliperBoltMm: 30, caliperThreadMm: 14, caliperFactor: 1.5 }),
    ).toMatchObject({ error: { code: 'no-stack', message: /51 mm apart/ } })
  })

  it('the spacers that are on it may stay, and so may its bracket', () => {
    const stands = { ...NOW, bracketMm: 10, spacersMm: 1, bracketThreadMm: 12, rotorBeforeMm: 180, topMm: 0.5 }
    const [best] = planStacks(stands, [spacer(0.5), bolt(20)])
    // It grinds by 0.3 mm too little room: half a millimetre more under each ear.
    expect(best).toMatchObject({
      key: 'the bracket that is on it + the spacers that are on it + spacer 0.5',
      figures: { spacersMm: 1.5 },
    })
    expect(best?.parts).toEqual([{ name: 'spacer 0.5', count: 2, partId: 'spacer 0.5' }])
  })

  const anyNow = fc.record({
    rotorAfterMm: fc.constantFrom(140, 160, 180, 203),
    trackAfterMm: fc.double({ min: 12, max: 18, noNaN: true }),
    spacingMm: fc.constantFrom(51, 74, 74.8),
    bracketMm: fc.constantFrom(0, 10, 22),
    spacersMm: fc.constantFrom(0, 1, 2.5),
    topMm: fc.double({ min: -1, max: 4, noNaN: true }),
    bottomMm: fc.double({ min: -1, max: 4, noNaN: true }),
    padEdgeMm: fc.double({ min: -2, max: 3, noNaN: true }),
    padHeightMm: fc.double({ min: 9, max: 17, noNaN: true }),
    boltMm: fc.constantFrom(16, 18, 20, 25),
    frameThreadMm: fc.double({ min: 6, max: 16, noNaN: true }),
    frameMetal: fc.constantFrom('aluminium', 'steel'),
  })
  const anyStock = fc.array(
    fc.oneof(
      fc.tuple(fc.double({ min: 0.2, max: 12, noNaN: true }), fc.nat(6)).map(([mm, count]) => spacer(mm, count)),
      fc
        .tuple(fc.double({ min: 0, max: 40, noNaN: true }), fc.nat(1), fc.constantFrom(51, 74))
        .map((each) => bracket(...each)),
      fc.tuple(fc.constantFrom(16, 18, 20, 25, 30, 35), fc.nat(4)).map(([mm, count]) => bolt(mm, count)),
    ),
    { maxLength: 8 },
  )

  // Nothing ranked covers too little of the track, touches the body or holds by too little thread: stated here in its own words.
  it('never offers one that covers too little, touches, or holds by too little thread', () => {
    fc.assert(
      fc.property(anyNow, anyStock, (own, stock) => {
        const now: StandsNow = { ...NOW, ...own, bracketThreadMm: 12 }
        for (const { figures: f, lies } of planStacks(now, stock)) {
          const out = f.bracketMm + f.spacersMm - now.bracketMm - now.spacersMm - (now.rotorAfterMm - 160) / 2
          const body = Math.min(now.topMm + out, now.bottomMm + out + now.trackAfterMm - now.trackBeforeMm)
          expect(body).toBeGreaterThanOrEqual(0.8 - 1e-9)
          const outer = now.padEdgeMm - out
          const past = Math.max(0, -outer) + Math.max(0, outer + now.padHeightMm - now.trackAfterMm)
          expect(past).toBeLessThanOrEqual(0.5 + 1e-9)
          expect(lies.coverMm + lies.hungMm).toBeCloseTo(now.padHeightMm, 9)
          const inFrame = f.bracketMm === 0
          const wanted = inFrame && now.frameMetal === 'steel' ? 6 : 9
          const thread = inFrame ? now.frameThreadMm : 12
          const holds = f.caliperBoltMm - now.earMm - f.spacersMm
          expect(holds).toBeGreaterThanOrEqual(wanted - 1e-9)
          expect(holds).toBeLessThanOrEqual(thread + 1e-9)
          if (f.bracketBoltMm !== undefined) {
            const foot = f.bracketBoltMm - (f.bracketFootMm as number)
            expect(foot).toBeGreaterThanOrEqual(now.frameMetal === 'steel' ? 6 : 9)
            expect(foot).toBeLessThanOrEqual(now.frameThreadMm)
          }
        }
      }),
      { numRuns: 300 },
    )
  })

  it('is offered whole: each lift that fits is one that is laid, and none beside it', () => {
    fc.assert(
      fc.property(anyNow, fc.double({ min: 0, max: 60, noNaN: true }), (own, lift) => {
        const now: StandsNow = { ...NOW, ...own, bracketThreadMm: 12 }
        const fits = liftsThatFit(now)
        const [low, high] = fits ?? [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY]
        fc.pre(Math.abs(lift - low) > 0.01 && Math.abs(lift - high) > 0.01)
        // Where the pad is as high as the track it may hang at both edges, a little at each: fewer lifts fit then.
        fc.pre(now.padHeightMm <= now.trackAfterMm)
        expect(laid(now, lift).ok).toBe(lift > low && lift < high)
      }),
    )
  })
})

describe('where nothing fits', () => {
  it('says what to buy', () => {
    expect(planStacks(NOW, [])).toEqual([])
    expect(toBuy(NOW)).toEqual([
      'Spacers for M6 bolts, two alike, 9.3 to 11.0 mm under the caliper.',
      'A bracket whose own bolts are 74 mm apart and that rises 9.3 to 11.0 mm.',
    ])
    expect(toBuy({ ...NOW, spacingMm: 51, bracketMm: 22, bracketThreadMm: 12 })).toEqual([
      'Spacers for M6 bolts, two alike, 9.3 to 11.0 mm under the caliper on the bracket that is on it.',
      'A bracket whose own bolts are 51 mm apart and that rises 31.3 to 33.0 mm.',
    ])
  })

  it('names no spacers where the caliper cannot stand on them, or stands too high already', () => {
    const tabs = { ...NOW, spacingMm: 51, rotorBeforeMm: 180 }
    expect(toBuy(tabs)).toEqual(['A bracket whose own bolts are 51 mm apart and that rises 0.0 to 1.0 mm.'])
    const high = { ...NOW, bracketMm: 20, bracketThreadMm: 12, rotorBeforeMm: 180, rotorAfterMm: 160 }
    expect(toBuy(high)).toEqual(['A bracket whose own bolts are 74 mm apart and that rises 9.3 to 11.0 mm.'])
    const straight = { ...NOW, rotorBeforeMm: 180 }
    expect(toBuy(straight)[0]).toBe('The caliper straight on its mount, with bolts that hold there.')
    expect(toBuy(straight)[1]).toMatch(/^Spacers for M6 bolts, two alike, 0.0 to 1.0 mm under the caliper/)
  })

  it('says so where no stack can do', () => {
    expect(toBuy({ ...NOW, padHeightMm: 17 })).toEqual([expect.stringMatching(/^No stack does/)])
    expect(toBuy({ ...NOW, topMm: -2, trackAfterMm: 15 })).toEqual([expect.stringMatching(/^No stack does/)])
    expect(toBuy({ ...NOW, rotorAfterMm: 140 })).toEqual([expect.stringMatching(/nearer the axle/)])
  })
})

describe('a full drawer', () => {
  // 15 thicknesses of one piece each and one of which there are forty: what there is most of is never what is left out.
  it('keeps what there is most of', () => {
    const odd = Array.from({ length: 15 }, (_, index) => spacer(Number((0.31 + 0.13 * index).toFixed(2)), 2))
    const plenty = spacer(10, 40)
    const plans = planStacks(NOW, [...odd, plenty, bolt(28), bolt(30)])
    expect(plans.some(({ spacers }) => spacers.some(({ part: of }) => of?.id === plenty.id))).toBe(true)
  })

  it('tells parts of one name apart', () => {
    const [one, other] = ['a', 'b'].map((id) => ({ ...spacer(id === 'a' ? 4 : 6, 2), id, name: 'spacer' }))
    const plans = planStacks(NOW, [one, other, bolt(28), bolt(30)] as Part[])
    const both = plans.find(({ spacers }) => spacers.length === 2 && spacers[0]?.part?.id !== spacers[1]?.part?.id)
    expect(both?.parts.filter(({ name }) => name === 'spacer').map(({ partId, count }) => [partId, count])).toEqual([
      ['a', 2],
      ['b', 2],
    ])
    expect(new Set(plans.map(({ key }) => key)).size).toBe(plans.length)
  })

  it('uses bolts of two lengths where either holds in both seats', () => {
    const small = [bracket(10), bolt(18, 2), bolt(19, 2)]
    const plan = planStacks({ ...NOW, boltMm: 60 }, small).find(({ way }) => way === 'bracket')
    expect(plan?.state).toBe('ready')
    expect(new Set([plan?.caliperBolt.mm, plan?.bracketBolt?.mm])).toEqual(new Set([18, 19]))
  })
})

describe('a stack told by its figures', () => {
  const figures = { bracketMm: 10, spacersMm: 0, caliperBoltMm: 18, caliperThreadMm: 12, caliperFactor: 1.5 }
  it.each([
    ['a bracket that is not on it and has no bolts', figures, /not the one that is on it.*bracketBoltMm/],
    ['spacers below 0', { ...figures, bracketMm: 0, spacersMm: -1 }, /spacersMm is -1. Accepted: 0 mm or more/],
    ['a foot of 0', { ...figures, bracketBoltMm: 18, bracketFootMm: 0 }, /bracketFootMm is 0. Accepted: .*above 0/],
  ])('%s is refused', (_, told, words) => {
    const judged = judgeStack(NOW, told)
    expect(judged.ok ? '' : judged.error.message).toMatch(words)
  })

  it('a bracket of rise 0 is one: its own bolts say so', () => {
    const flat = { ...figures, bracketMm: 0, bracketBoltMm: 18, bracketFootMm: 8 }
    expect(wayOf(flat)).toBe('bracket')
    expect(wayOf({ bracketMm: 0, spacersMm: 0 })).toBe('straight')
    const same = { ...NOW, rotorAfterMm: 160, spacingMm: 51 }
    expect(judgeStack(same, flat).ok).toBe(true)
  })
})
