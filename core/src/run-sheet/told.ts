import type { Move } from '../brake/adjuster.ts'
import type { StationId } from '../brake/station.ts'
import { leverMovesAt } from '../features/lever-fit/fit.ts'
import { CAUTIONS, type CautionId } from '../reference/cautions.ts'
import type { Row } from '../stand/card.ts'
import type { EntryBody } from '../stand/entries.ts'
import { cardOf } from './card.ts'
import type { Job } from './job.ts'
import { stationInHand } from './line.ts'
import { type Act, cautionsOf } from './next.ts'
import { sayAct } from './say.ts'

/** What the Stand would say now, for whoever reads it by machine. Fields are added, never changed. */
export interface Told {
  readonly act: Act['kind']
  readonly station: StationId
  readonly step: string
  readonly say: string
  /** The rest of it, where one line does not hold it. */
  readonly more?: string
  readonly why?: string
  /** What puts right what was found, where it says so beside the finding. */
  readonly remedy?: string
  readonly moves: readonly Move[]
  /** Readings asked for, by id. */
  readonly readings: readonly string[]
  /** What each reading will be after the moves and ten squeezes, in its own unit. */
  readonly expected: Readonly<Record<string, { readonly mean: number; readonly sd: number }>>
  /** Chance that all then fall in their windows, 0 to 1. */
  readonly chance?: number
  readonly windows: Readonly<Record<string, { readonly low: number; readonly high: number }>>
  /** No setting satisfies all windows: a code, and why. */
  readonly empty?: { readonly code: string; readonly say: string }
  readonly cautions: readonly string[]
  /** All that is done in this posture, in order; what stands above is the first of them. Missing where it is one thing alone. */
  readonly rows?: readonly ToldRow[]
}

/** One thing of a card. */
export interface ToldRow {
  readonly step: string
  readonly act: 'confirm' | 'measure'
  readonly say: string
  /** Readings asked for in it, by id. */
  readonly readings: readonly string[]
  /** The entries it comes to where it is sound; missing where the hand must choose or measure. */
  readonly sound?: readonly EntryBody[]
  readonly cautions: readonly string[]
}

const sayCautions = (ids: readonly CautionId[]): readonly string[] => ids.map((id) => CAUTIONS[id].text)

const tellRow = ({ step, act, say, readings, sound }: Row): ToldRow => ({
  step: step.id,
  act,
  say,
  readings,
  ...(sound && { sound }),
  cautions: sayCautions(step.cautions),
})

const whyOf = (next: Act): string | undefined =>
  next.kind === 'measure' || next.kind === 'turn'
    ? (next.why ?? next.step.why)
    : 'again' in next
      ? (next.again ?? next.step.why)
      : next.step.why

/** The readings an act asks for: after a turn, and where the dial-in measures anew, with what its sentence asks beside them. */
function askedIn({ model, family }: Job, next: Act): readonly string[] {
  if (next.kind !== 'turn' && next.kind !== 'measure' && next.kind !== 'mend') return []
  const readings = next.kind === 'turn' ? model.needed : next.readings
  const { beside, asksBeside } = family.dial
  const isWhole = model.needed.every((id) => readings.includes(id))
  return isWhole && asksBeside && beside ? [...readings, beside] : readings
}

/** The lever does not stand where the hand wants it: what is moved there is no turn of the brake. */
const isLeverPlaced = (next: Act): boolean => next.kind === 'mend' && next.step.id === 'lever-place'

/** The next act of a job, with the windows it aims at. */
export function tellNext(job: Job): Told {
  const { next, windows } = job
  const turn = next.kind === 'turn' ? next.turn : undefined
  const why = whyOf(next)
  const { line, more } = sayAct(job, next)
  const card = cardOf(job)
  const rows = card && card.rows.length > 1 ? card.rows : undefined
  return {
    act: next.kind,
    station: stationInHand(next, job),
    step: next.step.id,
    say: line,
    ...(more && { more }),
    ...(why && { why }),
    ...(next.kind === 'mend' && next.remedy && { remedy: next.remedy }),
    moves: turn?.moves ?? (isLeverPlaced(next) ? leverMovesAt(job, job.screw) : []),
    readings: rows?.[0] && next.step.done.kind !== 'dialled-in' ? rows[0].readings : askedIn(job, next),
    expected: Object.fromEntries(
      (turn?.expected ?? []).map(({ reading, value, sd }) => [reading, { mean: value, sd }]),
    ),
    ...(turn && { chance: turn.chance }),
    windows: Object.fromEntries(Object.entries(windows.of).map(([id, { low, high }]) => [id, { low, high }])),
    ...(windows.empty && { empty: { code: windows.empty.code, say: windows.empty.say } }),
    cautions: sayCautions(cautionsOf(next, job.model)),
    ...(rows && { rows: rows.map((row, index) => ({ ...tellRow(row), ...(index === 0 && { say: line }) })) }),
  }
}
