import { kitOf } from '../bench/kit.ts'
import { bookDimensions, type Dimensions, type Here, hereAt } from '../brake/dimension.ts'
import type { Family } from '../brake/family.ts'
import type { Kit } from '../brake/kit.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { OnStand } from '../brake/on-stand.ts'
import type { Span } from '../brake/reading.ts'
import type { Windows } from '../brake/window.ts'
import { routeDimensions } from '../features/cable/route.ts'
import { type Outcome, ok } from '../outcome/outcome.ts'
import type { Entry } from '../stand/entries.ts'
import { fold, foldOn, goesOn, lastReading, lastSeen, type StandState } from '../stand/fold.ts'
import { type Hardware, measuredDimensions } from '../stand/hardware.ts'
import type { Measured } from '../stand/history.ts'
import { standingIn } from '../stand/log-order.ts'
import { type CarriedReadings, carriedTo } from './carried.ts'
import { type Known, NOTHING_KNOWN } from './known.ts'

/** A brake on the stand: its hardware, and its log folded. */
export interface Stand extends OnStand {
  readonly hardware: Hardware
  readonly kit: Kit
  readonly state: StandState
  /** What there is to know of it beside its log. */
  readonly known: Known
}

/** The hardware as the log has since measured and seen it: some readings are dimensions of it, some its traits. */
export function hardwareIn(
  kit: Kit,
  hardware: Hardware,
  entries: readonly Entry[],
): { readonly dimensions: Dimensions; readonly here: Here } {
  const measured = Object.fromEntries(measuredIn(kit, entries).map(({ dimension, value }) => [dimension, value]))
  return {
    dimensions: { ...bookDimensions(kit.family, measuredDimensions(hardware), hardware.end), ...measured },
    here: hereAt(kit.family, hardware.end, { ...hardware.traits, ...traitsSeenIn(kit, entries) }),
  }
}

/** What a job saw of how the brake was built, to be handed to it: a later job need not ask again. */
export function traitsSeenIn(kit: Kit, entries: readonly Entry[]): Readonly<Record<string, string>> {
  const traits: Record<string, string> = {}
  for (const entry of standingIn(entries)) {
    const trait = entry.kind === 'reading' ? kit.seeing(entry.reading)?.trait : undefined
    if (entry.kind === 'reading' && trait) traits[trait] = String(entry.value)
  }
  return traits
}

/** The makers’ figures a job was told, to be handed to the brake; none where it was told none. */
export function figuresTold(entries: readonly Entry[]): Readonly<Record<string, Span>> | undefined {
  const told = standingIn(entries).flatMap((entry) => (entry.kind === 'figure' ? [entry] : []))
  return told.length > 0
    ? Object.fromEntries(told.map(({ fastener, lowNm, highNm }) => [fastener, { low: lowNm, high: highNm }]))
    : undefined
}

/** What a job measured of the hardware itself, to be handed to the brake: a later job has it. */
export function measuredIn(kit: Kit, entries: readonly Entry[]): readonly Measured[] {
  const own = new Set(kit.family.dimensions.map(({ id }) => id))
  return standingIn(entries).flatMap((entry): readonly Measured[] => {
    const told = { provenance: 'measured', since: entry.at, by: entry.by } as const
    if (entry.kind === 'route')
      return Object.entries(routeDimensions(entry.segments)).flatMap(([dimension, value]) =>
        own.has(dimension) && value !== undefined ? [{ dimension, value, ...told }] : [],
      )
    if (entry.kind !== 'reading' || typeof entry.value !== 'number') return []
    const dimension = kit.reading(entry.reading)?.dimension
    if (!dimension || !own.has(dimension)) return []
    return [{ dimension, value: entry.value, ...told, ...(entry.instrument && { instrument: entry.instrument }) }]
  })
}

let lastFit: { family: Family; key: string; model: Outcome<BrakeModel> } | undefined

/** One model per set of dimensions: a screen asks for the same one at every keystroke. */
function fitOnce(family: Family, dimensions: Dimensions, here: Here): Outcome<BrakeModel> {
  const key = JSON.stringify([dimensions, here])
  if (lastFit?.family !== family || lastFit.key !== key) lastFit = { family, key, model: family.fit(dimensions, here) }
  return lastFit.model
}

/** What a stand is put together from; its windows are made when they are first asked for, as most entries ask for none. */
function put(
  { hardware, family, kit, known }: Pick<Stand, 'hardware' | 'family' | 'kit' | 'known'>,
  { dimensions, here }: Pick<Stand, 'dimensions' | 'here'>,
  model: BrakeModel,
  state: StandState,
): Stand {
  const looked = { number: (id: string) => lastReading(state, id), seen: (id: string) => lastSeen(state, id) }
  let windows: Windows | undefined
  return {
    hardware,
    family,
    kit,
    known,
    dimensions,
    here,
    model,
    state,
    ...looked,
    schools: state.schools,
    route: state.route,
    plan: (id) => state.plans[id]?.value,
    fasteners: family.fasteners,
    torques: Object.fromEntries(
      Object.entries(state.torques).flatMap(([id, { value, status }]) => (status === 'current' ? [[id, value]] : [])),
    ),
    makers: { ...hardware.figures, ...state.makers },
    get windows() {
      windows ??= model.windows(state.schools, looked)
      return windows
    },
  }
}

let lastCarried: { known: Known; hardware: Hardware; carried: CarriedReadings } | undefined

/** What earlier visits left, worked out once for a job: it hangs on nothing that is written in it. */
function carriedOnce(family: Family, kit: Kit, hardware: Hardware, known: Known): CarriedReadings {
  if (known.visits.length === 0) return {}
  if (lastCarried?.known === known && lastCarried.hardware === hardware) return lastCarried.carried
  const built = hardwareIn(kit, hardware, [])
  const fitted = fitOnce(family, built.dimensions, built.here)
  const carried = fitted.ok
    ? carriedTo(family, kit, known, (found) =>
        put({ hardware, family, kit, known }, built, fitted.value, fold(kit, fitted.value, [], found)),
      )
    : {}
  lastCarried = { known, hardware, carried }
  return carried
}

/** The stand as the log tells it, for a brake of this family. Refuses only hardware whose geometry cannot brake. */
export function standOf(
  family: Family,
  hardware: Hardware,
  entries: readonly Entry[],
  known: Known = NOTHING_KNOWN,
): Outcome<Stand> {
  const kit = kitOf(family)
  const built = hardwareIn(kit, hardware, entries)
  const fitted = fitOnce(family, built.dimensions, built.here)
  if (!fitted.ok) return fitted
  const carried = carriedOnce(family, kit, hardware, known)
  return ok(put({ hardware, family, kit, known }, built, fitted.value, fold(kit, fitted.value, entries, carried)))
}

/** A stand with one entry more: where it goes on from what is there, only it is read. The same as `standOf` of them all. */
export function standAfter(stand: Stand, entry: Entry): Outcome<Stand> {
  const { family, hardware, kit, state, model } = stand
  if (!goesOn(state, entry))
    return standOf(family, hardware, [...state.line.map((each) => each.entry), entry], stand.known)
  const measured = measuredIn(kit, [entry])
  const traits = traitsSeenIn(kit, [entry])
  const changes = measured.length > 0 || Object.keys(traits).length > 0
  const built = changes
    ? {
        dimensions: {
          ...stand.dimensions,
          ...Object.fromEntries(measured.map(({ dimension, value }) => [dimension, value])),
        },
        here: { ...stand.here, traits: { ...stand.here.traits, ...traits } },
      }
    : stand
  const fitted = changes ? fitOnce(family, built.dimensions, built.here) : ok(model)
  if (!fitted.ok) return fitted
  return ok(put(stand, built, fitted.value, foldOn(kit, fitted.value, state, entry, fitted.value === model)))
}
