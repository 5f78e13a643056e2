import type { Entry } from '@overhaul/core/stand/entries'
import type { Response } from 'express'

const HEARTBEAT_MS = 15_000
/** More than this waiting means that nobody reads: the screen opens it again from what it last heard. */
const MOST_WAITING_BYTES = 512 * 1024

/** A screen open on a job. */
interface Listener {
  readonly response: Response
  /** The screen that was let in; undefined for the workshop’s own. */
  readonly device: string | undefined
  /** It is being told what it has missed: what comes meanwhile is in the log, and is read from there. */
  catchingUp: boolean
  missing: boolean
}

/** Every screen open on a job hears each new entry as it is written (server-sent events, the seq as event id). */
export class Streams {
  private readonly listeners = new Map<string, Set<Listener>>()

  /**
   * Sends what the screen has missed since `after`, then everything new until it goes away. A screen that saw another log than
   * there is, which was restored since, is told to read the job anew.
   */
  async open(
    jobId: string,
    response: Response,
    after: number,
    read: (after: number) => Promise<readonly Entry[]>,
    isBehind: boolean,
    device?: string,
  ): Promise<void> {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    })
    response.write('retry: 1000\n\n')
    if (isBehind) response.write('event: behind\ndata: 1\n\n')
    const listener: Listener = { response, device, catchingUp: true, missing: true }
    const listening = this.listeners.get(jobId) ?? new Set()
    this.listeners.set(jobId, listening.add(listener))
    const heartbeat = setInterval(() => send(response, 'event: beat\ndata: 1\n\n'), HEARTBEAT_MS)
    response.on('close', () => {
      clearInterval(heartbeat)
      listening.delete(listener)
      if (listening.size === 0) this.listeners.delete(jobId)
    })
    for (let heard = after; listener.missing; ) {
      listener.missing = false
      const missed = await read(heard)
      for (const entry of missed) send(response, event(entry))
      heard = missed.at(-1)?.seq ?? heard
    }
    listener.catchingUp = false
  }

  publish(jobId: string, entries: readonly Entry[]): void {
    for (const listener of this.listeners.get(jobId) ?? []) {
      if (listener.catchingUp) listener.missing = true
      else for (const entry of entries) send(listener.response, event(entry))
    }
  }

  /** Something else that a screen open on this job shows, such as its bicycle’s name. */
  tell(jobId: string, name: string, data: unknown): void {
    for (const { response } of this.listeners.get(jobId) ?? [])
      send(response, `event: ${name}\ndata: ${JSON.stringify(data)}\n\n`)
  }

  /** Ends what screens hear that were shown out. */
  hangUp(isOut: (device: string | undefined) => boolean): void {
    for (const listening of this.listeners.values())
      for (const { response, device } of listening) if (isOut(device)) response.end()
  }

  close(): void {
    this.hangUp(() => true)
  }
}

/** Writes to a screen that reads; one that does not is closed. */
function send(response: Response, text: string): void {
  if (response.destroyed) return
  if (response.writableLength + text.length > MOST_WAITING_BYTES) response.destroy()
  else response.write(text)
}

const event = (entry: Entry): string => `id: ${entry.seq}\nevent: entry\ndata: ${JSON.stringify(entry)}\n\n`
