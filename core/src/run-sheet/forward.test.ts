import fc from 'fast-check'
import { expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import { confirm, HARDWARE, measured, PREPARED, reading, seen, turn, written } from '../testing/stand.ts'
import { openStand } from '../workshop/open.ts'
import { standAfter } from './stand.ts'

const BODIES: readonly EntryBody[] = [
  ...PREPARED,
  ...measured(1, 1.2, 20),
  turn('leftScrew', 0.5),
  turn('leftScrew', -0.25),
  { kind: 'turn', adjuster: 'barrel', amount: 2, unit: 'turn', endReached: true },
  { kind: 'turn', adjuster: 'barrel', amount: 0, unit: 'turn', endReached: true, tried: -1 },
  { kind: 'turn', adjuster: 'reachScrew', amount: 1, unit: 'turn' },
  reading('barrelOut', 3),
  reading('leverReach', 55),
  seen('frontHand', 'left'),
  confirm('shoes-loosened'),
  confirm('lever-loosened'),
  { kind: 'torque', fastener: 'lever clamp', valueNm: 5 },
  { kind: 'figure', fastener: 'anchor', lowNm: 6, highNm: 8 },
  { kind: 'skip', step: 'spin', reason: 'x' },
  { kind: 'swap', part: 'school.bite', to: 'gap 1.2' },
  { kind: 'swap', part: 'cable', to: 'new' },
  { kind: 'route', segments: [{ kind: 'housing', lengthMm: 480, bendDeg: 120, radiusMm: 80 }] },
  { kind: 'note', text: 'x' },
  { kind: 'correction', strikes: 'entry-3' },
  { kind: 'close', initials: '7', why: 'x' },
]

/** Entries of two hands, some written without having seen the last. */
const told = (bodies: readonly EntryBody[], hands: readonly number[], waiting = 0): readonly Entry[] =>
  written(...bodies).map(({ seq, ...entry }, index) => ({
    ...entry,
    // The last of them wait to be written: they have no place in the log yet.
    ...(index < bodies.length - waiting && { seq }),
    // Only what is there can be struck.
    ...(entry.kind === 'correction' && { strikes: `entry-${1 + ((hands[index] ?? 0) % Math.max(1, index))}` }),
    by: String((hands[index] ?? 0) % 2),
    basedOn: Math.max(0, index - ((hands[index] ?? 0) % 4)),
  }))

it('a stand read on entry by entry is the stand of them all', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...BODIES), { maxLength: 40 }),
      fc.array(fc.nat(7), { minLength: 40, maxLength: 40 }),
      fc.nat(6),
      (bodies, hands, waiting) => {
        const begins = bodies.findIndex(({ kind }) => kind !== 'correction')
        const log = begins < 0 ? [] : told(bodies.slice(begins), hands, waiting)
        let stand = expectOk(openStand(HARDWARE, []))
        for (const entry of log) stand = expectOk(standAfter(stand, entry))
        const whole = expectOk(openStand(HARDWARE, log))
        expect(stand.state).toEqual(whole.state)
        expect(stand.dimensions).toEqual(whole.dimensions)
        expect(stand.here).toEqual(whole.here)
        expect(stand.torques).toEqual(whole.torques)
        expect(stand.windows).toEqual(whole.windows)
      },
    ),
    { numRuns: 150 },
  )
})
