import type { RackBicycle, RackPart, RackWish } from '@overhaul/core/http/contract'
import { byName } from '../app/in-order.ts'
import { isDue, isOff, isOpen } from './told.ts'

type RackBrake = RackBicycle['brakes'][number]

const isOut = ({ job }: RackBrake): boolean => isOpen(job) && job.summary.stations.some(isOff)
const isUnfit = ({ job }: RackBrake): boolean => job?.closedAt != null
const isReleased = ({ job }: RackBrake): boolean => job?.releasedAt != null && job.closedAt === null

/** What must be so of a brake for its bicycle to be in this part of the rail. */
const BRAKE_IN: Readonly<Partial<Record<RackPart, (brake: RackBrake, today: string) => boolean>>> = {
  open: ({ job }) => isOpen(job),
  out: isOut,
  unfit: isUnfit,
  released: isReleased,
  due: (brake, today) => isReleased(brake) && brake.job !== null && isDue(brake.job, today),
}

/** Words as they are compared: case and marks aside. */
const wordsOf = (text: string): readonly string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .match(/[\p{L}\p{N}]+/gu) ?? []

function isSought({ name, code, description, brakes }: RackBicycle, q: string): boolean {
  const ofBrakes = brakes.map(({ end, family, job }) => `${end} ${family} ${job?.number ?? ''} ${job?.complaint ?? ''}`)
  const words = wordsOf([name, code, description, ...ofBrakes].join(' '))
  return wordsOf(q).every((sought) => words.some((word) => word.startsWith(sought)))
}

/** Whether a bicycle is what the rack is asked for, by the rules of the server’s own search. `today`: ISO 8601. */
function isWanted(bicycle: RackBicycle, { part, q, family, station }: RackWish, today: string): boolean {
  const { retiredAt, brakes } = bicycle
  if ((part === 'retired') !== (retiredAt !== null)) return false
  const inPart = BRAKE_IN[part]
  const onBrake = (brake: RackBrake): boolean =>
    (inPart?.(brake, today) ?? true) &&
    (family === undefined || brake.family === family) &&
    (station === undefined || (isOpen(brake.job) && brake.job.summary.station === station))
  const asksBrake = inPart !== undefined || family !== undefined || station !== undefined
  if (asksBrake && !brakes.some(onBrake)) return false
  // Released is a bicycle nothing else stands against.
  if (part === 'released' && brakes.some((brake) => isOpen(brake.job) || isUnfit(brake))) return false
  return isSought(bicycle, q)
}

const touchedAt = ({ brakes }: RackBicycle): string =>
  brakes
    .map(({ job }) => job?.summary.last?.at ?? '')
    .sort()
    .at(-1) ?? ''

/** Of the bicycles this screen has read those that are wanted, in order: while the server is away. */
export function wantedAmong(read: readonly RackBicycle[], wish: RackWish, today: string): readonly RackBicycle[] {
  const wanted = read.filter((bicycle) => isWanted(bicycle, wish, today))
  return wanted.sort(wish.sort === 'name' ? byName : (a, b) => touchedAt(b).localeCompare(touchedAt(a)))
}
