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
  /** What it was turned by in all where an end was felt: both felt, they say how far it goes, whatever the book has. */
  readonly felt: { readonly low?: number; readonly high?: number }
  /** How much further it can go each way at most; infinite where nothing is known to limit it. */
  readonly roomDown: number
  readonly roomUp: number
  /** The same by the ends this hand felt: what is told keeps to them, while what was really turned is taken. */
  readonly leftDown: number
  readonly leftUp: number
}

type AdjusterLike = BrakeModel['adjusters'][number]

type Moved = Omit<AdjusterState, 'id' | 'roomDown' | 'roomUp' | 'leftDown' | 'leftUp'>

const withRoom = (spec: AdjusterLike, at: Moved): AdjusterState => {
  const travel = spec.travel ?? Infinity
  const { position, turned, lowest, highest, felt } = at
  const spread = highest - lowest
  const roomDown = position ?? travel - spread + (turned - lowest)
  const roomUp = position === undefined ? travel - spread + (highest - turned) : travel - position
  return {
    id: spec.id,
    ...at,
    roomDown,
    roomUp,
    leftDown: felt.low === undefined ? roomDown : Math.max(0, turned - felt.low),
    leftUp: felt.high === undefined ? roomUp : Math.max(0, felt.high - turned),
  }
}

/** One that nothing is known of yet. */
export const untouched = (spec: AdjusterLike): AdjusterState =>
  withRoom(spec, { turned: 0, lowest: 0, highest: 0, position: undefined, felt: {} })

/** It was to float and does not: nothing moved. */
export const doesNotSlide = ({ endReached, from }: Pick<Entry & { kind: 'turn' }, 'endReached' | 'from'>): boolean =>
  endReached === true && from?.contact === 'float'

/** The end at which it stood; what does not slide goes neither way. */
function endOf(entry: Entry & { kind: 'turn' }): 'low' | 'high' | 'both' | undefined {
  const { amount, tried, endReached } = entry
  if (!endReached) return undefined
  if (doesNotSlide(entry)) return 'both'
  const way = amount === 0 ? tried : amount
  return way === undefined ? undefined : way > 0 ? 'high' : 'low'
}

/** An adjuster after one entry more. */
export function moved(spec: AdjusterLike, at: AdjusterState, entry: Entry): AdjusterState {
  if (entry.kind === 'reading')
    return entry.reading === spec.positionReading && typeof entry.value === 'number'
      ? withRoom(spec, { ...at, position: entry.value })
      : at
  // With another cable or part it may go further than it did.
  if (entry.kind === 'swap') return withRoom(spec, { ...at, felt: {} })
  if (entry.kind !== 'turn' || entry.adjuster !== spec.id) return at
  const travel = spec.travel ?? Infinity
  // However far it was wound in before contact, only what came back from it is known.
  const { turned: before, lowest, highest, position: stood, felt: feltBefore } = entry.from ? untouched(spec) : at
  const turned = before + entry.amount
  const end = endOf(entry)
  const felt = { ...feltBefore, ...(end === 'both' ? { low: turned, high: turned } : end && { [end]: turned }) }
  const gone = stood === undefined ? undefined : Math.min(travel, Math.max(0, stood + entry.amount))
  const own = felt.low === undefined ? travel : turned - felt.low
  const position = spec.travel === undefined ? undefined : end === 'low' ? 0 : end === 'high' ? own : gone
  return withRoom(spec, {
    turned,
    lowest: Math.min(lowest, turned),
    highest: Math.max(highest, turned),
    position,
    felt,
  })
}

/** Where the adjusters of a brake stand after all of these. */
export const adjustersIn = (model: BrakeModel, standing: readonly Entry[]): Readonly<Record<string, AdjusterState>> =>
  Object.fromEntries(
    model.adjusters.map((spec) => [spec.id, standing.reduce((at, entry) => moved(spec, at, entry), untouched(spec))]),
  )
