import { createHash, randomBytes, randomInt, randomUUID, timingSafeEqual } from 'node:crypto'
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import type { Request, RequestHandler } from 'express'
import Joi from 'joi'
import { HttpFault } from './fault.ts'
import { hold } from './hold.ts'

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
/** Screens let in from one address within the same time, and addresses remembered. */
const MOST_ENTRIES = 20
const MOST_ADDRESSES = 10_000

const COOKIE = 'overhaul_door'
const KEPT_SECONDS = 180 * 86_400

const digest = (text: string) => createHash('sha256').update(text).digest()
const hashed = (token: string) => digest(token).toString('hex')
/** In the same time wherever they differ, and however many bytes they have. */
const same = (a: string, b: string) => timingSafeEqual(digest(a), digest(b))

/** Whether a request comes from the machine the workshop runs on. */
export const isHost = ({ socket }: Pick<Request, 'socket'>): boolean =>
  /^(::1|(::ffff:)?127(\.\d{1,3}){3})$/.test(socket.remoteAddress ?? '')

const tokenOf = ({ headers }: Pick<Request, 'headers'>): string | undefined =>
  (headers.cookie ?? '')
    .split(/;\s*/)
    .find((each) => each.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1)

const KEPT = Joi.object<Kept>({
  codes: Joi.object({ write: Joi.string().required(), read: Joi.string().required() }).required(),
  devices: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().required(),
        name: Joi.string().required(),
        may: Joi.string().valid('write', 'read').required(),
        since: Joi.string().required(),
        token: Joi.string().required(),
      }),
    )
    .required(),
})

/** What was kept; undefined where nothing was, or where it cannot be read any more. */
function readKept(path: string): Kept | undefined {
  if (!existsSync(path)) return undefined
  try {
    return Joi.attempt(JSON.parse(readFileSync(path, 'utf8')), KEPT) as Kept
  } catch {
    console.error(`${path} is damaged and made anew: there are new codes, and every screen comes in by them again.`)
    return undefined
  }
}

/** With one more let in, as many as are kept: who only reads makes room first. Undefined where a reader would have to put out a writer. */
function withOneMore(devices: Kept['devices'], one: Kept['devices'][number]): Kept['devices'] | undefined {
  if (devices.length < MOST_DEVICES) return [...devices, one]
  const reader = devices.findIndex(({ may }) => may === 'read')
  if (reader < 0 && one.may === 'read') return undefined
  return [...devices.toSpliced(Math.max(0, reader), 1), one]
}

/**
 * The door of a shared workshop. Another screen comes in by a code; what it holds then is a random token in a cookie no script
 * reads, of which only the hash is kept. The network is trusted for nothing more: who listens in on it hears what is said.
 */
export class Door {
  private kept: Kept
  private readonly tries = new Map<string, { wrong: number; entered: number; since: number }>()

  constructor(
    directory: string,
    readonly shared: boolean,
    private readonly now: () => number = Date.now,
  ) {
    this.path = join(directory, 'door.json')
    this.kept = readKept(this.path) ?? { codes: { write: newCode(), read: newCode() }, devices: [] }
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
    return this.whoIs(request).may
  }

  /** What a screen may do, and which it is; neither the workshop’s own nor a stranger was let in. */
  private whoIs(request: Pick<Request, 'socket' | 'headers'>): { readonly may: May; readonly device?: string } {
    if (!this.shared || isHost(request)) return { may: 'host' }
    const token = tokenOf(request)
    if (!token) return { may: 'none' }
    const known = hashed(token)
    const device = this.kept.devices.find((each) => same(each.token, known))
    return device ? { may: device.may, device: device.id } : { may: 'none' }
  }

  /** Lets a screen in by a code; answers with the cookie it is to keep. */
  letIn(code: string, name: string, address: string): Outcome<{ readonly device: Device; readonly cookie: string }> {
    const now = this.now()
    const tried = this.tries.get(address)
    const counting = tried && now - tried.since < WAIT_MS ? tried : { wrong: 0, entered: 0, since: now }
    const minutes = Math.ceil((counting.since + WAIT_MS - now) / 60_000)
    if (counting.wrong >= MOST_TRIES)
      return refuse('too-many-tries', 'code', `Too many wrong codes from this screen. Try again in ${minutes} minutes.`)
    if (counting.entered >= MOST_ENTRIES)
      return refuse('too-many-tries', 'code', `This address came in very often. Try again in ${minutes} minutes.`)
    const given = code.toUpperCase().replace(/[\s-]/g, '')
    const may = (['write', 'read'] as const).find((each) => same(given, this.kept.codes[each]))
    if (!may) {
      hold(this.tries, address, { ...counting, wrong: counting.wrong + 1 }, MOST_ADDRESSES)
      return refuse(
        'wrong-code',
        'code',
        'That is not the code of this workshop. Accepted: the eight letters and digits on its own screen, under Share.',
      )
    }
    const token = randomBytes(32).toString('base64url')
    const device: Device = { id: randomUUID(), name, may, since: new Date(now).toISOString() }
    const devices = withOneMore(this.kept.devices, { ...device, token: hashed(token) })
    if (!devices) {
      const say = `${MOST_DEVICES} screens that write are let in already. Show one out first, under Share on the workshop’s own screen.`
      return refuse('too-many-screens', 'code', say)
    }
    hold(this.tries, address, { ...counting, wrong: 0, entered: counting.entered + 1 }, MOST_ADDRESSES)
    this.keep({ ...this.kept, devices })
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
  readonly check: RequestHandler = (request, response, next) => {
    const { may, device } = this.whoIs(request)
    if (may === 'none') {
      const message =
        'This screen is not let in yet. Type the workshop’s code, which stands on its own screen under Share.'
      throw new HttpFault(401, { code: 'code-wanted', field: 'code', message })
    }
    if (may === 'read' && request.method !== 'GET' && request.method !== 'HEAD') {
      const message = 'This screen was let in to read. Come in with the other code to write.'
      throw new HttpFault(403, { code: 'read-only', field: 'code', message })
    }
    response.locals.device = device
    next()
  }
}
