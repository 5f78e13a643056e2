import type { Entry } from '@overhaul/core/stand/entries'
import { useSyncExternalStore } from 'react'
import { api } from './api.ts'
import { Queue, type Queued } from './queue.ts'

/** An entry written here and not yet in the workshop's log. */
export interface Waiting extends Queued {
  readonly jobId: string
  readonly entry: Entry
  /** Of the data that this screen had read when it was written. */
  readonly epoch?: string
}

const MOST_AT_ONCE = 100
/** Well below what the server takes at once: a note of two thousand letters may be many times as many bytes. */
const MOST_BYTES = 100_000

const bytesOf = (entry: Entry) => new TextEncoder().encode(JSON.stringify(entry)).length

/** The first of these that go together in one request; one at least. */
function withinBytes(waiting: readonly Waiting[]): readonly Waiting[] {
  let bytes = 0
  const tooFar = waiting.findIndex(({ entry }, index) => {
    bytes += bytesOf(entry)
    return index > 0 && (bytes > MOST_BYTES || index >= MOST_AT_ONCE)
  })
  return tooFar < 0 ? waiting : waiting.slice(0, tooFar)
}

/** What was written after a turn that was refused was measured on a brake nobody knows: it waits for the hand to decide. */
export const isHeldBack = (each: Waiting, all: readonly Waiting[]): boolean =>
  all.some(
    ({ jobId, order: before, entry, refused }) =>
      refused !== undefined && entry.kind === 'turn' && jobId === each.jobId && before < each.order,
  )

/** One job's entries go together, in order. */
const outbox = new Queue<Waiting>({
  shelf: 'waiting',
  idOf: ({ entry }) => entry.id,
  next(waiting) {
    const ready = waiting.filter((each) => !each.refused && !isHeldBack(each, waiting))
    const [first] = ready
    return first ? withinBytes(ready.filter(({ jobId, epoch }) => jobId === first.jobId && epoch === first.epoch)) : []
  },
  send: (batch) =>
    api.append(
      (batch[0] as Waiting).jobId,
      batch.map(({ entry }) => entry),
      batch[0]?.epoch,
    ),
  onRefused({ jobId }, { code }) {
    if (code === 'log-behind') readAnew(jobId).catch((error) => console.error(error))
  },
  refusedIn: (batch, { field }) => batch[Number(/^(\d+)\./.exec(field)?.[1] ?? 0)] ?? (batch[0] as Waiting),
})

let readAnew: (jobId: string) => Promise<void> = async () => undefined

/**
 * Begins to send what an earlier visit of this screen left. `sent` refreshes a job's log; `anew` reads it from its
 * beginning, where the workshop's log turns out to be older than what this screen saw.
 */
export function startOutbox(
  sent: (jobId: string) => Promise<void>,
  anew: (jobId: string) => Promise<void> = sent,
): Promise<void> {
  readAnew = anew
  return outbox.start((batch) => sent((batch[0] as Waiting).jobId))
}

/** Keeps entries for sending. */
export const put = (jobId: string, entries: readonly Entry[], epoch?: string): Promise<void> =>
  outbox.put(
    entries.map(
      (entry) =>
        (order): Waiting => ({ order, jobId, entry, ...(epoch && { epoch }) }),
    ),
  )

/** Drops an entry the server refused, and what was held back by it where it is not to be kept. */
export function drop(id: string, withHeldBack = false): Promise<void> {
  const { waiting } = outbox.snapshot()
  const refused = waiting.find(({ entry }) => entry.id === id)
  return outbox.drop(
    waiting.filter(
      (each) => each === refused || (withHeldBack && refused !== undefined && isHeldBack(each, [refused])),
    ),
  )
}

/** Written on a log that went back to a backup: whether this is what stands against it. */
export const isBehind = ({ refused }: Waiting): boolean => refused?.code === 'log-behind'

/** Writes what a job's log, gone back to a backup, did not take, on that log as it now is. */
export function writeAgain(jobId: string, basedOn: number, epoch: string): Promise<void> {
  const behind = outbox.snapshot().waiting.filter((each) => each.jobId === jobId && isBehind(each))
  return outbox.renew(behind, ({ refused: _, entry, ...each }) => ({ ...each, epoch, entry: { ...entry, basedOn } }))
}

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.snapshot)
