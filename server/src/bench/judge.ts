import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import type { Stand } from '@overhaul/core/run-sheet/stand'
import type { Entry } from '@overhaul/core/stand/entries'
import { admitAll } from '@overhaul/core/workshop/open'

/** A log, as far as it judges what comes next. */
export interface JudgedBy {
  readonly ids: ReadonlySet<string>
  /** The place of its last entry; 0 where there is none. */
  readonly last: number
  readonly stand: Outcome<Stand>
}

/** Entries not in the log yet, with their places in it, those that are, and the stand with them all. */
export interface Verdict {
  readonly fresh: readonly Entry[]
  readonly known: readonly string[]
  /** Missing where nothing is new. */
  readonly stand?: Stand
}

/** Entries judged in turn, each on what the ones before it leave; one refusal refuses all. */
export function judge(log: JudgedBy, incoming: readonly Entry[]): Outcome<Verdict> {
  const seen = new Set<string>()
  const known: string[] = []
  const places: number[] = []
  for (const [place, { id }] of incoming.entries()) {
    if (log.ids.has(id) || seen.has(id)) known.push(id)
    else places.push(place)
    seen.add(id)
  }
  const ahead = places.find((place) => (incoming[place]?.basedOn ?? 0) > log.last)
  if (ahead !== undefined) {
    return refuse(
      'log-behind',
      incoming.length > 1 ? `${ahead}.basedOn` : 'basedOn',
      `This was written on entry ${incoming[ahead]?.basedOn} of a log that ends at ${log.last}: the workshop’s log is older than what this screen saw. Reload, look at the log, then write it again or let it go.`,
    )
  }
  const fresh = places.map((place, index) => ({ ...(incoming[place] as Entry), seq: log.last + index + 1 }))
  if (fresh.length === 0) return ok({ fresh, known })
  if (!log.stand.ok) return log.stand
  const judged = admitAll(log.stand.value, fresh)
  if ('error' in judged) {
    const { code, field, message } = judged.error
    return refuse(code, incoming.length > 1 ? `${places[judged.index]}.${field}` : field, message)
  }
  return ok({ fresh, known, stand: judged.stand })
}
