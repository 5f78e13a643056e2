import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { walk } from '../testing/hand.ts'
import { confirm, HARDWARE, measured, PREPARED, reading, SOUND, seen, written } from '../testing/stand.ts'
import { FAMILIES } from '../workshop/families.ts'
import { hardwareAfter, openJob, openStand } from '../workshop/open.ts'
import { SIGMAS } from './carried.ts'
import { readingMark } from './job.ts'
import type { Known, Visit } from './known.ts'
import { standAfter } from './stand.ts'

const DAY_MS = 24 * 3600 * 1000
const FIRST = '2026-03-01T09:00:00Z'
const after = (days: number): string => new Date(Date.parse(FIRST) + days * DAY_MS).toISOString()

const visitOf = (bodies: readonly EntryBody[], hardware: Hardware = HARDWARE, openedAt = FIRST): Visit => ({
  hardware,
  openedAt,
  entries: written(...bodies).map((entry, k) => ({ ...entry, id: `${openedAt}-${k}`, at: openedAt })),
})
const knownFrom = (visits: readonly Visit[], days: number): Known => ({ openedAt: after(days), complaints: [], visits })
const RELEASED: readonly EntryBody[] = [...SOUND, { kind: 'release', initials: '7' }]
const opened = (known: Known, ...bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...bodies), known))
const second = (...bodies: readonly EntryBody[]) => opened(knownFrom([visitOf(RELEASED)], 30), ...bodies)

describe('what an earlier visit left', () => {
  it('stands as carried: its value, when and by whom; not where this visit read it itself', () => {
    const { state } = second()
    expect(state.readings.leverPull).toMatchObject({
      value: 30,
      status: 'current',
      carried: { was: 30, at: FIRST, by: '1' },
    })
    expect(readingMark(second(), 'leverPull')).toBe('carried')
    const read = second(reading('leverPull', 29))
    expect(read.state.readings.leverPull?.carried).toBeUndefined()
    expect(readingMark(read, 'leverPull')).toBe('in')
  })

  it('is asked for no more; looks for safety are, on every visit', () => {
    const { state } = second()
    for (const id of [
      'leverPull',
      'ridersMass',
      'housingKind',
      'anchorBolt',
      'padCompound',
      'trackTall',
      'toeLeft',
      'padEdgeLeft',
    ])
      expect([id, state.readings[id]?.carried !== undefined]).toEqual([id, true])
    for (const id of [
      'innerAnchor',
      'innerHead',
      'housingState',
      'padFace',
      'trackFace',
      'wearLine',
      'biteTravel',
      'reserve',
      'spin',
    ])
      expect([id, state.readings[id]]).toEqual([id, undefined])
    expect(Object.keys(state.confirmed)).toEqual([])
  })

  it('a pad is carried thinner than it was, by the days that went', () => {
    const left = second().state.readings.padLeft
    const was = left?.carried?.was as number
    expect(left?.value).toBeLessThan(was)
    expect(left?.value).toBeCloseTo(was - (1.2 * 30) / 365.25, 1)
  })

  it('is nothing without a day to judge by, and nothing of another family', () => {
    const visits = [visitOf(RELEASED)]
    expect(opened({ complaints: [], visits }).state.carried).toEqual({})
    const other = visitOf(RELEASED, { ...HARDWARE, family: 'dual-pivot' })
    expect(opened(knownFrom([other], 30)).state.carried).toEqual({})
  })
})

describe('nothing is carried', () => {
  const carries = (id: string, ...bodies: readonly EntryBody[]) =>
    second(...bodies).state.readings[id]?.status === 'current'
  const carriedFrom = (id: string, bodies: readonly EntryBody[], days = 30) =>
    opened(knownFrom([visitOf(bodies)], days)).state.readings[id]?.carried !== undefined

  it.each<[string, EntryBody, string]>([
    ['a lever swapped', { kind: 'swap', part: 'lever', to: 'new' }, 'leverPull'],
    ['a wheel swapped', { kind: 'swap', part: 'wheel', to: 'new' }, 'trackTall'],
    ['pads swapped', { kind: 'swap', part: 'pads', to: 'new' }, 'padCompound'],
    ['a shoe loosened', confirm('shoes-loosened'), 'toeLeft'],
    ['a turn', { kind: 'turn', adjuster: 'barrel', amount: 1, unit: 'turn' }, 'gapLeft'],
    ['a wheel seated', confirm('wheel-seated'), 'wheelOffset'],
  ])('across %s in this visit', (_, body, id) => {
    expect(carries(id)).toBe(true)
    expect(carries(id, body)).toBe(false)
  })

  it('across one at the end of the earlier visit, nor across a later visit that was closed', () => {
    const swapped: EntryBody = { kind: 'swap', part: 'lever', to: 'new' }
    expect(carriedFrom('leverPull', [...SOUND, swapped])).toBe(false)
    const closed = visitOf([swapped, { kind: 'close', initials: '3', why: 'no lever here' }], HARDWARE, after(10))
    const { state } = opened(knownFrom([visitOf(RELEASED), closed], 30))
    expect(state.readings.leverPull).toBeUndefined()
    expect(state.readings.trackTall?.carried).toBeDefined()
  })

  it('across a fall, told then or now', () => {
    const fell: EntryBody = { kind: 'complaint', signs: ['fell'] }
    expect(second(fell).state.carried).toEqual({})
    expect(second(fell).state.readings.leverPull).toBeUndefined()
    const inWords = {
      ...knownFrom([visitOf(RELEASED)], 30),
      complaints: ['Rubs on the left. Knocked over at the lock.'],
    }
    expect(opened(inWords).state.carried).toEqual({})
    const then = visitOf([fell], HARDWARE, after(10))
    expect(opened(knownFrom([visitOf(RELEASED), then], 30)).state.carried).toEqual({})
    // What was read after the fall is: only what came before is not trusted.
    const read = visitOf([fell, reading('leverPull', 30)], HARDWARE, after(10))
    expect(Object.keys(opened(knownFrom([visitOf(RELEASED), read], 30)).state.carried)).toEqual(['leverPull'])
  })

  it('that was struck, unsure, or taken without having seen somebody else’s turn', () => {
    const struck = written(...RELEASED)
    const pull = struck.find((each) => each.kind === 'reading' && each.reading === 'leverPull') as Entry
    const strike: EntryBody = { kind: 'correction', strikes: `${FIRST}-${struck.indexOf(pull)}` }
    expect(carriedFrom('leverPull', [...SOUND, strike])).toBe(false)
    expect(carriedFrom('leverPull', [...SOUND, { ...reading('leverPull', 30), sure: false } as EntryBody])).toBe(false)
    expect(carriedFrom('leverPull', [...SOUND, reading('leverPull', 30)])).toBe(true)
  })

  it('that may have left its window: older than its spread', () => {
    expect(carriedFrom('padLeft', RELEASED, 30)).toBe(true)
    expect(carriedFrom('padLeft', RELEASED, 900)).toBe(false)
    // The longest it is carried for: the worn end is 2.33 standard deviations away, and no less.
    let days = 0
    while (carriedFrom('padLeft', RELEASED, days + 5)) days += 5
    const left = opened(knownFrom([visitOf(RELEASED)], days)).state.readings.padLeft
    expect((left?.value as number) - SIGMAS * (left?.carried?.sd as number)).toBeGreaterThanOrEqual(1.5)
    expect(days).toBeGreaterThan(60)
  })

  it('that was out of its window, or that the hardware has since been told otherwise', () => {
    expect(carriedFrom('padLeft', [...SOUND, reading('padLeft', 1.2)])).toBe(false)
    const told: Hardware = {
      ...HARDWARE,
      dimensions: { leverCableArmMm: { value: 22, provenance: 'measured', since: after(5), by: '3' } },
    }
    const { state } = expectOk(openJob(told, [], knownFrom([visitOf(RELEASED)], 30)))
    expect(state.readings.leverPull).toBeUndefined()
    expect(state.readings.trackTall).toBeDefined()
  })

  it('once it is asked for anew: one, or all', () => {
    expect(second({ kind: 'anew', of: 'leverPull' }).state.readings.leverPull).toBeUndefined()
    expect(second({ kind: 'anew', of: 'leverPull' }).state.readings.trackTall).toBeDefined()
    expect(second({ kind: 'anew' }).state.readings).toEqual({})
    // What this visit read is asked for again as well, and keeps its value till then.
    expect(second(reading('leverPull', 29), { kind: 'anew', of: 'leverPull' }).state.readings.leverPull).toMatchObject({
      value: 29,
      status: 'recheck',
    })
    expect(second({ kind: 'anew' }, reading('leverPull', 29)).state.readings.leverPull?.status).toBe('current')
  })
})

describe('the stand with what is carried', () => {
  it('folded on entry by entry is the same as folded at once', () => {
    const known = knownFrom([visitOf(RELEASED)], 30)
    const bodies = fc.array(
      fc.constantFrom<EntryBody>(
        confirm('wheel-fast'),
        confirm('wheel-seated'),
        confirm('hard-squeezes', 10),
        reading('gapLeft', 1),
        reading('padLeft', 3),
        seen('trackFace', 'clean'),
        { kind: 'swap', part: 'lever', to: 'new' },
        { kind: 'anew', of: 'trackTall' },
        { kind: 'anew' },
        { kind: 'complaint', signs: ['fell'] },
        { kind: 'turn', adjuster: 'barrel', amount: 0.5, unit: 'turn' },
      ),
      { maxLength: 8 },
    )
    fc.assert(
      fc.property(bodies, (some) => {
        const log = written(...some)
        const whole = expectOk(openStand(HARDWARE, log, known))
        const on = log.reduce(
          (stand, entry) => expectOk(standAfter(stand, entry)),
          expectOk(openStand(HARDWARE, [], known)),
        )
        expect(on.state).toEqual(whole.state)
      }),
      { numRuns: 60 },
    )
  })

  it('is not called right by the gaps it carries alone: the bite is read on every visit', () => {
    const looks = PREPARED.map((body) =>
      body.kind === 'confirm' && body.step === 'wheel-seated' ? confirm('wheel-fast') : body,
    )
    const at = second(...looks)
    expect(at.next).toMatchObject({ kind: 'measure', step: { id: 'dial-in' }, readings: ['biteTravel'] })
    expect(second(...looks, reading('biteTravel', 20)).next.step.id).not.toBe('dial-in')
    // A bite that does not go with those gaps sends for the one that is known least, before anything is turned.
    const late = second(...looks, reading('biteTravel', 28)).next
    expect(late).toMatchObject({ kind: 'measure', why: expect.stringContaining('carried') })
  })

  it('hard squeezes that move nothing leave what was ridden since; a cable clamped anew does not', () => {
    const [squeezed, slipped] = [
      confirm('hard-squeezes', 10),
      { ...confirm('hard-squeezes', 10), well: false } as EntryBody,
    ]
    expect(second(squeezed).state.readings.gapLeft?.status).toBe('current')
    expect(second(slipped).state.readings.gapLeft?.status).toBe('recheck')
    expect(second(confirm('anchor-loosened'), squeezed).state.readings.gapLeft?.status).toBe('recheck')
    expect(second(...measured(1, 1, 20), squeezed).state.readings.gapLeft?.status).toBe('recheck')
  })
})

// An instrument that is slower than the hand stays in the drawer: a known, sound brake is asked for little.
describe('a second visit to a brake that is well', () => {
  it.each(FAMILIES.map(({ id }) => [id] as const))(
    'asks a %s for less than half of the numbers, or one turn’s more',
    (family) => {
      const hardware: Hardware = { family, end: 'rear', dimensions: {}, practiceSeed: 11, traits: { motorAt: 'none' } }
      const numbers = (log: readonly Entry[]) =>
        log.filter((each) => each.kind === 'reading' && typeof each.value === 'number')
      const first = walk(hardware, [])
      const visits = [{ hardware, openedAt: FIRST, entries: first.log }]
      const again = walk(hardwareAfter(hardware, first.log), [], 'B', knownFrom(visits, 30))
      expect(again.last.next.kind).toBe('sign')
      const turned = again.log.some(({ kind }) => kind === 'turn')
      expect(numbers(again.log).length).toBeLessThanOrEqual(turned ? 16 : 11)
      // Every guard of the full sheet was answered on this visit.
      for (const step of ['wheel-fast', 'hub-play', 'untouched', 'hard-squeezes', 'fasteners', 'walk-test'])
        expect([step, again.last.state.confirmed[step]?.status]).toEqual([step, 'current'])
    },
  )
})
