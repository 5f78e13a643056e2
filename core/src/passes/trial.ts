import type { TurnUnit } from '../brake/adjuster.ts'
import type { Windows } from '../brake/window.ts'
import type { GaugeReadings, VirtualBrake } from '../simulate/virtual-brake.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import { allIn, type Bicycle, bookWindows, type FleetBrake } from './fleet.ts'

/** See docs/bench.md: what a pass is and the two ways to stop were fixed there first. */
export const MOST_PASSES = 25

/** What a hand decides for one pass. */
export type Decision =
  | { readonly kind: 'turn'; readonly moves: readonly { readonly adjuster: string; readonly amount: number }[] }
  | { readonly kind: 'clamp'; readonly giveBackMm: number }
  | { readonly kind: 'look' }
  /** It believes the brake right. */
  | { readonly kind: 'stop' }
  /** It knows of nothing that would help. */
  | { readonly kind: 'stuck' }

/**
 * What a hand has before it: the log of this job, what the wheel showed, and the windows of the book’s brake on it.
 * `told`: that it is not right, though it believes so.
 */
export interface Before {
  readonly log: readonly Entry[]
  readonly runoutMm: number
  readonly book: Windows
  readonly told: boolean
}

export type Hand = (before: Before) => Decision

export interface Trial {
  readonly passes: number
  readonly failed: boolean
  /** Whether the brake was right when the hand left it. */
  readonly right: boolean
  readonly log: readonly Entry[]
}

const MEASURED = ['gapLeft', 'gapRight', 'biteTravel'] as const

/** The mechanic’s side of the bench: makes the turns, squeezes, measures, writes it all down. */
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
    for (const id of MEASURED) {
      const entryId = this.write({ kind: 'reading', reading: id, value: read.shown[id], unit: 'mm' })
      const honest = read.misread[id]
      if (typeof honest === 'number') this.pending.push({ id: entryId, reading: id, value: honest })
    }
    this.write({ kind: 'reading', reading: 'firstTouch', value: read.shown.firstTouch, unit: '' })
    return read
  }

  pass(decision: Decision): void {
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

function comeToTheBench({ model }: Bicycle, brake: VirtualBrake): Mechanic {
  const mechanic = new Mechanic(brake, (id) => model.adjusters.find((each) => each.id === id)?.unit ?? 'turn')
  mechanic.measure()
  return mechanic
}

/** One brake brought into its windows by one hand, a judge who sees the truth saying when it is right. */
export function judged(bicycle: Bicycle, { brake, runoutMm, right }: FleetBrake, hand: Hand): Trial {
  const mechanic = comeToTheBench(bicycle, brake)
  const { log } = mechanic
  const before = { log, runoutMm, book: bookWindows(bicycle, runoutMm) }
  const nextOf = () => {
    const decision = hand({ ...before, told: false })
    return decision.kind === 'stop' || decision.kind === 'stuck' ? hand({ ...before, told: true }) : decision
  }
  for (let passes = 0; passes < MOST_PASSES; passes += 1) {
    if (allIn(right, brake.truth())) return { passes, failed: false, right: true, log }
    mechanic.pass(nextOf())
  }
  const home = allIn(right, brake.truth())
  return { passes: MOST_PASSES, failed: !home, right: home, log }
}

/** One brake set by one hand until it has believed at so many `looks` in a row that it is right. */
export function ownStop(bicycle: Bicycle, { brake, runoutMm, right }: FleetBrake, hand: Hand, looks = 1): Trial {
  const mechanic = comeToTheBench(bicycle, brake)
  const { log } = mechanic
  const before = { log, runoutMm, book: bookWindows(bicycle, runoutMm), told: false }
  let sure = 0
  for (let passes = 0; passes < MOST_PASSES; passes += 1) {
    const decision = hand(before)
    sure = decision.kind === 'stop' ? sure + 1 : 0
    if (sure >= looks) return { passes, failed: false, right: allIn(right, brake.truth()), log }
    if (decision.kind === 'stuck') break
    mechanic.pass(decision)
  }
  return { passes: MOST_PASSES, failed: true, right: allIn(right, brake.truth()), log }
}
