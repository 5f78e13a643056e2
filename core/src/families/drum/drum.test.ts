import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kitOf } from '../../bench/kit.ts'
import { bookDimensions, hereAt } from '../../brake/dimension.ts'
import { drumTorque, drumWear } from '../../calculations/drum.ts'
import { liningsLast } from '../../features/drum/wear.ts'
import { leverMatch } from '../../features/match/lever-match.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { stepsOn } from '../../run-sheet/status.ts'
import { practiceGauge } from '../../simulate/practice.ts'
import type { EntryBody } from '../../stand/entries.ts'
import { walk } from '../../testing/hand.ts'
import { firstRefusal } from '../../testing/refusal.ts'
import { confirm, seen, written } from '../../testing/stand.ts'
import { openJob } from '../../workshop/open.ts'
import { drumFamily } from './family.ts'
import { bookCableMm, drumStop, rimStop } from './force.ts'
import { FREE_PLAY_MM, INPUTS, Q } from './inputs.ts'
import { camRatio, perNewton } from './torque.ts'

const D = bookDimensions(drumFamily, {}, 'front')
const HERE = hereAt(drumFamily, 'front')
const MODEL = expectOk(drumFamily.fit(D, HERE))

/** Shoes that do not lock, in a drum one can hold. */
const anyShoes = fc.record({
  drumRadiusMm: fc.double({ min: 30, max: 160, noNaN: true }),
  faceWidthMm: fc.double({ min: 10, max: 60, noNaN: true }),
  friction: fc.double({ min: 0.05, max: 0.4, noNaN: true }),
  hinge: fc.double({ min: 0.65, max: 0.9, noNaN: true }),
  startDeg: fc.double({ min: 5, max: 40, noNaN: true }),
  endDeg: fc.double({ min: 95, max: 150, noNaN: true }),
})
type Shoes = typeof anyShoes extends fc.Arbitrary<infer T> ? T : never

const torqueOf = ({ hinge, drumRadiusMm, ...shoes }: Shoes, cam: 'floating' | 'fixed' = 'floating') =>
  drumTorque.work({
    ...shoes,
    drumRadiusMm,
    pivotRadiusMm: hinge * drumRadiusMm,
    leverArmMm: 1.7 * hinge * drumRadiusMm,
    maxPressureKpa: 1000,
    cam,
  })

describe('two internal shoes', () => {
  it('the leading one does more than the trailing one, whatever the friction', () => {
    fc.assert(
      fc.property(anyShoes, (shoes) => {
        const worked = torqueOf(shoes)
        fc.pre(worked.ok)
        const o = expectOk(worked).outputs
        expect(o.leadingTorqueNm).toBeGreaterThan(o.trailingTorqueNm)
        expect(o.trailingPressureKpa).toBeLessThan(1000)
      }),
    )
  })

  it('a longer lining gives more torque at the same pressure', () => {
    fc.assert(
      fc.property(anyShoes, fc.double({ min: 2, max: 20, noNaN: true }), (shoes, more) => {
        const [short, long] = [torqueOf(shoes), torqueOf({ ...shoes, endDeg: shoes.endDeg + more })]
        fc.pre(short.ok && long.ok)
        expect(expectOk(long).outputs.leadingTorqueNm).toBeGreaterThan(expectOk(short).outputs.leadingTorqueNm)
      }),
    )
  })

  // Equilibrium of one shoe about its hinge, by adding up small pieces of lining: shares no formula with the calculation.
  it('a shoe is in balance about its hinge', () => {
    fc.assert(
      fc.property(anyShoes, (shoes) => {
        const worked = torqueOf(shoes)
        fc.pre(worked.ok)
        const { actuatingForceN, leadingTorqueNm, trailingPressureKpa } = expectOk(worked).outputs
        const { drumRadiusMm: r, faceWidthMm: b, friction: mu, hinge: share, startDeg, endDeg } = shoes
        const hinge = share * r
        const arm = 1.7 * hinge
        const pieces = 4000
        const from = (startDeg * Math.PI) / 180
        const to = (endDeg * Math.PI) / 180
        const step = (to - from) / pieces
        const moments = (maxMpa: number, leads: 1 | -1) => {
          let about = 0
          let torque = 0
          for (let k = 0; k < pieces; k += 1) {
            const theta = from + (k + 0.5) * step
            const normal = maxMpa * Math.sin(theta) * b * r * step
            // Hinge on the axis: the normal’s arm about it, and the friction’s, from where they act.
            const [x, y] = [r * Math.sin(theta), -r * Math.cos(theta) + hinge]
            const [nx, ny] = [-Math.sin(theta), Math.cos(theta)]
            const [fx, fy] = [leads * Math.cos(theta), leads * Math.sin(theta)]
            about += normal * (x * ny - y * nx) - mu * normal * (x * fy - y * fx)
            torque += (mu * normal * r) / 1000
          }
          return { about, torque }
        }
        const leading = moments(1, 1)
        expect(Math.abs(leading.about)).toBeCloseTo(actuatingForceN * arm, -2)
        expect(leading.torque).toBeCloseTo(leadingTorqueNm, 1)
        const trailing = moments(trailingPressureKpa / 1000, -1)
        expect(Math.abs(trailing.about / (actuatingForceN * arm) - 1)).toBeLessThan(0.01)
      }),
      { numRuns: 40 },
    )
  })

  it('a fixed cam, bedded in, has both at one pressure and gives less for the same push', () => {
    fc.assert(
      fc.property(anyShoes, (shoes) => {
        const [floating, fixed] = [torqueOf(shoes), torqueOf(shoes, 'fixed')]
        fc.pre(floating.ok && fixed.ok)
        const [a, b] = [expectOk(floating).outputs, expectOk(fixed).outputs]
        expect(b.leadingTorqueNm).toBe(b.trailingTorqueNm)
        expect(b.trailingPressureKpa).toBe(1000)
        expect(b.totalTorqueNm / b.actuatingForceN).toBeLessThan(a.totalTorqueNm / a.actuatingForceN)
      }),
    )
  })
})

describe('the book’s hub drum', () => {
  // Common figures, from memory, checked for consistency: 3.5 mm of cable for 0.3 mm at the cam.
  it('wants 3.5 mm of cable, a third of a short-pull lever’s travel', () => {
    expect(camRatio(D) * 0.3).toBeCloseTo(3.55, 2)
    expect((75 / 20) * bookCableMm(D, FREE_PLAY_MM)).toBeCloseTo(17.6, 1)
    expect((75 / 30) * bookCableMm(D, FREE_PLAY_MM)).toBeCloseTo(11.7, 1)
  })

  // From memory: 148 N at 70 mm and 118 N at 90 mm for half a g with 95 kg; 10 MPa in the small one’s lining, the lever at the bar.
  it('needs about 148 N for half a g at 70 mm and 118 N at 90 mm; the small one comes to the bar before', () => {
    const stop = { massKg: 95, decelerationG: 0.5 }
    const cable = bookCableMm(D, FREE_PLAY_MM)
    const small = expectOk(drumStop(D, HERE, stop, cable))
    const large = expectOk(drumStop({ ...D, drumRadiusMm: 45 }, HERE, stop, cable))
    expect(small.handN / 148).toBeCloseTo(1, 1)
    expect(large.handN / 118).toBeCloseTo(1, 1)
    expect(small.pressureMpa).toBeCloseTo(10.2, 1)
    expect(small.reserveMm).toBeLessThan(0)
    expect(large.reserveMm).toBeGreaterThan(2)
    expect(expectOk(drumStop(D, HERE, { ...stop, decelerationG: 0.3 }, cable)).reserveMm).toBeCloseTo(13.5, 0)
    // Two arms on the same wheel: 466 N at the road, over 0.4 × 2 pads, 3.5 : 1, the cable’s loss and a lever of 2.5 : 1.
    expect(expectOk(rimStop(D, stop)).handN).toBeCloseTo(101.9, 1)
    expect(expectOk(rimStop(D, stop)).handN).toBeLessThan(large.handN)
  })

  it('a fixed cam needs more hand for the same stop', () => {
    const fixed = { traits: { cam: 'fixed' } }
    expect(expectOk(perNewton(D, fixed)).torqueNm).toBeLessThan(expectOk(perNewton(D, HERE)).torqueNm)
  })

  it('fits at a hard squeeze, and is told what stop it reaches before the lever is near the bar', () => {
    const schools = { bite: { option: 'third', amount: 1 / 3 } }
    const match = expectOk(leverMatch(drumFamily, D, HERE, { schools, wetShare: 0.8 }))
    // By hand from the two stops above: 60 − 17.6 mm to contact, −5.4 at 0.5 g, so 10 mm are left at 0.34 g.
    expect(match).toMatchObject({
      verdict: 'fits',
      remark: expect.stringMatching(/near the bar at 0\.3\d g, 0\.50 g wanted/),
    })
    const heavy = expectOk(leverMatch(drumFamily, { ...D, leverReachMm: 38 }, HERE, { schools, wetShare: 0.8 }))
    expect(heavy).toMatchObject({ verdict: 'bar', remedy: expect.stringMatching(/larger drum, or less load/) })
    const light = expectOk(
      leverMatch(drumFamily, { ...D, loadedMassKg: 55, drumRadiusMm: 45 }, HERE, { schools, wetShare: 0.8 }),
    )
    expect(light).toMatchObject({ verdict: 'fits' })
    expect(light.remark).toBeUndefined()
  })

  it('refuses shoes that lock by themselves and a lining that ends before it begins', () => {
    expect(drumFamily.fit({ ...D, padFriction: 1.4 }, HERE)).toMatchObject({ error: { code: 'self-locking' } })
    expect(drumFamily.fit({ ...D, liningEndDeg: 60, liningStartDeg: 80 }, HERE)).toMatchObject({
      error: { field: 'liningEndDeg' },
    })
  })
})

describe('readings of a drum', () => {
  const predict = (own: Partial<Record<keyof typeof Q, number>>) => {
    const q = Float64Array.from(INPUTS, ({ mean }) => mean)
    for (const [id, value] of Object.entries(own)) q[Q[id as keyof typeof Q]] = value
    const y = new Float64Array(3)
    MODEL.predict(q, y)
    return { bite: y[0] as number, reserve: y[1] as number, clear: y[2] as number }
  }

  it('bite is the cable before it, over the lever; what the bite takes the reserve lacks', () => {
    const near = predict({ spare: 1, squash: 1, freePlay: 1 })
    const far = predict({ spare: 3, squash: 1, freePlay: 1 })
    expect(near.bite).toBeCloseTo(3 * 3.75, 9)
    expect(far.bite - near.bite).toBeCloseTo(2 * 3.75, 9)
    expect(near.reserve - far.reserve).toBeCloseTo(far.bite - near.bite, 9)
    expect(predict({ stiffness: 0.5 }).reserve).toBeGreaterThan(predict({}).reserve)
  })

  it('slopes follow the predictions', () => {
    const q = Float64Array.from(INPUTS, ({ mean }) => mean + 0.1)
    const y = new Float64Array(3)
    const jacobian = new Float64Array(3 * q.length)
    MODEL.slopes(q, y, jacobian)
    INPUTS.forEach((_, i) => {
      const moved = (by: number) => {
        const there = Float64Array.from(q)
        there[i] = (there[i] as number) + by
        const out = new Float64Array(3)
        MODEL.predict(there, out)
        return out
      }
      const [high, low] = [moved(0.01), moved(-0.01)]
      for (let r = 0; r < 3; r += 1)
        expect(jacobian[r * q.length + i]).toBeCloseTo(((high[r] as number) - (low[r] as number)) / 0.02, 1)
    })
  })

  it('that it runs free is at least nothing, that it drags at most', () => {
    expect(MODEL.observe('drag', 'none', undefined)).toMatchObject({ value: 0, atLeast: true })
    for (const drag of ['once', 'lightly', 'hard'])
      expect(MODEL.observe('drag', drag, undefined)).toMatchObject({ value: 0, atMost: true })
  })

  it('where the bar ends its window and no reserve was read, the reserve is asked before it is turned or called stuck', () => {
    const adviceOn = (...log: readonly EntryBody[]) =>
      expectOk(openJob({ family: 'drum', end: 'rear', dimensions: {} }, written(...log, seen('drag', 'none')))).advice
    const asked = adviceOn(bite(14))
    expect(asked.kind === 'measure' && asked.readings).toEqual(['reserve'])
    // Soft, as its reserve shows, it takes hold early; stiff, it may take hold where the school has it, later than this.
    expect(adviceOn(bite(14), reserve(13)).kind).toBe('in-window')
    const stiff = adviceOn(bite(14), reserve(22))
    expect(stiff.kind === 'turn' && stiff.turn.moves[0]?.amount).toBeLessThan(0)
    // So far out that no reserve would show anything, it is turned.
    expect(adviceOn(bite(52)).kind).toBe('turn')
  })

  it('one that drags is let out although its bite is well', () => {
    const at = (drag: string) =>
      expectOk(
        openJob({ family: 'drum', end: 'rear', dimensions: {} }, written(bite(14), reserve(13), seen('drag', drag))),
      ).advice
    expect(at('none').kind).toBe('in-window')
    const turned = at('lightly')
    expect(turned.kind).toBe('turn')
    if (turned.kind !== 'turn') return
    // Barrel in, or cable out at the anchor: either gives the shoes room.
    for (const { adjuster, amount, from } of turned.turn.moves)
      if (!from) expect(adjuster === 'anchor' ? amount : -amount).toBeGreaterThan(0)
  })

  // A zero is at most: a softer drum reads the same at the bar.
  it('a reserve of nothing says that the bar is reached, and no more', () => {
    const spec = kitOf(drumFamily).reading('reserve')
    expect(MODEL.observe('reserve', 0, spec)).toMatchObject({ atMost: true })
    expect(MODEL.observe('reserve', 4, spec)).not.toHaveProperty('atMost')
  })

  it('the school of drag aims just behind the first scrape, a third at its share', () => {
    const window = (option: string) =>
      MODEL.windows({ bite: { option } }, { number: () => undefined, seen: () => undefined }).of.biteTravel
    const third = MODEL.windows(
      { bite: { option: 'third', amount: 1 / 3 } },
      { number: () => undefined, seen: () => undefined },
    ).of.biteTravel
    expect(window('no-drag')).toMatchObject({ low: expect.closeTo(10.7, 1), high: expect.closeTo(20.1, 1) })
    expect(third).toMatchObject({
      low: expect.closeTo(12.5, 1),
      high: expect.closeTo(20.9, 1),
      wallLow: expect.closeTo(8.8, 1),
    })
  })
})

const bite = (value: number): EntryBody => ({ kind: 'reading', reading: 'biteTravel', value, unit: 'mm' })
const reserve = (value: number): EntryBody => ({ kind: 'reading', reading: 'reserve', value, unit: 'mm' })
const mm = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'mm' })
const deg = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'deg' })

describe('wear by the arm', () => {
  // A flat cam turned by φ lifts each tip by its half width times sin φ; a lining’s middle follows by half of that.
  it('parallel with the ridge is the end; 21° are a millimetre, and no angle more than half the cam’s half width', () => {
    const remains = (armAppliedDeg: number) =>
      expectOk(drumWear.work({ armAppliedDeg, camHalfMm: 5.5 })).outputs.liningMm
    expect(remains(0)).toBe(0)
    expect(remains(-5)).toBe(0)
    expect(remains(21.32)).toBeCloseTo(1, 2)
    expect(remains(90)).toBeCloseTo(5.5 / 2, 9)
    expect(remains(140)).toBeCloseTo(5.5 / 2, 9)
  })
})

describe('opening the drum', () => {
  const HARDWARE = { family: 'drum', end: 'front', dimensions: {}, practiceSeed: 3 } as const

  it('goes from the felt pen to release, in the order of the hand', () => {
    const { steps, last } = walk(HARDWARE, [seen('work', 'service')])
    const order = [
      'arm-marked',
      'plate-off',
      'drum-clean',
      'linings-sound',
      'drum-sound',
      'greased',
      'plate-on',
      'shoes-centred',
      'play-set',
      'lock-nut',
      'wheel-seated',
      'play-after',
      'reaction-arm',
      'wear-angle',
      'dial-in',
    ]
    expect(steps.filter((each) => order.includes(each))).toEqual(order)
    expect(last.next.kind).toBe('sign')
  })

  it('on a new wheel the arm’s angle is set on the bicycle, and nothing was marked before', () => {
    const { steps } = walk(HARDWARE, [seen('work', 'fit')])
    expect(steps).toContain('arm-angle')
    expect(steps).not.toContain('arm-marked')
  })

  const until = (step: string, ...bodies: readonly EntryBody[]) => {
    const done: EntryBody[] = [seen('motorAt', 'none'), seen('work', 'service')]
    const wants: Readonly<Record<string, readonly EntryBody[]>> = {
      'drum-clean': [seen('cleanedWith', 'water')],
      'linings-sound': [mm('liningThick', 2), seen('rivets', 'firm'), seen('liningFace', 'dull')],
      'drum-sound': [mm('drumInside', 70.2), mm('drumStamped', 71)],
      'play-set': [mm('hubPlay', 0)],
      'play-after': [mm('hubPlayNuts', 0)],
    }
    for (let act = 0; act < 30; act += 1) {
      const job = expectOk(openJob(HARDWARE, written(...done)))
      const { next } = job
      if (next.step.id === step) break
      const { id, done: ends } = next.step
      const shown = practiceGauge(job.kit, HARDWARE.practiceSeed, job.dimensions, job.here, []) ?? {}
      const asked = 'readings' in next ? next.readings : []
      const otherwise =
        ends.kind === 'confirmed'
          ? [confirm(id)]
          : asked.map(
              (reading): EntryBody => ({
                kind: 'reading',
                reading,
                value: shown[reading] ?? 0,
                unit: job.kit.reading(reading)?.unit ?? '',
              }),
            )
      done.push(...(wants[id] ?? otherwise))
    }
    const job = expectOk(openJob(HARDWARE, written(...done, ...bodies)))
    const log = written(...done, ...bodies, { kind: 'skip', step, reason: 'in a hurry' })
    return { job, skipped: firstRefusal(HARDWARE, log.slice(0, -1), log.slice(-1))?.error.code }
  }

  it.each([
    ['drum-clean', [seen('cleanedWith', 'solvent')], /Replace the plate assembly/],
    [
      'linings-sound',
      [mm('liningThick', 0.2), seen('rivets', 'firm'), seen('liningFace', 'dull')],
      /at its rivets. Do not ride/,
    ],
    [
      'linings-sound',
      [mm('liningThick', 2), seen('rivets', 'loose'), seen('liningFace', 'dull')],
      /loose rivet: do not ride/,
    ],
    ['drum-sound', [mm('drumInside', 71.2), mm('drumStamped', 71)], /71.2 mm inside, stamped 71.0 mm at most/],
  ] as const)('at %s it is a stop: %#', (step, found, words) => {
    const { job, skipped } = until(step, ...found)
    expect(job.next).toMatchObject({ kind: 'mend', stop: true, step: { id: step }, say: expect.stringMatching(words) })
    expect(skipped).toBe('not-skipped')
  })

  it('play at the rim is not skipped, before the nuts nor after', () => {
    for (const [step, reading] of [
      ['play-set', 'hubPlay'],
      ['play-after', 'hubPlayNuts'],
    ] as const) {
      const { job, skipped } = until(step, mm(reading, 0.5))
      expect(job.next).toMatchObject({ kind: 'mend', step: { id: step } })
      expect(skipped).toBe('not-skipped')
    }
  })

  it('a reaction arm without its strap is not ridden', () => {
    const { job, skipped } = until('reaction-arm', { kind: 'confirm', step: 'reaction-arm', well: false })
    expect(job.next).toMatchObject({ kind: 'confirm', ill: { stop: true, say: expect.stringMatching(/Do not ride/) } })
    expect(skipped).toBe('not-skipped')
  })

  it('the plate opened again asks for all that stood on it', () => {
    const { job } = until('dial-in', bite(16), seen('drag', 'none'), confirm('plate-off'))
    for (const id of ['plate-on', 'shoes-centred', 'lock-nut', 'wheel-seated', 'reaction-arm'])
      expect([id, job.state.confirmed[id]?.status]).toEqual([id, 'recheck'])
    for (const id of ['hubPlay', 'biteTravel', 'drag', 'liningThick'])
      expect([id, job.state.readings[id]?.status]).toEqual([id, 'recheck'])
  })

  it('what does not go back, tighten or hold is a stop no reason skips', () => {
    for (const step of ['greased', 'lock-nut', 'reaction-arm']) {
      const { job, skipped } = until(step, { kind: 'confirm', step, well: false })
      expect(job.next).toMatchObject({ kind: 'confirm', step: { id: step }, ill: { stop: true } })
      expect([step, skipped]).toEqual([step, 'not-skipped'])
    }
    for (const step of ['play-set', 'lock-nut', 'play-after', 'reaction-arm'])
      expect([step, until(step).skipped]).toEqual([step, 'not-skipped'])
  })

  it('an arm at 8° or more is well, below it a new plate is planned', () => {
    expect(until('wear-angle', deg('armAtRest', 40), deg('armApplied', 7.9)).job.next).toMatchObject({
      kind: 'mend',
      stop: false,
      step: { id: 'wear-angle' },
    })
    expect(until('wear-angle', deg('armAtRest', 40), deg('armApplied', 8)).job.next.step.id).not.toBe('wear-angle')
  })

  it('an arm parallel with the ridge is a stop: the plate assembly, not the cable', () => {
    const { job } = until('wear-angle', deg('armAtRest', 40), deg('armApplied', 0))
    expect(job.next).toMatchObject({ kind: 'mend', stop: true, say: expect.stringMatching(/linings are at their end/) })
    const sections = job.family.sections?.(job) ?? []
    expect(sections.find(({ title }) => title === 'Linings')?.lines[0]).toMatch(/0° applied; about 0.0 mm of lining/)
  })
})

describe('shoes loosened in a plain adjustment', () => {
  it('are centred, and the bearing adjusted and measured after them, as if it had been opened', () => {
    const log: EntryBody[] = [
      seen('motorAt', 'none'),
      confirm('wheel-seated'),
      confirm('hub-play'),
      bite(15),
      seen('drag', 'once'),
    ]
    const at = (...more: readonly EntryBody[]) =>
      expectOk(openJob({ family: 'drum', end: 'rear', dimensions: {} }, written(...log, ...more)))
    const on = (job: ReturnType<typeof at>) => stepsOn(job).map(({ id }) => id)
    const NEW = ['shoes-centred', 'play-set', 'lock-nut', 'play-after']
    expect(on(at()).filter((id) => NEW.includes(id))).toEqual([])
    const loose = at(confirm('shoes-loosened'))
    expect(on(loose).filter((id) => NEW.includes(id))).toEqual(NEW)
    expect(loose.next.step.id).toBe('shoes-centred')
    expect(loose.state.confirmed['wheel-seated']?.status).toBe('recheck')
    expect(loose.state.readings.drag?.status).toBe('recheck')
    // What was believed of the shoes is open again, of lever and cable it is not.
    expect(Object.keys((MODEL.disturbs('confirm:shoes-loosened') as { spread: object }).spread)).toEqual([
      'spare',
      'squash',
    ])
  })
})

describe('a squeal after damp', () => {
  it('is logged before and after several hard stops, and stands on the sheet', () => {
    const { steps, last } = walk({ family: 'drum', end: 'front', dimensions: {}, practiceSeed: 4 }, [
      seen('work', 'damp'),
    ])
    // It begins with looking: nobody makes a hard stop before strap, wheel, inner and lever were looked at, and it was walked.
    expect(steps.slice(-4)).toEqual(['squeal-before', 'squeal-stops', 'squeal-after', 'release'])
    expect(steps.slice(0, 3)).toEqual(['motor-asked', 'wheel-fast', 'hub-play'])
    const lines = last.family.sections?.(last).find(({ title }) => title === 'Squeal after damp')?.lines
    expect(lines).toEqual(['Before: it squeals. After 5 hard stops: the squeal is gone.'])
  })
})

describe('what a drum is not asked, and not told', () => {
  const stand = (...bodies: readonly EntryBody[]) => {
    const job = expectOk(openJob({ family: 'drum', end: 'rear', dimensions: {} }, written(...bodies)))
    return { job, ids: stepsOn(job).map(({ id }) => id) }
  }

  it('quiet before any hard stop, none is made for a squeal', () => {
    const damp = seen('work', 'damp')
    expect(stand(damp, seen('squeals', 'squeals')).ids).toEqual(
      expect.arrayContaining(['squeal-stops', 'squeal-after']),
    )
    const quiet = stand(damp, seen('squeals', 'quiet')).ids
    expect(quiet).toContain('squeal-before')
    expect(quiet).not.toContain('squeal-stops')
    expect(quiet).not.toContain('squeal-after')
  })

  // Trade: a drum goes by the largest diameter stamped in it; without a stamp by its maker’s sheet alone.
  it('without its stamp it is not judged, and never said to be in its window', () => {
    const inside = mm('drumInside', 73)
    expect(stand(inside).job.windows.of.drumInside).toBeUndefined()
    expect(stand(inside, mm('drumStamped', 71)).job.windows.of.drumInside).toMatchObject({ high: 71 })
  })
})

describe('how long the linings last', () => {
  const at = (day: number) => new Date(Date.UTC(2026, 0, 1 + day)).toISOString()

  it('is a line to parallel and its band, once three visits measured the arm', () => {
    // 30° less a tenth of a degree a day, exactly: parallel after 300 days, the band as narrow as nothing.
    const wear = expectOk(liningsLast([0, 60, 120, 180].map((day) => ({ at: at(day), deg: 30 - day / 10 }))))
    expect(wear).toMatchObject({ kind: 'forecast', at: expect.stringMatching(/^2026-10-28/) })
    const scattered = expectOk(
      liningsLast([0, 60, 120, 180].map((day, index) => ({ at: at(day), deg: 30 - day / 10 + (index % 2 ? 1 : -1) }))),
    )
    if (scattered.kind !== 'forecast') throw new Error(scattered.kind)
    expect((scattered.earliest ?? '9') < scattered.at && (scattered.latest ?? '9') > scattered.at).toBe(true)
  })

  it('else says how many more are wanted, or that nothing wears', () => {
    expect(expectOk(liningsLast([]))).toEqual({ kind: 'too-few', more: 3 })
    // Twice on one day is one visit.
    expect(
      expectOk(
        liningsLast([
          { at: at(0), deg: 30 },
          { at: at(0.2), deg: 30 },
          { at: at(5), deg: 29 },
        ]),
      ),
    ).toEqual({
      kind: 'too-few',
      more: 1,
    })
    const growing = expectOk(liningsLast([0, 10, 20].map((day) => ({ at: at(day), deg: 20 + day / 10 }))))
    expect(growing.kind).toBe('no-wear')
  })
})
