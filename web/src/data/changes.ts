import { useSyncExternalStore } from 'react'
import { type Request, send } from './api.ts'
import { newId } from './ids.ts'
import { Queue, type Queued } from './queue.ts'

/**
 * Something changed on the rack or of a bicycle's hardware. Each request says what shall be so, not what to add, so that
 * one sent again after a lost answer changes nothing more.
 */
export interface Change extends Request, Queued {
  readonly id: string
  /** The bicycle it is about. */
  readonly about: string
  /** In words, for whoever waits for it. */
  readonly says: string
  /** What makes it as it was before. */
  readonly undo: readonly Request[]
}

export type NewChange = Omit<Change, 'id' | keyof Queued>

const changes = new Queue<Change>({
  shelf: 'changes',
  idOf: ({ id }) => id,
  next: (waiting) => waiting.filter((each) => !each.refused).slice(0, 1),
  send: ([each]) => send(each as Change),
  refusedIn: ([each]) => each as Change,
})

/** Begins to send what an earlier visit of this screen left. `onWritten` reads anew what a change was about. */
export const startChanges = (onWritten: (about: string) => Promise<unknown>): Promise<void> =>
  changes.start(([each]) => onWritten((each as Change).about))

/** Keeps changes for sending, in the order they are made. True where all were taken at once; the others wait, or were refused. */
export async function change(...made: readonly NewChange[]): Promise<boolean> {
  const ids = made.map(() => newId())
  await changes.put(
    made.map(
      (each, index) =>
        (order): Change => ({ ...each, id: ids[index] as string, order }),
    ),
  )
  return !changes.snapshot().waiting.some(({ id }) => ids.includes(id))
}

/** Moves of parts are known by their ids: one made again is another move. */
const madeAnew = (body: unknown): unknown =>
  Array.isArray(body) ? body.map((each: object) => ('id' in each ? { ...each, id: newId() } : each)) : body

/** Makes the last change as it was before: that is a change like any other. */
export function undo({ about, says, undo: back, method, path, body }: Change): Promise<boolean> {
  changes.forgetLast()
  const again: Request = { method, path, body: madeAnew(body) }
  return change(
    ...back.map((request): NewChange => ({ ...request, about, says: `taken back: ${says}`, undo: [again] })),
  )
}

/** Drops a change the server refused. */
export const dropChange = (id: string): Promise<void> =>
  changes.drop(changes.snapshot().waiting.filter((each) => each.id === id))

/** What was written last from this screen; asked for by tests. @public */
export const lastChange = (): Change | undefined => changes.snapshot().last[0]

export const useChanges = () => useSyncExternalStore(changes.subscribe, changes.snapshot)
