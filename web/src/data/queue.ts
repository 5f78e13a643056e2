import type { Fault } from '@overhaul/core/outcome/outcome'
import { ApiFault } from './api.ts'
import { openStore, type Schema } from './browser-store.ts'
import { onWaking } from './waking.ts'

/** Something written here that the server has not taken yet. */
export interface Queued {
  readonly order: number
  /** Why the server would not take it; it stays until somebody drops it. */
  readonly refused?: Fault
}

type Shelf = 'waiting' | 'changes'

/** What differs from one queue to the next. */
interface Kind<T extends Queued> {
  /** Where it lies in the browser's own store. */
  readonly shelf: Shelf
  readonly idOf: (each: T) => string
  /** Those that are sent next, together; none while nothing may be. */
  readonly next: (waiting: readonly T[]) => readonly T[]
  readonly send: (batch: readonly T[]) => Promise<unknown>
  /** The one of a batch that a refusal is about. */
  readonly refusedIn: (batch: readonly T[], fault: Fault) => T
  /** Something else that a refusal calls for. */
  readonly onRefused?: (refused: T, fault: Fault) => void
}

interface Snapshot<T> {
  /** In the order they were made. */
  readonly waiting: readonly T[]
  /** What was sent last from this screen. */
  readonly last: readonly T[]
  /** The server did not answer the last time. */
  readonly away: boolean
}

const RETRY_MS = 2000

/**
 * What waits for the server: kept in the browser's own store before anything is sent, sent in order, tried again while
 * the server is away. A refusal marks the one it is about and lets the others go on.
 */
export class Queue<T extends Queued> {
  private now: Snapshot<T> = { waiting: [], last: [], away: false }
  private order = 0
  private sending = false
  private pass: Promise<void> = Promise.resolve()
  private timer: ReturnType<typeof setTimeout> | undefined
  private readonly listeners = new Set<() => void>()
  private onSent: (batch: readonly T[]) => Promise<unknown> = async () => {}

  constructor(private readonly kind: Kind<T>) {}

  readonly snapshot = (): Snapshot<T> => this.now
  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  private tell(next: Partial<Snapshot<T>>): void {
    this.now = { ...this.now, ...next }
    for (const listener of this.listeners) listener()
  }

  /** Reads what an earlier visit of this screen left, and begins to send it; `onSent` reads anew what it was about. */
  async start(onSent: (batch: readonly T[]) => Promise<unknown>): Promise<void> {
    this.onSent = onSent
    const left = (await (await openStore()).getAll(this.kind.shelf)) as unknown as T[]
    this.order = left.reduce((most, each) => Math.max(most, each.order + 1), 0)
    this.tell({ waiting: [...left.sort((a, b) => a.order - b.order), ...this.now.waiting] })
    onWaking(() => this.sendAll())
    await this.sendAll()
  }

  /** On screen at once, then kept, then sent. */
  async put(make: readonly ((order: number) => T)[]): Promise<void> {
    const added = make.map((each) => each(this.order++))
    this.tell({ waiting: [...this.now.waiting, ...added] })
    await this.keep(added)
    await this.sendAll()
  }

  async drop(gone: readonly T[]): Promise<void> {
    this.tell({ waiting: this.now.waiting.filter((each) => !gone.includes(each)) })
    await this.forget(gone)
    await this.sendAll()
  }

  /** Refused ones made so that they may be taken, and sent again. */
  async renew(refused: readonly T[], made: (each: T) => T): Promise<void> {
    const renewed = new Map(refused.map((each) => [each, made(each)]))
    this.tell({ waiting: this.now.waiting.map((each) => renewed.get(each) ?? each) })
    await this.keep([...renewed.values()])
    await this.sendAll()
  }

  /** What was sent last is no longer offered to be undone. */
  forgetLast(): void {
    this.tell({ last: [] })
  }

  private async keep(added: readonly T[]): Promise<void> {
    const { store, done } = (await openStore()).transaction(this.kind.shelf, 'readwrite')
    await Promise.all([...added.map((each) => store.put(each as unknown as Schema[Shelf]['value'])), done])
  }

  private async forget(gone: readonly T[]): Promise<void> {
    const { store, done } = (await openStore()).transaction(this.kind.shelf, 'readwrite')
    await Promise.all([...gone.map((each) => store.delete(this.kind.idOf(each))), done])
  }

  /** Sends what waits, in order; asked while that is under way, it is done when that is, which takes what came meanwhile along. */
  private sendAll(): Promise<void> {
    if (!this.sending) {
      this.sending = true
      this.pass = this.sendInTurn()
    }
    return this.pass
  }

  private async sendInTurn(): Promise<void> {
    clearTimeout(this.timer)
    try {
      for (let batch = this.next(); batch.length > 0; batch = this.next()) await this.sendBatch(batch)
      this.tell({ away: false })
    } catch {
      this.tell({ away: true })
      this.timer = setTimeout(() => this.sendAll(), RETRY_MS)
    } finally {
      this.sending = false
    }
  }

  private readonly next = (): readonly T[] => this.kind.next(this.now.waiting)

  private async sendBatch(batch: readonly T[]): Promise<void> {
    try {
      await this.kind.send(batch)
    } catch (error) {
      if (!(error instanceof ApiFault)) throw error
      if (error.fault.code === 'too-large' && batch.length > 1)
        return this.sendBatch(batch.slice(0, Math.ceil(batch.length / 2)))
      const about = this.kind.refusedIn(batch, error.fault)
      const refused: T = { ...about, refused: error.fault }
      this.tell({ waiting: this.now.waiting.map((each) => (each === about ? refused : each)) })
      await this.keep([refused])
      this.kind.onRefused?.(refused, error.fault)
      return
    }
    await this.onSent(batch)
    this.tell({ waiting: this.now.waiting.filter((each) => !batch.includes(each)), last: batch })
    await this.forget(batch)
  }
}
