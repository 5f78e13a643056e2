import type { LengthUnit } from '../quantity/quantity.ts'
import { pointsOf, standingNow, yearOf } from '../run-sheet/carried.ts'
import type { Job } from '../run-sheet/job.ts'
import { showAnswer } from '../stand/show.ts'
import { upper } from '../stand/words.ts'
import { FARTHEST_YEARS, type Lasts, lasts, sinceChanged } from '../wear/slope.ts'
import { setBy } from './found.ts'

const WEEKS = 52.18
const MONTHS = 12

/** What arithmetic loses of a whole month. */
const HAIR = 1e-6
const whole = (count: number) => Math.floor(count + HAIR)

/** A time as a workshop plans: weeks while it is short, then months. */
function sayTime(years: number): string {
  const weeks = whole(years * WEEKS)
  if (weeks < 1) return 'less than a week'
  if (weeks < 9) return weeks === 1 ? 'a week' : `${weeks} weeks`
  return `${whole(years * MONTHS)} months`
}

const saySpan = ({ expected, soonest }: Lasts): string => {
  if (soonest === undefined) return `more than ${FARTHEST_YEARS} years`
  if (expected === undefined) return `${sayTime(soonest)} at the soonest`
  return `about ${sayTime(expected)}, ${sayTime(soonest)} at the soonest`
}

/**
 * What wears, how much of it is left and how long that lasts, by this brake's own visits where there are several, else by what
 * a year of hire takes. What the brake is set by is no wear that is printed: a turn takes it up.
 */
export function lifeLines(job: Job, length: LengthUnit): readonly string[] {
  const { kit, state, windows, known } = job
  const settings = setBy(job)
  const points = standingNow(kit, known.visits, state.standing)
  return kit.readings.flatMap((spec): readonly string[] => {
    const window = windows.of[spec.id]
    const now = state.readings[spec.id]
    if (typeof spec.keeps !== 'object' || spec.keeps.perYear === 0 || settings.has(spec.id) || !window) return []
    if (typeof now?.value !== 'number' || now.status === 'recheck') return []
    const limit = spec.keeps.perYear < 0 ? window.low : window.high
    const left = Math.abs(now.value - limit)
    const isOver = (now.value - limit) * Math.sign(spec.keeps.perYear) >= 0
    if (!Number.isFinite(limit) || isOver) return []
    const readings = points.get(spec.id) ?? []
    const read = sinceChanged(pointsOf(readings), spec.keeps, spec.sd)
    const readOn = readings.at(-1)?.at
    if (readOn === undefined || read.length === 0) return []
    const today = yearOf(now.carried && known.openedAt !== undefined ? known.openedAt : readOn)
    const rate = read.length > 1 ? 'by this brake’s own visits' : 'by a year of hire as we estimate it'
    const show = (value: number) => showAnswer(kit, spec.id, value, length)
    return [
      `${upper(spec.title)}: ${show(left)} to its limit of ${show(limit)}, ${saySpan(lasts(read, spec.keeps, spec.sd, limit, today))}, ${rate}`,
    ]
  })
}
