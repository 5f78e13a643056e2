import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import type { EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import {
  confirm,
  HARDWARE,
  KIT,
  MATCHED,
  measured,
  PADS_SET,
  PREPARED,
  reading,
  refusal,
  seen,
  turn,
  WHEEL,
  written,
} from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'
import { learntFrom } from './job.ts'
import { runLine } from './line.ts'

const job = (...bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...bodies)))
const nextId = (...bodies: readonly EntryBody[]) => job(...bodies).next.step.id
const WELL = measured(1.0, 1.0, 20)
const BACK = seen('padsBack', 'both')
const PROVEN: readonly EntryBody[] = [
  ...PREPARED,
  ...WELL,
  BACK,
  confirm('fasteners'),
  reading('reserve', 25),
  seen('spin', 'free'),
  confirm('wheel-fastened'),
  confirm('walk-test'),
]

describe('what is next', () => {
  it('goes through the stations in working order to release', () => {
    expect(nextId()).toBe('motor-asked')
    expect(nextId(...PREPARED.slice(0, 1))).toBe('wheel-fast')
    expect(nextId(...PREPARED.slice(0, 2))).toBe('hub-play')
    expect(nextId(...PREPARED.slice(0, 3))).toBe('wheel-true')
    expect(nextId(...WHEEL.slice(0, 6))).toBe('rim-sound')
    expect(nextId(...WHEEL)).toBe('lever-match')
    expect(nextId(...WHEEL, ...MATCHED)).toBe('untouched')
    expect(nextId(...PADS_SET)).toBe('pads-tight')
    expect(nextId(...PREPARED.slice(0, -1))).toBe('hard-squeezes')
    expect(job(...PREPARED).next).toMatchObject({ kind: 'measure', readings: ['gapLeft', 'gapRight', 'biteTravel'] })
    expect(nextId(...PREPARED, ...WELL)).toBe('pads-back')
    expect(nextId(...PREPARED, ...WELL, BACK)).toBe('fasteners')
    expect(nextId(...PREPARED, ...WELL, BACK, confirm('fasteners'))).toBe('reserve')
    expect(job(...PROVEN).next.kind).toBe('sign')
    expect(job(...PROVEN, { kind: 'release', initials: '7' }).next.kind).toBe('released')
  })

  // Handbook: a sudden one-sided rub → wheel seat. A pad by the rub wall may explain it; one that stands clear may not.
  it('a rub asks for a turn where the setting may explain it, else for the wheel', () => {
    const spun = (leftMm: number) => {
      const readings = measured(leftMm, 1, 20)
      const proving = [BACK, confirm('fasteners'), reading('reserve', 25)]
      return [...PREPARED, ...readings, ...readings, ...proving, seen('spin', 'left')]
    }
    const { next } = job(...spun(0.4))
    expect(next).toMatchObject({ kind: 'turn', why: expect.stringMatching(/rubs on the left.*seated and true/) })
    const turned = next.kind === 'turn' ? next.turn.expected : []
    expect(turned.find((each) => each.reading === 'gapLeft')?.value).toBeGreaterThan(0.5)
    expect(job(...spun(0.4), confirm('wheel-seated')).next).not.toMatchObject({ why: expect.stringContaining('rubs') })
    expect(job(...spun(1)).next).toMatchObject({
      kind: 'mend',
      step: { id: 'spin' },
      say: expect.stringContaining('wheel is seated and true'),
    })
    expect(job(...spun(1), seen('spin', 'free')).next.step.id).toBe('wheel-fastened')
  })

  it('never trims centring while the wheel is unconfirmed, nor bite before the pads are tight', () => {
    expect(job(seen('motorAt', 'none'), ...measured(0.2, 2.4, 12)).next).toMatchObject({
      kind: 'confirm',
      step: { id: 'wheel-fast' },
    })
    expect(job(...PADS_SET, ...measured(0.2, 2.4, 12)).next).toMatchObject({
      kind: 'confirm',
      step: { id: 'pads-tight' },
    })
  })

  it('sends a wheel out of true back before anything is turned', () => {
    const out = PREPARED.map((body) =>
      body.kind === 'reading' && body.reading === 'lateralRunout' ? { ...body, value: 1.4 } : body,
    )
    expect(job(...out, ...measured(0.2, 2.4, 12)).next).toMatchObject({
      kind: 'mend',
      readings: ['lateralRunout'],
      say: expect.stringMatching(/Seat the wheel again|runout/),
    })
  })

  // Handbook: ten hard squeezes once, before the first measurement that a verdict hangs on; a screw holds by no clamp.
  it('a turn after the proofs asks for the proofs again, hard squeezes only where a clamp was opened', () => {
    const after = job(...PROVEN, turn('leftScrew', 0.25), confirm('squeezes', 10), ...WELL, BACK)
    expect(after.next).toMatchObject({ kind: 'measure', step: { id: 'reserve' } })
    const clamp = [
      turn('anchor', 1),
      confirm('cable-clamped'),
      { kind: 'torque', fastener: 'anchor', valueNm: 6 } as const,
    ]
    expect(nextId(...PROVEN, ...clamp)).toBe('hard-squeezes')
  })

  // Handbook: hard ride, little trims, ride again; the rider says yes to the throw.
  it('ridden hard it is looked at again, trimmed, and ridden again until the rider says yes', () => {
    const rode = (look: string, says: string) => [seen('rideLook', look), seen('throwSaid', says)]
    expect(refusal([...PREPARED, ...WELL], seen('rideLook', 'same'))).toMatchObject({
      code: 'not-looked-at',
      message: expect.stringContaining('walk test'),
    })
    expect(job(...PROVEN, ...rode('same', 'yes')).next.kind).toBe('sign')
    expect(job(...PROVEN, ...rode('same', 'shorter')).next).toMatchObject({
      kind: 'mend',
      step: { id: 'hard-ride' },
      say: expect.stringMatching(/Barrel out a quarter turn.*bites earlier.*ride again/),
    })
    expect(job(...PROVEN, ...rode('moved', 'yes')).next).toMatchObject({ kind: 'mend', stop: true })
    // Trimmed, the brake is measured and walked again, and ridden once more: yesterday’s yes was of another throw.
    const trimmed = [
      ...PROVEN,
      ...rode('same', 'shorter'),
      turn('barrel', 0.25),
      confirm('squeezes', 10),
      ...WELL,
      BACK,
    ]
    const walked = [reading('reserve', 25), seen('spin', 'free'), confirm('walk-test')]
    expect(job(...trimmed, ...walked).next.step.id).toBe('hard-ride')
    expect(job(...trimmed, ...walked, ...rode('same', 'yes')).next.kind).toBe('sign')
  })

  it('a skipped step is settled, and confirming it later takes the skip back', () => {
    const before = [...PADS_SET, confirm('anchor-loosened'), confirm('pads-tight')]
    const counted = before.concat(confirm('cable-run'), seen('cableFeel', 'smooth'), seen('cableLined', 'lined'))
    const skip: EntryBody = { kind: 'skip', step: 'barrel-left', reason: 'counted at the other bench' }
    const skipped = job(...counted, skip)
    expect(skipped.next.step.id).toBe('cable-clamped')
    expect(skipped.state.skipped['barrel-left']).toBe('counted at the other bench')
    expect(job(...counted, skip, reading('barrelOut', 2)).state.skipped['barrel-left']).toBeUndefined()
  })

  it('shows each station’s state on the run line', () => {
    const turned = job(...PREPARED, ...measured(0.2, 2.4, 12), turn('leftScrew', 1))
    const marks = Object.fromEntries(runLine(turned, turned.advice).map((each) => [each.id, each.mark]))
    expect(marks).toMatchObject({
      wheel: 'in',
      match: 'in',
      bite: 'recheck',
      centre: 'recheck',
      prove: 'unmeasured',
      release: 'unmeasured',
    })
    const measuredOut = job(...PREPARED, ...measured(0.2, 2.4, 12))
    const out = runLine(measuredOut, measuredOut.advice)
    expect(out.find((each) => each.id === 'centre')?.mark).toBe('low')
  })

  it('every step says what to do and why', () => {
    for (const step of KIT.steps) {
      if (typeof step.say === 'string') expect(step.say).toMatch(/[.?]$/)
      expect(step.why.length).toBeGreaterThan(10)
    }
    expect(new Set(KIT.steps.map((each) => each.id)).size).toBe(KIT.steps.length)
  })
})

describe('what may be written', () => {
  const refused = (log: readonly EntryBody[], body: EntryBody) => refusal(log, body)

  it('takes what the bench would say', () => {
    for (const body of [
      reading('gapLeft', 1.4),
      turn('leftScrew', 0.5),
      confirm('wheel-seated'),
      { kind: 'note', text: 'ok' } as const,
    ]) {
      expect(refused([], body)).toBeUndefined()
    }
  })

  it('refuses a gap no brake has, and says the range', () => {
    expect(refused([], reading('gapLeft', -0.5))).toMatchObject({
      code: 'out-of-range',
      field: 'value',
      message: expect.stringContaining('0.0 mm to 10.0 mm'),
    })
    expect(refused([], reading('gapLeft', 40))).toMatchObject({ code: 'out-of-range' })
  })

  it('refuses a screw turned past its end, and says how much is left', () => {
    const error = refused([reading('leftScrewIn', 5.5)], turn('leftScrew', 1))
    expect(error).toMatchObject({ code: 'past-its-end', field: 'amount' })
    expect(error?.message).toContain('½ turn')
    expect(refused([reading('leftScrewIn', 5.5)], turn('leftScrew', 0.5))).toBeUndefined()
    expect(refused([], turn('leftScrew', 7))).toMatchObject({ code: 'past-its-end' })
  })

  // What a hand can do: nobody turns a hundred-thousandth, a click is felt whole, no cable is 700 mm too long, no wrench shows less than a tenth.
  it('refuses what no hand does, and says what would be accepted', () => {
    expect(refused([], turn('barrel', 5e-324))).toMatchObject({ message: expect.stringMatching(/no hand.*0.01 turns/) })
    expect(refused([], turn('anchor', 50))).toBeUndefined()
    expect(refused([turn('anchor', 50)], turn('anchor', 50))).toMatchObject({
      message: expect.stringMatching(/60.* in all/),
    })
    expect(refused([], { kind: 'torque', fastener: 'anchor', valueNm: 1e-300 })).toMatchObject({
      message: expect.stringMatching(/0.1 to 60 N·m/),
    })
    const disc: Hardware = { family: 'disc-fixed-pad', end: 'rear', dimensions: {} }
    const clicks = (amount: number, more = {}): EntryBody => ({
      kind: 'turn',
      adjuster: 'fixedPad',
      amount,
      unit: 'click',
      ...more,
    })
    expect(refusal([], clicks(0.37), disc)).toMatchObject({ message: expect.stringMatching(/whole clicks/) })
    expect(refusal([], clicks(1), disc)).toBeUndefined()
    expect(refusal([], clicks(1.4, { endReached: true }), disc)).toBeUndefined()
  })

  it('refuses anything on a released job', () => {
    expect(refused([...PROVEN, { kind: 'release', initials: '7' }], reading('gapLeft', 1))).toMatchObject({
      code: 'job-released',
    })
  })

  it('refuses release while something is open, and names it', () => {
    expect(refused(PREPARED, { kind: 'release', initials: '7' })).toMatchObject({
      code: 'not-ready',
      message: expect.stringContaining('everything in its window'),
    })
    expect(refused(PROVEN, { kind: 'release', initials: '7' })).toBeUndefined()
    expect(refused(PROVEN, { kind: 'release', initials: ' ' })).toMatchObject({ code: 'missing', field: 'initials' })
  })

  it.each([
    [{ kind: 'reading', reading: 'mood', value: 1, unit: 'mm' }, 'unknown-reading'],
    [{ kind: 'reading', reading: 'gapLeft', value: 1, unit: 'in' }, 'wrong-unit'],
    [{ kind: 'reading', reading: 'firstTouch', value: 3, unit: '' }, 'not-a-choice'],
    [{ kind: 'turn', adjuster: 'nose', amount: 1, unit: 'turn' }, 'unknown-adjuster'],
    [{ kind: 'turn', adjuster: 'anchor', amount: 1, unit: 'turn' }, 'wrong-unit'],
    [{ kind: 'turn', adjuster: 'anchor', amount: 100, unit: 'mm' }, 'out-of-range'],
    [{ kind: 'turn', adjuster: 'barrel', amount: 0, unit: 'turn' }, 'out-of-range'],
    [{ kind: 'confirm', step: 'tea' }, 'unknown-step'],
    [{ kind: 'confirm', step: 'wheel-true' }, 'needs-readings'],
    [{ kind: 'skip', step: 'spin', reason: ' ' }, 'reason-missing'],
    [{ kind: 'swap', part: 'rider', to: 'new' }, 'unknown-part'],
    [{ kind: 'swap', part: 'school.bite', to: 'guess' }, 'unknown-school'],
    [{ kind: 'torque', fastener: 'anchor', valueNm: 0 }, 'out-of-range'],
    [{ kind: 'note', text: '' }, 'out-of-range'],
    [{ kind: 'correction', strikes: 'nothing' }, 'unknown-entry'],
  ] as const)('refuses %j as %s', (body, code) => {
    expect(refused([], body as EntryBody)).toMatchObject({ code })
  })

  it('strikes an entry once', () => {
    const log: readonly EntryBody[] = [reading('gapLeft', 1), { kind: 'correction', strikes: 'entry-1' }]
    expect(refused(log, { kind: 'correction', strikes: 'entry-1' })).toMatchObject({ code: 'already-struck' })
    expect(refused(log, { kind: 'correction', strikes: 'entry-2' })).toBeUndefined()
  })
})

describe('a brake that comes back', () => {
  it('starts from what its last visit taught', () => {
    const visit = written(
      ...PREPARED,
      ...measured(0.2, 2.4, 7),
      turn('leftScrew', 1),
      confirm('squeezes', 10),
      ...measured(0.4, 2.2, 10),
      turn('leftScrew', 1),
      confirm('squeezes', 10),
      ...measured(0.7, 1.9, 15),
    )
    const known = { complaints: [], visits: [{ hardware: HARDWARE, entries: visit }] }
    const again = expectOk(openJob(HARDWARE, [], known))
    const learnt = learntFrom(again)
    expect(learnt['leftScrew.effect']?.mean).toBeLessThan(-0.1)
    // A brake of another family taught nothing of this one.
    const other = { ...known, visits: [{ hardware: { ...HARDWARE, family: 'drum' }, entries: visit }] }
    expect(learntFrom(expectOk(openJob(HARDWARE, [], other)))).toEqual({})
    const index = again.belief.layout.unknowns.findIndex((each) => each.id === 'leftScrew.effect')
    expect(again.belief.mean[index]).toBeCloseTo(learnt['leftScrew.effect']?.mean ?? 0, 6)
  })

  it('the lever’s reach in the log is the reach of the windows', () => {
    expect(job(reading('leverReach', 50)).dimensions.leverReachMm).toBe(50)
    expect(job(reading('leverReach', 50), { kind: 'correction', strikes: 'entry-1' }).dimensions.leverReachMm).toBe(60)
  })
})
