import type { Fault } from '@overhaul/core/outcome/outcome'
import type { Entry } from '@overhaul/core/stand/entries'
import { useSyncExternalStore } from 'react'
import { ApiFault, api } from './api.ts'
import { openStore } from './browser-store.ts'

/** An entry written here and not yet in the workshop's log. */
export interface Waiting {
  readonly order: number
  readonly jobId: string
  readonly entry: Entry
  /** Why the server would not take it; it stays until somebody drops it. */
  readonly refused?: Fault
}

type Sent = (jobId: string) => Promise<void>

const RETRY_MS = 2000
const MOST_AT_ONCE = 100

let waiting: readonly Waiting[] = []
let away = false
let sending = false
let order = 0
let timer: ReturnType<typeof setTimeout> | undefined
let onSent: Sent = async () => {}
const listeners = new Set<() => void>()

interface Snapshot {
  readonly waiting: readonly Waiting[]
  /** The server did not answer the last time. */
  readonly away: boolean
}
let snapshot: Snapshot = { waiting, away }

function tell(next: readonly Waiting[], nowAway = away): void {
  waiting = next
  away = nowAway
  snapshot = { waiting, away }
  for (const listener of listeners) listener()
}

/** Reads what an earlier visit of this screen left, and begins to send it. `sent` refreshes a job's log. */
export async function startOutbox(sent: Sent): Promise<void> {
  onSent = sent
  const left = await (await openStore()).getAll('waiting')
  order = left.reduce((last, each) => Math.max(last, each.order + 1), 0)
  tell([...left.sort((a, b) => a.order - b.order), ...waiting])
  window.addEventListener('online', () => send())
  await send()
}

/** Keeps entries for sending: on screen at once, in the browser's own store before anything is sent. */
export async function put(jobId: string, entries: readonly Entry[]): Promise<void> {
  const added = entries.map((entry): Waiting => ({ order: order++, jobId, entry }))
  tell([...waiting, ...added])
  const store = (await openStore()).transaction('waiting', 'readwrite')
  await Promise.all([...added.map((each) => store.store.put(each)), store.done])
  await send()
}

/** What was written after a turn that was refused was measured on a brake nobody knows: it waits for the hand to decide. */
export const isHeldBack = (each: Waiting, all: readonly Waiting[]): boolean =>
  all.some(
    ({ jobId, order: before, entry, refused }) =>
      refused !== undefined && entry.kind === 'turn' && jobId === each.jobId && before < each.order,
  )

/** Drops an entry the server refused, and what was held back by it where it is not to be kept. */
export async function drop(id: string, withHeldBack = false): Promise<void> {
  const refused = waiting.find(({ entry }) => entry.id === id)
  const gone = waiting.filter(
    (each) => each.entry.id === id || (withHeldBack && refused !== undefined && isHeldBack(each, [refused])),
  )
  tell(waiting.filter((each) => !gone.includes(each)))
  const store = (await openStore()).transaction('waiting', 'readwrite')
  await Promise.all([...gone.map(({ entry }) => store.store.delete(entry.id)), store.done])
  await send()
}

async function send(): Promise<void> {
  if (sending) return
  sending = true
  clearTimeout(timer)
  try {
    for (let batch = nextBatch(); batch.length > 0; batch = nextBatch()) await sendBatch(batch)
    tell(waiting, false)
  } catch {
    tell(waiting, true)
    timer = setTimeout(send, RETRY_MS)
  } finally {
    sending = false
  }
}

function nextBatch(): readonly Waiting[] {
  const ready = waiting.filter((each) => !each.refused && !isHeldBack(each, waiting))
  const [first] = ready
  return first ? ready.filter(({ jobId }) => jobId === first.jobId).slice(0, MOST_AT_ONCE) : []
}

/** Sends one job's entries in order. A refusal marks the entry it names and lets the others go on. */
async function sendBatch(batch: readonly Waiting[]): Promise<void> {
  const { jobId } = batch[0] as Waiting
  try {
    await api.append(
      jobId,
      batch.map(({ entry }) => entry),
    )
  } catch (error) {
    if (!(error instanceof ApiFault)) throw error
    const index = Number(/^(\d+)\./.exec(error.fault.field)?.[1] ?? 0)
    await markRefused(batch[index] ?? (batch[0] as Waiting), error.fault)
    return
  }
  await onSent(jobId)
  const gone = new Set(batch.map(({ entry }) => entry.id))
  tell(waiting.filter(({ entry }) => !gone.has(entry.id)))
  const store = (await openStore()).transaction('waiting', 'readwrite')
  await Promise.all([...[...gone].map((id) => store.store.delete(id)), store.done])
}

async function markRefused(each: Waiting, refused: Fault): Promise<void> {
  const marked = { ...each, refused }
  tell(waiting.map((other) => (other.entry.id === each.entry.id ? marked : other)))
  await (await openStore()).put('waiting', marked)
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const useOutbox = (): Snapshot => useSyncExternalStore(subscribe, () => snapshot)
