import type { Step } from '../brake/step.ts'
import type { Part } from '../drawer/part.ts'
import { leverMovesAt } from '../features/lever-fit/fit.ts'
import { WAYS, type WayId } from '../features/mount/ways.ts'
import { standsNow } from '../features/stack/measured.ts'
import { planStacks } from '../features/stack/plan.ts'
import { STACK_WAYS } from '../features/stack/ways.ts'
import { expectOk } from '../outcome/outcome.ts'
import { cardOf } from '../run-sheet/card.ts'
import type { Job } from '../run-sheet/job.ts'
import { type Known, NOTHING_KNOWN } from '../run-sheet/known.ts'
import { practiceGauge } from '../simulate/practice.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { openJob } from '../workshop/open.ts'
import { firstRefusal } from './refusal.ts'
import { bolt, bracket, spacer } from './stack.ts'

/** A hand that does as the sheet says, on a simulated brake: for walking a whole run sheet in a test. */
export interface Walk {
  /** Steps in the order they came up, each once, as it was said when it came up. */
  readonly asked: readonly Step[]
  readonly steps: readonly string[]
  readonly log: readonly Entry[]
  readonly last: Job
  /** What was ended by one key, tap or line, in order: the signing still to come is not among them. */
  readonly acts: readonly Done[]
}

/** One act of the hand, and how many figures were typed in it. */
export interface Done {
  readonly kind: Job['next']['kind']
  readonly steps: readonly string[]
  readonly numbers: number
}

const MOST_ACTS = 90

const mounted = (way: WayId): EntryBody => ({
  kind: 'plan',
  plan: 'mount',
  to: way,
  parts: [],
  acknowledged: WAYS.find((each) => each.id === way)?.cautions ?? [],
})

/** A drawer with a bracket, a spacer and a bolt of every size there may be. */
const FULL_DRAWER: readonly Part[] = [
  ...[10, 20, 22].map((rise) => bracket(rise, 20)),
  ...[0.5, 1, 2.5].map((thick) => spacer(thick, 20)),
  ...[16, 18, 20, 22, 25, 30].map((long) => bolt(long, 20)),
]

function stacked(job: Job): EntryBody {
  const now = standsNow(job)
  const [first] = now ? planStacks(now, FULL_DRAWER) : []
  if (!first) throw new Error(`no stack stands under this caliper: ${JSON.stringify(now)}`)
  return {
    kind: 'plan',
    plan: 'stack',
    to: first.way,
    parts: [],
    acknowledged: STACK_WAYS.find((each) => each.id === first.way)?.cautions ?? [],
    figures: { ...first.figures },
  }
}

function actOn(job: Job, way: WayId, gauge: Readonly<Record<string, number | string>>): readonly EntryBody[] {
  const { next } = job
  switch (next.kind) {
    case 'confirm':
      return [
        {
          kind: 'confirm',
          step: next.step.id,
          ...(next.step.done.kind === 'confirmed' && next.step.done.count && { count: next.step.done.count }),
        },
      ]
    case 'measure':
      return next.readings.map((reading): EntryBody => {
        const value = gauge[reading]
        if (value === undefined) throw new Error(`the gauge shows no ${reading}`)
        return { kind: 'reading', reading, value, unit: job.kit.reading(reading)?.unit ?? '' }
      })
    case 'plan':
      return [next.step.done.kind === 'planned' && next.step.done.plan === 'stack' ? stacked(job) : mounted(way)]
    case 'turn':
      return [
        ...next.turn.moves.map((move): EntryBody => ({ kind: 'turn', ...move })),
        { kind: 'confirm', step: 'squeezes', count: 10 },
      ]
    case 'mend': {
      const moves = next.step.id === 'lever-place' ? leverMovesAt(job, job.screw) : []
      return moves.length > 0
        ? moves.map((move): EntryBody => ({ kind: 'turn', ...move }))
        : [{ kind: 'skip', step: next.step.id, reason: 'walked past' }]
    }
    case 'stuck':
      return [{ kind: 'skip', step: next.step.id, reason: 'walked past' }]
    case 'sign':
    case 'released':
    case 'closed':
      return []
  }
}

/** All of the card in hand: sound where it says so, else as the gauge shows it. */
function cardIn(job: Job, gauge: Readonly<Record<string, number | string>>): readonly EntryBody[] | undefined {
  return cardOf(job)?.rows.flatMap(
    (row): readonly EntryBody[] =>
      row.sound ??
      row.readings.map((reading) => ({
        kind: 'reading',
        reading,
        value: gauge[reading] as number | string,
        unit: job.kit.reading(reading)?.unit ?? '',
      })),
  )
}

const isFigure = (body: EntryBody): boolean => body.kind === 'reading' && typeof body.value === 'number'

/** Walks a job from its first step to the signature, every entry admitted by the product’s own rule; `byCards`: a card at a time. */
export function walk(
  hardware: Hardware,
  start: readonly EntryBody[],
  way: WayId = 'B',
  known: Known = NOTHING_KNOWN,
  byCards = false,
): Walk {
  const openedAt = known.openedAt ?? '2026-03-01T09:00:00Z'
  const before = known.visits.flatMap(({ entries }) => entries)
  const log: Entry[] = []
  const asked: Step[] = []
  const acts: Done[] = []
  const write = (bodies: readonly EntryBody[]) => {
    const made = bodies.map(
      (body, index): Entry => ({
        ...body,
        id: `e${before.length + log.length + index}`,
        at: openedAt,
        by: '1',
        seq: log.length + index + 1,
      }),
    )
    const refused = firstRefusal(hardware, log, made, known)
    if (refused) throw new Error(refused.error.message)
    log.push(...made)
  }
  write(start)
  for (let act = 0; act < MOST_ACTS; act += 1) {
    const job = expectOk(openJob(hardware, log, known))
    const { step } = job.next
    if (!asked.some(({ id }) => id === step.id)) asked.push(step)
    const gauge =
      practiceGauge(job.kit, hardware.practiceSeed, job.dimensions, job.here, [...before, ...job.state.standing]) ?? {}
    const card = byCards ? cardOf(job) : undefined
    const bodies = (card && cardIn(job, gauge)) ?? actOn(job, way, gauge)
    if (bodies.length === 0) return { asked, steps: asked.map(({ id }) => id), log, last: job, acts }
    const steps = card?.rows.map((row) => row.step.id) ?? [step.id]
    acts.push({ kind: job.next.kind, steps, numbers: bodies.filter(isFigure).length })
    write(bodies)
  }
  throw new Error(`the sheet did not end: ${asked.at(-1)?.id}`)
}
