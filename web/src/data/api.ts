import type { End } from '@overhaul/core/brake/dimension'
import type { Part, PartShape } from '@overhaul/core/drawer/part'
import type { BadRow } from '@overhaul/core/drawer/rows'
import type { Fault } from '@overhaul/core/outcome/outcome'
import type { Visit } from '@overhaul/core/run-sheet/job'
import type { StationStatus } from '@overhaul/core/run-sheet/line'
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

async function call<T>(method: string, path: string, body?: unknown, type = 'application/json'): Promise<T> {
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
  if (response.ok) return answer as T
  const fault = (answer as { error?: Fault } | undefined)?.error
  const trouble = (answer as { trouble?: string } | undefined)?.trouble
  if (trouble || fault?.code === 'data-gone') throw new InTrouble(trouble ?? fault?.message)
  // Shown out meanwhile, or not let in yet: what was written waits as it does for a server that is away.
  if (!fault || response.status >= 500 || response.status === 401)
    throw new Away(fault?.message ?? `The server answered ${response.status}.`)
  throw new ApiFault(response.status, fault)
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
    readonly unfit?: readonly string[]
    /** The day by which a released brake should be looked at again. */
    readonly lookAgain?: string
  }
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
  readonly jobs: readonly Pick<JobRow, 'id' | 'number' | 'openedAt' | 'releasedAt' | 'closedAt'>[]
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
}

/** Something asked of the server that may wait and be asked again. */
export interface Request {
  readonly method: 'POST' | 'PUT' | 'PATCH'
  readonly path: string
  readonly body: unknown
}

export const send = ({ method, path, body }: Request): Promise<unknown> => call(method, path, body)

export const api = {
  health: () => call<{ status: string }>('GET', 'health'),
  door: () => call<DoorState>('GET', 'door'),
  comeIn: (code: string, device: string) => call<{ may: string }>('POST', 'door', { code, device }),
  showOut: (id: string) => call<void>('DELETE', `door/devices/${id}`),
  changeCodes: () => call<void>('DELETE', 'door/codes'),
  rack: () => call<readonly RackBicycle[]>('GET', 'bicycles'),
  job: (id: string) => call<JobRecord>('GET', `jobs/${id}`),
  entriesAfter: (id: string, seq: number) => call<readonly Entry[]>('GET', `jobs/${id}/entries?after=${seq}`),
  append: (id: string, entries: readonly Entry[]) =>
    call<{ accepted: readonly string[]; known: readonly string[] }>('POST', `jobs/${id}/entries`, entries),
  tag: (code: string) => call<TagRecord>('GET', `tags/${encodeURIComponent(code)}`),
  bicycle: (id: string) => call<BicycleRecord>('GET', `bicycles/${id}`),
  drawer: () => call<readonly Part[]>('GET', 'drawer'),
  newPart: (part: PartShape & { count: number; by: string }) => call<Part>('POST', 'drawer', part),
  changePart: (id: string, change: Partial<PartShape>) => call<Part>('PATCH', `drawer/${id}`, change),
  moves: (jobId?: string) => call<readonly PartMove[]>('GET', `drawer/moves${jobId ? `?jobId=${jobId}` : ''}`),
  drawerFile: (text: string, by: string, dryRun: boolean) =>
    call<FileReport>('POST', `drawer/drawer.csv?dryRun=${dryRun}&by=${encodeURIComponent(by)}`, text, 'text/csv'),
}
