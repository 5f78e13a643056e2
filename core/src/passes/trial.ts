import type { Move, TurnUnit } from '../brake/adjuster.ts'
import type { Windows } from '../brake/window.ts'
import type { StandIn } from '../simulate/stand-in.ts'
import type { VirtualBrake } from '../simulate/virtual-brake.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import { type Bicycle, bookWindows, type FleetBrake } from './fleet.ts'

/** See docs/bench.md: what a pass is and the two ways to stop were fixed there first. */
export const MOST_PASSES = 25

/** What a hand decides for one pass. */
export type Decision =
  | { readonly kind: 'turn'; readonly moves: readonly Pick<Move, 'adjuster' | 'amount' | 'from'>[] }
  | { readonly kind: 'clamp'; readonly giveBackMm: number }
  | { readonly kind: 'look'; readonly readings?: readonly string[] }
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
  readonly wheel: FleetBrake['wheel']
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

/** The mechanic’s side of the bench: makes the turns, squeezes, measures, writes it all down. */
class Mechanic {
  readonly log: Entry[] = []
  private readonly asked = new Set<string>()
  private pending: { id: string; reading: string; value: number }[] = []

  constructor(
    private readonly brake: StandIn,
    private readonly measured: readonly string[],
    private readonly beside: string | undefined,
    private readonly unitOf: (adjuster: string) => TurnUnit,
  ) {}

  write(body: EntryBody): string {
    const id = `e${this.log.length}`
    this.log.push({ ...body, id, at: '2026-01-01T00:00:00Z', by: '1', seq: this.log.length + 1 } as Entry)
    return id
  }

  /** Measures everything, and what was asked for besides once; misreadings of the time before are found out and struck. */
  measure(asked: readonly string[] = []): void {
    for (const id of asked) this.asked.add(id)
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
    for (const id of new Set([...this.measured, ...this.asked])) {
      const entryId = this.write({ kind: 'reading', reading: id, value: read.shown[id] as number, unit: 'mm' })
      const honest = read.misread[id]
      if (typeof honest === 'number') this.pending.push({ id: entryId, reading: id, value: honest })
    }
    const { beside } = this
    if (beside !== undefined)
      this.write({ kind: 'reading', reading: beside, value: read.shown[beside] as string, unit: '' })
  }

  pass(decision: Decision): void {
    if (decision.kind === 'clamp') {
      if ('clampGivingBack' in this.brake) (this.brake as VirtualBrake).clampGivingBack(decision.giveBackMm)
      this.write({ kind: 'note', text: `clamped, ${decision.giveBackMm} mm given back` })
    } else if (decision.kind === 'turn') {
      for (const { adjuster, amount, from } of decision.moves) {
        const { turned, endReached } = this.brake.turn(adjuster, amount, from?.contact)
        this.write({
          kind: 'turn',
          adjuster,
          amount: turned,
          unit: this.unitOf(adjuster),
          // At its end before it met anything, it was no contact; what was to float and does not is told so.
          ...(from && (!endReached || from.contact === 'float') && { from }),
          ...(endReached && { endReached }),
          // Towards contact it was wound the other way than it comes back.
          ...(turned === 0 && amount !== 0 && from?.contact !== 'float' && { tried: from ? -amount : amount }),
        })
      }
    }
    this.brake.squeeze(10)
    this.write({ kind: 'confirm', step: 'squeezes', count: 10 })
    this.measure(decision.kind === 'look' ? decision.readings : undefined)
  }
}

function comeToTheBench({ family, model }: Bicycle, brake: StandIn): Mechanic {
  const mechanic = new Mechanic(
    brake,
    model.needed,
    family.dial.beside,
    (id) => model.adjusters.find((each) => each.id === id)?.unit ?? 'turn',
  )
  mechanic.measure()
  return mechanic
}

/** One brake brought into its windows by one hand, a judge who sees the truth saying when it is right. */
export function judged(bicycle: Bicycle, { brake, wheel, isRight }: FleetBrake, hand: Hand): Trial {
  const mechanic = comeToTheBench(bicycle, brake)
  const { log } = mechanic
  const before = { log, wheel, book: bookWindows(bicycle, wheel) }
  const nextOf = () => {
    const decision = hand({ ...before, told: false })
    return decision.kind === 'stop' || decision.kind === 'stuck' ? hand({ ...before, told: true }) : decision
  }
  for (let passes = 0; passes < MOST_PASSES; passes += 1) {
    if (isRight()) return { passes, failed: false, right: true, log }
    mechanic.pass(nextOf())
  }
  const home = isRight()
  return { passes: MOST_PASSES, failed: !home, right: home, log }
}

/** One brake set by one hand until it has believed at so many `looks` in a row that it is right. */
export function ownStop(bicycle: Bicycle, { brake, wheel, isRight }: FleetBrake, hand: Hand, looks = 1): Trial {
  const mechanic = comeToTheBench(bicycle, brake)
  const { log } = mechanic
  const before = { log, wheel, book: bookWindows(bicycle, wheel), told: false }
  let sure = 0
  for (let passes = 0; passes < MOST_PASSES; passes += 1) {
    const decision = hand(before)
    sure = decision.kind === 'stop' ? sure + 1 : 0
    if (sure >= looks) return { passes, failed: false, right: isRight(), log }
    if (decision.kind === 'stuck') break
    mechanic.pass(decision)
  }
  return { passes: MOST_PASSES, failed: true, right: isRight(), log }
}
