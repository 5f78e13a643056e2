import type { Fault } from '@overhaul/core/outcome/outcome'
import { useSyncExternalStore } from 'react'
import { ApiFault, type Request, send as sendRequest } from './api.ts'
import { openStore } from './browser-store.ts'
import { newId } from './ids.ts'

/**
 * Something changed on the rack or of a bicycle's hardware. Each request says what shall be so, not what to add, so that
 * one sent again after a lost answer changes nothing more.
 */
export interface Change extends Request {
  readonly id: string
  readonly order: number
  /** The bicycle it is about. */
  readonly about: string
  /** In words, for whoever waits for it. */
  readonly says: string
  /** What makes it as it was before. */
  readonly undo: readonly Request[]
  readonly refused?: Fault
}

export type NewChange = Omit<Change, 'id' | 'order' | 'refused'>

interface Snapshot {
  /** In the order they were made; those the server refused stay until somebody drops them. */
  readonly waiting: readonly Change[]
  /** What was last written and can still be undone from this screen. */
  readonly last: Change | undefined
  readonly away: boolean
}

type Refresh = (about: string) => Promise<unknown>

const RETRY_MS = 2000

let snapshot: Snapshot = { waiting: [], last: undefined, away: false }
let order = 0
let sending = false
let timer: ReturnType<typeof setTimeout> | undefined
let refresh: Refresh = async () => {}
const listeners = new Set<() => void>()

function tell(next: Partial<Snapshot>): void {
  snapshot = { ...snapshot, ...next }
  for (const listener of listeners) listener()
}

/** Reads what an earlier visit of this screen left, and begins to send it. */
export async function startChanges(onWritten: Refresh): Promise<void> {
  refresh = onWritten
  const left = await (await openStore()).getAll('changes')
  order = left.reduce((most, each) => Math.max(most, each.order + 1), 0)
  tell({ waiting: [...left.sort((a, b) => a.order - b.order), ...snapshot.waiting] })
  window.addEventListener('online', () => sendAll())
  await sendAll()
}

/** Keeps changes for sending, in the browser's own store before anything is sent. */
export async function change(...made: readonly NewChange[]): Promise<void> {
  const added = made.map((each): Change => ({ ...each, id: newId(), order: order++ }))
  tell({ waiting: [...snapshot.waiting, ...added] })
  const store = (await openStore()).transaction('changes', 'readwrite')
  await Promise.all([...added.map((each) => store.store.put(each)), store.done])
  await sendAll()
}

/** Makes the last change as it was before: that is a change like any other. */
export async function undo({ about, says, undo: back, ...made }: Change): Promise<void> {
  const again: Request = { method: made.method, path: made.path, body: made.body }
  const changes = back.map((request): NewChange => ({ ...request, about, says: `taken back: ${says}`, undo: [again] }))
  tell({ last: undefined })
  await change(...changes)
}

/** Drops a change the server refused. */
export async function dropChange(id: string): Promise<void> {
  tell({ waiting: snapshot.waiting.filter((each) => each.id !== id) })
  await (await openStore()).delete('changes', id)
}

async function sendAll(): Promise<void> {
  if (sending) return
  sending = true
  clearTimeout(timer)
  try {
    for (let next = nextChange(); next; next = nextChange()) await sendOne(next)
    tell({ away: false })
  } catch {
    tell({ away: true })
    timer = setTimeout(sendAll, RETRY_MS)
  } finally {
    sending = false
  }
}

const nextChange = (): Change | undefined => snapshot.waiting.find((each) => !each.refused)

async function sendOne(each: Change): Promise<void> {
  try {
    await sendRequest(each)
  } catch (error) {
    if (!(error instanceof ApiFault)) throw error
    const refused: Change = { ...each, refused: error.fault }
    tell({ waiting: snapshot.waiting.map((other) => (other.id === each.id ? refused : other)) })
    await (await openStore()).put('changes', refused)
    return
  }
  await refresh(each.about)
  tell({ waiting: snapshot.waiting.filter((other) => other.id !== each.id), last: each })
  await (await openStore()).delete('changes', each.id)
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const useChanges = (): Snapshot => useSyncExternalStore(subscribe, () => snapshot)
