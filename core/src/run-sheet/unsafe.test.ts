import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import type { EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import {
  confirm,
  HARDWARE,
  measured,
  PREPARED,
  reading,
  refusal,
  SOUND,
  seen,
  turn,
  written,
} from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'
import { findingsOf, sayFindings } from './findings.ts'
import { sheetOf, stepsOn } from './status.ts'

const RELEASE: EntryBody = { kind: 'release', initials: '7' }
const not = (body: EntryBody, more: object = {}): EntryBody => ({ ...body, well: false, ...more }) as EntryBody
const job = (bodies: readonly EntryBody[], hardware: Hardware = HARDWARE) =>
  expectOk(openJob(hardware, written(...bodies)))
const refused = (log: readonly EntryBody[], body: EntryBody) => refusal(log, body)
const skip = (step: string): EntryBody => ({ kind: 'skip', step, reason: 'x' })
const without = (log: readonly EntryBody[], step: string) =>
  log.filter((body) => !(body.kind === 'confirm' && body.step === step))
const findings = (log: readonly EntryBody[]) => {
  const at = job(log)
  return sayFindings(findingsOf(at, at.advice))
}

it('a sound brake is released, and nothing is said against it', () => {
  expect(refused(SOUND, RELEASE)).toBeUndefined()
  expect(findings(SOUND)).toEqual([])
})

describe('not to be ridden, whatever reason is typed', () => {
  it.each<[string, readonly EntryBody[], string, RegExp]>([
    ['reserve at its wall', [reading('reserve', 10)], 'reserve', /reserve: 10 mm or less/],
    ['a pad above the track', [reading('padEdgeLeft', -0.5)], 'pads-height', /left pad stands above the track/],
    ['a pad on the tyre', [seen('padArc', 'tyre')], 'pads-height', /burst/],
    ['no compound left', [reading('padRight', 0.5)], 'pads-sound', /Worn out: 0.5 mm/],
    ['a thin alloy rim', [reading('rimWall', 0.6)], 'rim-sound', /rim wall: under 0.7 mm/],
    ['a rim under its own mark', [reading('rimMark', 1.2), reading('rimWall', 1.1)], 'rim-sound', /under 1.2 mm/],
    ['a rub', [seen('spin', 'left')], 'spin', /rubs on the left/],
    ['one pad that stays on', [seen('padsBack', 'one')], 'pads-back', /stiff/],
    ['pads that stay on', [seen('padsBack', 'neither')], 'pads-back', /too weak/],
    ['split housing', [seen('housingState', 'split')], 'cable-match', /split/],
    ['rusty housing', [seen('housingState', 'rusty')], 'cable-match', /rusty/],
    ['a plain bolt in the anchor', [seen('anchorBolt', 'plain')], 'own-hardware', /plain bolt/],
    ['a guide pipe out of its slot', [seen('guidePipe', 'out')], 'guide-boot', /out of its slot/],
    ['a worn slot', [seen('guidePipe', 'worn')], 'guide-boot', /worn slot/],
    ['a cable that slipped', [not(confirm('hard-squeezes', 10))], 'hard-squeezes', /slipped/],
    ['loose bolts', [not(confirm('untouched'))], 'untouched', /something is not/],
    ['judder', [not(confirm('walk-test'))], 'walk-test', /judder/],
  ])('%s', (_, bodies, step, words) => {
    const log = [...SOUND, ...bodies]
    expect(findings(log).join()).toMatch(words)
    expect(refused(log, skip(step))).toMatchObject({ code: 'not-skipped' })
    expect(refused(log, RELEASE)).toMatchObject({ code: 'not-ready' })
    // A skip written before the finding does not cover it.
    expect(job([skip(step), ...log]).next.step.id).not.toBe('release')
  })

  it.each<[string, readonly EntryBody[]]>([
    ...['hard-squeezes', 'fasteners', 'wheel-fastened', 'walk-test', 'pads-tight'].map(
      (step): [string, readonly EntryBody[]] => [step, without(SOUND, step)],
    ),
    ['wheel-fast', without(SOUND, 'wheel-seated')],
    ['cable-clamped', [...without(SOUND, 'cable-clamped'), confirm('anchor-loosened')]],
  ])('%s not done', (step, log) => {
    expect(findings(log).join()).toMatch(/not done/)
    expect(refused(log, skip(step))).toMatchObject({ code: 'not-skipped' })
    expect(refused(log, RELEASE)).toMatchObject({ code: 'not-ready' })
  })

  it('just inside its limit it is only unwanted, and may be skipped with a reason', () => {
    for (const [bodies, step] of [
      [[reading('padRight', 0.6)], 'pads-sound'],
      [[reading('rimWall', 0.7)], 'rim-sound'],
    ] as const)
      expect(refused([...SOUND, ...bodies], skip(step))).toBeUndefined()
    const near = SOUND.map((body) =>
      body.kind === 'reading' && body.reading === 'reserve' ? { ...body, value: 11 } : body,
    )
    expect(findings(near)).toEqual([])
    expect(refused([...near, skip('dial-in')], RELEASE)).toBeUndefined()
  })

  it('a steel rim is not judged by its wall, and its wall is not asked for', () => {
    const steel = [...SOUND.filter((body) => !(body.kind === 'reading' && body.reading === 'rimWall'))]
    const log = [...steel, seen('rimMaterial', 'steel'), seen('padCompound', 'steel')]
    expect(job(log).next.kind).toBe('sign')
    expect(job([...log, reading('rimWall', 0.4)]).next.kind).toBe('sign')
  })

  it('something unsafe found by the way stands on a short sheet too', () => {
    const rub = [seen('work', 'rub'), reading('padLeft', 0.3)]
    expect(sheetOf(job(rub), job(rub).advice).map((each) => each.step.id)).toContain('pads-sound')
    expect(refused(rub, skip('pads-sound'))).toMatchObject({ code: 'not-skipped' })
  })

  it('stays said while it is only to be looked at again', () => {
    const log = [...SOUND, seen('spin', 'left'), turn('leftScrew', 0.25)]
    expect(findings(log).join()).toContain('rubs on the left')
    expect(refused(log, skip('spin'))).toMatchObject({ code: 'not-skipped' })
  })
})

describe('not well is the second answer of every confirmation', () => {
  it('says what is then done, and is put right by the first answer', () => {
    const seated = [seen('motorAt', 'none'), confirm('wheel-seated')]
    const at = job([...seated, not(confirm('hub-play'))])
    expect(at.next).toMatchObject({
      kind: 'confirm',
      step: { id: 'hub-play' },
      ill: { say: expect.stringContaining('bearings'), stop: true },
    })
    expect(job([...seated, not(confirm('hub-play')), confirm('hub-play')]).next.step.id).toBe('wheel-true')
  })

  it('comes before what it shook: what gave way is found before anything is measured again', () => {
    const at = job([...SOUND, not(confirm('hard-squeezes', 10))])
    expect(at.next).toMatchObject({ kind: 'confirm', step: { id: 'hard-squeezes' }, ill: { stop: true } })
    expect(job([...SOUND, not(confirm('hard-squeezes', 10)), turn('anchor', 1)]).next.step.id).toBe('cable-clamped')
  })

  it('merely unwanted it may be skipped; not to be ridden it may not', () => {
    expect(refused([not(confirm('hub-play'))], skip('hub-play'))).toMatchObject({ code: 'not-skipped' })
    expect(refused([not(confirm('wheel-seated'))], skip('wheel-seated'))).toMatchObject({ code: 'not-skipped' })
    expect(refused([...SOUND, not(confirm('arms-free'))], skip('arms-free'))).toMatchObject({ code: 'not-skipped' })
    expect(refused([...SOUND, reading('toeLeft', 1.4)], skip('pads-toe'))).toBeUndefined()
  })

  it('a confirmation without it is well, as every one written before it was', () => {
    expect(job([confirm('wheel-seated')]).state.confirmed['wheel-seated']?.value).toBe(true)
  })
})

describe('closed unreleased', () => {
  const close = (why = 'rim worn through'): EntryBody => ({ kind: 'close', initials: '5', why })
  const thin = [...SOUND, reading('rimWall', 0.5)]

  it('a brake that cannot be put right ends its job with its findings', () => {
    expect(refused(thin, close())).toBeUndefined()
    const { next } = job([...thin, close()])
    expect(next).toMatchObject({ kind: 'closed', close: { why: 'rim worn through' } })
    expect(next.kind === 'closed' && next.findings.map((each) => each.say)).toEqual([
      'rim wall: under 0.7 mm it bursts under the tyre',
    ])
  })

  it('is signed and says why; a brake that is well is released instead', () => {
    expect(refused(thin, close(' '))).toMatchObject({ code: 'reason-missing', field: 'why' })
    expect(refused(thin, { ...close(), initials: '' } as EntryBody)).toMatchObject({ field: 'initials' })
    expect(refused(SOUND, close())).toMatchObject({ code: 'nothing-against' })
  })

  it('nothing more is written, but it is taken back like a release, by a correction', () => {
    for (const [log, code] of [
      [[...thin, close()], 'job-closed'],
      [[...SOUND, RELEASE], 'job-released'],
    ] as const) {
      expect(refused(log, reading('gapLeft', 1))).toMatchObject({ code })
      const back: EntryBody = { kind: 'correction', strikes: `entry-${log.length}` }
      expect(refused(log, back)).toBeUndefined()
      expect(refused([...log, back], reading('gapLeft', 1))).toBeUndefined()
    }
  })

  it('a release taken back stands again only on a brake that is still ready', () => {
    const back: EntryBody = { kind: 'correction', strikes: `entry-${SOUND.length + 1}` }
    const again: EntryBody = { kind: 'correction', strikes: `entry-${SOUND.length + 2}` }
    const log = [...SOUND, RELEASE, back]
    expect(refused(log, again)).toBeUndefined()
    expect(refused([...log, reading('reserve', 5)], again)).toMatchObject({ code: 'not-ready' })
  })
})

describe('order on the bench', () => {
  const ids = (bodies: readonly EntryBody[], hardware = HARDWARE) =>
    sheetOf(job(bodies, hardware), job(bodies, hardware).advice).map((each) => each.step.id)
  const fit = seen('work', 'fit')

  it('a cable is clamped provisionally before the pads, and no anchor is looked for before there is one', () => {
    const sheet = ids([fit])
    expect(sheet.indexOf('provisional-clamp')).toBeLessThan(sheet.indexOf('pads-sound'))
    expect(sheet.indexOf('cable-clamped')).toBeGreaterThan(sheet.indexOf('pads-tight'))
    expect(sheet).not.toContain('untouched')
    expect(ids([])).not.toContain('provisional-clamp')
  })

  it('the barrel is screwed in only where the cable is clamped anew, else its turns are read', () => {
    expect(ids([])).toContain('barrel-left')
    expect(ids([])).not.toContain('barrel-in')
    const anew = ids([{ kind: 'swap', part: 'cable', to: 'new' }])
    expect(anew).toContain('barrel-in')
    expect(anew).not.toContain('barrel-left')
  })

  // Handbook: to look is not to loosen; on a visit that loosened nothing, nothing is loosened, clamped or unhooked to be looked at.
  it.each(['linear-pull', 'disc-both-move', 'drum'])('a %s brake that nobody loosened is only looked at', (family) => {
    const brake: Hardware = { family, end: 'rear', dimensions: {} }
    const looked = ids([], brake)
    expect(looked).toContain('wheel-fast')
    for (const id of ['wheel-seated', 'wheel-fastened', 'cable-clamped']) expect(looked).not.toContain(id)
    const said = stepsOn(job([], brake)).flatMap(({ say, more = '' }) => [say, more])
    expect(said.filter((text) => /\b(loosen|unhook the cable|clamp the inner|undo)\b/i.test(text))).toEqual([])

    const loosened = ids([confirm('axle-loosened'), confirm('anchor-loosened')], brake)
    for (const id of ['wheel-home', 'wheel-fastened', 'cable-clamped']) expect(loosened).toContain(id)
    // A hand that did it unasked may say so; what was done stands on the sheet.
    for (const id of ['wheel-seated', 'wheel-fastened', 'cable-clamped']) {
      expect(refusal([], confirm(id), brake)).toBeUndefined()
      expect(ids([confirm(id)], brake)).toContain(id)
    }
    expect(ids([confirm('wheel-seated')], brake)).toContain('wheel-fastened')
  })

  it('a wheel that hangs loose is seated, a sudden rub and a brake that is fitted begin with it', () => {
    const loose = [seen('motorAt', 'none'), not(confirm('wheel-fast'))]
    expect(job(loose).next.step.id).toBe('wheel-seated')
    expect(refused(loose, skip('wheel-seated'))).toMatchObject({ code: 'not-skipped' })
    expect(ids(loose)).not.toContain('wheel-fast')
    expect(job([...loose, confirm('wheel-seated')]).next.step.id).toBe('hub-play')
    for (const work of ['rub', 'fit']) expect(ids([seen('work', work)])).toContain('wheel-seated')
  })

  it('an anchor loosened in a short job is looked at too', () => {
    const rub = seen('work', 'rub')
    expect(ids([rub])).not.toContain('cable-clamped')
    expect(ids([rub, turn('anchor', 1)])).toContain('cable-clamped')
    expect(ids([rub])).toContain('fasteners')
  })

  it('a caliper knocked askew is turned on its bolt before its screw', () => {
    const caliper: Hardware = { family: 'dual-pivot', end: 'front', dimensions: {} }
    const log = [
      seen('motorAt', 'none'),
      confirm('wheel-seated'),
      seen('work', 'rub'),
      confirm('hub-play'),
      confirm('looked-over'),
    ]
    const wheel = [reading('lateralRunout', 0.3), reading('radialRunout', 0.3), reading('wheelOffset', 0)]
    const at = job([...log, ...wheel, confirm('untouched'), seen('caliperSits', 'askew')], caliper)
    expect(at.next).toMatchObject({
      kind: 'mend',
      step: { id: 'caliper-sits', loosens: 'mount-loosened' },
      say: expect.stringMatching(/turn the caliper.*Only then its centring screw/),
    })
  })

  it('boss bolts have their figure, grease and threadlocker', () => {
    const step = sheetOf(job([fit]), job([fit]).advice).find((each) => each.step.id === 'boss-tight')?.step
    expect(`${step?.say} ${step?.more}`).toMatch(/5–7 N·m\. Grease on the boss, threadlocker/)
  })
})

describe('figures', () => {
  it('between what is wanted and what is allowed it is said, not stopped', () => {
    const said = (bodies: readonly EntryBody[]) => {
      const at = job([...SOUND, ...bodies])
      return sheetOf(at, at.advice).find((each) => each.step.id === 'wheel-true')
    }
    expect(said([reading('lateralRunout', 0.5)])).toMatchObject({ state: 'done' })
    expect(said([reading('lateralRunout', 0.5)])?.remark).toBeUndefined()
    expect(said([reading('lateralRunout', 0.8)])).toMatchObject({
      state: 'done',
      remark: expect.stringContaining('at most 0.5 mm is wanted'),
    })
    expect(said([reading('lateralRunout', 1.1)])).toMatchObject({ state: 'out' })
  })

  it('uneven pads are said and sent to centring, and block nothing', () => {
    const log = [...SOUND, reading('padRight', 3)]
    const at = job(log)
    expect(at.next.kind).toBe('sign')
    expect(sheetOf(at, at.advice).find((each) => each.step.id === 'pads-sound')?.remark).toContain('centring')
  })

  // Handbook: both pads must meet the rim at the same moment; plainly: seen first and believed over 0.3 mm nearer (our choice).
  it('a pad that touches plainly first is not centred; seen first alone only teaches', () => {
    const dial = (left: number, right: number, touch: string) =>
      job([...PREPARED, ...measured(left, right, 20), seen('firstTouch', touch)])
    expect(dial(0.8, 1.25, 'left').windows.of.gapDifference?.high).toBe(0.3)
    expect(dial(0.8, 1.25, 'left').next.kind).toBe('turn')
    expect(dial(0.8, 1.25, 'both').windows.of.gapDifference?.high).toBe(0.5)
    expect(dial(1, 1.1, 'left').windows.of.gapDifference?.high).toBe(0.5)
    expect(dial(1, 1.1, 'left').next.step.id).not.toBe('dial-in')
  })
})
