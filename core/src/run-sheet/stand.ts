import { routeDimensions } from '../cable/route.ts'
import type { Dimensions, Family, FamilyModel } from '../families/family.ts'
import { bookDimensions, findFamily } from '../families/registry.ts'
import { type Outcome, ok } from '../outcome/outcome.ts'
import type { Entry } from '../stand/entries.ts'
import { fold, lastReading, type StandState } from '../stand/fold.ts'
import { type Hardware, measuredDimensions } from '../stand/hardware.ts'
import { findReading } from '../stand/readings.ts'
import { type Windows, windowsFor } from '../stand/windows.ts'

/** A brake on the stand: its hardware, and its log folded. */
export interface Stand {
  readonly hardware: Hardware
  readonly family: Family
  readonly dimensions: Dimensions
  readonly model: FamilyModel
  readonly state: StandState
  readonly windows: Windows
}

/** The dimensions as the log has since measured them: some readings are dimensions of the hardware. */
export function dimensionsIn(family: Family, hardware: Hardware, entries: readonly Entry[]): Dimensions {
  const struck = new Set(entries.flatMap((entry) => (entry.kind === 'correction' ? [entry.strikes] : [])))
  const measured: Record<string, number> = {}
  for (const entry of entries) {
    if (entry.kind === 'route' && !struck.has(entry.id)) Object.assign(measured, routeDimensions(entry.segments))
    if (entry.kind !== 'reading' || typeof entry.value !== 'number' || struck.has(entry.id)) continue
    const dimension = findReading(entry.reading)?.dimension
    if (dimension) measured[dimension] = entry.value
  }
  return { ...bookDimensions(family, measuredDimensions(hardware)), ...measured }
}

let lastFit: { familyId: string; key: string; model: Outcome<FamilyModel> } | undefined

/** One model per set of dimensions: a screen asks for the same one at every keystroke. */
function fitOnce(family: Family, dimensions: Dimensions): Outcome<FamilyModel> {
  const key = JSON.stringify(dimensions)
  if (lastFit?.familyId !== family.id || lastFit.key !== key)
    lastFit = { familyId: family.id, key, model: family.fit(dimensions) }
  return lastFit.model
}

/** The stand as the log tells it. Refuses only hardware whose geometry cannot brake. */
export function openStand(hardware: Hardware, entries: readonly Entry[]): Outcome<Stand> {
  const family = findFamily(hardware.family)
  if (!family.ok) return family
  const dimensions = dimensionsIn(family.value, hardware, entries)
  const fitted = fitOnce(family.value, dimensions)
  if (!fitted.ok) return fitted
  const state = fold(fitted.value, entries)
  const windows = windowsFor(fitted.value, state.school, {
    lateralRunoutMm: lastReading(state, 'lateralRunout'),
    flexMm: dimensions.flexMm as number,
  })
  return ok({ hardware, family: family.value, dimensions, model: fitted.value, state, windows })
}
