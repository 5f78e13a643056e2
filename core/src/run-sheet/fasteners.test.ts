import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { tickOf } from '../brake/fastener.ts'
import { boltPreload } from '../calculations/bolts.ts'
import { torqueFromPull } from '../calculations/torque-from-pull.ts'
import { expectOk } from '../outcome/outcome.ts'
import { parseQuantity } from '../quantity/quantity.ts'
import type { EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { confirm, HARDWARE, measured, reading, refusal, SOUND, seen, turn, written } from '../testing/stand.ts'
import { FAMILIES } from '../workshop/families.ts'
import { hardwareAfter, openJob, openStand } from '../workshop/open.ts'
import { fastenersOf } from './fasteners.ts'
import { stepsOn } from './status.ts'

const RELEASE: EntryBody = { kind: 'release', initials: '7' }
const torque = (fastener: string, valueNm: number): EntryBody => ({ kind: 'torque', fastener, valueNm })
const figure = (fastener: string, lowNm: number, highNm: number): EntryBody => ({
  kind: 'figure',
  fastener,
  lowNm,
  highNm,
})
const at = (bodies: readonly EntryBody[], hardware: Hardware = HARDWARE) =>
  expectOk(openStand(hardware, written(...bodies)))
const stateOf = (bodies: readonly EntryBody[], id: string, hardware?: Hardware) =>
  fastenersOf(at(bodies, hardware)).find(({ spec }) => spec.id === id)
const nextStep = (bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...bodies))).next.step.id

describe('every fastener of a brake', () => {
  it.each(FAMILIES.map((family) => [family.id, family] as const))('%s: each has a tick that is a step', (_, family) => {
    const kit = kitOf(family)
    for (const spec of family.fasteners) {
      expect(kit.step(tickOf(spec))?.done.kind, spec.id).toBe('confirmed')
      for (const fact of spec.loosenedBy)
        expect(kit.grounds.unsettledBy(fact), `${spec.id} ${fact}`).toContain(`confirm:${tickOf(spec)}`)
    }
  })

  // Handbook, 9 Tighten: “every brake fastener, touched or not”.
  it('nobody touched: one answer for all', () => {
    const before = SOUND.filter((each) => !(each.kind === 'confirm' && each.step === 'fasteners'))
    expect(stateOf(before, 'lever clamp')).toMatchObject({ state: 'open' })
    expect(stateOf(SOUND, 'lever clamp')).toMatchObject({ state: 'done', ticked: 'with all' })
    expect(refusal(SOUND, RELEASE)).toBeUndefined()
  })

  it('loosened: it comes back unticked, by itself, and the rest stays as it was answered', () => {
    const loose: EntryBody[] = [...SOUND, confirm('lever-loosened')]
    expect(stateOf(loose, 'lever clamp')).toMatchObject({ state: 'open', step: 'tight-lever-clamp' })
    expect(stateOf(loose, 'left boss bolt')).toMatchObject({ state: 'done', ticked: 'with all' })
    expect(nextStep(loose)).toBe('lever-clamped')
    loose.push(seen('barMaterial', 'metal'), seen('clampWay', 'figure'))
    expect(nextStep(loose)).toBe('tight-lever-clamp')
    expect(refusal(loose, RELEASE)).toMatchObject({
      code: 'not-ready',
      message: expect.stringContaining('lever clamp'),
    })
    expect(refusal(loose, { kind: 'skip', step: 'tight-lever-clamp', reason: 'later' })).toMatchObject({
      code: 'not-skipped',
    })
    const ticked = [...loose, torque('lever clamp', 5)]
    expect(stateOf(ticked, 'lever clamp')).toMatchObject({ state: 'done', ticked: 'alone', torqueNm: 5 })
    expect(refusal(ticked, RELEASE)).toBeUndefined()
    expect(stateOf([...ticked, confirm('lever-loosened')], 'lever clamp')).toMatchObject({
      state: 'recheck',
      cause: 'the lever clamp was loosened',
    })
    const again = [...ticked, confirm('lever-loosened'), seen('clampWay', 'figure')]
    expect(refusal(again, RELEASE)).toMatchObject({ code: 'not-ready' })
    expect(refusal([...again, confirm('tight-lever-clamp')], RELEASE)).toBeUndefined()
  })

  it('a torque ticks only a step made for that bolt; a step of the brake’s own asks more', () => {
    const loose = [...SOUND, turn('anchor', 1)]
    expect(stateOf([...loose, torque('anchor', 7)], 'anchor')).toMatchObject({ state: 'recheck', torqueNm: 7 })
  })

  it('a rotor replaced in any job brings its whole star; bolts only loosened have a tick of their own', () => {
    const disc: Hardware = { family: 'disc-fixed-pad', end: 'front', dimensions: {} }
    const swapped: EntryBody = { kind: 'swap', part: 'rotor', to: 'new' }
    const ids = (bodies: readonly EntryBody[]) => stepsOn(at(bodies, disc)).map(({ id }) => id)
    expect(ids([])).not.toContain('tight-rotor-bolts')
    expect(ids([swapped])).toEqual(expect.arrayContaining(['rotor-on', 'rotor-star', 'rotor-wiped', 'bedding-in']))
    expect(ids([swapped])).not.toContain('tight-rotor-bolts')
    expect(ids([confirm('rotor-loosened')])).toContain('tight-rotor-bolts')
    expect(stateOf([swapped], 'rotor bolts', disc)?.state).toBe('open')
    const changing = [seen('work', 'new-rotor'), swapped, confirm('rotor-star')]
    expect(ids(changing)).toContain('rotor-star')
    expect(ids(changing)).not.toContain('tight-rotor-bolts')
    const loose = at([...changing, confirm('rotor-loosened')], disc)
    expect(loose.state.confirmed['rotor-star']?.status).toBe('recheck')
  })

  it('loose is said only of what this brake has', () => {
    expect(refusal(SOUND, confirm('rotor-loosened'))).toMatchObject({
      code: 'unknown-step',
      message: expect.stringContaining('lever-loosened'),
    })
    expect(refusal(SOUND, torque('bottom bracket', 30))).toMatchObject({
      code: 'unknown-fastener',
      message: expect.stringContaining('left boss bolt'),
    })
  })
})

describe('the maker’s figure', () => {
  it('overrides ours: off it is not tight, whatever was answered', () => {
    const logged = [...SOUND, torque('lever clamp', 5)]
    expect(stateOf(logged, 'lever clamp')?.state).toBe('done')
    expect(refusal(logged, RELEASE)).toBeUndefined()
    const told = [...logged, figure('lever clamp', 6, 7)]
    expect(stateOf(told, 'lever clamp')).toMatchObject({ state: 'out', maker: { low: 6, high: 7 } })
    expect(stateOf(told, 'anchor')?.state).toBe('done')
    expect(refusal(told, RELEASE)).toMatchObject({ code: 'not-ready' })
    expect(nextStep(told)).toBe('fasteners')
    expect(refusal([...told, torque('lever clamp', 6.5)], RELEASE)).toBeUndefined()
    expect(refusal([...told, torque('lever clamp', 8)], RELEASE)).toMatchObject({ code: 'not-ready' })
  })

  it('ours, from memory, is only said', () => {
    const job = expectOk(openJob(HARDWARE, written(...SOUND, torque('left boss bolt', 9))))
    expect(job.next.kind).toBe('sign')
  })

  it('is kept with the brake', () => {
    const after = hardwareAfter(HARDWARE, written(figure('anchor', 5, 7), figure('anchor', 6, 8)))
    expect(after.figures).toEqual({ anchor: { low: 6, high: 8 } })
    expect(stateOf([], 'anchor', after)).toMatchObject({ maker: { low: 6, high: 8 } })
  })

  it.each([
    [figure('hub', 5, 6), 'unknown-fastener'],
    [figure('anchor', 0, 6), 'out-of-range'],
    [figure('anchor', 8, 6), 'out-of-range'],
    [figure('anchor', 5, 200), 'out-of-range'],
  ])('%o is refused: %s', (body, code) => {
    expect(refusal([], body)).toMatchObject({ code })
  })
})

/** The rule in the fewest words, written apart from the product: each loosening needs a tick after it, and one answer for all. */
function isHeld(log: readonly EntryBody[]): boolean {
  const last = (test: (body: EntryBody) => boolean) => log.findLastIndex(test)
  const confirmed = (step: string) =>
    last((each) => each.kind === 'confirm' && each.step === step && each.well !== false)
  const lever = last((each) => each.kind === 'confirm' && each.step === 'lever-loosened')
  const shoes = last((each) => each.kind === 'confirm' && each.step === 'shoes-loosened')
  const mount = last((each) => each.kind === 'confirm' && each.step === 'mount-loosened')
  const denied = last((each) => each.kind === 'confirm' && each.step === 'fasteners' && each.well === false)
  const logged = (id: string) => last((each) => each.kind === 'torque' && each.fastener === id)
  const ticked = (step: string, bolt: string) => Math.max(confirmed(step), logged(bolt))
  return (
    confirmed('fasteners') > denied &&
    (lever < 0 || ticked('tight-lever-clamp', 'lever clamp') > lever) &&
    confirmed('pads-tight') > shoes &&
    (mount < 0 ||
      (ticked('tight-left-boss-bolt', 'left boss bolt') > mount &&
        ticked('tight-right-boss-bolt', 'right boss bolt') > mount))
  )
}

describe('no release with an open fastener or a stop', () => {
  const STOPS: readonly EntryBody[] = [
    { ...confirm('walk-test'), well: false } as EntryBody,
    { ...confirm('hard-squeezes', 10), well: false } as EntryBody,
    { ...confirm('fasteners'), well: false } as EntryBody,
    reading('reserve', 5),
    seen('padFace', 'oily'),
    seen('housingState', 'split'),
  ]
  const LATER: readonly EntryBody[] = [
    confirm('lever-loosened'),
    confirm('shoes-loosened'),
    confirm('mount-loosened'),
    confirm('tight-lever-clamp'),
    seen('barMaterial', 'metal'),
    seen('clampWay', 'figure'),
    confirm('pads-tight'),
    torque('left boss bolt', 6),
    confirm('tight-right-boss-bolt'),
    confirm('fasteners'),
    ...STOPS,
    ...measured(1, 1, 20),
    seen('spin', 'free'),
    confirm('wheel-fastened'),
    confirm('walk-test'),
    confirm('hard-squeezes', 10),
    { kind: 'skip', step: 'walk-test', reason: 'x' },
  ]

  it('whatever the order of entries', () => {
    let released = 0
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...LATER), { maxLength: 12 }), (more) => {
        const log: EntryBody[] = [...SOUND]
        for (const body of more) if (!refusal(log, body)) log.push(body)
        if (refusal(log, RELEASE)) return
        released += 1
        expect(isHeld(log)).toBe(true)
        for (const stop of STOPS)
          if (stop.kind === 'reading') {
            const now = log.findLast((each) => each.kind === 'reading' && each.reading === stop.reading)
            expect(now).not.toEqual(stop)
          } else if (stop.kind === 'confirm') {
            const now = log.findLast((each) => each.kind === 'confirm' && each.step === stop.step)
            expect(now).not.toEqual(stop)
          }
      }),
      { numRuns: 60 },
    )
    expect(released).toBeGreaterThan(0)
  })
})

describe('torque by other means', () => {
  const inNm = (forceText: string, lengthText: string) =>
    expectOk(
      torqueFromPull.work({
        forceN: expectOk(parseQuantity(forceText, 'N')),
        lengthMm: expectOk(parseQuantity(lengthText, 'mm')),
      }),
    ).outputs.torqueNm as number

  // Exact unit definitions: pound-force 4.4482216152605 N, inch 25.4 mm, kilogram-force 9.80665 N.
  it.each([
    ['50 N', '100 mm', 5.0],
    ['11 lbf', '4 in', 4.97],
    ['5.1 kgf', '100 mm', 5.0014],
  ])('%s at %s is %f N·m', (force, length, nm) => expect(inNm(force, length)).toBeCloseTo(nm, 2))

  // ISO 898-1 (from memory): M6, 8.8: 20.1 mm², 580 MPa, proof load 11.66 kN by formula. T = K·F·d, K 0.2 dry, Shigley.
  it('the top of our figures stays under the proof load of the usual bolt', () => {
    for (const family of FAMILIES)
      for (const { id, bolt, nm } of family.fasteners) {
        if (!bolt || !nm) continue
        const { preloadN, proofFraction } = expectOk(
          boltPreload.work({ torqueNm: nm.high, ...bolt, proofStressMpa: 580 }),
        ).outputs
        expect(preloadN, id).toBeCloseTo((nm.high * 1000) / (0.2 * bolt.diameterMm), 6)
        expect(proofFraction, id).toBeLessThan(0.9)
      }
  })
})
