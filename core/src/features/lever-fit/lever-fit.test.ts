import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bladeAngle, leverageChange, reachScrew } from '../../calculations/lever-fit.ts'
import { leverShift } from '../../calculations/lever-shift.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { tellNext } from '../../run-sheet/told.ts'
import type { EntryBody } from '../../stand/entries.ts'
import { walk } from '../../testing/hand.ts'
import { confirm, HARDWARE, measured, PREPARED, reading, refusal, seen, turn, written } from '../../testing/stand.ts'
import { openJob, openStand } from '../../workshop/open.ts'
import { CHILD_OUTSIDE_MM, LEVER_PLACE, leverFitAt, leverMoves, leverPlaceAt, MOST_OUTSIDE_MM, OUTSIDE } from './fit.ts'
import { HANDS } from './hands.ts'
import { BOOK_SCREW, learnScrew, sayScrew } from './screw.ts'

/** A hand of 84 mm on a lever whose hook lies this far outboard of its finger. */
const along = (clampAt: number, reach = 60): readonly EntryBody[] => [
  seen('rider', 'measured'),
  reading('handBreadth', 84),
  reading('fingerBreadth', 18),
  reading('creaseReach', 62),
  seen('fingersUsed', 'one'),
  reading('handOffset', 12),
  reading('clampAt', clampAt),
  reading('clampToHook', 78),
  reading('clampToTip', 86),
  reading('leverReach', reach),
]
const at = (bodies: readonly EntryBody[]) => expectOk(openStand(HARDWARE, written(...bodies)))
const fit = (bodies: readonly EntryBody[]) =>
  expectOk(leverFitAt(at(bodies)) ?? { ok: false, error: { code: 'missing', field: '', message: 'missing' } })
const place = (bodies: readonly EntryBody[]) =>
  expectOk(leverPlaceAt(at(bodies)) as NonNullable<ReturnType<typeof leverPlaceAt>>)
const judge = (bodies: readonly EntryBody[]) => LEVER_PLACE.judge(at(bodies))
const lever = (amount: number): EntryBody => ({ kind: 'turn', adjuster: 'leverAlong', amount, unit: 'mm' })
const screw = (amount: number): EntryBody => ({ kind: 'turn', adjuster: 'reachScrew', amount, unit: 'turn' })

describe('where the lever belongs along the bar', () => {
  // Worked by hand from the definitions: index centre 12 + 84 − 9 = 87; hook 120 − 78 = 42; tip 120 − 86 = 34; outer edge 78.
  it('a lever jammed against the grip: moved inboard, the knuckle clear, more leverage', () => {
    const now = fit(along(120))
    expect(now).toMatchObject({ shiftMm: 45, clash: true, usableMm: 42, after: { clash: false, usableMm: 60 } })
    expect(now.leverage).toBeCloseTo(75 / 30, 9)
    expect(now.leverageAfter).toBeCloseTo(120 / 30, 9)
    expect(now.forceAfterN).toBeCloseTo(((now.forceN as number) * 75) / 120, 9)
  })

  it('a blade that reaches past its hook is moved until it clears, the finger lying further out on it', () => {
    const long = [...along(165), reading('clampToTip', 92)]
    // Tip 73 lies outboard of the edge at 78: 5 mm further than the hook wants.
    expect(fit(long)).toMatchObject({ shiftMm: 5, clash: true, after: { clash: false } })
    expect(fit([...along(165), reading('clampToTip', 110)])).toMatchObject({ shiftMm: 23, after: { clash: false } })
    expect(judge([...along(165), reading('clampToTip', 110)])?.remedy).toMatch(/23 mm inboard: then it clears/)
    // Done as told, it stands well: the finger is not sent back into the hook.
    expect(judge([...along(188), reading('clampToTip', 110)])).toMatchObject({ state: 'well' })
  })

  it('is told to a machine as moves, and never further inboard than shifter or bend leave room', () => {
    const jammed = [...PREPARED, ...along(120), seen('frontHand', 'right'), reading('leverOutside', 85)]
    const told = (...more: readonly EntryBody[]) => tellNext(expectOk(openJob(HARDWARE, written(...jammed, ...more))))
    expect(told().step).toBe('lever-place')
    expect(told().moves).toEqual([{ adjuster: 'leverAlong', amount: 45, unit: 'mm' }])
    expect(told().remedy).toContain('Measure first what room')
    expect(told(reading('roomInboard', 60)).remedy).not.toContain('room')
    expect(told(reading('roomInboard', 45)).moves).toHaveLength(1)
    expect(told(reading('roomInboard', 30)).moves).toEqual([])
    expect(told(reading('roomInboard', 30)).remedy).toMatch(/Only 30 mm are free inboard: move the shifter/)
  })

  it('the other lever is set alike before the hand is done', () => {
    const placed = [
      ...PREPARED,
      ...along(165),
      seen('frontHand', 'right'),
      reading('leverOutside', 85),
      seen('leverHand', 'right'),
    ]
    const next = (...more: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...placed, ...more))).next
    expect(next()).toMatchObject({ kind: 'measure', readings: ['otherLever'] })
    expect(next(seen('otherLever', 'otherwise'))).toMatchObject({
      kind: 'mend',
      say: expect.stringContaining('to match'),
    })
    for (const answer of ['alike', 'none']) expect(next(seen('otherLever', answer)).step.id).not.toBe('lever-tried')
  })

  it('a hook far inboard of a finger that lies at the pivot is a misreading', () => {
    expect(judge([...along(300), reading('leverFinger', 75)])?.say).toMatch(
      /Measure pivot to finger and clamp to hook again/,
    )
  })

  it('two fingers: the outer of them lies in the hook', () => {
    expect(fit([...along(120), seen('fingersUsed', 'two')]).shiftMm).toBeCloseTo(45 - 18, 9)
  })

  it('a lever that clashes is not called done: neither skipped nor released', () => {
    const clashing = [...PREPARED, ...along(120), seen('frontHand', 'right')]
    expect(judge(clashing)).toMatchObject({
      state: 'out',
      stop: true,
      remedy: expect.stringContaining('45 mm inboard'),
    })
    expect(refusal(clashing, confirm('lever-place'))).toMatchObject({ code: 'needs-readings' })
    expect(refusal(clashing, { kind: 'skip', step: 'lever-place', reason: 'the rider is in a hurry' })).toMatchObject({
      code: 'not-skipped',
    })
    expect(
      refusal([...clashing, seen('leverHand', 'knuckle')], { kind: 'skip', step: 'lever-tried', reason: 'x' }),
    ).toMatchObject({ code: 'not-skipped' })
  })

  it('a lever in its place is well, and says where one finger is too weak for it', () => {
    expect(judge(along(165))).toMatchObject({ state: 'well' })
    expect(
      judge([...along(165), reading('leverPull', 38), reading('leverFinger', 62), reading('ridersMass', 160)])?.remark,
    ).toMatch(/much for one finger/)
  })

  it('property: after the shift the hook lies under the finger, or the blade’s end clears, and moving twice changes nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 80, max: 220, noNaN: true }),
        fc.double({ min: 55, max: 110, noNaN: true }),
        fc.constantFrom('one', 'two'),
        (clampAt, breadth, fingers) => {
          const log = [
            ...along(Math.round(clampAt)),
            reading('handBreadth', Math.round(breadth)),
            seen('fingersUsed', fingers),
          ]
          const one = place(log)
          const moved = [...log, reading('clampAt', Math.round(clampAt) + one.shiftMm)]
          const again = place(moved)
          expect(Math.abs(again.shiftMm)).toBeLessThanOrEqual(9 + 1e-9)
          expect(again.clash).toBe(one.after.clash)
        },
      ),
      { numRuns: 100 },
    )
  })
})

describe('moves', () => {
  const tenth = (from: number, to: number) => fc.integer({ min: from * 10, max: to * 10 }).map((each) => each / 10)

  // Rounded the other way, every third hand would still trap its knuckle after doing as told.
  it('done as told, no knuckle is trapped, whatever hand, clamp and blade', () => {
    fc.assert(
      fc.property(tenth(0, 60), tenth(120, 220), tenth(60, 110), tenth(0, 40), (handOffset, clampAt, hook, past) => {
        const log = [
          ...along(clampAt),
          reading('handOffset', handOffset),
          reading('clampToHook', hook),
          reading('clampToTip', hook + past),
        ]
        const now = leverPlaceAt(expectOk(openJob(HARDWARE, written(...log))))
        if (!now?.ok || !now.value.clash) return
        const told = leverMoves(fit(log), { mean: 2, sd: 0.5 } as never).find(
          ({ adjuster }) => adjuster === 'leverAlong',
        )
        const moved = [...log, reading('clampAt', clampAt + (told?.amount ?? 0))]
        const after = leverPlaceAt(expectOk(openJob(HARDWARE, written(...moved))))
        expect(after?.ok && after.value.clash).toBe(false)
      }),
      { numRuns: 60 },
    )
  })

  it('edges that just touch do not clash, in tenths of a millimetre', () => {
    for (let clamp = 1500; clamp < 1700; clamp += 1) {
      const clampMm = clamp / 10
      const worked = expectOk(
        leverShift.work({
          handOffsetMm: 10,
          handBreadthMm: 85,
          fingerBreadthMm: 20,
          clampMm,
          clampToHookMm: 60,
          clampToTipMm: Number((clampMm - 75).toFixed(1)),
          reachMm: 15,
        }),
      )
      expect(worked.outputs.knuckleClash, `${clampMm}`).toBe(false)
    }
    const trapped = {
      handOffsetMm: 10,
      handBreadthMm: 85,
      fingerBreadthMm: 20,
      clampMm: 150,
      clampToHookMm: 90,
      clampToTipMm: 110,
      reachMm: 15,
    }
    expect(expectOk(leverShift.work(trapped)).outputs).toMatchObject({ knuckleClash: true, usableTravelMm: 0 })
  })
})

describe('reach, angle, clamp', () => {
  // 16 CFR 1512.5 (from memory): at most 3 1/2 in over lever and grip, outside; 3 in on small bicycles.
  it('over grip and blade 89 mm are allowed, 76 mm where a child rides it', () => {
    expect(MOST_OUTSIDE_MM).toBeCloseTo(3.5 * 25.4, 0)
    expect(CHILD_OUTSIDE_MM).toBeCloseTo(3 * 25.4, 0)
    const outside = (mm: number, rider: string) =>
      OUTSIDE.judge(expectOk(openJob(HARDWARE, written(seen('rider', rider), reading('leverOutside', mm)))))?.state
    expect([outside(89, 'medium'), outside(90, 'medium')]).toEqual(['well', 'out'])
    expect([outside(76, 'child'), outside(77, 'child')]).toEqual(['well', 'out'])
  })

  it('further than 89 mm from bar to blade no hand pulls', () => {
    const step = (reach: number) => {
      const job = expectOk(openJob(HARDWARE, written(...PREPARED, reading('leverReach', reach))))
      return job.next.step.id === 'lever-reach' ? job.next.kind : 'passed'
    }
    expect(step(90)).toBe('mend')
    expect(step(89)).not.toBe('mend')
  })

  it('the blade on the first crease: too far strains, too near leaves no travel', () => {
    expect(fit(along(165, 62))).toMatchObject({ reachWantedMm: 62, reachOutMm: 0 })
    expect(fit(along(165, 80)).reachOutMm).toBe(18)
    expect(fit(along(165, 40)).reachOutMm).toBe(-22)
    expect(judge(along(165, 80))?.remedy).toMatch(/screw in/)
    // A child’s bicycle: the limit of small ones stands before a long finger.
    expect(fit([...along(165), seen('rider', 'child'), reading('creaseReach', 85)]).reachWantedMm).toBe(76)
  })

  it('forearm, wrist and finger in one line', () => {
    // A 3-4-5 triangle.
    expect(
      expectOk(bladeAngle.work({ shoulderHeightMm: 1300, barHeightMm: 1000, armLengthMm: 500 })).outputs.angleDeg,
    ).toBeCloseTo(36.87, 2)
    expect(bladeAngle.work({ shoulderHeightMm: 1800, barHeightMm: 900, armLengthMm: 600 })).toMatchObject({
      ok: false,
      error: { field: 'armLengthMm' },
    })
    const arm = [reading('shoulderHeight', 1300), reading('barHeight', 1000), reading('armLength', 500)]
    expect(judge([...along(165), ...arm, reading('bladeAngle', 40)])?.state).toBe('well')
    expect(judge([...along(165), ...arm, reading('bladeAngle', 15)])).toMatchObject({
      state: 'out',
      say: expect.stringMatching(/15° below level, the arm 37°/),
    })
  })

  // Handbook, 4 Lever: carbon bar, torque wrench, no exceptions.
  it('carbon has one school only', () => {
    const log = [...PREPARED, confirm('lever-loosened'), seen('barMaterial', 'carbon')]
    expect(
      refusal([...log, seen('clampWay', 'crash')], { kind: 'skip', step: 'lever-clamped', reason: 'x' }),
    ).toMatchObject({ code: 'not-skipped' })
    expect(expectOk(openJob(HARDWARE, written(...log, seen('clampWay', 'figure')))).next.step.id).not.toBe(
      'lever-clamped',
    )
  })

  it('every named hand is a hand: wider and longer from child to large', () => {
    const order = ['child', 'small', 'medium', 'large'].map((id) => HANDS[id] as NonNullable<(typeof HANDS)[string]>)
    for (const [index, hand] of order.entries()) {
      const before = order[index - 1]
      expect(hand.breadthMm / 4).toBeGreaterThan(hand.fingerMm * 0.9)
      if (before)
        expect(
          Math.min(hand.breadthMm - before.breadthMm, hand.fingerMm - before.fingerMm, hand.creaseMm - before.creaseMm),
        ).toBeGreaterThan(0)
    }
  })
})

describe('the reach screw is learnt like any screw', () => {
  it('from the reaches read before and after it', () => {
    expect(learnScrew([])).toEqual(BOOK_SCREW)
    const log = written(
      reading('leverReach', 70),
      screw(2),
      reading('leverReach', 66),
      screw(3),
      reading('leverReach', 60),
    )
    const known = learnScrew(log)
    expect(known.mean).toBeGreaterThan(1.75)
    expect(known.mean).toBeLessThan(2)
    expect(known.sd).toBeLessThan(BOOK_SCREW.sd)
    // By hand: precisions 1/0.45² = 4.938, 4/2 = 2, 9/2 = 4.5; told 1.5, 2, 2.
    expect(known.mean).toBeCloseTo((4.938 * 1.5 + 2 * 2 + 4.5 * 2) / (4.938 + 2 + 4.5), 3)
    expect(sayScrew(known)).toMatch(/1\.8 mm off the reach .* the book said 1\.5 mm/)
    expect(sayScrew(BOOK_SCREW)).toBeUndefined()
  })

  it('another lever begins at the book; an earlier visit is remembered', () => {
    const visit = [reading('leverReach', 70), screw(4), reading('leverReach', 62)]
    expect(learnScrew(written(...visit, { kind: 'swap', part: 'lever', to: 'new' }))).toEqual(BOOK_SCREW)
    const known = { complaints: [], visits: [{ hardware: HARDWARE, entries: written(...visit) }] }
    expect(expectOk(openJob(HARDWARE, [], known)).screw.mean).toBeGreaterThan(1.8)
  })

  it('its turns are worked out from what was learnt', () => {
    expect(expectOk(reachScrew.work({ reachMm: 72, wantedMm: 66, mmPerTurn: 2 })).outputs.turns).toBe(3)
    const moves = leverMoves(fit(along(165, 80)), { mean: 2, sd: 0.1 })
    expect(moves).toEqual([{ adjuster: 'reachScrew', amount: 9, unit: 'turn' }])
    expect(leverMoves(fit(along(120)), BOOK_SCREW)).toEqual([{ adjuster: 'leverAlong', amount: 45, unit: 'mm' }])
    expect(leverMoves(fit(along(165)), BOOK_SCREW)).toEqual([])
  })
})

describe('what a change at the lever shakes', () => {
  const statusOf = (bodies: readonly EntryBody[], id: string) => at(bodies).state.readings[id]?.status
  const told = [...PREPARED, ...measured(1, 1, 20), reading('reserve', 25)]

  it('the reach screw: reach, bite and reserve, and no gap', () => {
    const log = [...told, screw(1)]
    for (const id of ['leverReach', 'biteTravel', 'reserve']) expect(statusOf(log, id), id).toBe('recheck')
    for (const id of ['gapLeft', 'gapRight']) expect(statusOf(log, id), id).toBe('current')
  })

  it('the lever along the bar: its housing shifts, so the brake is measured again, and its clamp is open', () => {
    const log = [...told, lever(20)]
    for (const id of ['leverFinger', 'biteTravel', 'gapLeft', 'reserve']) expect(statusOf(log, id), id).toBe('recheck')
    expect(expectOk(openJob(HARDWARE, written(...log))).next.step.id).toBe('lever-match')
    expect(refusal(log, { kind: 'release', initials: '7' })).toMatchObject({ code: 'not-ready' })
  })

  it('the reach measured anew moves the windows of bite and reserve', () => {
    const wide = at([...told]).windows.of.biteTravel
    const near = at([...told, screw(4), reading('leverReach', 50)]).windows.of.biteTravel
    expect(near?.high).toBeLessThan(wide?.high as number)
  })

  it('more finger arm: the same cable takes more finger travel', () => {
    const { travelFactor, leverage, leverageAfter } = expectOk(
      leverageChange.work({ cableArmMm: 30, fingerArmMm: 60, shiftInboardMm: 15 }),
    ).outputs
    expect(travelFactor).toBeCloseTo(1.25, 12)
    expect((leverageAfter as number) / (leverage as number)).toBeCloseTo(travelFactor as number, 12)
    expect(leverageChange.work({ cableArmMm: 30, fingerArmMm: 60, shiftInboardMm: -60 }).ok).toBe(false)
  })

  it('a hand that does as told comes from a jammed lever to the signature', () => {
    const done = walk({ ...HARDWARE, practiceSeed: 11 }, [seen('rider', 'measured')])
    expect(done.last.next.kind).toBe('sign')
    expect(done.steps).toEqual(
      expect.arrayContaining([
        'front-hand',
        'hand-measured',
        'lever-place',
        'lever-tried',
        'lever-clamped',
        'tight-lever-clamp',
      ]),
    )
    expect(done.log.some((entry) => entry.kind === 'turn' && entry.adjuster === 'leverAlong')).toBe(true)
  })

  it('a reach screw has no end anybody told, and is turned by turns', () => {
    expect(refusal([], { ...screw(1), unit: 'mm' } as EntryBody)).toMatchObject({ code: 'wrong-unit' })
    expect(refusal([], screw(200))).toMatchObject({ code: 'out-of-range', message: expect.stringContaining('60') })
    expect(refusal([], turn('nose', 1))).toMatchObject({ message: expect.stringContaining('reachScrew') })
  })
})

// Definitions of the fixed interface, worked by hand.
describe('lever-shift', () => {
  it('index 87, hook 42: 45 mm inboard; the tip at 34 lies outboard of the finger’s edge at 78', () => {
    const { outputs } = expectOk(
      leverShift.work({
        handOffsetMm: 12,
        handBreadthMm: 84,
        fingerBreadthMm: 18,
        clampMm: 120,
        clampToHookMm: 78,
        clampToTipMm: 86,
        reachMm: 60,
      }),
    )
    expect(outputs).toEqual({ shiftInboardMm: 45, knuckleClash: true, usableTravelMm: 42 })
  })
})
