import type { Part } from '../../drawer/part.ts'

/** A part to be used, at hand in the drawer. */
export type Stock = readonly Part[]

const M6_MM = 6
const M6_PITCH_MM = 1
const SLEEVE_MM = 8
/** A washer whose hollow is this far off the face still seats on it. Our choice. */
const SEAT_MM = 2
/** Flatter than this a face needs no hollow. Our choice. */
const FLAT_MM = 60
/** Washers looked at for one place; those that seat best come first. */
const MOST_WASHERS = 8

export const isCurved = (curveMm: number): boolean => curveMm > 0 && curveMm < FLAT_MM

const size = (part: Part, id: string): number => part.dimensions[id] ?? Number.NaN
const clearsBolt = (part: Part) => size(part, 'holeMm') >= M6_MM && size(part, 'holeMm') <= SLEEVE_MM + 0.5

/** Parts alike in what matters, one of each. */
function oneOfEach(parts: readonly Part[], key: (part: Part) => string): readonly Part[] {
  return [...new Map([...parts].reverse().map((part) => [key(part), part])).values()].reverse()
}

/** Concave washers for a face, those that seat best first; a flat face takes none. */
export function washersFor(stock: Stock, curveMm: number): readonly (Part | undefined)[] {
  if (!isCurved(curveMm)) return [undefined]
  const off = (part: Part) => Math.abs(size(part, 'radiusMm') - curveMm)
  const seating = stock
    .filter((part) => part.kind === 'concave-washer' && part.count > 0 && clearsBolt(part) && off(part) <= SEAT_MM)
    .sort((a, b) => off(a) - off(b) || size(a, 'thicknessMm') - size(b, 'thicknessMm') || a.code.localeCompare(b.code))
  return oneOfEach(seating, (part) => `${size(part, 'thicknessMm')} ${off(part).toFixed(1)}`).slice(0, MOST_WASHERS)
}

/** Flat washers that slide over an M6 bolt, thinnest first. */
export function flatWashers(stock: Stock): readonly Part[] {
  const fitting = stock
    .filter(
      (part) =>
        part.kind === 'flat-washer' && part.count > 0 && size(part, 'holeMm') >= M6_MM && size(part, 'holeMm') < 7,
    )
    .sort((a, b) => size(a, 'thicknessMm') - size(b, 'thicknessMm') || a.code.localeCompare(b.code))
  return oneOfEach(fitting, (part) => `${size(part, 'thicknessMm')}`).slice(0, MOST_WASHERS)
}

export const hexNuts = (stock: Stock): readonly Part[] =>
  oneOfEach(
    stock.filter(
      (part) =>
        part.kind === 'hex-nut' &&
        part.count > 0 &&
        size(part, 'threadMm') === M6_MM &&
        size(part, 'pitchMm') === M6_PITCH_MM,
    ),
    (part) => `${size(part, 'heightMm')}`,
  )

export const sleeveNuts = (stock: Stock): readonly Part[] =>
  oneOfEach(
    stock.filter(
      (part) =>
        part.kind === 'sleeve-nut' &&
        part.count > 0 &&
        size(part, 'threadMm') === M6_MM &&
        Math.abs(size(part, 'outerMm') - SLEEVE_MM) <= 0.1,
    ),
    (part) => `${size(part, 'shankMm')} ${size(part, 'threadDepthMm')} ${part.material}`,
  )

/** Engagement wanted over the diameter: one in steel, two in aluminium (common practice). */
export const engagementFactor = (nut: Part): number => (nut.material === 'aluminium' ? 2 : 1)

export const thickness = (part: Part | undefined): number => (part ? size(part, 'thicknessMm') : 0)

/** What a sleeve nut meets on its way in. */
export interface Recess {
  readonly boltOutMm: number
  readonly threadedMm: number
  readonly depthMm: number
  /** Wall the nut’s tip must stay clear of; 0 in a solid mount, where the recess ends with the nut. */
  readonly frontWallMm: number
}

export interface SleeveChoice {
  readonly front: Part | undefined
  readonly rear: Part | undefined
  readonly nut: Part
}

/** A nut with what is asked of it in the loops, taken out once. */
const measuredNut = (nut: Part) => ({
  nut,
  shank: size(nut, 'shankMm'),
  thread: size(nut, 'threadDepthMm'),
  wanted: engagementFactor(nut) * M6_MM,
})

/** Both washers of every pair that can be laid: two of a kind only where there are two. */
function washerPairs(stock: Stock, curves: { front: number; rear: number }) {
  const fronts = washersFor(stock, curves.front)
  const rears = washersFor(stock, curves.rear)
  return fronts.flatMap((front) =>
    rears.flatMap((rear) =>
      front && front === rear && front.count < 2
        ? []
        : [{ front, rear, frontMm: thickness(front), rearMm: thickness(rear) }],
    ),
  )
}

/**
 * The sleeve nut and washers that hold by the most thread; undefined where the drawer has none that do.
 * The inner test mirrors the calculation `sleeve-nut`, which then works the choice.
 */
export function bestSleeve(
  stock: Stock,
  { boltOutMm, threadedMm, depthMm, frontWallMm }: Recess,
  curves: { front: number; rear: number },
): SleeveChoice | undefined {
  let best: SleeveChoice | undefined
  let held = 0
  const nuts = sleeveNuts(stock).map(measuredNut)
  for (const { front, rear, frontMm, rearMm } of washerPairs(stock, curves)) {
    for (const { nut, shank, thread, wanted } of nuts) {
      const tip = frontMm + depthMm + rearMm - shank
      const overlap = boltOutMm - tip
      const clear = depthMm + rearMm - shank - frontWallMm
      if (overlap <= held || overlap < wanted || overlap > thread || clear < 0 || boltOutMm - threadedMm > tip) continue
      held = overlap
      best = { front, rear, nut }
    }
  }
  return best
}

export interface ThroughChoice {
  readonly front: Part | undefined
  readonly rear: Part | undefined
  readonly flat: Part
  readonly nut: Part
}

/** Threads a neat bolt shows beyond its nut. Common practice. */
const NEAT_THREADS = 2

/** Nut and washers for a bolt right through, showing nearest to two threads; undefined where none clamps. */
export function bestThrough(
  stock: Stock,
  bolt: { readonly boltOutMm: number; readonly threadedMm: number; readonly depthMm: number },
  curves: { front: number; rear: number },
): ThroughChoice | undefined {
  let best: ThroughChoice | undefined
  let nearest = Number.POSITIVE_INFINITY
  const nuts = hexNuts(stock).map((nut) => ({ nut, height: size(nut, 'heightMm') }))
  const flats = flatWashers(stock).map((flat) => ({ flat, flatMm: thickness(flat) }))
  for (const { front, rear, frontMm, rearMm } of washerPairs(stock, curves)) {
    for (const { flat, flatMm } of flats) {
      const clamped = bolt.depthMm + (frontMm + rearMm + flatMm)
      if (bolt.boltOutMm - bolt.threadedMm > clamped) continue
      const over = bolt.boltOutMm - clamped
      for (const { nut, height } of nuts) {
        const showing = (over - height) / M6_PITCH_MM
        const off = Math.abs(showing - NEAT_THREADS)
        if (showing < 1 || off >= nearest) continue
        nearest = off
        best = { front, rear, flat, nut }
      }
    }
  }
  return best
}

/** Shank lengths (mm) of a steel sleeve nut that would hold, given its thread; undefined where none would. */
export function holdingShanks(
  recess: Recess,
  washers: { readonly frontMm: number; readonly rearMm: number },
  threadDepthMm: number,
): readonly [number, number] | undefined {
  const stack = washers.frontMm + recess.depthMm + washers.rearMm
  const low = stack - recess.boltOutMm + M6_MM
  const high = Math.min(
    stack - recess.boltOutMm + threadDepthMm,
    recess.depthMm + washers.rearMm - recess.frontWallMm,
    stack - Math.max(0, recess.boltOutMm - recess.threadedMm),
  )
  return low <= high && high > 0 ? [Math.max(1, low), high] : undefined
}
