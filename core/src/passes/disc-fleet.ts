import type { Windows } from '../brake/window.ts'
import { placement } from '../brake/window.ts'
import { DISCS } from '../simulate/discs.ts'
import { type Random, seededRandom } from '../simulate/random.ts'
import { type DiscScatter, type DiscStart, type HiddenDisc, virtualDisc } from '../simulate/virtual-disc.ts'
import { type Bicycle, type FleetBrake, type FleetId, lookedAt } from './fleet.ts'

/** See docs/bench.md, Discs: the brakes, their starts and what is right were fixed there first. */
const FLEETS: Readonly<Record<FleetId, DiscScatter>> = {
  usual: { geometry: 1, knob: 0.3 },
  harsh: { geometry: 2, knob: 0.6 },
}
const NEXT_BRAKE = 104729
/** The reserve hangs on the squeezing hand; the difference is judged by itself. */
const NOT_JUDGED = ['reserve', 'gapDifference'] as const
/** What the judge gives beyond a window whose edge a rule, a thumb or a feeler can only just find, mm; and how far apart two gaps may truly be. */
const ROOM: Readonly<Record<string, number>> = { armStarts: 1.5, armRest: 0.5 }
const GAP_ROOM_MM = 0.02
const APART_MM = 0.2

/** Worn, taken up by cable, dragging, or somewhere between. */
function startFrom(random: Random, bothMove: boolean): DiscStart {
  const kind = random.uniform(0, 10)
  if (bothMove) {
    const sum = random.uniform(0.55, 0.95)
    const inner = random.uniform(0.1, 0.9) * sum
    const slackMm = kind < 3 ? -random.uniform(0.5, 3) : random.uniform(0, 3)
    return { innerMm: inner, outerMm: sum - inner, slackMm }
  }
  if (kind < 3)
    return { innerMm: random.uniform(0.2, 0.6), outerMm: random.uniform(0.9, 1.8), slackMm: random.uniform(0, 2) }
  if (kind < 5)
    return { innerMm: random.uniform(0.2, 0.6), outerMm: random.uniform(0.9, 1.6), slackMm: -random.uniform(1, 5) }
  if (kind < 7)
    return {
      innerMm: random.uniform(-0.05, 0.08),
      outerMm: random.uniform(0.2, 0.6),
      slackMm: random.uniform(-0.5, 1.5),
    }
  return { innerMm: random.uniform(0.1, 0.6), outerMm: random.uniform(0.3, 1), slackMm: random.uniform(-1, 3) }
}

/** The windows of one very brake: its own lever, cam and free play, and nothing left to doubt. */
function rightFor(
  { model, schools }: Bicycle,
  { ratio, leverage, freePlayMm }: HiddenDisc,
  wheel: FleetBrake['wheel'],
): Windows {
  const { lever } = model.throw
  const own: Readonly<Record<string, number>> = {
    ratio: Math.log(ratio / (model.contactRatio as number)),
    lever: Math.log((leverage * lever.cableArmMm) / lever.fingerArmMm),
    freePlay: freePlayMm,
  }
  const q = model.inputs.map(({ id, mean }) => own[id] ?? mean)
  return model.windows(schools, lookedAt(wheel), { q, spread: () => 0 })
}

/** The first disc from this seed that can be set at all. */
export function discFleetBrake(bicycle: Bicycle, seed: number, fleet: FleetId = 'usual'): FleetBrake {
  const spec = DISCS[bicycle.family.id]
  if (!spec) throw new Error(`no virtual ${bicycle.family.id}`)
  for (let own = seed; ; own = (own + NEXT_BRAKE) >>> 0) {
    const random = seededRandom(own ^ 0x9e3779b9)
    const runout = Math.round(random.uniform(0.02, 0.22) * 20) / 20
    const start = startFrom(random, spec.bothMove)
    const brake = virtualDisc(spec, bicycle.dimensions, runout, own, { start, scatter: FLEETS[fleet] })
    const wheel = { rotorRunout: runout }
    const right = rightFor(bicycle, brake.hidden, wheel)
    const { hidden } = brake
    const sum = start.innerMm + start.outerMm
    const bite = right.of.biteTravel
    const settable =
      !right.empty &&
      (!spec.bothMove || (bite && hidden.leverage * (hidden.freePlayMm + hidden.ratio * sum) < bite.high - 3))
    if (!settable) continue
    const judged = bicycle.model.steered.filter((id) => !(NOT_JUDGED as readonly string[]).includes(id))
    const isRight = () => {
      const truth = brake.truth()
      const apart = Number(truth[spec.inner]) - Number(truth[spec.outer])
      const window = right.of.gapDifference
      return (
        judged.every((id) => {
          const each = right.of[id]
          const isGap = id === spec.inner || id === spec.outer
          const room = isGap ? GAP_ROOM_MM : (ROOM[id] ?? 0)
          const low = each && each.low - (isGap ? GAP_ROOM_MM : 0)
          return each && placement({ ...each, low: low as number, high: each.high + room }, Number(truth[id])) === 'in'
        }) &&
        (!window || Math.abs(apart) <= APART_MM)
      )
    }
    return { brake, wheel, isRight }
  }
}
