import type { Entry } from '@overhaul/core/stand/entries'
import type { Response } from 'express'

const HEARTBEAT_MS = 15_000

/** Every screen open on a job hears each new entry as it is written (server-sent events, the seq as event id). */
export class Streams {
  private readonly listeners = new Map<string, Set<Response>>()

  /** Sends what the screen has missed, then everything new until it goes away. */
  open(jobId: string, response: Response, missed: readonly Entry[]): void {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    })
    response.write('retry: 1000\n\n')
    for (const entry of missed) response.write(event(entry))
    const listening = this.listeners.get(jobId) ?? new Set()
    this.listeners.set(jobId, listening.add(response))
    const heartbeat = setInterval(() => response.write('event: beat\ndata: 1\n\n'), HEARTBEAT_MS)
    response.on('close', () => {
      clearInterval(heartbeat)
      listening.delete(response)
      if (listening.size === 0) this.listeners.delete(jobId)
    })
  }

  publish(jobId: string, entries: readonly Entry[]): void {
    for (const response of this.listeners.get(jobId) ?? []) {
      for (const entry of entries) response.write(event(entry))
    }
  }

  /** Something else that a screen open on this job shows, such as its bicycle’s name. */
  tell(jobId: string, name: string, data: unknown): void {
    for (const response of this.listeners.get(jobId) ?? [])
      response.write(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`)
  }

  close(): void {
    for (const listening of this.listeners.values()) for (const response of listening) response.end()
  }
}

const event = (entry: Entry): string => `id: ${entry.seq}\nevent: entry\ndata: ${JSON.stringify(entry)}\n\n`
