import type { PartShape } from '@overhaul/core/drawer/part'
import type { Answers, RackWish } from '@overhaul/core/http/contract'
import type { Fault } from '@overhaul/core/outcome/outcome'
import type { Workshop } from '@overhaul/core/sheet/workshop'
import type { Entry } from '@overhaul/core/stand/entries'

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

/** Asks a route; what it answers is said once, in the contract. */
const call = async <Route extends keyof Answers>(
  route: Route,
  path: string,
  ...body: [body?: unknown, type?: string]
): Promise<Answers[Route]> => {
  const [method = ''] = route.split(' ')
  return (await answerTo(method, path, ...body)).told as Answers[Route]
}

/** A page of a list, and how many there are on all its pages. */
export interface ListPage<T> {
  readonly rows: readonly T[]
  readonly total: number
}

async function listPage<Route extends 'GET bicycles' | 'GET jobs'>(
  route: Route,
  asked: string,
): Promise<ListPage<Answers[Route][number]>> {
  const { told, headers } = await answerTo('GET', `${route.slice('GET '.length)}?${asked}`)
  const rows = told as Answers[Route]
  return { rows, total: Number(headers.get('X-Total') ?? rows.length) }
}

/** What went wrong with something that is not kept for sending: nothing was written, and the hand tries again. */
export const sayFailed = (error: Error): string =>
  error instanceof Away ? `${error.message} Nothing was written: try again when it is back.` : error.message

/** Something asked of the server that may wait and be asked again. */
export interface Request {
  readonly method: 'POST' | 'PUT' | 'PATCH'
  readonly path: string
  readonly body: unknown
}

export const send = async ({ method, path, body }: Request): Promise<unknown> =>
  (await answerTo(method, path, body)).told

const A_PAGE = 50

const queryOf = (asked: Readonly<Record<string, string | number | undefined>>): string =>
  new URLSearchParams(
    Object.entries(asked).flatMap(([key, value]) =>
      value === undefined || value === '' ? [] : [[key, String(value)]],
    ),
  ).toString()

export const api = {
  health: () => call('GET health', 'health'),
  door: () => call('GET door', 'door'),
  comeIn: (code: string, device: string) => call('POST door', 'door', { code, device }),
  showOut: (id: string) => answerTo('DELETE', `door/devices/${id}`),
  changeCodes: () => answerTo('DELETE', 'door/codes'),
  workshop: () => call('GET workshop', 'workshop'),
  tellWorkshop: (told: Workshop) => call('PUT workshop', 'workshop', told),
  rack: () => call('GET rack', 'rack'),
  /** A page of the bicycles wanted; whether more follow is told by the total. */
  rackPage: (wish: RackWish, after?: string) => listPage('GET bicycles', queryOf({ ...wish, limit: A_PAGE, after })),
  jobsSought: (q: string) => listPage('GET jobs', queryOf({ q, limit: A_PAGE })),
  job: (id: string) => call('GET jobs/:id', `jobs/${id}`),
  entriesAfter: (id: string, seq: number, epoch: string) =>
    call('GET jobs/:id/entries', `jobs/${id}/entries?${queryOf({ after: seq, epoch })}`),
  append: (id: string, entries: readonly Entry[], epoch?: string) =>
    call('POST jobs/:id/entries', `jobs/${id}/entries?${queryOf({ epoch })}`, entries),
  tag: (code: string) => call('GET tags/:code', `tags/${encodeURIComponent(code)}`),
  bicycle: (id: string) => call('GET bicycles/:id', `bicycles/${id}`),
  drawer: () => call('GET drawer', 'drawer'),
  newPart: (part: PartShape & { count: number; by: string }) => call('POST drawer', 'drawer', part),
  changePart: (id: string, change: Partial<PartShape>) => call('PATCH drawer/:id', `drawer/${id}`, change),
  moves: (jobId?: string) => call('GET drawer/moves', `drawer/moves${jobId ? `?jobId=${jobId}` : ''}`),
  drawerProgress: () => call('GET drawer/progress', 'drawer/progress'),
  drawerFile: (text: string, by: string, dryRun: boolean) =>
    call('POST drawer/drawer.csv', `drawer/drawer.csv?dryRun=${dryRun}&by=${encodeURIComponent(by)}`, text, 'text/csv'),
}
