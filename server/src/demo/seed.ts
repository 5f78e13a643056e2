import type { EntryBody } from '@overhaul/core/stand/entries'
import { DRAWER } from './drawer.ts'
import { type DemoBrake, LOCKSIDE, LOCKSIDE_HIRE } from './lockside.ts'
import { workedLog } from './mechanic.ts'

const DAY_MS = 86_400_000

/** A client of the workshop's own interface: the demo is made as a user would make it. */
function client(base: string, method: 'POST' | 'PUT') {
  return async <T>(path: string, body: unknown): Promise<T> => {
    const response = await fetch(`${base}/api/${path}`, {
      method,
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    })
    if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`)
    return (await response.json()) as T
  }
}

/** Hangs Lockside Hire on an empty rack. */
export async function seedDemo(base: string, now = new Date()): Promise<void> {
  const post = client(base, 'POST')
  await client(base, 'PUT')('workshop', LOCKSIDE_HIRE)
  const waiting: { at: number; open: () => Promise<void> }[] = []
  for (const { name, description, brakes } of LOCKSIDE) {
    const bicycle = await post<{ id: string }>('bicycles', { name, description })
    for (const each of brakes) {
      const { id } = await post<{ id: string }>('brakes', { bicycleId: bicycle.id, hardware: each.hardware })
      for (const job of each.jobs) waiting.push({ at: -job.daysAgo, open: () => openJob(post, id, each, job, now) })
    }
  }
  for (const part of DRAWER) await post('drawer', { ...part, by: '5' })
  for (const { open } of waiting.sort((a, b) => a.at - b.at)) await open()
}

/** What a mechanic writes who cannot put it right. */
const closing = ({ closed, by }: DemoBrake['jobs'][number]): readonly EntryBody[] =>
  closed ? [...closed.found, { kind: 'close', initials: by, why: closed.why }] : []

async function openJob(
  post: ReturnType<typeof client>,
  brakeId: string,
  { hardware }: DemoBrake,
  job: DemoBrake['jobs'][number],
  now: Date,
): Promise<void> {
  const { id } = await post<{ id: string }>('jobs', { brakeId, complaint: job.complaint })
  const startedAt = new Date(Math.floor(now.getTime() / DAY_MS) * DAY_MS - job.daysAgo * DAY_MS + 9 * 3_600_000)
  const told = { work: job.work, rider: job.rider }
  const first = Object.entries(told).flatMap(([reading, value]): readonly EntryBody[] =>
    value === undefined ? [] : [{ kind: 'reading', reading, value, unit: '' }],
  )
  const log = workedLog(hardware, job.by, startedAt, job.stopAt, first, closing(job), job.shown, job.runs)
  if (log.length > 0) await post(`jobs/${id}/entries`, log)
}
