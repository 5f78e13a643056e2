import type { End } from '@overhaul/core/brake/dimension'
import type { Part, PartShape } from '@overhaul/core/drawer/part'
import type { BadRow } from '@overhaul/core/drawer/rows'
import type { Fault } from '@overhaul/core/outcome/outcome'
import type { Visit } from '@overhaul/core/run-sheet/known'
import type { StationStatus } from '@overhaul/core/run-sheet/line'
import type { Before } from '@overhaul/core/sheet/found'
import type { Entry } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'

/** A refusal from the server, with its sentence. */
export class ApiFault extends Error {
  constructor(
    readonly status: number,
    readonly fault: Fault,
  ) {
    super(fault.message)
  }
}

/** The server did not answer at all. */
export class Away extends Error {}

/** The server answers, and writes nothing: its files are gone or damaged. */
export class InTrouble extends Away {}

const PATIENCE_MS = 8000

async function answerTo(
  method: string,
  path: string,
  body?: unknown,
  type = 'application/json',
): Promise<{ readonly told: unknown; readonly headers: Headers }> {
  let response: Response
  try {
    response = await fetch(`/api/${path}`, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body !== undefined && {
        headers: { 'Content-Type': type },
        body: type === 'application/json' ? JSON.stringify(body) : (body as string),
      }),
    })
  } catch {
    throw new Away('The workshop’s server does not answer.')
  }
  const answer: unknown = await response.json().catch(() => undefined)
  if (response.ok) return { told: answer, headers: response.headers }
  const fault = (answer as { error?: Fault } | undefined)?.error
  const trouble = (answer as { trouble?: string } | undefined)?.trouble
  if (trouble || fault?.code === 'data-gone') throw new InTrouble(trouble ?? fault?.message)
  // Shown out meanwhile, or not let in yet: what was written waits as it does for a server that is away.
  if (!fault || response.status >= 500 || response.status === 401)
    throw new Away(fault?.message ?? `The server answered ${response.status}.`)
  throw new ApiFault(response.status, fault)
}

const call = async <T>(...asked: Parameters<typeof answerTo>): Promise<T> => (await answerTo(...asked)).told as T

/** A page of a list, and how many there are on all its pages. */
export interface ListPage<T> {
  readonly rows: readonly T[]
  readonly total: number
}

async function listPage<T>(path: string): Promise<ListPage<T>> {
  const { told, headers } = await answerTo('GET', path)
  const rows = told as readonly T[]
  return { rows, total: Number(headers.get('X-Total') ?? rows.length) }
}

/** What went wrong with something that is not kept for sending: nothing was written, and the hand tries again. */
export const sayFailed = (error: Error): string =>
  error instanceof Away ? `${error.message} Nothing was written: try again when it is back.` : error.message

/** How this screen stands at the door of the workshop; what only the host's own screen is told is missing elsewhere. */
export interface DoorState {
  readonly shared: boolean
  readonly may: 'host' | 'write' | 'read' | 'none'
  readonly codes?: { readonly write: string; readonly read: string }
  readonly places?: readonly string[]
  /** The first place with the code in it, as a picture for another screen's camera: SVG. */
  readonly qr?: string
  readonly devices?: readonly {
    readonly id: string
    readonly name: string
    readonly may: 'write' | 'read'
    readonly since: string
  }[]
}

export interface JobRow {
  readonly id: string
  readonly number: number
  readonly brakeId: string
  readonly complaint: string
  readonly openedAt: string
  readonly releasedAt: string | null
  /** Ended without a release: not to be ridden. */
  readonly closedAt: string | null
  readonly summary: {
    readonly stations: readonly StationStatus[]
    readonly nextSay: string
    /** Where the work is. */
    readonly station?: string
    /** The last thing that was written of it. */
    readonly last?: { readonly at: string; readonly by: string; readonly say: string }
    readonly unfit?: readonly string[]
    /** The day by which a released brake should be looked at again. */
    readonly lookAgain?: string
  }
}

/** Parts of the rail, as the server names them. */
export type RackPart = 'hanging' | 'open' | 'out' | 'unfit' | 'released' | 'due' | 'retired'

/** Which bicycles are wanted, and in what order. */
export interface RackWish {
  readonly part: RackPart
  readonly q: string
  readonly family?: string
  readonly station?: string
  readonly sort: 'name' | 'recent'
}

/** How many bicycles are in each part of the rail, have a brake of each family, and a job at each station. */
export interface RackCounts {
  /** The same while nothing changed. */
  readonly changes: number
  /** Of the workshop’s data: another after a restore. */
  readonly epoch: string
  readonly parts: Readonly<Record<RackPart, number>>
  readonly families: readonly Counted[]
  readonly stations: readonly Counted[]
}

export interface Counted {
  readonly id: string
  readonly title: string
  readonly count: number
}

export interface RackBicycle {
  readonly id: string
  /** On its tag; null on one not opened since there are codes. */
  readonly code: string | null
  readonly name: string
  readonly description: string
  /** Taken off the rack; null while it hangs there. */
  readonly retiredAt: string | null
  readonly brakes: readonly {
    readonly id: string
    readonly end: End
    readonly family: string
    readonly job: JobRow | null
  }[]
}

/** Whose tag a code is; where the workshop is shared, its address as a picture too. */
export interface TagRecord {
  readonly code: string
  readonly bicycleId: string
  readonly name: string
  /** Both ends, as the tag says them. */
  readonly ends: readonly string[]
  readonly address?: string
  readonly qr?: string
}

/** A brake that hangs on a bicycle, or hung there before, with its jobs. */
export interface BrakeRecord {
  readonly id: string
  readonly end: End
  readonly hardware: Hardware
  /** Another brake hangs there since; null while this one does. */
  readonly retiredAt: string | null
  readonly jobs: readonly (Pick<JobRow, 'id' | 'number' | 'openedAt' | 'releasedAt' | 'closedAt' | 'complaint'> & {
    /** How it stands, in a line. */
    readonly says: string
    /** What the brake is set by, as found and as left, and the minutes it took, where they were told. */
    readonly readings: readonly Before[]
    readonly minutes: number
  })[]
}

export interface BicycleRecord {
  readonly id: string
  readonly name: string
  readonly description: string
  readonly retiredAt: string | null
  readonly brakes: readonly BrakeRecord[]
}

export interface HeldPart {
  readonly partId: string
  readonly name: string
  readonly count: number
}

export interface PartMove {
  readonly id: string
  readonly partId: string
  readonly delta: number
  readonly jobId: string | null
  readonly why: string
  readonly by: string
  readonly at: string
  readonly name: string
}

/** What a file would do, or did. */
export interface FileReport {
  readonly dryRun: boolean
  readonly added: readonly string[]
  readonly changed: readonly string[]
  readonly unchanged: readonly string[]
  readonly bad: readonly BadRow[]
}

export interface JobRecord {
  /** Of the workshop’s data: another after a restore. */
  readonly epoch: string
  readonly job: JobRow
  readonly bicycle: {
    readonly id: string
    readonly name: string
    readonly description: string
    readonly code: string | null
  }
  readonly hardware: Hardware
  readonly visits: readonly Visit[]
  readonly entries: readonly Entry[]
  /** The jobs just before and after it on the same brake. */
  readonly beside?: { readonly before?: JobNumber; readonly after?: JobNumber }
}

type JobNumber = Pick<JobRow, 'id' | 'number'>

/** Something asked of the server that may wait and be asked again. */
export interface Request {
  readonly method: 'POST' | 'PUT' | 'PATCH'
  readonly path: string
  readonly body: unknown
}

export const send = ({ method, path, body }: Request): Promise<unknown> => call(method, path, body)

const A_PAGE = 50

const queryOf = (asked: Readonly<Record<string, string | number | undefined>>): string =>
  new URLSearchParams(
    Object.entries(asked).flatMap(([key, value]) =>
      value === undefined || value === '' ? [] : [[key, String(value)]],
    ),
  ).toString()

export const api = {
  health: () => call<{ status: string }>('GET', 'health'),
  door: () => call<DoorState>('GET', 'door'),
  comeIn: (code: string, device: string) => call<{ may: string }>('POST', 'door', { code, device }),
  showOut: (id: string) => call<void>('DELETE', `door/devices/${id}`),
  changeCodes: () => call<void>('DELETE', 'door/codes'),
  rack: () => call<RackCounts>('GET', 'rack'),
  /** A page of the bicycles wanted; whether more follow is told by the total. */
  rackPage: (wish: RackWish, after?: string) =>
    listPage<RackBicycle>(`bicycles?${queryOf({ ...wish, limit: A_PAGE, after })}`),
  jobsSought: (q: string) => listPage<JobRow>(`jobs?${queryOf({ q, limit: A_PAGE })}`),
  job: (id: string) => call<JobRecord>('GET', `jobs/${id}`),
  entriesAfter: (id: string, seq: number, epoch: string) =>
    call<readonly Entry[]>('GET', `jobs/${id}/entries?${queryOf({ after: seq, epoch })}`),
  append: (id: string, entries: readonly Entry[], epoch?: string) =>
    call<{ accepted: readonly string[]; known: readonly string[] }>(
      'POST',
      `jobs/${id}/entries?${queryOf({ epoch })}`,
      entries,
    ),
  tag: (code: string) => call<TagRecord>('GET', `tags/${encodeURIComponent(code)}`),
  bicycle: (id: string) => call<BicycleRecord>('GET', `bicycles/${id}`),
  drawer: () => call<readonly Part[]>('GET', 'drawer'),
  newPart: (part: PartShape & { count: number; by: string }) => call<Part>('POST', 'drawer', part),
  changePart: (id: string, change: Partial<PartShape>) => call<Part>('PATCH', `drawer/${id}`, change),
  moves: (jobId?: string) => call<readonly PartMove[]>('GET', `drawer/moves${jobId ? `?jobId=${jobId}` : ''}`),
  drawerProgress: () => call<{ done: number; of: number }>('GET', 'drawer/progress'),
  drawerFile: (text: string, by: string, dryRun: boolean) =>
    call<FileReport>('POST', `drawer/drawer.csv?dryRun=${dryRun}&by=${encodeURIComponent(by)}`, text, 'text/csv'),
}
