import type { Kit } from '@overhaul/core/brake/kit'
import type { ReadingSpec } from '@overhaul/core/brake/reading'
import { STATIONS } from '@overhaul/core/brake/station'
import { asksFor } from '@overhaul/core/brake/step'
import { type Fault, type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { type LengthUnit, parseQuantity, shownUnit } from '@overhaul/core/quantity/quantity'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { showParts } from '@overhaul/core/stand/show'
import { upper } from '@overhaul/core/stand/words'

/** What a finger can aim at, in canonical units. */
export const stepOf = (spec: ReadingSpec): number => (spec.unit === 'turn' ? 0.25 : spec.sd >= 1 ? 1 : 0.1)

/** The nearest step to a dragged or nudged value, inside what is accepted. */
export const roundToHand = (value: number, spec: ReadingSpec): number => {
  const step = stepOf(spec)
  return Math.min(spec.max, Math.max(spec.min, Math.round(value / step) * step))
}

/** A draft as the entry it would be, or why it cannot be read. */
export function draftBody(kit: Kit, reading: string, text: string, length: LengthUnit): Outcome<EntryBody> {
  if (kit.seeing(reading)) return ok({ kind: 'reading', reading, value: text, unit: '' })
  const spec = kit.reading(reading)
  if (!spec) return refuse('unknown-reading', 'reading', `This brake has no reading “${reading}”.`)
  const value = parseQuantity(text, shownUnit(spec.unit, length), spec.title)
  return value.ok
    ? ok({ kind: 'reading', reading, value: value.value, unit: spec.unit, instrument: spec.instrument })
    : value
}

/** A value as a draft's text, in the workshop's unit and to what the instrument resolves. */
export function writeDraft(kit: Kit, spec: ReadingSpec, value: number, length: LengthUnit): string {
  return spec.unit === 'turn' ? String(value) : showParts(kit, spec.id, value, length).number.replace('−', '-')
}

export interface Read {
  /** What can be read, by its reading, in the order it was typed. */
  readonly ready: readonly { readonly reading: string; readonly body: EntryBody }[]
  readonly bad: Readonly<Record<string, Fault>>
}

/** Everything typed as the entries it would be; one that cannot be read holds up only itself. */
export function readDrafts(kit: Kit, text: Readonly<Record<string, string>>, length: LengthUnit): Read {
  const ready: { reading: string; body: EntryBody }[] = []
  const bad: Record<string, Fault> = {}
  for (const [reading, draft] of Object.entries(text)) {
    if (draft.trim() === '') continue
    const body = draftBody(kit, reading, draft, length)
    if (body.ok) ready.push({ reading, body: body.value })
    else bad[reading] = body.error
  }
  return { ready, bad }
}

/** What may be written of what is ready, `first` before it; the rest by what stands against it. */
export function sift(
  { ready, bad }: Read,
  first: readonly EntryBody[],
  check: (bodies: readonly EntryBody[]) => { readonly index: number; readonly error: Fault } | undefined,
): Read & { readonly stopped?: Fault } {
  const taken = [...ready]
  const refused = { ...bad }
  for (;;) {
    const against = taken.length === 0 ? undefined : check([...first, ...taken.map(({ body }) => body)])
    if (!against) return { ready: taken, bad: refused }
    const [out] = against.index < first.length ? [] : taken.splice(against.index - first.length, 1)
    if (!out) return { ready: [], bad: refused, stopped: against.error }
    refused[out.reading] = against.error
    // Well by itself and refused beside another: either may be the one misread, so neither is written.
    if (check([...first, out.body])) continue
    for (const other of [...taken])
      if (check([...first, other.body, out.body])) {
        refused[other.reading] = against.error
        taken.splice(taken.indexOf(other), 1)
      }
  }
}

/** What is wrong with drafts, each by its name and the station it is taken at. */
export const sayBad = (kit: Kit, bad: Read['bad']): string =>
  Object.entries(bad)
    .map(([reading, { message }]) => `${upper(kit.title(reading))}${stationOf(kit, reading)}: ${message}`)
    .join(' ')

/** Where it is asked for, or where its gauge stands. */
function stationOf({ steps, gauges }: Kit, reading: string): string {
  const step = steps.find((step) => asksFor(step).includes(reading))
  const station = STATIONS.find(({ id }) => (step ? id === step.station : gauges(id).includes(reading)))
  return station ? ` (${station.title})` : ''
}
