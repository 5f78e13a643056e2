import { expect, it } from 'vitest'
import { expectOk } from '../../outcome/outcome.ts'
import type { Entry, EntryBody, EntryKind } from '../../stand/entries.ts'
import { confirm, HARDWARE, PREPARED, reading, turn, written } from '../../testing/stand.ts'
import { openStand } from '../../workshop/open.ts'
import { admit, asksNext } from './admit.ts'

/** One of each kind; a release that is struck is released anew when the strike is struck. */
const ONE: Readonly<Record<EntryKind, EntryBody>> = {
  reading: reading('gapLeft', 1.2),
  turn: turn('barrel', 1),
  swap: { kind: 'swap', part: 'cable', to: 'new' },
  confirm: confirm('spin'),
  skip: { kind: 'skip', step: 'spin', reason: 'x' },
  plan: { kind: 'plan', plan: 'mount', to: 'x', parts: [], acknowledged: [] },
  route: { kind: 'route', segments: [{ kind: 'bare', lengthMm: 400 }] },
  torque: { kind: 'torque', fastener: 'anchor', valueNm: 7 },
  figure: { kind: 'figure', fastener: 'anchor', lowNm: 6, highNm: 8 },
  estimate: { kind: 'estimate', minutes: 30, cost: 12, currency: 'EUR' },
  spent: { kind: 'spent', minutes: 30, labour: 12, currency: 'EUR', parts: [] },
  run: { kind: 'run', phase: 'after', direction: 'out', speedKmh: 20, distanceM: 6 },
  correction: { kind: 'correction', strikes: 'entry-3' },
  note: { kind: 'note', text: 'x' },
  park: { kind: 'park', why: 'hub bearings' },
  complaint: { kind: 'complaint', signs: ['rubs'] },
  anew: { kind: 'anew' },
  release: { kind: 'release', initials: '7' },
  close: { kind: 'close', initials: '7', why: 'x' },
}

const RELEASED: readonly EntryBody[] = [
  ...PREPARED,
  { kind: 'release', initials: '7' },
  { kind: 'correction', strikes: `entry-${PREPARED.length + 1}` },
]
const OF_A_RELEASE: EntryBody = { kind: 'correction', strikes: `entry-${PREPARED.length + 2}` }

/** Whether judging an entry works out what there is to do next: that is the costly part. */
function askedFor(log: readonly EntryBody[], body: EntryBody): boolean {
  let asked = false
  const entry = written(...log, body).at(-1) as Entry
  admit(expectOk(openStand(HARDWARE, written(...log))), entry, () => {
    asked = true
    return { kind: 'sign' } as never
  })
  return asked
}

it.each(Object.values(ONE).filter((body) => !asksNext(body)))('a $kind is judged by how the brake stands', (body) => {
  for (const log of [[], PREPARED, RELEASED]) expect(askedFor(log, body)).toBe(false)
})

it.each([ONE.release, ONE.close, OF_A_RELEASE])('a $kind is judged by what there is to do next', (body) => {
  expect(asksNext(body)).toBe(true)
  expect(askedFor(RELEASED, body)).toBe(true)
})
