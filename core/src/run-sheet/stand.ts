import { routeDimensions } from '../cable/route.ts'
import type { Dimensions, Family, FamilyModel, Here } from '../families/family.ts'
import { bookDimensions, findFamily, hereAt } from '../families/registry.ts'
import { type Outcome, ok } from '../outcome/outcome.ts'
import type { Entry } from '../stand/entries.ts'
import { fold, lastReading, lastSeen, type StandState } from '../stand/fold.ts'
import { type Hardware, measuredDimensions } from '../stand/hardware.ts'
import { findReading, findSeen } from '../stand/readings.ts'
import { type Windows, windowsFor } from '../stand/windows.ts'

/** A brake on the stand: its hardware, and its log folded. */
export interface Stand {
  readonly hardware: Hardware
  readonly family: Family
  readonly dimensions: Dimensions
  readonly here: Here
  readonly model: FamilyModel
  readonly state: StandState
  readonly windows: Windows
}

/** The hardware as the log has since measured and seen it: some readings are dimensions of it, some its traits. */
export function hardwareIn(
  family: Family,
  hardware: Hardware,
  entries: readonly Entry[],
): { readonly dimensions: Dimensions; readonly here: Here } {
  const struck = new Set(entries.flatMap((entry) => (entry.kind === 'correction' ? [entry.strikes] : [])))
  const measured: Record<string, number> = {}
  const traits: Record<string, string> = { ...hardware.traits }
  for (const entry of entries) {
    if (struck.has(entry.id)) continue
    if (entry.kind === 'route') Object.assign(measured, routeDimensions(entry.segments))
    if (entry.kind !== 'reading') continue
    const dimension = findReading(entry.reading)?.dimension
    if (dimension && typeof entry.value === 'number') measured[dimension] = entry.value
    const trait = findSeen(entry.reading)?.trait
    if (trait) traits[trait] = String(entry.value)
  }
  return {
    dimensions: { ...bookDimensions(family, measuredDimensions(hardware), hardware.end), ...measured },
    here: hereAt(family, hardware.end, traits),
  }
}

let lastFit: { familyId: string; key: string; model: Outcome<FamilyModel> } | undefined

/** One model per set of dimensions: a screen asks for the same one at every keystroke. */
function fitOnce(family: Family, dimensions: Dimensions, here: Here): Outcome<FamilyModel> {
  const key = JSON.stringify([dimensions, here])
  if (lastFit?.familyId !== family.id || lastFit.key !== key)
    lastFit = { familyId: family.id, key, model: family.fit(dimensions, here) }
  return lastFit.model
}

/** The stand as the log tells it. Refuses only hardware whose geometry cannot brake. */
export function openStand(hardware: Hardware, entries: readonly Entry[]): Outcome<Stand> {
  const family = findFamily(hardware.family)
  if (!family.ok) return family
  const { dimensions, here } = hardwareIn(family.value, hardware, entries)
  const fitted = fitOnce(family.value, dimensions, here)
  if (!fitted.ok) return fitted
  const state = fold(fitted.value, entries)
  const windows = windowsFor(fitted.value, state.school, {
    lateralRunoutMm: lastReading(state, 'lateralRunout'),
    flexMm: dimensions.flexMm as number,
    rimMaterial: lastSeen(state, 'rimMaterial'),
    rimMarkMm: lastReading(state, 'rimMark'),
    rotorMarkMm: lastReading(state, 'rotorMark'),
  })
  return ok({ hardware, family: family.value, dimensions, here, model: fitted.value, state, windows })
}
