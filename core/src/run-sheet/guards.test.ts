import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { bookDimensions, hereAt } from '../brake/dimension.ts'
import type { Family } from '../brake/family.ts'
import { asksFor, type StepSpec } from '../brake/step.ts'
import { expectOk } from '../outcome/outcome.ts'
import { practiceGauge } from '../simulate/practice.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { confirm, HARDWARE, reading, refusal, SOUND, seen, turn, written } from '../testing/stand.ts'
import { FAMILIES } from '../workshop/families.ts'
import { openJob, openStand } from '../workshop/open.ts'
import { admit } from './admit/admit.ts'
import { findingsOf, sayFindings } from './findings.ts'
import { workOut } from './job.ts'
import { type Stand, standAfter } from './stand.ts'
import { circumstancesOf, SETTLED, sheetOf, stepsFor, stepsOn, wantedOf } from './status.ts'
import type { StepStatus } from './step-state.ts'

const each = FAMILIES.map((family) => [family.id, family] as const)
const skip = (step: string): EntryBody => ({ kind: 'skip', step, reason: 'x' })
const swap = (part: string): EntryBody => ({ kind: 'swap', part, to: 'new' })
const not = (step: string): EntryBody => ({ kind: 'confirm', step, well: false })
const RELEASE: EntryBody = { kind: 'release', initials: '7' }
const job = (hardware: Hardware, ...bodies: readonly EntryBody[]) => expectOk(openJob(hardware, written(...bodies)))
const ids = (hardware: Hardware, ...bodies: readonly EntryBody[]) =>
  stepsOn(job(hardware, ...bodies)).map(({ id }) => id)
const FIXED: Hardware = { family: 'disc-fixed-pad', end: 'front', dimensions: {} }
const BOTH: Hardware = { family: 'disc-both-move', end: 'rear', dimensions: {} }
const DRUM: Hardware = { family: 'drum', end: 'front', dimensions: {} }
const DUAL: Hardware = { family: 'dual-pivot', end: 'rear', dimensions: {} }
const RUB = seen('work', 'rub')

/** What a step is established by, looked up in the log’s own state: written apart from the product’s findings. */
function isLookedAt(at: Stand, step: StepSpec): boolean {
  const { done } = step
  if (done.kind === 'confirmed') return at.state.confirmed[step.id]?.status === 'current'
  if (done.kind === 'planned') return at.state.plans[done.plan]?.status === 'current'
  if (done.kind === 'signed') return true
  const readings = done.kind === 'dialled-in' ? at.model.needed : wantedOf(step, at)
  return readings.every((id) => at.state.readings[id]?.status === 'current')
}

/** Everything that a full check of this brake looks at, whatever the job is for, and that may not be skipped. */
function unlooked(at: Stand): readonly string[] {
  const here = circumstancesOf(at)
  const own = stepsOn(at)
  const covered = new Set(own.filter((step) => isLookedAt(at, step)).flatMap(({ covers }) => covers ?? []))
  // What is fitted anew was touched throughout; what the cut-off’s trial undid is asked again only where work goes on.
  const apart = new Set([...(here.work === 'fit' ? ['untouched'] : []), 'battery-out'])
  const full = [...own, ...stepsFor(at.kit, { ...here, work: here.work === 'fit' ? 'fit' : 'adjust' })]
  return [
    ...new Set(full.filter((step) => step.maySkip === undefined && canStop(at, step)).map(({ id }) => id)),
  ].filter((id) => !apart.has(id) && !covered.has(id) && !isLookedAt(at, at.kit.step(id) as StepSpec))
}

/** Judged from several readings, and able to say that nobody rides. */
const JUDGES = ['pad-match', 'pads-sound', 'pads-height', 'pads-back', 'cable-smooth', 'reach', 'drum-sound']
function canStop({ kit, windows }: Stand, step: StepSpec): boolean {
  if (step.done.kind === 'confirmed') return step.done.stop === true
  return (
    JUDGES.includes(step.id) ||
    asksFor(step).some((id) => windows.of[id]?.unsafe || kit.seeing(id)?.options.some(({ stop }) => stop))
  )
}

describe('what may be skipped', () => {
  it.each(each)('on a %s is nothing that stops a rider', (_, family) => {
    const at = job({ family: family.id, end: 'rear', dimensions: {} })
    // A lever’s place and a plan judge more than one reading: what they find is put right, but nobody need ask for them.
    const bad = at.kit.steps.filter((step) => step.maySkip !== undefined && canStop(at, step))
    expect(bad.map(({ id }) => id)).toEqual([])
  })

  it.each(each)('on a %s says what is lost, and so does what may be left', (_, family) => {
    for (const { maySkip, mayLeave } of kitOf(family).steps)
      for (const lost of [maySkip, mayLeave]) if (lost !== undefined) expect(lost).toMatch(/^[a-z].{8,}[^.]$/)
  })
})

/** Readings of the dial-in that must still be taken. */
const toMeasure = ({ model, state }: Stand): readonly string[] =>
  model.needed.filter((id) => state.readings[id]?.status !== 'current')

/** A hand that may do anything: the sheet’s next, another step, a skip, a bad answer; written where it is admitted. */
function anyHand(
  family: string,
  work: string,
  seed: number,
  choices: readonly number[],
  first: readonly EntryBody[] = [],
) {
  const end = seed % 2 ? 'front' : 'rear'
  const hardware: Hardware = { family, end, dimensions: {}, practiceSeed: seed }
  let stand = expectOk(openStand(hardware, []))
  const gauge = practiceGauge(stand.kit, hardware.practiceSeed, stand.dimensions, stand.here, []) ?? {}
  const write = (body: EntryBody) => {
    const seq = stand.state.lastSeq + 1
    const entry: Entry = { ...body, id: `e${seq}`, at: '2026-03-01T09:00:00Z', by: '1', seq }
    if (admit(stand, entry, () => workOut(stand).next).ok) stand = expectOk(standAfter(stand, entry))
  }
  for (const body of [seen('work', work), ...first]) write(body)
  for (const choice of choices) {
    if (stand.state.ended) break
    const sheet = sheetOf(stand, SETTLED)
    const isOpen = ({ step, state }: StepStatus) =>
      step.done.kind === 'dialled-in' ? toMeasure(stand).length > 0 : state !== 'done' && state !== 'skipped'
    const open = sheet.filter(isOpen)
    const step = (choice % 3 === 0 ? open[0] : open[choice % Math.max(1, open.length)])?.step
    if (!step) break
    const take = (id: string) => {
      const options = stand.kit.seeing(id)?.options
      const value = options && choice % 11 === 3 ? options[choice % options.length]?.id : gauge[id]
      write({ kind: 'reading', reading: id, value: value ?? 0, unit: stand.kit.reading(id)?.unit ?? '' })
    }
    if (choice % 5 === 1) write(skip(step.id))
    else if (step.done.kind === 'confirmed') write(choice % 13 === 4 ? not(step.id) : confirm(step.id))
    else if (step.done.kind === 'dialled-in') toMeasure(stand).forEach(take)
    else if (step.done.kind === 'signed') {
      write(skip('dial-in'))
      write(RELEASE)
    } else if (step.done.kind !== 'planned') wantedOf(step, stand).forEach(take)
    else write(skip(step.id))
    if (choice % 101 === 2) write(RELEASE)
  }
  return stand
}

describe('whatever is skipped or left, in whatever order', () => {
  it.each(each)(
    'no %s is released in which something that stops a rider was not looked at on this visit',
    (_, family) => {
      let released = 0
      const isGuarded = (stand: Stand) => {
        if (!stand.state.released) return
        released += 1
        expect(unlooked(stand)).toEqual([])
      }
      fc.assert(
        fc.property(
          fc.constantFrom(...family.works.map(({ id }) => id)),
          fc.integer({ min: 1, max: 40 }),
          fc.array(fc.nat(9999), { minLength: 90, maxLength: 150 }),
          (work, seed, choices) => isGuarded(anyHand(family.id, work, seed, choices)),
        ),
        { numRuns: 6, seed: 26, endOnFailure: true },
      )
      // A hand that does as told on a sound practice bicycle is released, or the property says nothing.
      const asTold = Array.from({ length: 150 }, () => 0)
      const before = released
      for (const id of ['adjust', 'rub']) for (const seed of [1, 3, 5]) isGuarded(anyHand(family.id, id, seed, asTold))
      expect(released - before).toBeGreaterThan(1)
    },
  )

  it('with the reason “x” an ordinary job skips nothing that stops a rider', () => {
    const ordinary = ['wheel-fast', 'hub-play', 'rim-sound', 'pads-sound', 'reserve', 'spin', 'dial-in', 'cable-match']
    for (const step of ordinary)
      expect(refusal([], skip(step)), step).toMatchObject({ code: 'not-skipped', kind: 'conflict' })
    for (const step of ['rotor-sound', 'spin', 'dial-in', 'pads-sound', 'caliper-height'])
      expect(refusal([], skip(step), FIXED), step).toMatchObject({ code: 'not-skipped' })
    expect(refusal([], skip('barrel-left'))).toBeUndefined()
  })

  it('what was left is asked again once it was found anew', () => {
    const toe = reading('toeLeft', 1.4)
    expect(job(HARDWARE, ...SOUND, toe, skip('pads-toe')).next.kind).toBe('sign')
    expect(job(HARDWARE, ...SOUND, skip('pads-toe'), toe).next.step.id).toBe('pads-toe')
    expect(job(HARDWARE, ...SOUND, toe, skip('pads-toe'), reading('toeLeft', 1.6)).next.step.id).toBe('pads-toe')
  })

  it('a bite left out of its school is measured again after the hard squeezes, and left again', () => {
    const late = SOUND.map((body) =>
      body.kind === 'reading' && body.reading === 'biteTravel' ? { ...body, value: 30 } : body,
    )
    expect(refusal(late, RELEASE)).toMatchObject({ code: 'not-ready' })
    expect(refusal([...late, skip('dial-in')], RELEASE)).toBeUndefined()
    expect(refusal([...late, skip('dial-in'), turn('barrel', 0.25)], RELEASE)).toMatchObject({ code: 'not-ready' })
  })

  it('not done is said of every step that must be, the first by name', () => {
    const said = sayFindings(findingsOf(job(HARDWARE), job(HARDWARE).advice))
    expect(said).toHaveLength(1)
    expect(said[0]).toMatch(/^not done: motor or none, wheel fast and straight, hub without play, .* and \d+ more$/)
  })
})

describe('an answer that is wrong is put right, or the job is closed', () => {
  const mm = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'mm' })
  it.each<[string, Hardware, EntryBody, string]>([
    ['a hub with play', HARDWARE, not('hub-play'), 'hub-play'],
    ['a drum’s hub with play', DRUM, mm('hubPlayNuts', 0.2), 'play-after'],
    ['a head not in its pocket', HARDWARE, seen('innerHead', 'loose'), 'cable-match'],
    ['a ferrule missing', HARDWARE, seen('housingEnds', 'missing'), 'cable-match'],
    ['a run kinked or unseated', HARDWARE, not('cable-run'), 'cable-run'],
    ['an arm that binds or rocks', HARDWARE, not('arms-free'), 'arms-free'],
    ['a pivot with play', DUAL, not('pivot-play'), 'pivot-play'],
    ['a fixed pad’s arm off its stop', FIXED, mm('armRest', 0.6), 'dial-in'],
    ['a rotor that runs out too far', FIXED, mm('rotorRunout', 0.35), 'rotor-sound'],
    ['a rim that runs out too far', HARDWARE, mm('lateralRunout', 1.1), 'wheel-true'],
    ['a rotor thicker than its caliper takes', FIXED, mm('rotorThickness', 2.1), 'rotor-sound'],
    ['a pad 2 mm past the track', FIXED, mm('padHung', 2), 'caliper-height'],
    ['a body nearer than 0.3 mm', FIXED, mm('bodyClearTop', 0.2), 'caliper-height'],
    ['oil on the track', HARDWARE, seen('trackFace', 'oily'), 'rim-sound'],
    ['oil on the pads', HARDWARE, seen('padFace', 'oily'), 'pads-sound'],
    ['an inner that sticks', HARDWARE, seen('cableFeel', 'stuck'), 'cable-smooth'],
  ])('%s', (_, hardware, body, step) => {
    const lined = body.kind === 'reading' && body.reading === 'cableFeel' ? [seen('cableLined', 'unlined')] : []
    const pads = body.kind === 'reading' && body.reading === 'padFace' ? [mm('padLeft', 3), mm('padRight', 3)] : []
    const log = [...lined, ...pads, body]
    const at = job(hardware, ...log)
    expect(sheetOf(at, at.advice).find((each) => each.step.id === step)).toMatchObject({ state: 'out', stop: true })
    expect(refusal(log, skip(step), hardware)).toMatchObject({ code: 'not-skipped' })
    expect(
      findingsOf(at, at.advice)
        .filter(({ undone }) => !undone)
        .map((each) => each.step),
    ).toContain(step)
    // On the shortest sheet too.
    expect(ids(hardware, RUB, ...log)).toContain(step)
    expect(refusal([...log], { kind: 'close', initials: '7', why: 'not put right' }, hardware)).toBeUndefined()
  })

  it.each<[string, number, number]>([
    ['bodyClearTop', 0.3, 0.29],
    ['padHung', 1.9, 2],
    ['rotorRunout', 0.3, 0.31],
    ['armRest', 0.5, 0.51],
  ])('%s stops only past its limit', (id, allowed, stopped) => {
    const { windows } = job(FIXED)
    const unsafe = windows.of[id]?.unsafe
    const isPast = (value: number) =>
      value < (unsafe?.below ?? -1) || value > (unsafe?.above ?? 99) || value >= (unsafe?.atLeast ?? 99)
    expect([isPast(allowed), isPast(stopped)]).toEqual([false, true])
  })

  it('between wanted and that it may be left', () => {
    const at = [mm('bodyClearTop', 0.5), mm('bodyClearBottom', 1.5), mm('padCover', 15), mm('padHung', 1)]
    expect(refusal(at, skip('caliper-height'), FIXED)).toBeUndefined()
  })
})

describe('what is found or done brings its steps, whatever the job is for', () => {
  const mm = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'mm' })

  it('a stop that several readings come to', () => {
    expect(ids(DRUM, RUB, mm('drumInside', 71.2), mm('drumStamped', 71))).toContain('drum-sound')
    expect(ids(HARDWARE, RUB, seen('rimMaterial', 'carbon'), seen('padCompound', 'alloy'))).toContain('pad-match')
    expect(ids(HARDWARE, RUB, seen('barMaterial', 'carbon'), seen('clampWay', 'crash'))).toContain('lever-clamped')
    expect(ids(HARDWARE, RUB, seen('leverHand', 'knuckle'))).toContain('lever-tried')
    expect(ids(HARDWARE, RUB)).not.toContain('pad-match')
  })

  it.each<[Hardware, string, readonly string[]]>([
    [HARDWARE, 'pads', ['pads-direction', 'pads-height', 'pads-sound', 'pad-match']],
    [FIXED, 'pads', ['pads-in', 'pads-sound', 'pads-kept', 'caliper-height', 'bedding-in']],
    [HARDWARE, 'cable', ['cable-run', 'cable-smooth', 'cable-clamped', 'cable-match', 'barrel-in']],
    [HARDWARE, 'lever', ['lever-match', 'lever-clamped', 'lever-outside', 'tight-lever-clamp', 'cable-run']],
    [HARDWARE, 'wheel', ['rim-sound', 'wheel-seated', 'pads-height', 'pad-match']],
    [FIXED, 'wheel', ['rotor-sound', 'wheel-seated', 'caliper-height']],
    [FIXED, 'rotor', ['rotor-on', 'rotor-sound', 'rotor-star', 'rotor-wiped', 'bedding-in']],
    [DRUM, 'wheel', ['arm-angle', 'drum-sound', 'shoes-centred', 'lock-nut', 'play-after', 'cable-back']],
    [DUAL, 'brake', ['old-off', 'reach', 'mount-looked', 'mount-fitted', 'mount-tight', 'run-first', 'pads-height']],
  ])('%j with another %s', (hardware, part, steps) => {
    expect(ids(hardware, RUB, swap(part))).toEqual(expect.arrayContaining([...steps]))
  })

  it('a caliper that was off, and a fastening that was loosened', () => {
    expect(ids(FIXED, RUB, confirm('mount-loosened'))).toEqual(
      expect.arrayContaining(['caliper-set', 'caliper-tight', 'height-set', 'light-set']),
    )
    const loose = job(HARDWARE, ...SOUND, confirm('axle-loosened'))
    const open = sheetOf(loose, loose.advice).filter(({ state }) => state !== 'done')
    // Gaps and bite stand, unless one of these is not well.
    expect(open.map(({ step }) => step.id)).toEqual([
      'guide-boot',
      'wheel-home',
      'spin',
      'wheel-fastened',
      'walk-test',
      'release',
    ])
    expect(ids(DRUM, RUB, confirm('axle-loosened'))).toEqual(expect.arrayContaining(['play-after', 'reaction-arm']))
  })
})

describe('figures', () => {
  const torque = (fastener: string, valueNm: number): EntryBody => ({ kind: 'torque', fastener, valueNm })
  const fasteners = (hardware: Hardware, ...bodies: readonly EntryBody[]) => {
    const at = job(hardware, ...bodies, confirm('fasteners'))
    return sheetOf(at, at.advice).find(({ step }) => step.id === 'fasteners')
  }

  // Half the lower, one and a half times the upper end of ours (our choice): 6–8 N·m at a rim’s anchor, 4–6 at a rotor.
  it.each<[Hardware, string, number, 'done' | 'out']>([
    [HARDWARE, 'anchor', 25, 'out'],
    [HARDWARE, 'anchor', 12, 'done'],
    [HARDWARE, 'anchor', 12.1, 'out'],
    [HARDWARE, 'anchor', 3, 'done'],
    [HARDWARE, 'anchor', 2.9, 'out'],
    [FIXED, 'anchor', 9, 'done'],
    [FIXED, 'anchor', 9.1, 'out'],
    [FIXED, 'rotor bolts', 20, 'out'],
    [FIXED, 'caliper bolts', 2, 'out'],
    [HARDWARE, 'axle nuts', 50, 'done'],
  ])('%j %s at %s N·m without its maker’s word is %s', (hardware, name, nm, state) => {
    expect(fasteners(hardware, torque(name, nm))?.state).toBe(state)
  })

  it('the maker’s figure comes before ours, however far off', () => {
    const maker: EntryBody = { kind: 'figure', fastener: 'anchor', lowNm: 20, highNm: 26 }
    expect(fasteners(HARDWARE, maker, torque('anchor', 25))?.state).toBe('done')
  })

  it('a typed mark never loosens a wall', () => {
    const wall = (mark: number) => job(HARDWARE, reading('rimMark', mark)).windows.of.rimWall?.unsafe?.below
    expect([wall(0.4), wall(1.1)]).toEqual([0.7, 1.1])
    expect(refusal([], { kind: 'reading', reading: 'rotorMark', value: 1.1, unit: 'mm' }, FIXED)).toMatchObject({
      code: 'out-of-range',
    })
    const marked = (mm: number) => {
      const read = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'mm' })
      const at = job(
        FIXED,
        read('rotorMark', mm),
        read('rotorThickness', 1.8),
        read('rotorRunout', 0.1),
        seen('rotorFace', 'clean'),
      )
      return sheetOf(at, at.advice).find(({ step }) => step.id === 'rotor-sound')
    }
    expect(marked(1.3)).toMatchObject({ state: 'done', remark: expect.stringContaining('at least 1.4 mm') })
    expect(marked(1.4)?.remark).toBeUndefined()
  })

  it.each(each)('a %s’s reading takes its range from the dimension it is', (_, family) => {
    for (const spec of kitOf(family).readings.filter(({ dimension }) => dimension)) {
      const dimension = family.dimensions.find(({ id }) => id === spec.dimension)
      if (dimension) expect([spec.id, spec.min, spec.max]).toEqual([spec.id, dimension.min, dimension.max])
    }
  })

  it('a rotor of 240 mm and a runout of 3 mm are kept', () => {
    const read = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'mm' })
    const at = job(FIXED, read('rotorWide', 240), read('rotorRunout', 3))
    expect(at.dimensions).toMatchObject({ rotorDiameterMm: 240, rotorRunoutMm: 3 })
  })
})

describe('carbon, and a way whose parts are to be bought', () => {
  const FIT = seen('work', 'fit')
  it('no way chosen never takes the tightened bolt off the sheet', () => {
    expect(ids(DUAL, FIT, seen('frameMaterial', 'carbon'))).toEqual(
      expect.arrayContaining(['carbon-approved', 'mount-fitted', 'mount-tight']),
    )
    expect(refusal([FIT, skip('mount-plan')], skip('mount-tight'), DUAL)).toMatchObject({ code: 'not-skipped' })
  })
})

describe('an assisted bicycle', () => {
  const MOTOR: Hardware = { ...BOTH, traits: { assisted: 'yes' } }

  it('hardware that says so is believed over a step that is not answered', () => {
    expect(ids(MOTOR)).toEqual(expect.arrayContaining(['battery-out', 'cut-off']))
    expect(ids(MOTOR, seen('motorAt', 'none'))).not.toContain('battery-out')
    expect(ids(HARDWARE, seen('motorAt', 'cranks'))).toContain('battery-out')
    expect(ids(DRUM)).not.toContain('battery-out')
  })

  it('axle washers and nuts are asked for a motor in this wheel only', () => {
    const at = (motorAt: string) => ids(BOTH, seen('motorAt', motorAt), seen('work', 'new-rotor'))
    expect(at('this')).toEqual(expect.arrayContaining(['axle-noted', 'axle-nuts']))
    for (const other of ['other', 'cranks']) expect(at(other)).not.toContain('axle-noted')
  })

  it('a lever without a switch is no lie, a motor that runs on is a stop', () => {
    const log = [
      ...SOUND.filter((body) => !(body.kind === 'reading' && body.reading === 'motorAt')),
      seen('motorAt', 'cranks'),
    ]
    const on = (...bodies: readonly EntryBody[]) => job(HARDWARE, ...log, confirm('battery-out'), ...bodies)
    expect(on().next.step.id).toBe('cut-off')
    for (const well of ['cuts-off', 'none']) expect(on(seen('cutOff', well)).next.kind).toBe('sign')
    const runsOn = on(seen('cutOff', 'runs-on'))
    expect(sheetOf(runsOn, runsOn.advice).find(({ step }) => step.id === 'cut-off')).toMatchObject({
      state: 'out',
      stop: true,
    })
    // The battery is in after that: it comes out again before a hand goes near once more.
    const again = on(seen('cutOff', 'cuts-off'), turn('leftScrew', 0.25))
    expect(again.next).toMatchObject({ kind: 'confirm', step: { id: 'battery-out' } })
  })
})

describe('hard stops', () => {
  const bed = (value: number): EntryBody => ({ kind: 'reading', reading: 'beddedStops', value, unit: 'count' })
  it('are not made before what a ride hangs on was looked at on this visit', () => {
    expect(refusal([], bed(20), FIXED)).toMatchObject({ code: 'not-looked-at', kind: 'conflict' })
    expect(refusal([], { ...bed(5), reading: 'hardStops' } as EntryBody, DRUM)).toMatchObject({ code: 'not-looked-at' })
    expect(refusal([], bed(0), FIXED)).toBeUndefined()
  })

  it('after bedding-in lever, rub and bolts are looked at again', () => {
    const made = (stops: number) => ids(FIXED, swap('pads'), ...(stops ? [bed(stops)] : []))
    expect(made(0)).not.toContain('bedded-looked')
    expect(made(20)).toContain('bedded-looked')
    const more = job(FIXED, swap('pads'), bed(5), confirm('bedded-looked'), bed(20))
    expect(more.state.confirmed['bedded-looked']?.status).toBe('recheck')
  })

  // The trial of the lever’s switch puts the battery back in; riding stops is no hand near the wheel.
  it('short of their number do not ask for the battery out again', () => {
    const told = Array.from({ length: 120 }, () => 0)
    const done = anyHand('disc-fixed-pad', 'new-pads', 8, told, [seen('motorAt', 'cranks')])
    const log = done.state.standing.filter(
      (entry) => entry.kind !== 'release' && !(entry.kind === 'reading' && entry.reading === 'beddedStops'),
    )
    const stand = expectOk(openJob(done.hardware, written(...log, bed(5))))
    const states = Object.fromEntries(sheetOf(stand, SETTLED).map(({ step, state }) => [step.id, state]))
    expect(states).toMatchObject({ 'battery-out': 'done', 'cut-off': 'done', 'bedding-in': 'out' })
  })

  it('a fluid caliper is not squeezed with its pads out', () => {
    const out = [seen('motorAt', 'none'), seen('work', 'new-pads'), confirm('pads-out')]
    expect(refusal(out, confirm('squeezes', 10), BOTH)).toMatchObject({ code: 'pads-out', kind: 'conflict' })
    expect(refusal([...out, confirm('pads-in')], confirm('squeezes', 10), BOTH)).toBeUndefined()
  })
})

describe('another rotor', () => {
  const mm = (id: string, value: number): EntryBody => ({ kind: 'reading', reading: id, value, unit: 'mm' })
  const changed = (old: number, wide: number, kg: number): readonly EntryBody[] => [
    seen('work', 'new-rotor'),
    { kind: 'reading', reading: 'ridersMass', value: kg, unit: 'kg' },
    mm('stackRotor', old),
    mm('rotorWide', wide),
    mm('trackNew', 16),
  ]
  const at = (log: readonly EntryBody[], step: string) => {
    const now = job(FIXED, ...log)
    return sheetOf(now, now.advice).find((each) => each.step.id === step)
  }

  // 95 kg on one disc: 151 N of hand at 180 mm, 172 N at 160 mm (from memory); at 105 kg the small one is over 178 N.
  it('smaller than the one that was on it is refused where the stop is then not reached', () => {
    expect(at(changed(180, 160, 110), 'rotor-new')).toMatchObject({ state: 'out', stop: true })
    expect(at(changed(180, 160, 70), 'rotor-new')).toMatchObject({ state: 'done' })
    expect(at(changed(160, 160, 110), 'rotor-new')).toMatchObject({ state: 'done' })
  })

  it('larger than its frame’s maker allows is refused', () => {
    expect(at(changed(160, 180, 95), 'rotor-largest')).toMatchObject({ state: 'open' })
    expect(at([...changed(160, 180, 95), mm('rotorLargest', 160)], 'rotor-largest')).toMatchObject({
      state: 'out',
      stop: true,
    })
    expect(at([...changed(160, 180, 95), mm('rotorLargest', 180)], 'rotor-largest')).toMatchObject({ state: 'done' })
    expect(at(changed(180, 160, 70), 'rotor-largest')).toBeUndefined()
  })
})

describe('what is refused', () => {
  it('a unit of what is seen, and parts this brake does not have', () => {
    expect(refusal([], { kind: 'reading', reading: 'wearLine', value: 'there', unit: 'mm' })).toMatchObject({
      code: 'wrong-unit',
      field: 'unit',
      kind: 'wrong',
    })
    expect(refusal([], swap('rotor'))).toMatchObject({
      code: 'unknown-part',
      message: expect.stringMatching(/linear-pull brake has no part “rotor”/),
    })
    expect(refusal([], swap('rotor'), FIXED)).toBeUndefined()
  })

  it('says its kind', () => {
    expect(refusal([...SOUND, RELEASE], reading('gapLeft', 1))).toMatchObject({
      code: 'job-released',
      kind: 'conflict',
    })
    expect(
      refusal([not('hub-play'), { kind: 'close', initials: '7', why: 'play' }], reading('gapLeft', 1)),
    ).toMatchObject({
      code: 'job-closed',
      kind: 'conflict',
    })
    expect(refusal([], reading('gapLeft', 99))).toMatchObject({ kind: 'wrong' })
  })
})

/** Words of another trade, by family: none of them stands in a sentence of its own. */
const FOREIGN: Readonly<Record<string, RegExp>> = {
  rim: /\b(rotor|brake plate|reaction arm|axle’s flats|linings?|ridge on the plate)\b/i,
  disc: /\b(rims?|guide pipe|boss(es)?|straddle|brake plate|reaction arm|linings?|closed ends?|tyre rubbed)\b/i,
  drum: /\b(rims?|guide pipe|pads?|rotor|quick-release|straddle|boss(es)?|brake track)\b/i,
}
/** Said of a drum by the trade itself: its play is measured at the rim of its wheel. */
const OWN_TRADE: readonly RegExp[] = [/play at the rim/gi, /at the rim\b/gi, /^rim$/gi, /a rim brake here/gi]

describe('a family hears only its own trade', () => {
  const sentences = (family: Family): readonly string[] => {
    const kit = kitOf(family)
    const at = job({ family: family.id, end: 'rear', dimensions: {} })
    const here = circumstancesOf(at)
    const said = (text: StepSpec['say'] | undefined) =>
      text === undefined
        ? []
        : typeof text === 'string'
          ? [text]
          : family.works.map(({ id }) => text({ ...here, work: id }))
    return [
      ...kit.steps.flatMap((step) => [
        step.title,
        ...said(step.say),
        ...said(step.more),
        step.why,
        step.whenOut ?? '',
        step.maySkip ?? '',
        step.mayLeave ?? '',
        ...(step.tools ?? []),
        ...(step.done.kind === 'confirmed' ? [step.done.well, step.done.ill, step.done.remedy] : []),
      ]),
      ...kit.readings.flatMap(({ title, how, limit }) => [title, how, limit?.text ?? '', limit?.unsafe?.say ?? '']),
      ...kit.seen.flatMap(({ title, how, options }) => [
        title,
        how,
        ...options.flatMap((option) => [option.title, option.told ?? '', option.remedy ?? '', option.remark ?? '']),
      ]),
      ...family.fasteners.flatMap(({ title, rule, tool }) => [title, rule, tool]),
      ...family.works.flatMap(({ title, says }) => [title, says]),
      ...family.schools.flatMap(({ options }) => options.flatMap(({ title, says }) => [title, says ?? ''])),
      at.model.noTurnHelps,
      ...Object.values(at.model.noLever ?? {}),
      family.opens ?? '',
    ]
  }

  it.each(each)('a %s', (_, family) => {
    const foreign = FOREIGN[family.track === 'rotor' ? 'disc' : family.track] as RegExp
    const heard = sentences(family)
      .map((text) => OWN_TRADE.reduce((left, own) => left.replace(own, ''), text))
      .filter((text) => foreign.test(text))
    expect(heard.join('\n')).toBe('')
  })

  it('no brake without a knob is told of one, and no lock ring of bolts', () => {
    const both = sentences(FAMILIES.find(({ id }) => id === 'disc-both-move') as Family)
    expect(both.filter((text) => /\bknobs?\b/i.test(text)).join('\n')).toBe('')
  })
})

it('the book’s windows of every family are put to the test above', () => {
  for (const family of FAMILIES) expectOk(family.fit(bookDimensions(family), hereAt(family, 'rear')))
})
