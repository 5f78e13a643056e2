import { randomUUID } from 'node:crypto'
import { CALCULATIONS } from '@overhaul/core/calculations/registry'
import { PART_KINDS } from '@overhaul/core/drawer/kinds'
import type { Random } from '@overhaul/core/simulate/random'
import { FAMILIES } from '@overhaul/core/workshop/families'

type Json = null | boolean | number | string | readonly Json[] | { readonly [name: string]: Json }

const WILD: readonly Json[] = [
  null,
  true,
  '',
  ' ',
  0,
  -1,
  1e308,
  5e-324,
  0.1 + 0.2,
  2 ** 53,
  'x'.repeat(3000),
  '\u0000',
  '\u202e',
  '\ud800',
  'e\u0301',
  '=1+1',
  '../../x',
  '%00',
  '2026-02-31',
  '10:00+05:00',
  '2026-01-01T00:00:00+14:00',
  '9999-12-31T23:59:59Z',
  '__proto__',
  'constructor',
  'NaN',
  "'; --",
  [],
  {},
  [[[[[[]]]]]],
  { toString: 1 },
  [null],
]

const pick = <T>(random: Random, among: readonly T[]): T => among[Math.floor(random.uniform(0, among.length))] as T

const wildText = (random: Random): string =>
  String(
    pick(
      random,
      WILD.filter((each) => typeof each !== 'object'),
    ),
  )

/** As an address can carry it: half a surrogate becomes the mark of what cannot be read. */
const wellFormed = (text: string): string => Buffer.from(text, 'utf8').toString('utf8')

/** The same with one of its places changed, left out or doubled, somewhere within. */
function changed(random: Random, value: Json): Json {
  if (Array.isArray(value)) {
    if (value.length === 0 || random.chance(0.1)) return [...value, ...value, pick(random, WILD)]
    const k = Math.floor(random.uniform(0, value.length))
    return value.map((each, index) => (index === k ? changed(random, each) : each))
  }
  if (value !== null && typeof value === 'object') {
    const names = Object.keys(value)
    if (names.length === 0 || random.chance(0.12)) return { ...value, [wildText(random)]: pick(random, WILD) }
    const name = pick(random, names)
    if (random.chance(0.2)) return Object.fromEntries(Object.entries(value).filter(([each]) => each !== name))
    return { ...value, [name]: changed(random, (value as { [name: string]: Json })[name] as Json) }
  }
  if (typeof value === 'number' && random.chance(0.4)) return value * pick(random, [-1, 0, 1e3, 1e-3, 1e12, 1.0001])
  return pick(random, WILD)
}

/** A request as it is to be sent. */
export interface Asked {
  readonly method: string
  readonly path: string
  readonly body?: Json | undefined
  readonly text?: string
  readonly headers?: Readonly<Record<string, string>>
}

/** What exists on the server, so that most requests are nearly right. */
export interface Known {
  readonly bicycles: readonly string[]
  readonly brakes: readonly string[]
  readonly jobs: readonly string[]
  readonly parts: readonly string[]
}

const AT = '2026-03-01T09:00:00.000Z'
const entry = (body: { readonly [name: string]: Json }): Json => ({ id: randomUUID(), at: AT, by: '3', ...body })

const ENTRIES: readonly { readonly [name: string]: Json }[] = [
  { kind: 'reading', reading: 'gapLeft', value: 1.2, unit: 'mm', instrument: 'feeler' },
  { kind: 'reading', reading: 'firstTouch', value: 'left', unit: '' },
  { kind: 'reading', reading: 'biteTravel', value: 20, unit: 'mm' },
  { kind: 'turn', adjuster: 'leftScrew', amount: 0.5, unit: 'turn', endReached: true },
  { kind: 'turn', adjuster: 'fixedPad', amount: -2, unit: 'click', from: { contact: 'ear' } },
  { kind: 'swap', part: 'pads', to: 'new pads' },
  { kind: 'confirm', step: 'wheel-seated', well: false },
  { kind: 'confirm', step: 'squeezes', count: 10 },
  { kind: 'skip', step: 'pads-sound', reason: 'seen yesterday' },
  {
    kind: 'plan',
    plan: 'mount',
    to: 'as it is',
    parts: [{ id: 'a', name: 'washer', count: 1 }],
    acknowledged: ['x'],
    figures: { a: 1 },
  },
  { kind: 'route', segments: [{ kind: 'housing', lengthMm: 300, bendDeg: 90 }] },
  { kind: 'torque', fastener: 'anchor', valueNm: 6, instrument: 'wrench' },
  { kind: 'figure', fastener: 'anchor', lowNm: 5, highNm: 7 },
  { kind: 'estimate', minutes: 20, cost: 30, currency: 'EUR' },
  { kind: 'spent', minutes: 20, labour: 30, currency: 'EUR', parts: [{ name: 'inner', count: 1, price: 2 }] },
  { kind: 'run', phase: 'before', direction: 'out', speedKmh: 20, distanceM: 6, loadKg: 90, surface: 'dry' },
  { kind: 'correction', strikes: randomUUID(), why: 'misread' },
  { kind: 'note', text: 'seen' },
  { kind: 'release', initials: 'A', lookAgain: '2026-09-01' },
  { kind: 'close', initials: 'A', why: 'worn' },
  { kind: 'park', why: 'hub bearings' },
]

const SEARCHES: readonly (readonly [string, string])[] = [
  ['limit', '20'],
  ['after', '3'],
  ['q', 'hire'],
  ['sort', 'name'],
  ['brakeId', '1'],
  ['part', 'open'],
  ['state', 'open'],
  ['family', 'drum'],
  ['station', 'wheel'],
  ['epoch', '1'],
  ['unit', 'in'],
  ['paper', 'letter'],
  ['whole', 'true'],
  ['dryRun', 'true'],
]

function search(random: Random): string {
  const chosen = SEARCHES.filter(() => random.chance(0.12)).map(([name, value]): [string, string] => {
    const wild = random.chance(0.5) ? pick(random, WILD) : value
    return [random.chance(0.05) ? wildText(random) : name, typeof wild === 'string' ? wild : JSON.stringify(wild)]
  })
  return chosen.length === 0 ? '' : `?${new URLSearchParams(chosen.map(([k, v]) => [wellFormed(k), wellFormed(v)]))}`
}

const hardware = (random: Random, atEnd = true): Json => {
  const family = pick(random, FAMILIES)
  const measured = family.dimensions.filter(() => random.chance(0.2))
  return {
    family: family.id,
    ...(atEnd && { end: pick(random, ['front', 'rear']) }),
    dimensions: Object.fromEntries(
      measured.map(({ id, book }) => [
        id,
        { value: book, provenance: 'measured', instrument: 'rule', since: AT, by: '3' },
      ]),
    ),
    ...(random.chance(0.3) && { serial: 'x', traits: { rider: 'hire' } }),
  }
}

const oneOf = (random: Random, ids: readonly string[]): string =>
  random.chance(0.06) || ids.length === 0 ? encodeURIComponent(wellFormed(wildText(random))) : pick(random, ids)

const CSV = 'kind,name,count,at\r\ninner,inner 1.6,3,12\r\nsleeve-nut,10 mm,2,\r\n'

/** Every route, nearly right. */
export const ROUTES: readonly ((random: Random, known: Known) => Asked)[] = [
  () => ({ method: 'GET', path: 'health' }),
  (r) => ({ method: 'GET', path: `bicycles${search(r)}` }),
  () => ({
    method: 'POST',
    path: 'bicycles',
    body: { id: randomUUID(), name: 'Fuzz 07', description: 'x' },
  }),
  (r, k) => ({ method: 'GET', path: `bicycles/${oneOf(r, k.bicycles)}` }),
  (r, k) => ({
    method: 'PATCH',
    path: `bicycles/${oneOf(r, k.bicycles)}`,
    body: { name: 'Fuzz', description: 'x', retired: false },
  }),
  (r, k) => ({
    method: 'PUT',
    path: `bicycles/${oneOf(r, k.bicycles)}/ends/${r.chance(0.9) ? pick(r, ['front', 'rear']) : 'side'}`,
    body: { brakeId: r.chance(0.3) ? null : randomUUID(), hardware: hardware(r, false) },
  }),
  (r) => ({ method: 'GET', path: `brakes${search(r)}` }),
  (r, k) => ({ method: 'POST', path: 'brakes', body: { bicycleId: oneOf(r, k.bicycles), hardware: hardware(r) } }),
  (r, k) => ({
    method: 'PATCH',
    path: `brakes/${oneOf(r, k.brakes)}`,
    body: {
      changes: [
        { dimension: 'leverReachMm', value: 70, provenance: 'measured', instrument: 'rule', since: AT, by: '3' },
      ],
    },
  }),
  (r) => ({ method: 'GET', path: `jobs${search(r)}` }),
  (r, k) => ({
    method: 'POST',
    path: 'jobs',
    body: { id: randomUUID(), brakeId: oneOf(r, k.brakes), complaint: 'rubs', work: 'check', by: '3' },
  }),
  (r, k) => ({ method: 'GET', path: `jobs/${oneOf(r, k.jobs)}` }),
  (r, k) => ({ method: 'GET', path: `jobs/${oneOf(r, k.jobs)}/next` }),
  (r, k) => ({ method: 'GET', path: `jobs/${oneOf(r, k.jobs)}/entries${search(r)}` }),
  (r, k) => ({ method: 'POST', path: `jobs/${oneOf(r, k.jobs)}/entries`, body: entry(pick(r, ENTRIES)) }),
  (r, k) => ({
    method: 'POST',
    path: `jobs/${oneOf(r, k.jobs)}/entries`,
    body: ENTRIES.filter(() => r.chance(0.15)).map(entry),
  }),
  (r, k) => ({
    method: 'GET',
    path: `jobs/${oneOf(r, k.jobs)}/stream${search(r)}`,
    headers: { 'Last-Event-ID': r.chance(0.5) ? '2' : 'x' },
  }),
  (r, k) => ({ method: 'GET', path: `jobs/${oneOf(r, k.jobs)}/sheet.pdf${search(r)}` }),
  (r, k) => ({ method: 'GET', path: `jobs/${oneOf(r, k.jobs)}/handover.pdf${search(r)}` }),
  () => ({ method: 'GET', path: 'drawer' }),
  (r) => ({
    method: 'POST',
    path: 'drawer',
    body: {
      code: `F-${r.uniform(0, 1e6).toFixed(0)}`,
      kind: pick(r, PART_KINDS).id,
      name: 'inner',
      dimensions: { lengthMm: 1600 },
      count: 2,
      by: '3',
    },
  }),
  (r, k) => ({ method: 'PATCH', path: `drawer/${oneOf(r, k.parts)}`, body: { name: 'outer', price: 2, minimum: 3 } }),
  (r) => ({ method: 'GET', path: `drawer/moves${search(r)}` }),
  (r, k) => ({
    method: 'POST',
    path: 'drawer/moves',
    body: [{ id: randomUUID(), by: '3', partId: oneOf(r, k.parts), delta: -1, why: 'used' }],
  }),
  () => ({ method: 'GET', path: 'drawer/drawer.csv' }),
  (r) => ({
    method: 'POST',
    path: 'drawer/drawer.csv',
    text: r.chance(0.5) ? CSV : CSV.replace(/,/g, () => pick(r, [',', ';', '"', '\r', '\n', ',,'])),
    headers: { 'Content-Type': 'text/csv' },
  }),
  () => ({ method: 'GET', path: 'drawer/progress' }),
  () => ({ method: 'GET', path: 'door' }),
  () => ({ method: 'POST', path: 'door', body: { code: 'ABCD', device: 'bench' } }),
  (r) => ({ method: 'DELETE', path: `door/devices/${oneOf(r, ['1'])}` }),
  () => ({ method: 'DELETE', path: 'door/codes' }),
  () => ({ method: 'GET', path: 'workshop' }),
  () => ({
    method: 'PUT',
    path: 'workshop',
    body: { name: 'Fuzz', address: '1 Lane', telephone: '01632 960000' },
  }),
  () => ({ method: 'GET', path: 'calculations' }),
  (r) => ({
    method: 'GET',
    path: `calculations/${oneOf(
      r,
      CALCULATIONS.map(({ id }) => id),
    )}${search(r)}`,
  }),
  (r) => {
    const { id, inputs } = pick(r, CALCULATIONS)
    const middle = (input: { readonly min?: number; readonly max?: number }) =>
      ((input.min ?? 0) + (input.max ?? 10)) / 2
    return {
      method: 'POST',
      path: `calculations/${id}`,
      body: Object.fromEntries(
        Object.entries(inputs).map(([name, input]) => [name, middle(input as { min?: number; max?: number })]),
      ),
    }
  },
  (r) => ({ method: 'GET', path: `tags/${oneOf(r, ['A1', 'A2'])}` }),
  (r) => ({ method: 'GET', path: `rack${search(r)}` }),
  () => ({ method: 'GET', path: 'families' }),
  (r) => ({ method: pick(r, ['GET', 'POST', 'PUT', 'DELETE']), path: wellFormed(wildText(r)) }),
]

/** A request over any route. Half of the changed ones are changed in more than one place; one in six is left as it is. */
export function askedOf(random: Random, known: Known): Asked {
  const right = pick(random, ROUTES)(random, known)
  if (right.body === undefined || random.chance(1 / 6)) return right
  let body = right.body
  do body = changed(random, body)
  while (random.chance(0.5))
  return { ...right, body }
}
