import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STATIONS } from '../brake/station.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { EntryBody } from '../stand/entries.ts'
import {
  confirm,
  HARDWARE,
  KIT,
  measured,
  PREPARED,
  reading,
  SOUND,
  seen,
  turn,
  WHEEL,
  written,
} from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'
import { runLine, stationInHand } from './line.ts'
import { sheetOf } from './status.ts'

const job = (bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...bodies)))

const anyBody: fc.Arbitrary<EntryBody> = fc.oneof(
  fc.constantFrom(...KIT.steps.filter((each) => each.done.kind === 'confirmed').map((each) => confirm(each.id))),
  fc
    .constantFrom('leftScrew', 'rightScrew', 'barrel', 'anchor')
    .chain((id) => fc.constantFrom(-0.5, 0.5, 1).map((amount) => turn(id, amount))),
  fc
    .constantFrom('gapLeft', 'gapRight')
    .chain((id) => fc.double({ min: 0, max: 3, noNaN: true }).map((value) => reading(id, value))),
  fc.double({ min: 5, max: 40, noNaN: true }).map((value) => reading('biteTravel', value)),
  fc.double({ min: 0, max: 1.5, noNaN: true }).map((value) => reading('lateralRunout', value)),
  fc.constantFrom<EntryBody>({ kind: 'swap', part: 'pads', to: 'new' }, { kind: 'swap', part: 'cable', to: 'new' }),
  fc.constant<EntryBody>({ kind: 'skip', step: 'spin', reason: 'no wheel' }),
)
const anyLog = fc.array(anyBody, { maxLength: 25 })

describe('nothing stays done on stale ground', () => {
  it('after any turn no gap, bite or proof is still current, whatever came before', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const { state } = job([...log, turn('leftScrew', 0.25)])
        for (const id of ['gapLeft', 'gapRight', 'biteTravel', 'reserve', 'spin'])
          expect(state.readings[id]?.status).not.toBe('current')
        expect(state.confirmed['walk-test']?.status).not.toBe('current')
      }),
    )
  })

  it('every recheck names its cause', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const at = job(log)
        const { state, advice } = at
        for (const each of [...Object.values(state.readings), ...Object.values(state.confirmed)]) {
          if (each.status === 'recheck') expect(each.cause?.length).toBeGreaterThan(3)
        }
        for (const each of sheetOf(at, advice)) if (each.state === 'recheck') expect(each.cause).toBeTruthy()
      }),
    )
  })

  it('next is always the first thing not settled, and signing comes only when all else is', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const at = job([...PREPARED, ...log])
        const { advice, next } = at
        const open = sheetOf(at, advice).filter((each) => each.state !== 'done' && each.state !== 'skipped')
        expect(next.step.id).toBe(open[0]?.step.id)
        if (next.kind === 'sign') expect(open.map((each) => each.step.id)).toEqual(['release'])
      }),
    )
  })
})

describe('what each change unsettles', () => {
  const ready = [...PREPARED, ...measured(1, 1, 20), reading('reserve', 25), seen('spin', 'free')]
  const stale = (...after: readonly EntryBody[]) => {
    const { state } = job([...ready, ...after])
    const facts = { ...state.readings, ...state.confirmed }
    return Object.entries(facts)
      .filter(([, each]) => each.status === 'recheck')
      .map(([id]) => id)
      .sort()
  }

  // Handbook, in working order: an upstream change makes everything that depended on it recheck.
  it.each<[string, EntryBody, readonly string[]]>([
    [
      'pads replaced',
      { kind: 'swap', part: 'pads', to: 'new' },
      [
        'biteTravel',
        'gapLeft',
        'gapRight',
        'hard-squeezes',
        'padArc',
        'padCompound',
        'padEdgeLeft',
        'padEdgeRight',
        'padFace',
        'padLeft',
        'padRight',
        'padTall',
        'pads-tight',
        'reserve',
        'shoeLeft',
        'shoeRight',
        'spin',
        'toeLeft',
        'toeRight',
      ],
    ],
    [
      'cable replaced',
      { kind: 'swap', part: 'cable', to: 'new' },
      [
        'barrelOut',
        'biteTravel',
        'cable-clamped',
        'cable-run',
        'cableFeel',
        'cableLined',
        'gapLeft',
        'gapRight',
        'guideBoot',
        'guidePipe',
        'hard-squeezes',
        'innerAnchor',
        'innerHead',
        'reserve',
        'spin',
        'untouched',
      ],
    ],
    ['barrel turned', turn('barrel', 1), ['biteTravel', 'gapLeft', 'gapRight', 'reserve', 'spin']],
    // A loosened clamp has lost its tightness, and what was judged by it.
    [
      'cable let out at the anchor',
      turn('anchor', 1),
      ['biteTravel', 'cable-clamped', 'gapLeft', 'gapRight', 'hard-squeezes', 'reserve', 'spin'],
    ],
    [
      'a shoe loosened',
      confirm('shoes-loosened'),
      [
        'biteTravel',
        'gapLeft',
        'gapRight',
        'hard-squeezes',
        'padArc',
        'padEdgeLeft',
        'padEdgeRight',
        'pads-tight',
        'reserve',
        'shoeLeft',
        'shoeRight',
        'spin',
        'toeLeft',
        'toeRight',
      ],
    ],
    ['lever reach measured again', reading('leverReach', 58), ['reserve']],
    ['a note', { kind: 'note', text: 'chain oiled' }, []],
    ['squeezed to settle', confirm('squeezes', 10), []],
    ['runout measured again', reading('lateralRunout', 0.5), []],
  ])('%s', (_, body, expected) => {
    expect(stale(body)).toEqual(expected)
  })

  it('a wheel seated again unsettles its own readings too', () => {
    expect(stale(confirm('wheel-seated'))).toEqual(
      [
        'biteTravel',
        'gapLeft',
        'gapRight',
        'hub-play',
        'lateralRunout',
        'radialRunout',
        'reserve',
        'spin',
        'wheelOffset',
      ].sort(),
    )
  })
})

describe('the run line', () => {
  it('has every station once, in working order', () => {
    const fresh = job([])
    expect(runLine(fresh, fresh.advice).map((each) => each.id)).toEqual(STATIONS.map((each) => each.id))
  })

  it('shows a wheel out of true, what was skipped as settled, a released job as done', () => {
    const marks = (bodies: readonly EntryBody[]) => {
      const at = job(bodies)
      return Object.fromEntries(runLine(at, at.advice).map((each) => [each.id, each.mark]))
    }
    expect(
      marks([
        ...WHEEL.slice(0, 3),
        reading('lateralRunout', 1.8),
        reading('radialRunout', 0.2),
        reading('wheelOffset', 0),
      ]).wheel,
    ).toBe('high')
    const skip: EntryBody = { kind: 'skip', step: 'barrel-left', reason: 'counted last week' }
    const done = [...SOUND.filter((body) => !(body.kind === 'reading' && body.reading === 'barrelOut')), skip]
    expect(marks(done)).toMatchObject({ cable: 'in', prove: 'in', release: 'unmeasured' })
    expect(marks([...done, { kind: 'release', initials: '3' }])).toMatchObject({ release: 'in' })
  })

  it('a turn with the bite in its window is a matter of centring', () => {
    const centring = job([...PREPARED, ...measured(0.3, 2.2, 18)])
    expect(centring.next.kind).toBe('turn')
    expect(stationInHand(centring.next, centring)).toBe('centre')
    const biting = job([...PREPARED, ...measured(2.4, 2.4, 40)])
    expect(stationInHand(biting.next, biting)).toBe('bite')
    expect(stationInHand(job([]).next, job([]))).toBe('wheel')
  })
})

describe('the run line says what is the matter', () => {
  const causeAt = (bodies: readonly EntryBody[], id: string) => {
    const at = job(bodies)
    return runLine(at, at.advice).find((each) => each.id === id)?.cause
  }
  it('a late bite is late, in figures', () => {
    expect(causeAt([...PREPARED, ...measured(1, 1, 34)], 'bite')).toMatch(/^bite 34 mm, at most \d+ mm$/)
    expect(causeAt([...PREPARED, ...measured(0.2, 1.4, 20)], 'centre')).toMatch(/^gap left 0\.2 mm, at least 0\.\d mm$/)
  })

  it('what was answered not well is in its own words', () => {
    const worn = WHEEL.map((body) =>
      body.kind === 'reading' && body.reading === 'wearLine' ? seen('wearLine', 'gone') : body,
    )
    expect(causeAt(worn, 'wheel')).toMatch(/^wear/)
    expect(causeAt([confirm('wheel-seated'), { kind: 'confirm', step: 'hub-play', well: false }], 'wheel')).toBe(
      'has play',
    )
  })
})
