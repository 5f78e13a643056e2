import type { TurnUnit } from '../brake/adjuster.ts'
import { bookDimensions, type Dimensions, type Here, hereAt } from '../brake/dimension.ts'
import type { Family } from '../brake/family.ts'
import type { BrakeModel } from '../brake/model.ts'
import { placement, type Window, type Windows } from '../brake/window.ts'
import { DEFAULT_BITE } from '../families/rim/bite.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import { VIRTUAL } from './families.ts'
import { seededRandom } from './random.ts'
import { type GaugeReadings, type TrueReadings, type VirtualBrake, virtualBrake } from './virtual-brake.ts'

/** See docs/bench.md: what a pass is, the brakes, the habit and the judgement were fixed there first. */
export const MOST_PASSES = 25
export const JUDGED = ['gapLeft', 'gapRight', 'biteTravel'] as const

/** What a policy decides for one pass. */
export type Decision =
  | { readonly kind: 'turn'; readonly moves: readonly { readonly adjuster: string; readonly amount: number }[] }
  | { readonly kind: 'clamp'; readonly giveBackMm: number }
  | { readonly kind: 'measure' }

/** A policy sees only the log of its own job. */
export type Policy = (log: readonly Entry[], windows: Windows) => Decision

export interface Bicycle {
  readonly family: Family
  readonly dimensions: Dimensions
  readonly here: Here
  readonly model: BrakeModel
}

/** A bicycle with this family’s book brake behind, as the bench has it. */
export function bookBicycle(family: Family): Bicycle {
  const dimensions = bookDimensions(family)
  const here = hereAt(family, 'rear')
  return { family, dimensions, here, model: expectOk(family.fit(dimensions, here)) }
}

export interface Trial {
  readonly passes: number
  readonly failed: boolean
  readonly log: readonly Entry[]
}

const isIn = (window: Window | undefined, value: number) => window !== undefined && placement(window, value) === 'in'

export const allIn = (windows: Windows, readings: TrueReadings): boolean =>
  JUDGED.every((id) => isIn(windows.of[id], readings[id])) &&
  isIn(windows.of.gapDifference, readings.gapLeft - readings.gapRight)

/** The mechanic's side of the bench: makes the turns, squeezes, measures, writes it all down. */
class Mechanic {
  readonly log: Entry[] = []
  private pending: { id: string; reading: string; value: number }[] = []

  constructor(
    private readonly brake: VirtualBrake,
    private readonly unitOf: (adjuster: string) => TurnUnit,
  ) {}

  write(body: EntryBody): string {
    const id = `e${this.log.length}`
    this.log.push({ ...body, id, at: '2026-01-01T00:00:00Z', by: '1', seq: this.log.length + 1 } as Entry)
    return id
  }

  /** Measures everything; misreadings of the time before are found out and struck. */
  measure(): GaugeReadings {
    for (const { id, reading, value } of this.pending) {
      this.write({ kind: 'correction', strikes: id, why: 'misread' })
      const at = this.log.findIndex((entry) => entry.id === id)
      const replacement = { ...(this.log[at] as Entry), id: `${id}r`, reading, value } as Entry
      this.log.splice(at + 1, 0, replacement)
      this.log.forEach((entry, index) => {
        this.log[index] = { ...entry, seq: index + 1 }
      })
    }
    const read = this.brake.gauge()
    this.pending = []
    for (const id of JUDGED) {
      const entryId = this.write({ kind: 'reading', reading: id, value: read.shown[id], unit: 'mm' })
      const honest = read.misread[id]
      if (typeof honest === 'number') this.pending.push({ id: entryId, reading: id, value: honest })
    }
    this.write({ kind: 'reading', reading: 'firstTouch', value: read.shown.firstTouch, unit: '' })
    return read
  }

  do(decision: Decision): void {
    if (decision.kind === 'clamp') {
      this.brake.clampGivingBack(decision.giveBackMm)
      this.write({ kind: 'note', text: `clamped, ${decision.giveBackMm} mm given back` })
    } else if (decision.kind === 'turn') {
      for (const { adjuster, amount } of decision.moves) {
        const { turned, endReached } = this.brake.turn(adjuster, amount)
        this.write({
          kind: 'turn',
          adjuster,
          amount: turned,
          unit: this.unitOf(adjuster),
          ...(endReached && { endReached }),
          ...(turned === 0 && { tried: amount }),
        })
      }
    }
    this.brake.squeeze(10)
    this.write({ kind: 'confirm', step: 'squeezes', count: 10 })
    this.measure()
  }
}

/** The wheel and the windows of one brake of the fleet: the first from this seed that can be set at all. */
export function fleetBrake(bicycle: Bicycle, seed: number) {
  for (let own = seed; ; own = (own + NEXT_BRAKE) >>> 0) {
    const drawn = drawBrake(bicycle, own)
    if (canBeSet(drawn.brake, drawn.windows)) return drawn
  }
}

const NEXT_BRAKE = 104729
const WIDEST_CABLE_MM = 25
const CABLE_STEP_MM = 0.1
/** A setting narrower than two steps of the barrel is not one a hand can find. */
const NARROWEST_CABLE_MM = 1

/** Whether any setting brings this brake into all its windows: where none does, the school is wrong, not the hand. */
function canBeSet(brake: VirtualBrake, windows: Windows): boolean {
  let wide = 0
  for (let cable = 0; cable < WIDEST_CABLE_MM; cable += CABLE_STEP_MM) {
    wide = allIn(windows, brake.centredAt(cable)) ? wide + CABLE_STEP_MM : 0
    if (wide >= NARROWEST_CABLE_MM) return true
  }
  return false
}

function drawBrake(bicycle: Bicycle, seed: number) {
  const runout = seededRandom(seed ^ 0x9e3779b9).uniform(0.1, 0.8)
  const spec = VIRTUAL[bicycle.family.id]
  if (!spec) throw new Error(`no virtual ${bicycle.family.id}`)
  const brake = virtualBrake(spec(bicycle.dimensions, bicycle.here), bicycle.dimensions, seed)
  const windows = bicycle.model.windows(
    { bite: DEFAULT_BITE },
    { number: (id) => (id === 'lateralRunout' ? runout : undefined), seen: () => undefined },
  )
  return { brake, windows }
}

/** One brake brought into its windows by one policy. */
export function trial(bicycle: Bicycle, seed: number, policy: Policy): Trial {
  const { brake, windows } = fleetBrake(bicycle, seed)
  const mechanic = new Mechanic(brake, (id) => bicycle.model.adjusters.find((each) => each.id === id)?.unit ?? 'turn')
  mechanic.measure()
  for (let passes = 0; passes <= MOST_PASSES; passes += 1) {
    if (allIn(windows, brake.truth())) return { passes, failed: false, log: mechanic.log }
    if (passes < MOST_PASSES) mechanic.do(policy(mechanic.log, windows))
  }
  return { passes: MOST_PASSES, failed: true, log: mechanic.log }
}
