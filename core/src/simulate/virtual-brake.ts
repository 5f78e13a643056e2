import type { Dimensions } from '../brake/dimension.ts'
import { cablePull, gapAt, type Linkage, openingForGap, restOpening } from '../mechanics/linkage.ts'
import type { Outcome } from '../outcome/outcome.ts'
import { type Random, seededRandom } from './random.ts'
import type { StandIn } from './stand-in.ts'

/**
 * A brake that stands in for a real one: it hides how it truly answers and shows only what a gauge would.
 * It shares nothing with the belief but the geometry of its family, and is harsher than the belief assumes.
 */
export interface VirtualBrake extends StandIn {
  /** Pulls both pads to the rim and clamps with this much cable given back (mm). */
  readonly clampGivingBack: (cableMm: number) => void
  /** How it truly is, and its true readings. For judging, never for advice. */
  readonly hidden: Hidden
  readonly truth: () => TrueReadings
  /** The true readings it would have centred, with this much cable let out from contact (mm). For judging only. */
  readonly centredAt: (cableMm: number) => TrueReadings
  /** Readings as a gauge shows them: noisy, rounded, now and then misread. */
  readonly gauge: () => GaugeReadings
}

/** What nobody at the stand can see of a brake. */
export interface Hidden {
  /** Its dimensions as they are, lever included. */
  readonly dimensions: Dimensions
  readonly freePlayMm: number
  /** Its stiffness over what its family’s book says. */
  readonly stiffer: number
  readonly beddingMm: number
  readonly settleSqueezes: number
  readonly screws: Readonly<Record<string, HiddenScrew>>
}

export interface HiddenScrew {
  /** True effect over the book’s; below 0 where it works the other way. */
  readonly effect: number
  /** Lost motion on reversal, and how much of it is taken up to begin with; in its own unit. */
  readonly play: number
  readonly slack: number
  /** Change of its effect from the middle of its travel to an end, as a share. */
  readonly bend: number
  /** From its lower end; not a number where nothing limits it. */
  readonly position: number
}

/** How a brake stands when it comes to the bench: gaps apart by `differenceMm` (left less right). */
export type Start =
  /** `gaps`: none of them through the rim; `one`: the nearer pad as far past it as that comes to. */
  | { readonly kind: 'gaps' | 'one'; readonly meanMm: number; readonly differenceMm: number }
  /** Both pads on the rim, so much cable taken in past contact. */
  | { readonly kind: 'on'; readonly takenInMm: number; readonly differenceMm: number }
  /** First touch at this finger travel, were it centred. */
  | { readonly kind: 'bite'; readonly travelMm: number; readonly differenceMm: number }

/** How far brakes stray from the book: the geometry’s scatter times `geometry`, the screws’ own if it is given. */
export interface Scatter {
  readonly geometry: number
  readonly screw?: number
}

export type TrueReadings = {
  readonly gapLeft: number
  readonly gapRight: number
  readonly biteTravel: number
  readonly reserve: number
  readonly firstTouch: 'left' | 'right' | 'both'
}

export interface GaugeReadings {
  readonly shown: TrueReadings
  /** What each reading misread this time would have said; the mechanic finds out at the next measurement. */
  readonly misread: Partial<Record<keyof TrueReadings, number>>
}

/** What a family tells the simulator: its geometry, and which adjusters drive cable and balance. */
export interface VirtualSpec {
  /** Refuses a geometry that cannot brake: no such brake was ever fitted. */
  readonly linkage: (d: Dimensions) => Outcome<Linkage>
  readonly adjusters: Readonly<
    Record<
      string,
      {
        readonly drives: 'cable' | 'balance'
        readonly perUnit: number
        readonly travel?: number
        /** Works either way, as it was built. */
        readonly eitherWay?: true
        /** Hooked into a hole: no lost motion, and it settles at once. */
        readonly hooked?: true
        /** Scatter of its effect (log-normal), if it is not a screw's. */
        readonly scatter?: number
        /** Scatter of what it moves as it is tightened, in its own unit. */
        readonly clamped?: number
      }
    >
  >
  /** N/mm at the cable, if it is not a linear-pull brake's. */
  readonly stiffness?: number
  readonly scattered: Readonly<Record<string, number>>
}

/** The dimensions it has, drawn around the book’s until they are those of a brake. */
function scattered(spec: VirtualSpec, d: Dimensions, hidden: Random, times: number) {
  for (;;) {
    const drawn = Object.fromEntries(
      Object.entries(spec.scattered).map(([id, sd]) => [id, (d[id] as number) * Math.exp(hidden.normal(sd * times))]),
    )
    const own: Dimensions = { ...d, ...drawn }
    const linkage = spec.linkage(own)
    if (linkage.ok) return { own, linkage: linkage.value }
  }
}

/** The mean gap at which a difference between the gaps is turned into one between the arms, where the start names no gap. */
const APART_AT_MM = 2

const round = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(3))

export function virtualBrake(
  spec: VirtualSpec,
  d: Dimensions,
  seed: number,
  options: { readonly noiseSeed?: number; readonly start?: Start; readonly scatter?: Scatter } = {},
): VirtualBrake {
  const { geometry, screw: screwScatter = 0.35 } = options.scatter ?? { geometry: 1 }
  const hidden = seededRandom(seed)
  const noise = seededRandom((options.noiseSeed ?? seed) ^ 0x5bd1e995)
  const { own, linkage } = scattered(spec, d, hidden, geometry)
  const leverage = ((d.leverFingerArmMm as number) / (d.leverCableArmMm as number)) * Math.exp(hidden.normal(0.06))
  const freePlayMm = hidden.uniform(0.3, 2)
  const stiffer = Math.exp(hidden.normal(0.25))
  const stiffness = (spec.stiffness ?? 22) * stiffer
  const hardTensionN = hidden.uniform(130, 180)
  const beddingMm = hidden.uniform(0.4, 1.2)
  const settleSqueezes = hidden.uniform(2, 5)
  const screws = new Map(
    Object.entries(spec.adjusters).map(([id, each]) => {
      const play = each.drives === 'balance' && !each.hooked ? hidden.uniform(0.1, 0.35) : 0
      const screw = {
        ...each,
        effect:
          each.drives === 'balance'
            ? (each.eitherWay && hidden.chance(0.5) ? -1 : 1) * Math.exp(hidden.normal(each.scatter ?? screwScatter))
            : id === 'barrel'
              ? Math.exp(hidden.normal(0.03))
              : 1,
        play,
        bend: each.hooked || each.travel === undefined ? 0 : hidden.uniform(-0.12, 0.12),
        position:
          each.travel === undefined
            ? each.drives === 'balance'
              ? 0
              : Number.NaN
            : each.drives === 'balance'
              ? hidden.uniform(1, each.travel - 1)
              : hidden.uniform(0.5, 3),
        follower: 0,
      }
      return [id, screw] as [string, typeof screw]
    }),
  )
  for (const screw of screws.values()) screw.follower = screw.position - hidden.uniform(0, screw.play)
  const known: Hidden = {
    dimensions: { ...own, leverFingerArmMm: leverage * (d.leverCableArmMm as number) },
    freePlayMm,
    stiffer,
    beddingMm,
    settleSqueezes,
    screws: Object.fromEntries(
      [...screws].map(([id, { effect, play, follower, bend, position }]) => [
        id,
        { effect, play, slack: position - follower, bend, position },
      ]),
    ),
  }

  const meanGap = hidden.uniform(0.3, 3)
  const difference = hidden.uniform(-2.2, 2.2)
  const start = options.start ?? { kind: 'gaps', meanMm: meanGap, differenceMm: difference }
  const openingAt = (gap: number, side: 'left' | 'right') => openingForGap(linkage[side], Math.max(0.02, gap)) ?? 0
  const opening = (gap: number, side: 'left' | 'right') =>
    start.kind === 'one' && gap < 0 ? -openingAt(-gap, side) : openingAt(gap, side)
  const apart = (mean: number) => ({
    left: opening(mean + start.differenceMm / 2, 'left'),
    right: opening(mean - start.differenceMm / 2, 'right'),
  })
  const opened = apart('meanMm' in start ? start.meanMm : APART_AT_MM)
  let cableMm =
    'meanMm' in start
      ? cablePull(linkage, opened)
      : start.kind === 'on'
        ? -start.takenInMm
        : start.travelMm / leverage - freePlayMm
  let balanceRad = opened.left - opened.right
  let settledRad = balanceRad
  let squeezes = 0
  const bedded = () => beddingMm * (1 - 1 / (1 + squeezes / 6))

  const rest = (cable: number, balance: number) => {
    const raw = restOpening(linkage, cable, balance)
    const left = gapAt(linkage.left, raw.left)
    const right = gapAt(linkage.right, raw.right)
    return { raw, left: Math.max(0, left + Math.min(0, right)), right: Math.max(0, right + Math.min(0, left)) }
  }

  const readingsAt = (cable: number, balance: number): TrueReadings => {
    const { raw, left, right } = rest(cable, balance)
    const first = Math.max(0, Math.min(raw.left, raw.right))
    const toBoth = cablePull(linkage, raw)
    const toFirst = toBoth - cablePull(linkage, { left: raw.left - first, right: raw.right - first })
    const firstTouch = Math.abs(left - right) < 0.12 ? 'both' : left < right ? 'left' : 'right'
    return {
      gapLeft: left,
      gapRight: right,
      biteTravel: leverage * (freePlayMm + toFirst),
      reserve: (d.leverReachMm as number) - leverage * (freePlayMm + toBoth + hardTensionN / stiffness),
      firstTouch,
    }
  }

  const truth = () => readingsAt(cableMm + bedded(), settledRad)

  const read = (random: Random, value: number, sd: number, step: number, slip: number, most = Infinity) => {
    const onGauge = (shown: number) => Math.min(most, Math.max(0, round(shown, step)))
    const honest = onGauge(value + random.normal(sd))
    const side = random.chance(0.5) ? slip : -slip
    return random.chance(0.03) ? { shown: onGauge(honest + side), honest } : { shown: honest, honest }
  }

  return {
    turn(id, amount) {
      const screw = screws.get(id)
      if (!screw) throw new Error(`no adjuster ${id}`)
      const limit = screw.travel ?? Number.POSITIVE_INFINITY
      const least = screw.travel === undefined ? Number.NEGATIVE_INFINITY : 0
      const to = Number.isNaN(screw.position) ? amount : Math.min(limit, Math.max(least, screw.position + amount))
      const turned = Number.isNaN(screw.position) ? amount : to - screw.position
      if (screw.drives === 'cable') {
        cableMm += screw.perUnit * screw.effect * turned + (screw.travel === undefined ? hidden.normal(0.5) : 0)
        if (!Number.isNaN(screw.position)) screw.position = to
      } else {
        const before = screw.follower
        screw.follower = turned > 0 ? Math.max(before, to - screw.play) : Math.min(before, to)
        const middle = (before + screw.follower) / 2 / (screw.travel ?? 1) - 0.5
        const slipped = screw.clamped ? hidden.normal(screw.clamped) * screw.perUnit : 0
        const moved = screw.perUnit * screw.effect * (1 + 2 * screw.bend * middle) * (screw.follower - before) + slipped
        balanceRad += moved
        settledRad += (screw.hooked || screw.clamped ? 1 : 0.5) * moved
        screw.position = to
      }
      return { turned, endReached: Math.abs(turned - amount) > 1e-9 }
    },
    position: (id) => screws.get(id)?.position,
    squeeze(times) {
      squeezes += times
      settledRad += (balanceRad - settledRad) * (1 - Math.exp(-times / settleSqueezes))
    },
    clampGivingBack(given) {
      cableMm = given - bedded() + hidden.normal(0.5)
    },
    hidden: known,
    truth,
    centredAt: (cable) => readingsAt(cable, 0),
    gauge() {
      const now = truth()
      const left = read(noise, now.gapLeft, 0.1, 0.1, 1)
      const right = read(noise, now.gapRight, 0.1, 0.1, 1)
      const bite = read(noise, now.biteTravel, 1.5, 1, 6, d.leverReachMm)
      const reserve = read(noise, now.reserve, 2, 1, 6)
      const shown = {
        gapLeft: left.shown,
        gapRight: right.shown,
        biteTravel: bite.shown,
        reserve: reserve.shown,
        firstTouch: now.firstTouch,
      }
      const honest = { gapLeft: left.honest, gapRight: right.honest, biteTravel: bite.honest, reserve: reserve.honest }
      const misread = Object.fromEntries(
        Object.entries(honest).filter(([id, value]) => value !== shown[id as keyof typeof shown]),
      )
      return { shown, misread }
    },
  }
}
