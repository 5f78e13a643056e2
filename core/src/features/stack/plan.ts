import type { PlannedPart } from '../../brake/plan.ts'
import type { Worked } from '../../calculation/calculation.ts'
import type { Part } from '../../drawer/part.ts'
import { judgeStack, type Lies, type StackFigures, sitsOnPosts } from './fits.ts'
import { BOLT_MM, engagementIn, PITCH_MM, SPACING_NEAR_MM } from './limits.ts'
import type { StandsNow } from './measured.ts'
import { liftsThatFit } from './to-buy.ts'
import { type StackWayId, wayOf } from './ways.ts'

/** A part as it is laid: out of the drawer, on the bicycle already, or still to be bought. */
export interface Laid {
  readonly name: string
  readonly mm: number
  readonly from: 'bicycle' | 'drawer' | 'shop'
  readonly part?: Part
}

/** One way from mount to caliper, every part of it named and judged. */
export interface StackPlan {
  readonly key: string
  readonly way: StackWayId
  readonly state: 'ready' | 'buy'
  readonly bracket: Laid | undefined
  /** One under each ear, from the seat up. */
  readonly spacers: readonly Laid[]
  readonly caliperBolt: Laid
  readonly bracketBolt: Laid | undefined
  readonly figures: StackFigures
  readonly lies: Lies
  /** Pieces between mount and caliper. */
  readonly pieces: number
  readonly parts: readonly PlannedPart[]
  readonly worked: readonly Worked[]
}

const BOTH = 2
const MOST_LAYERS = 3
/** Spacers of different thickness looked at. */
const MOST_THICKNESSES = 14
/** Lengths an M6 bolt is bought in, mm (ISO 4762; 18 and 22 common on bicycles; from memory). */
const BOUGHT_MM = [10, 12, 14, 16, 18, 20, 22, 25, 30, 35, 40, 45, 50]
/** Clears an M6 bolt and does not wander on it, mm. Our choice. */
const SPACER_HOLE = { low: BOLT_MM, high: 7.5 } as const

const size = (part: Part, id: string): number => part.dimensions[id] ?? Number.NaN

/** One of each thickness: what is at hand before what must be bought. */
function spacersIn(stock: readonly Part[]): readonly Part[] {
  const usable = stock
    .filter(
      (part) =>
        (part.kind === 'spacer' || part.kind === 'flat-washer') &&
        size(part, 'holeMm') >= SPACER_HOLE.low &&
        size(part, 'holeMm') <= SPACER_HOLE.high,
    )
    .toSorted((a, b) => b.count - a.count)
  const each = new Map<number, Part>()
  for (const part of usable) {
    const thickness = size(part, 'thicknessMm')
    if (!each.has(thickness)) each.set(thickness, part)
  }
  return [...each.values()].slice(0, MOST_THICKNESSES)
}

/** Every choice of at most so many, the same one more than once allowed, none among them. */
function choices<T>(from: readonly T[], most: number): readonly (readonly T[])[] {
  let last: readonly { readonly chosen: readonly T[]; readonly at: number }[] = [{ chosen: [], at: 0 }]
  const all: (readonly T[])[] = [[]]
  for (let layer = 0; layer < most; layer += 1) {
    last = last.flatMap(({ chosen, at }) =>
      from.slice(at).map((each, index) => ({ chosen: [...chosen, each], at: at + index })),
    )
    all.push(...last.map(({ chosen }) => chosen))
  }
  return all
}

interface Base {
  readonly bracket: Laid | undefined
  readonly bracketMm: number
  readonly threadMm: number
  readonly metal: string
  readonly footMm?: number
}

/** What the caliper may stand on: its mount, the bracket that is on it, or one out of the drawer. */
function basesFor(now: StandsNow, stock: readonly Part[]): readonly Base[] {
  const own: readonly Base[] =
    now.bracketMm > 0 && now.bracketThreadMm !== undefined
      ? [
          {
            bracket: { name: 'the bracket that is on it', mm: now.bracketMm, from: 'bicycle' },
            bracketMm: now.bracketMm,
            threadMm: now.bracketThreadMm,
            metal: 'aluminium',
          },
        ]
      : []
  const brackets = stock
    .filter((part) => part.kind === 'bracket' && Math.abs(size(part, 'spacingMm') - now.spacingMm) <= SPACING_NEAR_MM)
    .map(
      (part): Base => ({
        bracket: { name: part.name, mm: size(part, 'riseMm'), from: part.count > 0 ? 'drawer' : 'shop', part },
        bracketMm: size(part, 'riseMm'),
        threadMm: size(part, 'threadDepthMm'),
        metal: part.material || 'aluminium',
        footMm: size(part, 'footMm'),
      }),
    )
  const straight: readonly Base[] = sitsOnPosts(now)
    ? [{ bracket: undefined, bracketMm: 0, threadMm: now.frameThreadMm, metal: now.frameMetal }]
    : []
  return [...straight, ...own, ...brackets]
}

/** What a bolt goes through and into, mm, and the thread wanted over its diameter. */
interface Seat {
  readonly clampedMm: number
  readonly threadDepthMm: number
  readonly factor: number
}

/** The bolts that hold: those at hand, those in the drawer, then lengths that can be bought. Mirrors `bolt-hold`, which then works the choice. */
const boltsFor = ({ clampedMm, threadDepthMm, factor }: Seat, bolts: readonly Laid[]): readonly Laid[] =>
  bolts.filter(
    ({ mm }) => mm - clampedMm <= threadDepthMm && Math.min(threadDepthMm, mm - clampedMm) >= factor * BOLT_MM,
  )

/** Bolts for both seats of which the drawer lacks least: the same ones hold in both only where there are enough. */
function pairOf(
  caliper: readonly Laid[],
  bracket: readonly Laid[],
  lacks: (laid: readonly Laid[]) => number,
): readonly [Laid, Laid] | undefined {
  const pairs = caliper.flatMap((one) => bracket.map((other) => [one, other] as const))
  return pairs.toSorted((a, b) => lacks(a) - lacks(b))[0]
}

function boltsIn(stock: readonly Part[], atHandMm: number | undefined): readonly Laid[] {
  const drawer = stock
    .filter((part) => part.kind === 'bolt' && size(part, 'threadMm') === BOLT_MM && size(part, 'pitchMm') === PITCH_MM)
    .map(
      (part): Laid => ({
        name: part.name,
        mm: size(part, 'underHeadMm'),
        from: part.count >= BOTH ? 'drawer' : 'shop',
        part,
      }),
    )
    .toSorted((a, b) => a.mm - b.mm)
  return [
    ...(atHandMm === undefined
      ? []
      : [{ name: `the bolts at hand, ${atHandMm} mm`, mm: atHandMm, from: 'bicycle' } as const]),
    ...drawer.filter(({ from }) => from === 'drawer'),
    ...drawer.filter(({ from }) => from === 'shop'),
    ...BOUGHT_MM.map((mm): Laid => ({ name: `M6 bolt, ${mm} mm`, mm, from: 'shop' })),
  ]
}

/** Parts of one name are told apart by what they are in the drawer. */
export const idOf = ({ part, name }: Laid): string => part?.id ?? name

/** What is taken or bought, the same part once with its count. */
function partsOf(laidParts: readonly { readonly laid: Laid; readonly count: number }[]): readonly PlannedPart[] {
  const counted = new Map<string, PlannedPart>()
  for (const { laid: each, count } of laidParts) {
    if (each.from === 'bicycle') continue
    const before = counted.get(idOf(each))
    counted.set(idOf(each), {
      name: each.name,
      count: (before?.count ?? 0) + count,
      ...(each.part && { partId: each.part.id }),
    })
  }
  return [...counted.values()]
}

/** A stack whose lift fits, before its bolts are looked for. */
interface Candidate {
  readonly base: Base
  readonly layers: readonly Laid[]
  readonly spacersMm: number
  readonly pieces: number
}

/** Everything that can be laid so that the body clears and the pads cover, by what it lifts alone. */
function candidatesFor(now: StandsNow, stock: readonly Part[]): readonly Candidate[] {
  const fits = liftsThatFit(now)
  if (!fits) return []
  const [low, high] = fits
  const spacers = spacersIn(stock).map(
    (part): Laid => ({
      name: part.name,
      mm: size(part, 'thicknessMm'),
      from: part.count >= BOTH ? 'drawer' : 'shop',
      part,
    }),
  )
  const under = choices(spacers, MOST_LAYERS)
  const own: Laid = { name: 'the spacers that are on it', mm: now.spacersMm, from: 'bicycle' }
  const stacks = (now.spacersMm > 0 ? [...under, ...under.map((each) => [own, ...each])] : under).map((layers) => ({
    layers,
    spacersMm: layers.reduce((sum, { mm }) => sum + mm, 0),
  }))
  return basesFor(now, stock).flatMap((base) =>
    stacks
      .filter(({ spacersMm }) => {
        const lift = base.bracketMm + spacersMm
        return lift >= low - NEAR && lift <= high + NEAR
      })
      .map((stack) => ({ base, ...stack, pieces: (base.bracket ? 1 : 0) + BOTH * stack.layers.length })),
  )
}

/** A hair’s breadth: what is rounded is judged whole after. */
const NEAR = 1e-6

/** A candidate with its bolts, judged whole; undefined where no bolt holds. */
function planOf(
  now: StandsNow,
  stock: readonly Part[],
  bolts: { readonly caliper: readonly Laid[]; readonly frame: readonly Laid[] },
  { base, layers, spacersMm, pieces }: Candidate,
): StackPlan | undefined {
  const caliperFactor = engagementIn(base.metal)
  const holding = boltsFor(
    { clampedMm: now.earMm + spacersMm, threadDepthMm: base.threadMm, factor: caliperFactor },
    bolts.caliper,
  )
  const inFrame =
    base.footMm === undefined
      ? undefined
      : boltsFor(
          { clampedMm: base.footMm, threadDepthMm: now.frameThreadMm, factor: engagementIn(now.frameMetal) },
          bolts.frame,
        )
  const lacks = (laid: readonly Laid[]) =>
    partsOf(laid.map((each) => ({ laid: each, count: BOTH }))).filter((each) => isShort(each, stock)).length
  const [caliperBolt, bracketBolt] = inFrame ? (pairOf(holding, inFrame, lacks) ?? []) : [holding[0], undefined]
  if (!caliperBolt || (inFrame && !bracketBolt)) return undefined
  const figures: StackFigures = {
    bracketMm: base.bracketMm,
    spacersMm,
    caliperBoltMm: caliperBolt.mm,
    caliperThreadMm: base.threadMm,
    caliperFactor,
    ...(bracketBolt && { bracketBoltMm: bracketBolt.mm, bracketFootMm: base.footMm as number }),
  }
  const judged = judgeStack(now, figures)
  if (!judged.ok) return undefined
  const parts = partsOf([
    ...(base.bracket ? [{ laid: base.bracket, count: 1 }] : []),
    ...layers.map((each) => ({ laid: each, count: BOTH })),
    { laid: caliperBolt, count: BOTH },
    ...(bracketBolt ? [{ laid: bracketBolt, count: BOTH }] : []),
  ])
  return {
    key: [base.bracket ? idOf(base.bracket) : 'mount', ...layers.map(idOf)].join(' + '),
    way: wayOf(figures),
    state: parts.some((each) => isShort(each, stock)) ? 'buy' : 'ready',
    bracket: base.bracket,
    spacers: layers,
    caliperBolt,
    bracketBolt,
    figures,
    lies: judged.value.lies,
    pieces,
    parts,
    worked: judged.value.worked,
  }
}

/**
 * Stacks that put the pads on the track, clear the body and hold by enough thread: the fewest pieces first, then what is
 * at hand, then the pads nearest to the middle of the track. None that covers too little or touches is among them.
 * At most as many as are asked for; more pieces are only looked at while there are fewer.
 */
export function planStacks(now: StandsNow, stock: readonly Part[], most = MOST_PLANS): readonly StackPlan[] {
  const candidates = candidatesFor(now, stock)
  const bolts = { caliper: boltsIn(stock, now.boltMm), frame: boltsIn(stock, undefined) }
  const plans: StackPlan[] = []
  for (const pieces of [...new Set(candidates.map((each) => each.pieces))].toSorted((a, b) => a - b)) {
    if (plans.length >= most) break
    plans.push(...candidates.flatMap((each) => (each.pieces === pieces ? (planOf(now, stock, bolts, each) ?? []) : [])))
  }
  const bought = (plan: StackPlan) => plan.parts.filter((each) => isShort(each, stock)).length
  const off = ({ lies }: StackPlan) => Math.abs(lies.padEdgeMm - (now.trackAfterMm - now.padHeightMm) / 2)
  return plans.toSorted((a, b) => a.pieces - b.pieces || bought(a) - bought(b) || off(a) - off(b)).slice(0, most)
}

/** As many as a hand looks through. */
const MOST_PLANS = 8

/** More is wanted of it than the drawer holds. */
const isShort = ({ partId, count }: PlannedPart, stock: readonly Part[]): boolean =>
  (stock.find(({ id }) => id === partId)?.count ?? 0) < count
