import type { JobRecord } from '@overhaul/core/http/contract'
import { type Fault, ok } from '@overhaul/core/outcome/outcome'
import { type Job, workOut } from '@overhaul/core/run-sheet/job'
import { knownOf, NOTHING_KNOWN } from '@overhaul/core/run-sheet/known'
import type { Entry, EntryBody } from '@overhaul/core/stand/entries'
import { onlyFamily } from '@overhaul/core/workshop/load'
import { openerOf } from '@overhaul/core/workshop/opener'
import { useMemo } from 'react'
import { useSettings } from '../app/settings.ts'
import { holdStand, standWith } from './held-stand.ts'
import { deviceId, newId } from './ids.ts'
import { isHeldBack, put, useOutbox, type Waiting } from './outbox.ts'
import { useFamily, useJobRecord } from './queries.ts'
import { useJobStream } from './stream.ts'

/** A job on this screen: its record, everything worked out from it, and the one way to write to it. */
export interface OpenJob {
  readonly record: JobRecord
  readonly job: Job
  /** Entries of this job still to be sent, or refused. */
  readonly waiting: readonly Waiting[]
  /** Writes entries, all or nothing, and answers with the first refusal. */
  readonly write: (bodies: readonly EntryBody[]) => Fault | undefined
  /** What writing them would answer, and which of them it is about. */
  readonly check: (bodies: readonly EntryBody[]) => Refusal | undefined
}

export interface Refusal {
  readonly index: number
  readonly error: Fault
}

export type JobState =
  | { readonly status: 'loading' }
  | { readonly status: 'failed'; readonly error: Error }
  | { readonly status: 'open'; readonly open: OpenJob }

export function useJob(jobId: string): JobState {
  const query = useJobRecord(jobId)
  const { waiting: outbox } = useOutbox()
  const { by } = useSettings()
  useJobStream(jobId, query.data !== undefined)
  const record = query.data
  const family = useFamily(record?.hardware.family)
  const opener = useMemo(() => (family.data?.ok ? openerOf(onlyFamily(family.data.value)) : undefined), [family.data])

  const waiting = useMemo(() => outbox.filter((each) => each.jobId === jobId), [outbox, jobId])
  const { job: told, visits } = record ?? {}
  const known = useMemo(() => (told && visits ? knownOf(told, visits) : NOTHING_KNOWN), [told, visits])
  const hold = useMemo(() => opener && holdStand(opener.openStand), [opener])
  const stand = useMemo(() => {
    if (!record || !hold) return undefined
    const there = new Set(record.entries.map(({ id }) => id))
    const ahead = waiting.flatMap((each) =>
      each.refused || isHeldBack(each, waiting) || there.has(each.entry.id) ? [] : [each.entry],
    )
    return standWith(hold(record.hardware, record.entries, known), ahead)
  }, [record, hold, known, waiting])
  const worked = useMemo(() => (stand?.ok ? ok({ stand: stand.value, job: workOut(stand.value) }) : stand), [stand])

  if (query.error && !record) return { status: 'failed', error: query.error }
  if (family.data && !family.data.ok) return { status: 'failed', error: new Error(family.data.error.message) }
  if (family.error) return { status: 'failed', error: family.error }
  if (!record || !opener || !worked) return { status: 'loading' }
  if (!worked.ok) return { status: 'failed', error: new Error(worked.error.message) }
  const { job, stand: from } = worked.value

  const make = (bodies: readonly EntryBody[]): readonly Entry[] =>
    bodies.map(
      (body): Entry => ({
        ...body,
        id: newId(),
        at: new Date().toISOString(),
        by,
        device: deviceId(),
        basedOn: job.state.lastSeq,
      }),
    )
  const refusal = (made: readonly Entry[]): Refusal | undefined => {
    const judged = opener.admitAll(from, made)
    return 'error' in judged ? judged : undefined
  }
  const check = (bodies: readonly EntryBody[]) => refusal(make(bodies))
  const write = (bodies: readonly EntryBody[]): Fault | undefined => {
    const made = make(bodies)
    const refused = refusal(made)
    if (refused) return refused.error
    put(jobId, made, record.epoch).catch((error) => console.error(error))
    return undefined
  }
  return { status: 'open', open: { record, job, waiting, write, check } }
}
