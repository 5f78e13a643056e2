import type { JobSummary } from '@overhaul/core/http/contract'
import { type Outcome, ok } from '@overhaul/core/outcome/outcome'
import { sayFindings } from '@overhaul/core/run-sheet/findings'
import { type Job, workOut } from '@overhaul/core/run-sheet/job'
import { runLine, stationInHand } from '@overhaul/core/run-sheet/line'
import { sayAct } from '@overhaul/core/run-sheet/say'
import { foundAndLeft } from '@overhaul/core/sheet/found'
import { costsIn } from '@overhaul/core/stand/costs'
import { describe } from '@overhaul/core/stand/describe'
import { openJob } from '@overhaul/core/workshop/open'
import { sql } from 'drizzle-orm'
import type { jobs } from '../db/schema.ts'
import type { OpenJob } from './open-job.ts'

type Workable = Pick<OpenJob, 'hardware' | 'entries' | 'known' | 'stand'>

/** An open job worked out from its stand where that is held, otherwise from its log. */
export const workedJob = ({ hardware, entries: log, known, stand }: Workable): Outcome<Job> =>
  stand ? ok(workOut(stand)) : openJob(hardware, log, known)

/** A moment as it is put in order: in one zone, written one way. */
export const inUtc = (at: string): string => new Date(at).toISOString()

/** What the rack tells of a job, and the entry up to which it is true. */
export function summaryOf(open: Workable): JobSummary {
  const seq = open.entries.at(-1)?.seq ?? 0
  const worked = workedJob(open)
  if (!worked.ok) return { stations: [], nextSay: worked.error.message, seq }
  const job = worked.value
  const { advice, next } = job
  const written = job.state.standing.at(-1)
  const said = (nextSay: string): JobSummary => ({
    stations: runLine(job, advice),
    nextSay,
    seq,
    station: stationInHand(next, job),
    readings: foundAndLeft(job),
    minutes: costsIn(job.state.standing).minutes,
    ...(written && { last: { at: inUtc(written.at), by: written.by, say: describe(written, job) } }),
  })
  if (job.state.parked) return said(`Parked: ${job.state.parked.why}.`)
  switch (next.kind) {
    case 'turn':
      return said('Next turn is ready.')
    case 'released':
      return {
        ...said(`Released by ${next.release.initials}.`),
        ...(next.release.lookAgain && { lookAgain: next.release.lookAgain }),
      }
    case 'closed':
      return {
        ...said(`Not to be ridden: ${next.close.why}. Closed by ${next.close.initials}.`),
        unfit: sayFindings(next.findings),
      }
    default:
      return said(sayAct(job, next).line)
  }
}

/** The last entry of a job’s log, beside its row. Written out: in a query of one table columns lose their table’s name. */
export const LAST_SEQ = sql<number>`coalesce((SELECT max(log.seq) FROM entries AS log WHERE log.jobId = jobs.id), 0)`

export interface JobAt {
  readonly job: typeof jobs.$inferSelect
  readonly lastSeq: number
}

/** Whether a job was released, or closed unreleased. */
export const isEnded = ({ releasedAt, closedAt }: Pick<typeof jobs.$inferSelect, 'releasedAt' | 'closedAt'>): boolean =>
  releasedAt !== null || closedAt !== null

/** Whether entries have come since a summary was made, or it tells less than one does now: of an ended job such a one still holds. */
export const isStale = (at: JobAt): boolean => {
  const { seq, station } = at.job.summary
  return station === undefined || seq === undefined ? !isEnded(at.job) : seq < at.lastSeq
}
