import { createHash, randomBytes, randomInt, randomUUID, timingSafeEqual } from 'node:crypto'
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import type { Request, RequestHandler } from 'express'
import { HttpFault } from './fault.ts'

/** What a screen may do: the host’s own anything, one let in write or only read, a stranger nothing. */
export type May = 'host' | 'write' | 'read' | 'none'

/** A screen that was let in, as it named itself. */
export interface Device {
  readonly id: string
  readonly name: string
  readonly may: 'write' | 'read'
  readonly since: string
}

interface Kept {
  readonly codes: Readonly<Record<'write' | 'read', string>>
  readonly devices: readonly (Device & { readonly token: string })[]
}

/** Letters and digits that are not taken for one another when they are read aloud. */
const ALPHABET = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789'
const CODE_LENGTH = 8
const newCode = () => Array.from({ length: CODE_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join('')

/** Wrong codes from one address before it has to wait, and how long. Our choice: 31⁸ codes are not guessed so. */
const MOST_TRIES = 5
const WAIT_MS = 10 * 60_000
const MOST_DEVICES = 100

const COOKIE = 'overhaul_door'
const KEPT_SECONDS = 180 * 86_400

const hashed = (token: string) => createHash('sha256').update(token).digest('hex')
const same = (a: string, b: string) => a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b))

/** Whether a request comes from the machine the workshop runs on. */
export const isHost = ({ socket }: Pick<Request, 'socket'>): boolean =>
  /^(::1|(::ffff:)?127(\.\d{1,3}){3})$/.test(socket.remoteAddress ?? '')

const tokenOf = ({ headers }: Pick<Request, 'headers'>): string | undefined =>
  (headers.cookie ?? '')
    .split(/;\s*/)
    .find((each) => each.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1)

/**
 * The door of a shared workshop. Another screen comes in by a code; what it holds then is a random token in a cookie no script
 * reads, of which only the hash is kept. The network is trusted for nothing more: who listens in on it hears what is said.
 */
export class Door {
  private kept: Kept
  private readonly tries = new Map<string, { count: number; since: number }>()

  constructor(
    directory: string,
    readonly shared: boolean,
    private readonly now: () => number = Date.now,
  ) {
    this.path = join(directory, 'door.json')
    this.kept = existsSync(this.path)
      ? (JSON.parse(readFileSync(this.path, 'utf8')) as Kept)
      : { codes: { write: newCode(), read: newCode() }, devices: [] }
    if (shared) this.keep(this.kept)
  }
  private readonly path: string

  private keep(next: Kept): void {
    this.kept = next
    writeFileSync(`${this.path}.part`, JSON.stringify(next), { mode: 0o600 })
    renameSync(`${this.path}.part`, this.path)
  }

  get codes(): Kept['codes'] {
    return this.kept.codes
  }
  get devices(): readonly Device[] {
    return this.kept.devices.map(({ token: _, ...device }) => device)
  }

  may(request: Pick<Request, 'socket' | 'headers'>): May {
    if (!this.shared || isHost(request)) return 'host'
    const token = tokenOf(request)
    const device = token && this.kept.devices.find((each) => same(each.token, hashed(token)))
    return device ? device.may : 'none'
  }

  /** Lets a screen in by a code; answers with the cookie it is to keep. */
  letIn(code: string, name: string, address: string): Outcome<{ readonly device: Device; readonly cookie: string }> {
    const now = this.now()
    const tried = this.tries.get(address)
    const counting = tried && now - tried.since < WAIT_MS ? tried : { count: 0, since: now }
    if (counting.count >= MOST_TRIES) {
      const minutes = Math.ceil((counting.since + WAIT_MS - now) / 60_000)
      return refuse('too-many-tries', 'code', `Too many wrong codes from this screen. Try again in ${minutes} minutes.`)
    }
    const given = code.toUpperCase().replace(/[\s-]/g, '')
    const may = (['write', 'read'] as const).find((each) => same(given, this.kept.codes[each]))
    if (!may) {
      this.tries.set(address, { ...counting, count: counting.count + 1 })
      return refuse(
        'wrong-code',
        'code',
        'That is not the code of this workshop. Accepted: the eight letters and digits on its own screen, under Share.',
      )
    }
    this.tries.delete(address)
    const token = randomBytes(32).toString('base64url')
    const device: Device = { id: randomUUID(), name, may, since: new Date(now).toISOString() }
    this.keep({
      ...this.kept,
      devices: [...this.kept.devices, { ...device, token: hashed(token) }].slice(-MOST_DEVICES),
    })
    return ok({ device, cookie: `${COOKIE}=${token}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${KEPT_SECONDS}` })
  }

  /** Shows a screen out. */
  showOut(id: string): boolean {
    const devices = this.kept.devices.filter((each) => each.id !== id)
    if (devices.length === this.kept.devices.length) return false
    this.keep({ ...this.kept, devices })
    return true
  }

  /** New codes, and everybody out. */
  changeCodes(): void {
    this.keep({ codes: { write: newCode(), read: newCode() }, devices: [] })
  }

  /** Lets through who may; reading is open to those who only read. */
  readonly check: RequestHandler = (request, _response, next) => {
    const may = this.may(request)
    if (may === 'none') {
      const message =
        'This screen is not let in yet. Type the workshop’s code, which stands on its own screen under Share.'
      throw new HttpFault(401, { code: 'code-wanted', field: 'code', message })
    }
    if (may === 'read' && request.method !== 'GET' && request.method !== 'HEAD') {
      const message = 'This screen was let in to read. Come in with the other code to write.'
      throw new HttpFault(403, { code: 'read-only', field: 'code', message })
    }
    next()
  }
}
