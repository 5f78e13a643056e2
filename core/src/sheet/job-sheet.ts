import { sayFigure } from '../bench/fasteners.ts'
import type { Frame } from '../brake/frame.ts'
import { WORK } from '../brake/work.ts'
import { SOURCE_WORDS } from '../calculation/source.ts'
import { standingWalk } from '../dial-in/belief.ts'
import { sayLessons } from '../dial-in/learnt.ts'
import { rulesBeside } from '../features/prove/limits.ts'
import { runsIn } from '../features/prove/runs.ts'
import { verdictOf, WORTH_M } from '../features/prove/verdict.ts'
import { formatQuantity, type LengthUnit, shownUnit } from '../quantity/quantity.ts'
import { readIn } from '../quantity/read-in.ts'
import { CAUTIONS, type CautionId } from '../reference/cautions.ts'
import { type FastenerStatus, fastenersOf } from '../run-sheet/fasteners.ts'
import { findingsOf, sayFindings, sayPassed } from '../run-sheet/findings.ts'
import { type Job, type Mark, readingMark } from '../run-sheet/job.ts'
import { sheetOf } from '../run-sheet/status.ts'
import type { StepState, StepStatus } from '../run-sheet/step-state.ts'
import { costsIn, showMoney } from '../stand/costs.ts'
import { describe } from '../stand/describe.ts'
import { showAnswer, showQuantity, showWay } from '../stand/show.ts'
import { sayDay, sayShortDay, sayWhen } from '../stand/when.ts'
import { lower, upper } from '../stand/words.ts'
import { doneLines } from './done.ts'
import { foundIn, setBy } from './found.ts'
import { lifeLines } from './life.ts'
import type { Subject } from './subject.ts'
import { letterhead } from './workshop.ts'

/** A job on paper: the same content for the printed page and the PDF. Result and readings first, every entry last. */
export interface JobSheet {
  /** Whose paper it is; empty where nobody told. */
  readonly from: string
  readonly heading: string
  /** Released, closed, or neither. */
  readonly result: string
  /** What was complained of, what the job was for, how it was set to bite, the days in and out, the next look. */
  readonly about: string
  readonly released?: string
  /** Of a job ended without a release: that it is not to be ridden, by whom and why. */
  readonly closed?: string
  /** Why it is not to be ridden; empty once released. */
  readonly unfit: readonly string[]
  /** What a window or an answer judges. */
  readonly readings: readonly SheetReading[]
  /** Looked at and well, in one breath; and measured, where nothing judges it. */
  readonly well: string
  readonly noted: string
  /** Read on an earlier visit and kept, where nothing judges it. */
  readonly kept: string
  /** The brake as it stands, at rest. */
  readonly drawing: Frame
  /** What the hand did, from first to last, each thing once. */
  readonly done: readonly string[]
  /** What was skipped and why, and what is to be kept an eye on. */
  readonly open: readonly string[]
  readonly fasteners: readonly string[]
  readonly costs: readonly string[]
  readonly steps: readonly { readonly title: string; readonly state: StepState; readonly remark: string }[]
  readonly log: readonly { readonly at: string; readonly by: string; readonly text: string; readonly struck: boolean }[]
  /** What was worked out, chosen, learnt and used, under its heading; a section without lines is left out. */
  readonly sections: readonly { readonly title: string; readonly lines: readonly string[] }[]
  readonly cautions: readonly string[]
  readonly figures: readonly string[]
}

export interface SheetReading {
  readonly title: string
  readonly found: string
  readonly left: string
  readonly window: string
  /** `noted` where no window judges the reading. */
  readonly mark: Mark | 'noted'
}

export interface SheetSubject extends Subject {
  readonly complaint: string
  readonly parts?: readonly HeldPart[]
}

/** A part the job holds of the drawer. */
export interface HeldPart {
  readonly name: string
  readonly count: number
}

interface Read extends SheetReading {
  readonly isSeen: boolean
  /** The day of the earlier visit it was read on. */
  readonly keptSince?: string
}

/** What was found and what was left, what the brake is set by first, reading by reading, with the window each had to fall in. */
function allReadings(job: Job, length: LengthUnit): readonly Read[] {
  const { kit, state, windows } = job
  const untouched = foundIn(job)
  const first = setBy(job)
  const order = [...kit.order.filter((id) => first.has(id)), ...kit.order.filter((id) => !first.has(id))]
  return order.flatMap((id): readonly Read[] => {
    const now = state.readings[id]
    if (!now) return []
    const show = (value: number | string) => showAnswer(kit, id, value, length)
    const found = untouched.get(id)
    const window = windows.of[id]
    const isSeen = typeof now.value === 'string'
    const judged = window || now.status === 'recheck' || (isSeen && kit.option(id, now.value)?.remedy)
    return [
      {
        title: kit.title(id),
        found: now.carried ? `kept, ${sayShortDay(now.carried.at)}` : found === undefined ? '–' : show(found),
        left: show(now.value),
        window: window ? `${show(window.low)} to ${show(window.high)}` : '',
        mark: judged ? readingMark(job, id) : 'noted',
        isSeen,
        ...(now.carried && { keptSince: sayShortDay(now.carried.at) }),
      },
    ]
  })
}

const inOneBreath = (readings: readonly Read[]): string =>
  readings
    .map(({ title, left, keptSince }) => `${title} ${lower(left)}${keptSince ? ` (${keptSince})` : ''}`)
    .join('; ')

/** Torques as they were logged, and in one breath what was ticked off without one. */
function fastenerLines(job: Job, length: LengthUnit): readonly string[] {
  const all = fastenersOf(job)
  const names = (some: readonly FastenerStatus[]) => some.map(({ spec }) => spec.id).join(', ')
  const logged = all.filter(({ torqueNm }) => torqueNm !== undefined)
  const tight = all.filter(({ state, torqueNm }) => state === 'done' && torqueNm === undefined)
  const open = all.filter(({ state }) => state !== 'done')
  return [
    ...logged.map(
      ({ spec, torqueNm = 0, instrument, maker }) =>
        `${upper(spec.id)} ${showQuantity(torqueNm, 'Nm', length)}${instrument ? `, ${instrument}` : ''} (${sayFigure(spec, maker)})`,
    ),
    ...(tight.length > 0 ? [`Tight: ${names(tight)}`] : []),
    ...(open.length > 0 ? [`Open: ${names(open)}`] : []),
  ]
}

/** What the stops ridden before and after say, and which public rules they hold. */
function stopLines({ state, here }: Job, length: LengthUnit): readonly string[] {
  const runs = runsIn(state.standing)
  if (runs.length === 0) return []
  const held = rulesBeside(runs, here.end).flatMap(({ rule, meanM, holds }) =>
    meanM === undefined
      ? []
      : [`${rule.title}: ${showWay(meanM, length)}, ${holds ? 'held' : 'not held'} (${rule.source.title})`],
  )
  return [verdictOf(runs, WORTH_M, length).say, ...held]
}

/** Minutes and money against the estimate. */
function costLines({ state }: Job): readonly string[] {
  const { currency, estimate, minutes, labour, parts, partsCost, total } = costsIn(state.standing)
  if (currency === undefined) return []
  const told = minutes > 0 || total > 0
  return [
    ...(estimate ? [`Estimate: ${estimate.minutes} min, ${showMoney(estimate.cost, currency)}`] : []),
    ...(told
      ? [
          `Spent: ${minutes} min, ${showMoney(labour, currency)} work, ${showMoney(partsCost, currency)} parts, ${showMoney(total, currency)} in all${
            estimate
              ? `: ${showMoney(Math.abs(total - estimate.cost), currency)} ${total > estimate.cost ? 'over' : 'under'}`
              : ''
          }`,
        ]
      : []),
    ...parts.map(({ name, count, price }) => `${count} × ${name}, ${showMoney(price, currency)} each`),
  ]
}

/** A sheet with a page of cautions is read by nobody: the first of all, and those that are most this brake’s own. Our choice. */
const MOST_CAUTIONS = 3
const OWN_FIRST: readonly CautionId[] = [
  'motor',
  'reaction-arm',
  'drum-dust',
  'drilling',
  'turned-round',
  'rotor',
  'carbon',
  'drum-heat',
  'tyre',
  'frayed',
  'slip',
]

function printedCautions(steps: readonly StepStatus[]): readonly CautionId[] {
  const onSheet = new Set(steps.flatMap(({ step }) => step.cautions))
  return (['maker', ...OWN_FIRST.filter((id) => onSheet.has(id))] as const).slice(0, MOST_CAUTIONS)
}

/** The day it came in and the day it went out; one day is said once. */
function daysLine(openedAt: string | undefined, endedAt: string | undefined): readonly string[] {
  if (openedAt === undefined) return []
  const [came, went] = [sayDay(openedAt), endedAt && sayDay(endedAt)]
  if (!went) return [`In: ${came}`]
  return [came === went ? `In and out: ${came}` : `In: ${came}, out: ${went}`]
}

/** What the job was, in one breath. A short one says that it is no full check. */
function aboutLine({ kit, state, family, known }: Job, { complaint, code }: SheetSubject): string {
  const work = family.works.find(({ id }) => id === state.readings[WORK]?.value)
  const school = kit.school('bite')?.options.find(({ id }) => id === state.schools.bite?.option)?.title
  const out = state.released ?? state.closed
  return [
    `Complaint: ${complaint || 'none given'}`,
    ...(code ? [`Bicycle ${code}`] : []),
    ...(work ? [`The job: ${work.title}${work.short ? `, ${work.short}` : ''}`] : []),
    ...(school ? [`Bite school: ${school}`] : []),
    ...daysLine(known.openedAt, out?.at),
    ...(state.released?.lookAgain ? [`Look again by ${sayDay(state.released.lookAgain)}`] : []),
    '',
  ]
    .join('. ')
    .trim()
}

/** How a job that is not ended stands. */
const waiting = (parkedFor: string | undefined): string =>
  parkedFor === undefined
    ? 'Not released: work in progress, do not ride.'
    : `Not released: parked for ${parkedFor}. Do not ride.`

/** The sheet of a job, ready to be set in type. */
export function jobSheet(job: Job, subject: SheetSubject, length: LengthUnit = 'mm'): JobSheet {
  const { kit, state, advice, belief, model, hardware, dimensions, family } = job
  const naming = {
    kit,
    model,
    length,
    find: (id: string) => state.line.find((each) => each.entry.id === id)?.entry,
  }
  const steps = sheetOf(job, advice)
  const read = (text: string) => readIn(text, length)
  const readings = allReadings(job, length)
  const unjudged = readings.filter(({ mark }) => mark === 'noted')
  const noted = unjudged.filter(({ keptSince }) => keptSince === undefined)
  const remarks = steps.flatMap((status) => {
    const { step, state: at, cause, remark } = status
    const why = state.skipped[step.id]
    if (at === 'skipped' && why !== undefined) return [sayPassed(status, why)]
    const said = at === 'done' ? remark : cause
    return said && at !== 'open' ? [`${upper(step.title)}: ${said}`] : []
  })
  const { released, closed } = state
  const releasedBy = released && `Released by ${released.initials}, ${sayWhen(released.at)}`
  const closedBy =
    closed && `Not to be ridden. Closed unreleased by ${closed.initials}, ${sayWhen(closed.at)}: ${closed.why}`
  return {
    from: letterhead(subject.from),
    heading: `Job ${subject.jobNumber} · ${subject.bicycle} · ${hardware.end} · ${family.title}`,
    about: aboutLine(job, subject),
    result: releasedBy ?? closedBy ?? waiting(state.parked?.why),
    ...(releasedBy && { released: releasedBy }),
    ...(closedBy && { closed: closedBy }),
    unfit: sayFindings(findingsOf(job, advice)).map(read),
    readings: readings.filter(({ mark }) => mark !== 'noted').map(({ isSeen: _, keptSince: __, ...each }) => each),
    well: inOneBreath(noted.filter(({ isSeen }) => isSeen)),
    noted: inOneBreath(noted.filter(({ isSeen }) => !isSeen)),
    kept: inOneBreath(unjudged.filter(({ keptSince }) => keptSince !== undefined)),
    drawing: model.frame(standingWalk(belief).q, { travelMm: 0, wheelDeg: 0 }),
    done: doneLines(job, steps, naming, length).map(read),
    open: remarks.map(read),
    fasteners: fastenerLines(job, length).map(read),
    costs: costLines(job),
    steps: steps.map(({ step, state: at, cause, remark }) => ({
      title: step.title,
      state: at,
      remark: read([cause ?? remark, state.skipped[step.id]].filter(Boolean).join('; ')),
    })),
    log: state.line.map(({ entry, struckBy }) => ({
      at: entry.at,
      by: entry.by,
      text: describe(entry, naming),
      struck: struckBy !== undefined,
    })),
    sections: [
      { title: 'What is left of what wears', lines: lifeLines(job, length) },
      { title: 'Stop tests', lines: stopLines(job, length) },
      { title: 'What this brake taught', lines: sayLessons(belief) },
      ...(family.sections?.(job) ?? []),
      { title: 'Parts used', lines: (subject.parts ?? []).map(({ name, count }) => `${count} × ${name}`) },
    ]
      .filter(({ lines }) => lines.length > 0)
      .map((each) => ({ ...each, lines: each.lines.map(read) })),
    cautions: printedCautions(steps).map((id) => read(CAUTIONS[id].text)),
    figures: family.dimensions.map((spec) => {
      const own = hardware.dimensions[spec.id]
      const value = dimensions[spec.id] as number
      const shown =
        spec.unit === 'mm' || spec.unit === 'turn' || spec.unit === 'N' || spec.unit === 'deg'
          ? formatQuantity(value, shownUnit(spec.unit, length))
          : `${value} ${spec.unit}`.trim()
      return `${spec.title} ${shown} (${own ? SOURCE_WORDS[own.provenance === 'maker' ? 'handbook' : 'measured'] : SOURCE_WORDS[spec.source.kind]})`
    }),
  }
}
