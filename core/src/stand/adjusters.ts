import type { BrakeModel } from '../brake/model.ts'
import type { Entry } from './entries.ts'

/** How far an adjuster has been turned in this job and what is known of its ends. */
export interface AdjusterState {
  readonly id: string
  /** Net amount in this job, and how far it went either way. */
  readonly turned: number
  readonly lowest: number
  readonly highest: number
  /** From its lower end, if its position was ever told or an end was felt. */
  readonly position: number | undefined
  /** How much further it can go each way; infinite where nothing is known to limit it. */
  readonly roomDown: number
  readonly roomUp: number
}

type AdjusterLike = BrakeModel['adjusters'][number]

const withRoom = (spec: AdjusterLike, at: Omit<AdjusterState, 'id' | 'roomDown' | 'roomUp'>): AdjusterState => {
  const travel = spec.travel ?? Infinity
  const { position, turned, lowest, highest } = at
  const spread = highest - lowest
  return {
    id: spec.id,
    ...at,
    roomDown: position ?? travel - spread + (turned - lowest),
    roomUp: position === undefined ? travel - spread + (highest - turned) : travel - position,
  }
}

/** One that nothing is known of yet. */
export const untouched = (spec: AdjusterLike): AdjusterState =>
  withRoom(spec, { turned: 0, lowest: 0, highest: 0, position: undefined })

/** An adjuster after one entry more. */
export function moved(spec: AdjusterLike, at: AdjusterState, entry: Entry): AdjusterState {
  if (entry.kind === 'reading')
    return entry.reading === spec.positionReading && typeof entry.value === 'number'
      ? withRoom(spec, { ...at, position: entry.value })
      : at
  if (entry.kind !== 'turn' || entry.adjuster !== spec.id) return at
  const travel = spec.travel ?? Infinity
  // However far it was wound in before contact, only what came back from it is known.
  const { turned: before, lowest, highest, position: stood } = entry.from ? untouched(spec) : at
  const turned = before + entry.amount
  const tried = entry.amount === 0 ? entry.tried : entry.amount
  const position =
    entry.endReached && tried
      ? tried > 0
        ? travel
        : 0
      : stood === undefined
        ? undefined
        : Math.min(travel, Math.max(0, stood + entry.amount))
  return withRoom(spec, { turned, lowest: Math.min(lowest, turned), highest: Math.max(highest, turned), position })
}

/** Where the adjusters of a brake stand after all of these. */
export const adjustersIn = (model: BrakeModel, standing: readonly Entry[]): Readonly<Record<string, AdjusterState>> =>
  Object.fromEntries(
    model.adjusters.map((spec) => [spec.id, standing.reduce((at, entry) => moved(spec, at, entry), untouched(spec))]),
  )
