import type { JobRow, RackBicycle } from '../data/api.ts'

/** Parts of the rail. */
export const FILTERS = [
  { id: 'all', title: 'all' },
  { id: 'open', title: 'job open' },
  { id: 'out', title: 'out of window' },
  { id: 'unfit', title: 'not to be ridden' },
  { id: 'released', title: 'released' },
  { id: 'due', title: 'due' },
  { id: 'retired', title: 'off the rack' },
] as const

export type FilterId = (typeof FILTERS)[number]['id']

const jobsOf = (bicycle: RackBicycle) => bicycle.brakes.flatMap(({ job }) => (job ? [job] : []))

function inPart(bicycle: RackBicycle, filter: FilterId): boolean {
  if (filter === 'retired' || bicycle.retiredAt !== null) return filter === 'retired' && bicycle.retiredAt !== null
  const jobs = jobsOf(bicycle)
  const open = jobs.filter((job) => !job.releasedAt && !job.closedAt)
  if (filter === 'due') return jobs.some((job) => isDue(job))
  if (filter === 'unfit') return jobs.some((job) => job.closedAt)
  if (filter === 'open') return open.length > 0
  if (filter === 'out')
    return open.some((job) => job.summary.stations.some(({ mark }) => mark === 'low' || mark === 'high'))
  return filter === 'all' || (jobs.length > 0 && jobs.every((job) => job.releasedAt))
}

/** Released, and the day by which it was to be looked at again has come. */
export const isDue = ({ releasedAt, summary: { lookAgain } }: JobRow, today = new Date().toISOString()): boolean =>
  releasedAt !== null && lookAgain !== undefined && lookAgain <= today.slice(0, 10)

/** Whether a bicycle is in this part of the rail and every word sought begins a word on its tag. */
export function matches(bicycle: RackBicycle, search: string, filter: FilterId): boolean {
  if (!inPart(bicycle, filter)) return false
  const sought = wordsOf(search)
  if (sought.length === 0) return true
  const jobs = bicycle.brakes.map(
    ({ end, family, job }) => `${end} ${family} ${job ? `${job.number} ${job.complaint}` : ''}`,
  )
  const tag = wordsOf([bicycle.name, bicycle.code ?? '', bicycle.description, ...jobs].join(' '))
  return sought.every((word) => tag.some((each) => each.startsWith(word)))
}

const wordsOf = (text: string): readonly string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
