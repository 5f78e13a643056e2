import { placement, type Windows } from '../brake/window.ts'
import { type Random, seededRandom } from '../simulate/random.ts'
import { type DrumStart, type HiddenDrum, virtualDrum } from '../simulate/virtual-drum.ts'
import { type Bicycle, type FleetBrake, type FleetId, lookedAt } from './fleet.ts'

/** See docs/bench.md, Drum: the brakes, their starts and what is right were fixed there first. */
const FLEETS: Readonly<Record<FleetId, { readonly geometry: number }>> = {
  usual: { geometry: 1 },
  harsh: { geometry: 2 },
}
/** What the judge gives beyond a window whose edge a rule can only just find, mm. */
const ROOM_MM = 1
const NEXT_BRAKE = 104729
/** A setting narrower than two steps of the barrel is not one a hand can find: as for rims. */
const NARROWEST_CABLE_MM = 1

/** Worn, dragging, to the bar, or somewhere between. */
function startFrom(random: Random): DrumStart | undefined {
  const kind = random.uniform(0, 10)
  if (kind < 3) return { cableMm: random.uniform(6, 12) }
  if (kind < 6) return { cableMm: random.uniform(0, 2), scraping: true }
  return kind < 8 ? { cableMm: random.uniform(11, 16) } : undefined
}

/** The windows of one very brake: its own lever, free play, shoes and stretch, and nothing left to doubt. */
function rightFor({ model, schools }: Bicycle, { leverage, freePlayMm, squashMm, stretchMm }: HiddenDrum): Windows {
  const { lever } = model.throw
  const own: Readonly<Record<string, number>> = {
    lever: Math.log((leverage * lever.cableArmMm) / lever.fingerArmMm),
    freePlay: freePlayMm,
    squash: squashMm,
    stiffness: Math.log(model.throw.stretchTravelMm / stretchMm),
  }
  return model.windows(schools, lookedAt({}), {
    q: model.inputs.map(({ id, mean }) => own[id] ?? mean),
    spread: () => 0,
  })
}

/** The first drum from this seed that can be set at all. */
export function drumFleetBrake(bicycle: Bicycle, seed: number, fleet: FleetId = 'usual'): FleetBrake {
  for (let own = seed; ; own = (own + NEXT_BRAKE) >>> 0) {
    const start = startFrom(seededRandom(own ^ 0x9e3779b9))
    const brake = virtualDrum(bicycle.dimensions, own, { scatter: FLEETS[fleet], ...(start && { start }) })
    const right = rightFor(bicycle, brake.hidden)
    const bite = right.of.biteTravel
    if (right.empty || !bite || bite.high - bite.low < NARROWEST_CABLE_MM * brake.hidden.leverage) continue
    const isRight = () => {
      const truth = brake.truth()
      const judged = { ...bite, low: bite.low - ROOM_MM, high: bite.high + ROOM_MM }
      return truth.drag === 'none' && placement(judged, Number(truth.biteTravel)) === 'in'
    }
    return { brake, wheel: {}, isRight }
  }
}
