import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import {
  confirm,
  HARDWARE,
  KIT,
  MODEL,
  measured,
  PREPARED,
  reading,
  refusal,
  seen,
  turn,
  written,
} from '../testing/stand.ts'
import { openStand } from '../workshop/open.ts'
import type { Entry, EntryBody } from './entries.ts'
import { fold } from './fold.ts'
import { inOrder } from './log-order.ts'

const folded = (...bodies: readonly EntryBody[]) => fold(KIT, MODEL, written(...bodies))

describe('the log', () => {
  it('keeps the last reading and remembers the earlier ones', () => {
    const state = folded(reading('gapLeft', 1.2), reading('gapLeft', 1.5), reading('gapLeft', 1.1))
    expect(state.readings.gapLeft?.value).toBe(1.1)
    expect(state.earlier.gapLeft).toEqual([1.2, 1.5])
  })

  it('a struck entry never happened; striking the strike brings it back', () => {
    const strike = { kind: 'correction', strikes: 'entry-2' } as const
    const struck = folded(reading('gapLeft', 1.2), reading('gapLeft', 9), strike)
    expect(struck.readings.gapLeft?.value).toBe(1.2)
    expect(struck.line[1]?.struckBy?.id).toBe('entry-3')
    const back = folded(reading('gapLeft', 1.2), reading('gapLeft', 9), strike, {
      kind: 'correction',
      strikes: 'entry-3',
    })
    expect(back.readings.gapLeft?.value).toBe(9)
  })

  it('a turn struck and a turn turned back are not the same thing', () => {
    const never = folded(turn('leftScrew', 0.5), { kind: 'correction', strikes: 'entry-1' })
    const back = folded(turn('leftScrew', 0.5), turn('leftScrew', -0.5))
    expect(never.adjusters.leftScrew?.turned).toBe(0)
    expect(back.adjusters.leftScrew?.turned).toBe(0)
    expect(never.standing.filter((entry) => entry.kind === 'turn')).toHaveLength(0)
    expect(back.standing.filter((entry) => entry.kind === 'turn')).toHaveLength(2)
  })

  it('gives the same stand whatever order entries arrive in: the seq decides', () => {
    const log = written(...PREPARED, ...measured(1, 2, 20), turn('leftScrew', 0.5), ...measured(1.3, 1.7, 21))
    const shuffled = [...log].sort((a, b) => a.id.localeCompare(b.id))
    expect(fold(KIT, MODEL, shuffled)).toEqual(fold(KIT, MODEL, log))
  })

  it('puts entries still waiting to be sent behind those that were', () => {
    const [first, second] = written(reading('gapLeft', 1), reading('gapLeft', 2)) as [Entry, Entry]
    const { seq: _, ...waiting } = first
    expect(inOrder([waiting as Entry, second]).map((each) => each.id)).toEqual(['entry-2', 'entry-1'])
  })
})

describe('what must be looked at again', () => {
  it('a turn makes gaps, bite and the proofs recheck, and names the cause', () => {
    const state = folded(...PREPARED, ...measured(1, 2, 20), seen('spin', 'free'), turn('leftScrew', 0.5))
    expect(state.readings.gapLeft).toMatchObject({ status: 'recheck', cause: 'left screw turned' })
    expect(state.readings.biteTravel?.status).toBe('recheck')
    expect(state.readings.spin?.status).toBe('recheck')
    expect(state.readings.lateralRunout?.status).toBe('current')
    expect(state.confirmed['pads-tight']?.status).toBe('current')
  })

  it('a wheel seated again unsettles everything measured on it', () => {
    const state = folded(...PREPARED, ...measured(1, 2, 20), confirm('wheel-seated'))
    for (const id of ['wheelOffset', 'lateralRunout', 'gapLeft', 'biteTravel']) {
      expect(state.readings[id]).toMatchObject({ status: 'recheck', cause: 'the wheel was seated again' })
    }
    expect(state.readings.leverReach?.status).toBe('current')
  })

  it('hard squeezes ask for another look at the gaps: cables settle', () => {
    const state = folded(...PREPARED, ...measured(1, 1, 20), confirm('hard-squeezes', 10))
    expect(state.readings.gapRight?.status).toBe('recheck')
    expect(state.confirmed['hard-squeezes']?.status).toBe('current')
  })

  it('a measurement taken before somebody else’s turn was seen teaches nothing', () => {
    const log = written(...measured(1, 2, 20), turn('leftScrew', 0.5), reading('gapLeft', 1.1)).map((entry, index) =>
      index < 3 ? entry : index === 3 ? { ...entry, by: '2', device: 'b' } : { ...entry, basedOn: 3, device: 'a' },
    )
    const state = fold(KIT, MODEL, log)
    expect(state.readings.gapLeft?.status).toBe('recheck')
    expect(state.line.at(-1)?.overtakenBy?.id).toBe('entry-4')
  })

  it('one’s own turn and reading sent together are not overtaken', () => {
    const log = written(turn('leftScrew', 0.5), reading('gapLeft', 1.1)).map((entry) => ({
      ...entry,
      device: 'a',
      basedOn: 0,
    }))
    expect(fold(KIT, MODEL, log).readings.gapLeft?.status).toBe('current')
  })
})

describe('ends of travel', () => {
  it('are known once the position was counted', () => {
    const state = folded(reading('leftScrewIn', 2), turn('leftScrew', 1.5))
    expect(state.adjusters.leftScrew).toMatchObject({ position: 3.5, roomDown: 3.5, roomUp: 2.5 })
  })

  it('are known once an end was felt', () => {
    const state = folded(turn('rightScrew', 1.25), { ...turn('rightScrew', 0.5), endReached: true } as EntryBody)
    expect(state.adjusters.rightScrew).toMatchObject({ position: 6, roomUp: 0 })
  })

  it('bound what is left even while the position is unknown', () => {
    const state = folded(turn('leftScrew', 4))
    expect(state.adjusters.leftScrew).toMatchObject({ position: undefined, roomUp: 2, roomDown: 6 })
  })

  it('both felt, say how far it goes whatever the book has; what was really turned is taken all the same', () => {
    const far = { ...turn('leftScrew', -0.5), endReached: true } as EntryBody
    const back = { ...turn('leftScrew', 1.5), endReached: true } as EntryBody
    const { leftScrew } = folded(far, back).adjusters
    expect(leftScrew).toMatchObject({ position: 1.5, leftDown: 1.5, leftUp: 0 })
    expect(leftScrew?.roomUp).toBeGreaterThan(1)
  })

  it('felt at an anchor bound it too, until another cable is in', () => {
    const out = { ...turn('anchor', 2), unit: 'mm', endReached: true } as EntryBody
    expect(folded(out).adjusters.anchor).toMatchObject({ position: undefined, leftUp: 0 })
    expect(folded(out, { kind: 'swap', part: 'cable', to: 'new' }).adjusters.anchor?.leftUp).toBe(Infinity)
  })
})

describe('an end that was tried', () => {
  const end = (more: object): EntryBody => ({
    kind: 'turn',
    adjuster: 'leftScrew',
    amount: 0,
    unit: 'turn',
    endReached: true,
    ...more,
  })
  const position = (...bodies: readonly EntryBody[]) =>
    fold(KIT, MODEL, written(...bodies)).adjusters.leftScrew?.position

  it('nothing moved: the end is the one the hand tried, and without that no end is taught', () => {
    expect(position(end({ tried: 0.5 }))).toBe(6)
    expect(position(end({ tried: -0.5 }))).toBe(0)
    expect(position(end({}))).toBeUndefined()
  })

  it('is told only where nothing moved', () => {
    expect(refusal([], end({ tried: 0.5 }))).toBeUndefined()
    expect(refusal([], end({ amount: 0.5, tried: 0.5 }))?.field).toBe('tried')
  })
})

describe('an undo that was undone', () => {
  // One rule everywhere: what stands again stands in the readings and in the model’s own dimensions alike.
  it('gives screen and model the same value', () => {
    const boss = { kind: 'reading', reading: 'leverReach', value: 72, unit: 'mm' } as const
    const log = written(boss, { kind: 'correction', strikes: 'entry-1' }, { kind: 'correction', strikes: 'entry-2' })
    const stand = expectOk(openStand(HARDWARE, log))
    expect(stand.state.readings.leverReach?.value).toBe(72)
    expect(stand.dimensions.leverReachMm).toBe(72)
    expect(stand.model.throw.lever.reachMm).toBe(72)
    const struck = expectOk(openStand(HARDWARE, log.slice(0, 2)))
    expect(struck.state.readings.leverReach).toBeUndefined()
    expect(struck.dimensions.leverReachMm).toBe(60)
  })
})
