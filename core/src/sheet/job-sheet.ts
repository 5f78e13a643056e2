import { SOURCE_WORDS } from '../calculation/source.ts'
import { sayLessons } from '../dial-in/learnt.ts'
import { formatQuantity, type LengthUnit, shownUnit } from '../quantity/quantity.ts'
import { readIn } from '../quantity/read-in.ts'
import { CAUTIONS, type CautionId } from '../reference/cautions.ts'
import { findingsOf, sayFindings } from '../run-sheet/findings.ts'
import { type Job, type Mark, readingMark } from '../run-sheet/job.ts'
import { sheetOf } from '../run-sheet/status.ts'
import type { StepState } from '../run-sheet/step-state.ts'
import { describe, showAnswer } from '../stand/describe.ts'
import { sayWhen } from '../stand/when.ts'

/** A job on paper: the same content for the printed page and the PDF. */
export interface JobSheet {
  readonly heading: string
  readonly complaint: string
  /** How it was set to bite, in words; empty where this brake has no such schools. */
  readonly school: string
  readonly released?: string
  /** Of a job ended without a release: that it is not to be ridden, by whom and why. */
  readonly closed?: string
  /** Why it is not to be ridden; empty once released. */
  readonly unfit: readonly string[]
  readonly readings: readonly SheetReading[]
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

export interface SheetSubject {
  readonly jobNumber: number
  readonly bicycle: string
  readonly complaint: string
  readonly parts?: readonly HeldPart[]
}

/** A part the job holds of the drawer. */
export interface HeldPart {
  readonly name: string
  readonly count: number
}

/** What was found and what was left, reading by reading, with the window each had to fall in. */
function sheetReadings(job: Job, length: LengthUnit): readonly SheetReading[] {
  const { kit, state, windows } = job
  return kit.order.flatMap((id): readonly SheetReading[] => {
    const now = state.readings[id]
    if (!now) return []
    const show = (value: number | string) => showAnswer(kit, id, value, length)
    const window = windows.of[id]
    return [
      {
        title: kit.title(id),
        found: show(state.earlier[id]?.[0] ?? now.value),
        left: show(now.value),
        window: window ? `${show(window.low)} to ${show(window.high)}` : '',
        mark: window || now.status === 'recheck' ? readingMark(job, id) : 'noted',
      },
    ]
  })
}

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
  const cautions = [...new Set<CautionId>(['maker', ...steps.flatMap(({ step }) => step.cautions)])]
  return {
    heading: `Job ${subject.jobNumber} · ${subject.bicycle} · ${hardware.end} · ${family.title}`,
    complaint: subject.complaint,
    school: kit.school('bite')?.options.find((each) => each.id === state.schools.bite?.option)?.title ?? '',
    ...(state.released && {
      released: `Released by ${state.released.initials}, ${sayWhen(state.released.at)}`,
    }),
    ...(state.closed && {
      closed: `Not to be ridden. Closed unreleased by ${state.closed.initials}, ${sayWhen(state.closed.at)}: ${state.closed.why}`,
    }),
    unfit: sayFindings(findingsOf(job, advice)).map(read),
    readings: sheetReadings(job, length),
    steps: steps.map(({ step, state: at, cause, remark }) => ({
      title: step.title,
      state: at,
      remark: state.skipped[step.id] ?? read(cause ?? remark ?? ''),
    })),
    log: state.line.map(({ entry, struckBy }) => ({
      at: entry.at,
      by: entry.by,
      text: describe(entry, naming),
      struck: struckBy !== undefined,
    })),
    sections: [
      { title: 'What this brake taught', lines: sayLessons(belief) },
      ...(family.sections?.(job) ?? []),
      { title: 'Parts used', lines: (subject.parts ?? []).map(({ name, count }) => `${count} × ${name}`) },
    ]
      .filter(({ lines }) => lines.length > 0)
      .map((each) => ({ ...each, lines: each.lines.map(read) })),
    cautions: cautions.map((id) => read(CAUTIONS[id].text)),
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
