import type { Disturbance, FamilyModel } from '../families/family.ts'
import type { Entry } from '../stand/entries.ts'
import type { StandState } from '../stand/fold.ts'
import { findReading } from '../stand/readings.ts'

type Touch = 'left' | 'right' | 'both'

/** The log as the belief reads it: what moved, what settled, what was seen. */
export type Happening =
  | { readonly kind: 'turn'; readonly adjuster: number; readonly amount: number }
  | { readonly kind: 'squeeze'; readonly times: number }
  | { readonly kind: 'disturbance'; readonly disturbance: Disturbance }
  | { readonly kind: 'new-cable' }
  | {
      readonly kind: 'seen'
      readonly entryId: string
      readonly reading: number
      readonly value: number
      readonly sd: number
    }
  | { readonly kind: 'touch'; readonly entryId: string; readonly first: Touch }

/** A share of the reading’s own scatter that the model itself cannot explain, per reading unit. */
const MODEL_SD: Readonly<Record<string, number>> = { gapLeft: 0.05, gapRight: 0.05, biteTravel: 0.5, reserve: 1 }

const isTouch = (value: number | string): value is Touch => value === 'left' || value === 'right' || value === 'both'

const CONFIRMED: Readonly<Record<string, Disturbance>> = {
  'wheel-seated': 'wheel',
  'mount-fitted': 'pads',
  'shoes-loosened': 'pads',
  'anchor-loosened': 'cable',
  'mount-loosened': 'mount',
}
const SWAPPED: Readonly<Record<string, Disturbance>> = {
  wheel: 'wheel',
  pads: 'pads',
  brake: 'pads',
  lever: 'cable',
  housing: 'cable',
}

const disturbed = (disturbance: Disturbance | undefined): Happening | undefined =>
  disturbance && { kind: 'disturbance', disturbance }

function happeningOf(entry: Entry, model: FamilyModel): Happening | undefined {
  if (entry.kind === 'turn') {
    const adjuster = model.adjusters.findIndex((each) => each.id === entry.adjuster)
    return adjuster < 0 ? undefined : { kind: 'turn', adjuster, amount: entry.amount }
  }
  if (entry.kind === 'confirm') {
    if (entry.step === 'squeezes' || entry.step === 'hard-squeezes')
      return { kind: 'squeeze', times: entry.count ?? 10 }
    return disturbed(CONFIRMED[entry.step])
  }
  if (entry.kind === 'swap') {
    if (entry.part === 'cable') return { kind: 'new-cable' }
    return disturbed(SWAPPED[entry.part])
  }
  if (entry.kind !== 'reading') return undefined
  if (entry.reading === 'firstTouch' && isTouch(entry.value))
    return { kind: 'touch', entryId: entry.id, first: entry.value }
  const reading = model.readings.indexOf(entry.reading)
  const spec = findReading(entry.reading)
  if (reading < 0 || !spec || typeof entry.value !== 'number') return undefined
  const sd = Math.hypot(spec.sd, MODEL_SD[entry.reading] ?? 0)
  return { kind: 'seen', entryId: entry.id, reading, value: entry.value, sd }
}

/** Found askew and then square, the caliper was turned on its bolt in between. */
const squared = (entry: Entry, before: Entry | undefined): boolean =>
  entry.kind === 'reading' && before?.kind === 'reading' && before.value === 'askew' && entry.value === 'square'

/** Standing entries only, and no reading that was overtaken by somebody else's turn. */
export function timeline(model: FamilyModel, state: StandState): readonly Happening[] {
  const overtaken = new Set(state.line.filter((each) => each.overtakenBy).map((each) => each.entry.id))
  let sits: Entry | undefined
  return state.standing.flatMap((entry): readonly Happening[] => {
    if (entry.kind === 'reading' && entry.reading === 'caliperSits') {
      const turned = squared(entry, sits)
      sits = entry
      return turned ? [{ kind: 'disturbance', disturbance: 'mount' }] : []
    }
    const happening = overtaken.has(entry.id) ? undefined : happeningOf(entry, model)
    return happening ? [happening] : []
  })
}
