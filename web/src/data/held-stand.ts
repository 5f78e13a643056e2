import { type Outcome, ok } from '@overhaul/core/outcome/outcome'
import type { Known } from '@overhaul/core/run-sheet/known'
import { type Stand, standAfter } from '@overhaul/core/run-sheet/stand'
import type { Entry } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'

type Open = (hardware: Hardware, entries: readonly Entry[], known?: Known) => Outcome<Stand>

/** A stand with some entries more. */
export function standWith(stand: Outcome<Stand>, entries: readonly Entry[]): Outcome<Stand> {
  let now = stand
  for (const entry of entries) {
    if (!now.ok) return now
    now = standAfter(now.value, entry)
  }
  return now
}

/** The stand of one log, held: where entries only came to it, it goes on from what it was; else it is opened anew. */
export function holdStand(open: Open): Open {
  let held:
    | {
        readonly hardware: Hardware
        readonly entries: readonly Entry[]
        readonly known: Known | undefined
        readonly stand: Outcome<Stand>
      }
    | undefined
  return (hardware, entries, known) => {
    const before = held
    const goesOn =
      before?.stand.ok === true &&
      before.hardware === hardware &&
      before.known === known &&
      before.entries.length <= entries.length &&
      before.entries.every((entry, index) => entry === entries[index])
    const stand = goesOn
      ? standWith(before.stand, entries.slice(before.entries.length))
      : open(hardware, entries, known)
    held = { hardware, entries, known, stand }
    return stand.ok ? ok(stand.value) : stand
  }
}
