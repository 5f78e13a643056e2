import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starOrder } from '../../features/rotor/star.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { readingMark } from '../../run-sheet/job.ts'
import { circumstancesOf, sheetOf } from '../../run-sheet/status.ts'
import type { EntryBody } from '../../stand/entries.ts'
import type { Hardware } from '../../stand/hardware.ts'
import { firstRefusal } from '../../testing/refusal.ts'
import { confirm, seen, written } from '../../testing/stand.ts'
import { hardwareAfter, openJob } from '../../workshop/open.ts'

const ASSISTED: Hardware = { family: 'disc-both-move', end: 'rear', dimensions: {} }
const CARGO: Hardware = { family: 'disc-fixed-pad', end: 'front', dimensions: {} }

const mm = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'mm' })
const count = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'count' })

const HEIGHT = [mm('bodyClearTop', 1.4), mm('bodyClearBottom', 1.5), mm('padCover', 15), mm('padHung', 0)]

/** What a hand writes at each step of the rotor’s change. */
const AT: Readonly<Record<string, readonly EntryBody[]>> = {
  'motor-asked': [seen('motorAt', 'this')],
  'battery-out': [confirm('battery-out')],
  'rotor-old': [
    mm('stackRotor', 160),
    seen('rotorHold', 'bolted'),
    count('rotorBolts', 6),
    seen('rotorKey', 'star-t25'),
  ],
  'rotor-new': [mm('rotorWide', 180)],
  'rotor-largest': [mm('rotorLargest', 203)],
  'stack-noted': [
    seen('mountBolts', 'posts'),
    mm('trackDeep', 16),
    mm('trackNew', 16),
    mm('mountSpacing', 74),
    mm('bracketRise', 0),
    mm('spacersUnder', 0),
    mm('stackTop', 1.5),
    mm('stackBottom', 1.5),
    mm('padEdge', 0.5),
    mm('padHigh', 15),
  ],
  'axle-noted': [confirm('axle-noted')],
  'rotor-off': [confirm('rotor-off')],
  'rotor-on': [seen('rotorWay', 'right'), seen('rotorThreads', 'medium')],
  'rotor-star': [confirm('rotor-star')],
  'rotor-wiped': [confirm('rotor-wiped')],
  'wheel-fast': [confirm('wheel-fast')],
  'wheel-seated': [confirm('wheel-seated')],
  'axle-nuts': [confirm('axle-nuts')],
  'hub-play': [confirm('hub-play')],
  'rotor-sound': [mm('rotorThickness', 1.8), mm('rotorRunout', 0.1), seen('rotorFace', 'clean')],
  'lever-match': [
    mm('leverPull', 30),
    mm('leverFinger', 75),
    mm('leverReach', 60),
    { kind: 'reading', reading: 'ridersMass', value: 110, unit: 'kg' },
  ],
  'cable-match': [
    seen('housingKind', 'coil'),
    mm('housingOuter', 5),
    seen('housingState', 'sound'),
    seen('housingEnds', 'right'),
    seen('innerAnchor', 'whole'),
    seen('innerHead', 'whole'),
  ],
  'own-hardware': [seen('anchorBolt', 'own')],
  untouched: [confirm('untouched')],
  'caliper-off': [confirm('caliper-off')],
  'stack-bolts': [mm('earThick', 8), mm('boltUnder', 20), mm('frameThread', 14), seen('frameMetal', 'aluminium')],
  'stack-plan': [
    {
      kind: 'plan',
      plan: 'stack',
      to: 'bracket',
      parts: [{ name: 'bracket', count: 1 }],
      acknowledged: ['bolt-length', 'maker'],
      figures: {
        bracketMm: 10,
        spacersMm: 0,
        caliperBoltMm: 18,
        caliperThreadMm: 12,
        caliperFactor: 1.5,
        bracketBoltMm: 18,
        bracketFootMm: 8,
      },
    },
  ],
  'stack-parts': [seen('partsThere', 'all')],
  'stack-fitted': [confirm('stack-fitted')],
  'caliper-set': [confirm('caliper-set')],
  'hard-squeezes': [confirm('hard-squeezes', 10)],
  'height-set': HEIGHT,
  'light-set': [seen('light', 'both')],
  'cable-run': [confirm('cable-run')],
  'cable-smooth': [seen('cableFeel', 'smooth'), seen('cableLined', 'lined')],
  'barrel-left': [mm('barrelOut', 1)],
  'caliper-height': HEIGHT,
  'lever-reach': [mm('leverReach', 60)],
  'pads-with': [seen('padsWith', 'new')],
  'pads-way-out': [seen('padKeeper', 'pin'), seen('padOrder', 'outer')],
  'pads-room': [seen('padRoom', 'cable-on')],
  'pads-reach': [seen('padReach', 'in-place')],
  'pads-out': [confirm('pads-out')],
  'pads-in': [confirm('pads-in')],
  'pads-sound': [mm('padFixed', 2.5), mm('padMoving', 2.5), seen('discPads', 'clean')],
  'pads-kept': [confirm('pads-kept')],
  'light-through': [seen('light', 'both')],
}

/** The same without a motor, on a bicycle that one disc stops. */
const OWN: Readonly<Record<string, readonly EntryBody[]>> = {
  'motor-asked': [seen('motorAt', 'none')],
  'lever-match': [
    mm('leverPull', 30),
    mm('leverFinger', 75),
    mm('leverReach', 60),
    { kind: 'reading', reading: 'ridersMass', value: 70, unit: 'kg' },
  ],
}

/** Does as the sheet says until a step comes up that it has nothing for, or that it is to stop at. */
function worked(
  hardware: Hardware,
  work: string,
  until: string,
  own: Readonly<Record<string, readonly EntryBody[]>> = {},
) {
  const bodies: EntryBody[] = [seen('work', work)]
  const steps: string[] = []
  for (let act = 0; act < 60; act += 1) {
    const job = expectOk(openJob(hardware, written(...bodies)))
    const { id } = job.next.step
    const does = own[id] ?? AT[id]
    if (id === until || steps.includes(id) || !does) return { steps, bodies, job }
    steps.push(id)
    bodies.push(...does)
  }
  throw new Error('the sheet did not end')
}

const refusedAfter = (hardware: Hardware, bodies: readonly EntryBody[], ...more: readonly EntryBody[]) => {
  const log = written(...bodies, ...more)
  return firstRefusal(hardware, log.slice(0, bodies.length), log.slice(bodies.length))?.error
}

describe('the star', () => {
  // The rule in its own words: each bolt once, and from five up no bolt after its neighbour. Common practice, no source.
  it('takes each bolt once, and from five up never a neighbour next', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 12 }), (bolts) => {
        const order = starOrder(bolts)
        expect(order.toSorted((a, b) => a - b)).toEqual(Array.from({ length: bolts }, (_, index) => index + 1))
        if (bolts < 5) return
        order.slice(1).forEach((bolt, index) => {
          const apart = Math.abs(bolt - (order[index] as number))
          expect(Math.min(apart, bolts - apart)).toBeGreaterThan(1)
        })
      }),
    )
  })

  it.each([
    [4, [1, 3, 2, 4]],
    [5, [1, 3, 5, 2, 4]],
    [6, [1, 4, 2, 5, 3, 6]],
  ])('of %s bolts', (bolts, order) => expect(starOrder(bolts)).toEqual(order))
})

describe('a rotor changed on an assisted bicycle', () => {
  it('goes from the battery to the caliper’s setting, bracket planned before anything is apart', () => {
    const { steps, job } = worked(ASSISTED, 'new-rotor', 'caliper-set')
    const order = (...ids: readonly string[]) => {
      const places = ids.map((id) => steps.indexOf(id))
      expect(places).not.toContain(-1)
      expect(places).toEqual(places.toSorted((a, b) => a - b))
    }
    order('battery-out', 'rotor-old', 'stack-noted', 'axle-noted', 'rotor-off', 'rotor-on', 'rotor-star', 'rotor-wiped')
    order('rotor-wiped', 'wheel-seated', 'axle-nuts', 'rotor-sound', 'caliper-off', 'stack-bolts')
    order(
      'stack-bolts',
      'stack-plan',
      'stack-fitted',
      'pads-with',
      'pads-way-out',
      'pads-room',
      'pads-out',
      'pads-in',
      'pads-sound',
      'pads-kept',
    )
    // The new rotor is the brake’s from the moment it was measured: torque is judged at its radius.
    expect(job.dimensions.rotorDiameterMm).toBe(180)
  })

  it('of the same size needs no bracket', () => {
    const { steps } = worked(ASSISTED, 'new-rotor', 'caliper-set', {
      'rotor-new': [mm('rotorWide', 160)],
    })
    expect(steps).not.toContain('stack-noted')
    expect(steps).not.toContain('stack-plan')
  })

  it('tells the star of as many bolts as there are, and a ring’s own way', () => {
    const said = (...held: readonly EntryBody[]) =>
      worked(ASSISTED, 'new-rotor', 'rotor-star', {
        'rotor-old': [mm('stackRotor', 180), ...held],
        'rotor-on': [seen('rotorWay', 'right'), seen('rotorThreads', 'medium'), seen('ringThread', 'film')],
      }).job.next.step
    const five = said(seen('rotorHold', 'bolted'), count('rotorBolts', 5), seen('rotorKey', 'hex-4'))
    expect(five.more).toMatch(
      /against its driving direction.* 1–3–5–2–4, numbered clockwise, .*4–6 N·m \(common practice/,
    )
    expect(said(seen('rotorHold', 'ring'), seen('rotorKey', 'ring')).say).toMatch(/lock ring/)
  })

  it('is not squeezed while its rotor is out, and says what to do where it was', () => {
    const { bodies } = worked(ASSISTED, 'new-rotor', 'rotor-on')
    for (const squeeze of [confirm('squeezes', 10), mm('biteTravel', 20), mm('reserve', 20)])
      expect(refusedAfter(ASSISTED, bodies, squeeze)).toMatchObject({
        code: 'rotor-out',
        message: expect.stringMatching(/pry them apart gently/),
      })
    const seated = worked(ASSISTED, 'new-rotor', 'axle-nuts').bodies
    expect(refusedAfter(ASSISTED, seated, confirm('squeezes', 10))).toBeUndefined()
    // A cam and its springs take it.
    const cam = worked({ ...ASSISTED, traits: { fluid: 'no' } }, 'new-rotor', 'rotor-on').bodies
    expect(refusedAfter({ ...ASSISTED, traits: { fluid: 'no' } }, cam, confirm('squeezes', 10))).toBeUndefined()
  })

  it('whose bolts do not tighten, or pads that do not go in, is a stop no reason skips', () => {
    for (const step of ['rotor-star', 'pads-in']) {
      const { job, bodies } = worked(ASSISTED, 'new-rotor', '', { [step]: [{ kind: 'confirm', step, well: false }] })
      expect(job.next).toMatchObject({ kind: 'confirm', step: { id: step }, ill: { stop: true } })
      expect(refusedAfter(ASSISTED, bodies, { kind: 'skip', step, reason: 'late' })?.code).toBe('not-skipped')
      const before = worked(ASSISTED, 'new-rotor', step).bodies
      expect(refusedAfter(ASSISTED, before, { kind: 'skip', step, reason: 'late' })?.code).toBe('not-skipped')
    }
  })

  it('grease on its bolts, or the arrow the wrong way, is a stop', () => {
    for (const wrong of [
      [seen('rotorWay', 'right'), seen('rotorThreads', 'grease')],
      [seen('rotorWay', 'wrong'), seen('rotorThreads', 'medium')],
    ]) {
      const { job, bodies } = worked(ASSISTED, 'new-rotor', '', { 'rotor-on': wrong })
      expect(job.next).toMatchObject({ kind: 'mend', stop: true, step: { id: 'rotor-on' } })
      expect(refusedAfter(ASSISTED, bodies, { kind: 'skip', step: 'rotor-on', reason: 'late' })?.code).toBe(
        'not-skipped',
      )
    }
  })

  it('old pads as they are do not go on it', () => {
    const { job } = worked(ASSISTED, 'new-rotor', '', { 'pads-with': [seen('padsWith', 'as-they-are')] })
    expect(job.next).toMatchObject({
      kind: 'mend',
      step: { id: 'pads-with' },
      say: expect.stringMatching(/clean both faces/),
    })
  })

  it('asks again for all that stood on the old one', () => {
    const { bodies } = worked(ASSISTED, 'new-rotor', 'dial-in')
    const { state } = expectOk(openJob(ASSISTED, written(...bodies, confirm('rotor-off'))))
    const again = (id: string) => (state.readings[id] ?? state.confirmed[id])?.status
    for (const id of [
      'rotorThickness',
      'rotorRunout',
      'rotorFace',
      'rotorThreads',
      'rotor-star',
      'rotor-wiped',
      'wheel-seated',
      'bodyClearTop',
      'light',
    ])
      expect([id, again(id)]).toEqual([id, 'recheck'])
  })
})

describe('a stack that is chosen', () => {
  const { bodies } = worked(ASSISTED, 'new-rotor', 'stack-plan')
  const [good] = AT['stack-plan'] as readonly [EntryBody & { kind: 'plan' }]
  const chosen = (figures: Readonly<Record<string, number>>, to = 'bracket') =>
    refusedAfter(ASSISTED, bodies, { ...good, to, figures: { ...good.figures, ...figures } })

  it('is taken as worked out, and refused where it touches, covers too little or holds by too little', () => {
    expect(chosen({})).toBeUndefined()
    expect(chosen({ bracketMm: 8 })).toMatchObject({ code: 'no-stack', message: expect.stringMatching(/clear above/) })
    expect(chosen({ bracketMm: 13 })).toMatchObject({
      code: 'no-stack',
      message: expect.stringMatching(/on the track/),
    })
    expect(chosen({ caliperBoltMm: 16 })).toMatchObject({ code: 'bolt-short' })
    expect(chosen({ caliperBoltMm: 25 })).toMatchObject({ code: 'bolt-bottoms' })
    expect(chosen({ bracketBoltMm: 16 })).toMatchObject({
      code: 'bolt-short',
      message: expect.stringMatching(/bracket bolt/),
    })
  })

  it('is judged by the frame’s own thread where no bracket comes between, whatever it says of itself', () => {
    const straight = { bracketMm: 0, spacersMm: 10, caliperBoltMm: 24, caliperThreadMm: 60, caliperFactor: 0.2 }
    expect(refusedAfter(ASSISTED, bodies, { ...good, to: 'spacers', figures: straight })).toMatchObject({
      code: 'bolt-short',
    })
    expect(
      refusedAfter(ASSISTED, bodies, { ...good, to: 'spacers', figures: { ...straight, caliperBoltMm: 30 } }),
    ).toBeUndefined()
  })

  it('has its bracket’s bolts tightened where it has a bracket, and not where it has none', () => {
    const asked = (plan: EntryBody) =>
      expectOk(openJob(ASSISTED, written(...bodies, plan)))
        .kit.steps.filter(({ id }) => id === 'bracket-tight')
        .map((step) => step.when?.(circumstancesOf(expectOk(openJob(ASSISTED, written(...bodies, plan))))))
    expect(asked(good)).toEqual([true])
    expect(asked({ ...good, to: 'spacers' })).toEqual([false])
  })

  it('is refused with its cautions unread, its figures missing, or under another name', () => {
    expect(refusedAfter(ASSISTED, bodies, { ...good, acknowledged: [] })?.code).toBe('caution-unread')
    const { figures: _, ...bare } = good
    expect(refusedAfter(ASSISTED, bodies, bare)).toMatchObject({ code: 'missing', field: 'figures' })
    expect(chosen({}, 'spacers')?.code).toBe('wrong-way')
    expect(refusedAfter(ASSISTED, [seen('work', 'new-rotor')], good)?.code).toBe('not-measured')
  })

  it('is chosen anew where what it was worked out from is measured again', () => {
    const { state } = expectOk(openJob(ASSISTED, written(...bodies, good, mm('padHigh', 14))))
    expect(state.plans.stack?.status).toBe('recheck')
  })

  it('stands on the sheet where the caliper’s height is out, whatever the job is for', () => {
    const { steps, job } = worked(CARGO, 'adjust', 'stack-bolts', {
      ...OWN,
      'caliper-height': [mm('bodyClearTop', 0.4), mm('bodyClearBottom', 1.5), mm('padCover', 15), mm('padHung', 0)],
      'stack-now': AT['stack-noted'] ?? [],
    })
    expect(steps.slice(-2)).toEqual(['caliper-height', 'stack-now'])
    expect(job.next.step.id).toBe('stack-bolts')
  })
})

describe('new pads', () => {
  it('ask once how they come out; the brake keeps it', () => {
    const { steps, bodies, job } = worked(CARGO, 'new-pads', 'caliper-set', OWN)
    expect(steps).toContain('pads-way-out')
    expect(job.state.confirmed['pads-in']?.value).toBe(true)
    const kept = hardwareAfter(CARGO, written(...bodies))
    expect(kept.traits).toMatchObject({ padKeeper: 'pin', padOrder: 'outer' })
    const next = worked(kept, 'new-pads', 'pads-out', OWN)
    expect(next.steps).not.toContain('pads-way-out')
    expect(next.job.next.step.say).toBe('Straighten the split pin and pull it; then the outer pad first.')
  })

  it('need room first, and are measured and pulled at again once they are in', () => {
    const { job } = worked(CARGO, 'new-pads', '', { ...OWN, 'pads-room': [seen('padRoom', 'none')] })
    expect(job.next).toMatchObject({ kind: 'mend', step: { id: 'pads-room' } })
    const { bodies } = worked(CARGO, 'new-pads', 'caliper-set', OWN)
    const { state } = expectOk(openJob(CARGO, written(...bodies, confirm('pads-out'), confirm('pads-in'))))
    expect(['padFixed', 'discPads', 'light'].map((id) => state.readings[id]?.status)).toEqual(Array(3).fill('recheck'))
    expect(state.confirmed['pads-kept']?.status).toBe('recheck')
  })

  it('are bedded in: open until twenty stops are made, and on the sheet either way', () => {
    const sheet = (...more: readonly EntryBody[]) => {
      const job = expectOk(openJob(CARGO, written(seen('work', 'new-pads'), ...more)))
      return job.family.sections?.(job).find(({ title }) => title === 'Bedding-in')?.lines
    }
    expect(sheet()?.[0]).toMatch(/^Open: 0 of 20–30/)
    const untouched = expectOk(openJob(CARGO, written(seen('work', 'adjust'))))
    expect(untouched.family.sections?.(untouched).find(({ title }) => title === 'Bedding-in')?.lines).toEqual([])
    expect(sheet(count('beddedStops', 19))?.[0]).toMatch(/^Open: 19 of 20–30/)
    expect(sheet(count('beddedStops', 20))).toEqual(['Done: 20 firm stops.'])
    const mark = (made: number) =>
      readingMark(expectOk(openJob(CARGO, written(count('beddedStops', made)))), 'beddedStops')
    expect([mark(19), mark(20)]).toEqual(['low', 'in'])
    // Pads that came new in any job are bedded in, and again after the next.
    const job = expectOk(openJob(CARGO, written({ kind: 'swap', part: 'pads', to: 'a new pair' })))
    const steps = job.kit.steps.find(({ id }) => id === 'bedding-in')
    expect(steps?.done).toMatchObject({ readings: ['beddedStops'] })
    const again = expectOk(
      openJob(CARGO, written(count('beddedStops', 24), { kind: 'swap', part: 'pads', to: 'another pair' })),
    )
    expect(again.state.readings.beddedStops?.status).toBe('recheck')
  })
})

describe('the same pads out, cleaned and back in', () => {
  const by = (way: string, until: string) =>
    worked(CARGO, 'pads-look', until, {
      ...OWN,
      'pads-reach': [seen('padReach', way)],
      'pads-cleaned': [confirm('pads-cleaned')],
      'wheel-back': [confirm('wheel-back')],
    })

  it('are measured and pulled at once they are in; new ones are not asked for, nor bedded in', () => {
    const { steps, job } = by('in-place', 'barrel-left')
    expect(steps.filter((id) => id.startsWith('pads-'))).toEqual([
      'pads-way-out',
      'pads-reach',
      'pads-out',
      'pads-cleaned',
      'pads-in',
      'pads-sound',
      'pads-kept',
    ])
    const ids = sheetOf(job, job.advice).map(({ step }) => step.id)
    for (const absent of ['pads-room', 'wheel-back', 'caliper-set', 'wheel-fastened', 'bedding-in'])
      expect(ids).not.toContain(absent)
  })

  it('reached past a wheel that is out: it goes home before a gap is measured, and its fastening is looked at last', () => {
    const { steps, job } = by('wheel-out', 'barrel-left')
    expect(steps.indexOf('wheel-back')).toBeGreaterThan(steps.indexOf('pads-in'))
    const ids = sheetOf(job, job.advice).map(({ step }) => step.id)
    expect(ids).toContain('wheel-fastened')
    expect(ids).not.toContain('caliper-set')
  })

  it('reached with the caliper off: it is set anew, and height and light are looked at after that', () => {
    const { job } = by('caliper', 'pads-cleaned')
    const ids = sheetOf(job, job.advice).map(({ step }) => step.id)
    const places = ['caliper-off', 'caliper-hung', 'caliper-set', 'height-set', 'light-set', 'dial-in'].map((id) =>
      ids.indexOf(id),
    )
    expect(places).not.toContain(-1)
    expect(places).toEqual(places.toSorted((a, b) => a - b))
    expect(ids).not.toContain('caliper-height')
  })

  // Common practice: a fluid caliper is never squeezed with nothing between its pads.
  it('a fluid caliper is not squeezed until the wheel is back', () => {
    const fluid: Hardware = { family: 'disc-both-move', end: 'rear', dimensions: {}, traits: { fluid: 'yes' } }
    const out = [seen('work', 'pads-look'), seen('padReach', 'wheel-out'), confirm('pads-out'), confirm('pads-in')]
    expect(refusedAfter(fluid, out, confirm('squeezes', 10))?.code).toBe('rotor-out')
    expect(refusedAfter(fluid, [...out, confirm('wheel-back')], confirm('squeezes', 10))).toBeUndefined()
  })
})

describe('a mount whose bolts come up from below', () => {
  it('is for its maker: nothing is measured or planned, and without the papers it is a stop', () => {
    const below = { 'stack-noted': [seen('mountBolts', 'below')] }
    const { steps, bodies, job } = worked(ASSISTED, 'new-rotor', 'stack-by-maker', below)
    expect(steps).not.toContain('stack-plan')
    expect(steps).not.toContain('stack-bolts')
    expect(job.next.step.id).toBe('stack-by-maker')
    expect(refusedAfter(ASSISTED, bodies, { kind: 'skip', step: 'stack-by-maker', reason: 'no papers' })).toBeDefined()
    const forbidden = expectOk(
      openJob(ASSISTED, written(...bodies, { ...confirm('stack-by-maker'), well: false } as EntryBody)),
    )
    expect(forbidden.next).toMatchObject({ kind: 'confirm', ill: { stop: true } })
  })
})

describe('a rotor that runs out', () => {
  const at = (mm: number) => {
    const rotor = { kind: 'reading', reading: 'rotorRunout', value: mm, unit: 'mm' } as const
    const job = expectOk(openJob(CARGO, written(seen('motorAt', 'none'), rotor)))
    return sheetOf(job, job.advice).map(({ step }) => step.id)
  }
  it('beyond 0.2 mm is asked whether it is the rotor, its bolts or the wheel, before it is bent', () => {
    expect(at(0.2)).not.toContain('runout-where')
    const ids = at(0.25)
    expect(ids.indexOf('runout-where')).toBe(ids.indexOf('rotor-sound') - 1)
  })
})
