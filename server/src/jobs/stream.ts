import type { Entry } from '@overhaul/core/stand/entries'
import type { Response } from 'express'

const HEARTBEAT_MS = 15_000
/** More than this waiting means that nobody reads: the screen opens it again from what it last heard. */
const MOST_WAITING_BYTES = 512 * 1024

/** Every screen open on a job hears each new entry as it is written (server-sent events, the seq as event id). */
export class Streams {
  private readonly listeners = new Map<string, Set<Response>>()

  /**
   * Sends what the screen has missed, then everything new until it goes away. `behind`: the screen saw more than the log
   * has, which was restored since: it is told to read the job anew.
   */
  open(jobId: string, response: Response, missed: readonly Entry[], behind = false): void {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    })
    response.write('retry: 1000\n\n')
    if (behind) response.write('event: behind\ndata: 1\n\n')
    for (const entry of missed) send(response, event(entry))
    const listening = this.listeners.get(jobId) ?? new Set()
    this.listeners.set(jobId, listening.add(response))
    const heartbeat = setInterval(() => send(response, 'event: beat\ndata: 1\n\n'), HEARTBEAT_MS)
    response.on('close', () => {
      clearInterval(heartbeat)
      listening.delete(response)
      if (listening.size === 0) this.listeners.delete(jobId)
    })
  }

  publish(jobId: string, entries: readonly Entry[]): void {
    for (const response of this.listeners.get(jobId) ?? []) {
      for (const entry of entries) send(response, event(entry))
    }
  }

  /** Something else that a screen open on this job shows, such as its bicycle’s name. */
  tell(jobId: string, name: string, data: unknown): void {
    for (const response of this.listeners.get(jobId) ?? [])
      send(response, `event: ${name}\ndata: ${JSON.stringify(data)}\n\n`)
  }

  close(): void {
    for (const listening of this.listeners.values()) for (const response of listening) response.end()
  }
}

/** Writes to a screen that reads; one that does not is closed. */
function send(response: Response, text: string): void {
  if (response.destroyed) return
  if (response.writableLength + text.length > MOST_WAITING_BYTES) response.destroy()
  else response.write(text)
}

const event = (entry: Entry): string => `id: ${entry.seq}\nevent: entry\ndata: ${JSON.stringify(entry)}\n\n`
