import type { JobRow, RackBicycle } from '@overhaul/core/http/contract'
import { sayDay, sayWhen } from '@overhaul/core/stand/when'
import type { Shape } from '../drawing/Mark.tsx'

type RackBrake = RackBicycle['brakes'][number]

/** What the rack says of a brake at a glance: how it stands, what is the matter, what was done last. */
export interface ToldBrake {
  readonly shape: Shape
  readonly headline: string
  /** What is wrong, or what is next. */
  readonly matter?: string
  /** The matter is against riding it, or out of its window. */
  readonly isWrong: boolean
  readonly complaint?: string
  readonly last?: string
}

export const isOpen = (job: JobRow | null): job is JobRow => job !== null && !job.releasedAt && !job.closedAt

/** Released, and the day by which it was to be looked at again has come. */
export const isDue = ({ summary: { lookAgain } }: JobRow, today: string): boolean =>
  lookAgain !== undefined && lookAgain <= today.slice(0, 10)

const lastOf = ({ summary: { last } }: JobRow): string | undefined => last && `${sayWhen(last.at)} · ${last.say}`

/** Out of its window. */
export const isOff = ({ mark }: JobRow['summary']['stations'][number]): boolean => mark === 'low' || mark === 'high'

function tellOpen(job: JobRow): ToldBrake {
  const { stations, station, nextSay } = job.summary
  const here = stations.find(({ id }) => id === station)
  const wrong = [here, ...stations].find((each) => each && isOff(each))
  const last = lastOf(job)
  return {
    shape: wrong?.mark ?? (here && here.mark !== 'left-out' ? here.mark : 'unmeasured'),
    headline: (wrong ?? here)?.title ?? 'Open',
    matter: wrong?.cause ?? nextSay,
    isWrong: wrong !== undefined,
    ...(job.complaint && { complaint: job.complaint }),
    ...(last && { last }),
  }
}

/** The state of a brake in the words of its tag. `today`: ISO 8601. */
export function tellBrake({ family, job }: RackBrake, today: string, title = family): ToldBrake {
  if (!job) return { shape: 'unmeasured', headline: 'No job yet', matter: title, isWrong: false }
  if (job.closedAt) {
    const [first, ...more] = job.summary.unfit ?? []
    return {
      shape: 'high',
      headline: 'Not to be ridden',
      matter: more.length > 0 ? `${first}, and ${more.length} more` : (first ?? job.summary.nextSay),
      isWrong: true,
      last: `${sayDay(job.closedAt)} · closed unreleased`,
      ...(job.complaint && { complaint: job.complaint }),
    }
  }
  if (!job.releasedAt) return tellOpen(job)
  const { lookAgain } = job.summary
  const due = isDue(job, today)
  return {
    shape: due ? 'recheck' : 'in',
    headline: due ? 'Due' : 'Released',
    ...(lookAgain && { matter: `look again by ${sayDay(lookAgain)}` }),
    isWrong: false,
    ...(job.complaint && { complaint: job.complaint }),
    last: `${sayDay(job.releasedAt)} · ${job.summary.nextSay.replace(/\.$/, '').replace(/^R/, 'r')}`,
  }
}

/** What is done with a bicycle first: its job on the bench that is furthest out, else what is open, else its hardware. */
export function placeOf({ id, brakes }: RackBicycle): string {
  const open = brakes.flatMap(({ job }) => (isOpen(job) ? [job] : []))
  const first = open.find((job) => tellOpen(job).isWrong) ?? open[0]
  return first ? `/stand/${first.id}` : `/bicycles/${id}`
}
