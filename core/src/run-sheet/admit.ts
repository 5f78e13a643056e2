import { isFastener } from '../bench/fasteners.ts'
import { SWAPPED_PARTS } from '../bench/graph.ts'
import { isBenchAct, SQUEEZES } from '../brake/acts.ts'
import { adjustersOf } from '../brake/kit.ts'
import type { SeenSpec } from '../brake/reading.ts'
import { partOf, readSchool } from '../brake/school.ts'
import { routeOf } from '../cable/route.ts'
import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { checkRun } from '../prove/runs.ts'
import { formatQuantity } from '../quantity/quantity.ts'
import { CAUTIONS } from '../reference/cautions.ts'
import { costsIn } from '../stand/costs.ts'
import type { EntryBody } from '../stand/entries.ts'
import { factOf } from '../stand/fold.ts'
import { readText } from '../stand/told.ts'
import { findingsOf, sayFindings } from './findings.ts'
import type { Act } from './next.ts'
import type { Stand } from './stand.ts'
import { SETTLED, stepStatus, stepsOn } from './status.ts'

const MOST_CABLE_MM = 60
const MOST_TORQUE_NM = 60
const NOTE_LENGTH = 2000
const WHY_LENGTH = 500
const HALF_STEP = 0.02
const SET_IN = { turn: 'turns', mm: 'mm', hole: 'holes', click: 'clicks' } as const

/** Whether an entry is judged by what there is to do next: the others ask only how the brake stands, which costs nothing. */
export const asksNext = ({ kind }: Pick<EntryBody, 'kind'>): boolean =>
  kind === 'release' || kind === 'close' || kind === 'correction'

/**
 * Whether an entry may be written to this job as it stands. One rule for the tape, the touch controls and the server,
 * so that what one accepts the others do.
 */
export function admit(stand: Stand, entry: EntryBody, next: () => Act): Outcome<EntryBody> {
  const { released, ended: ending } = stand.state
  if (ending && !(entry.kind === 'correction' && entry.strikes === ending.id)) {
    return refuse(
      released ? 'job-released' : 'job-closed',
      'kind',
      `This job was ${released ? 'released' : 'closed unreleased'} by ${ending.initials}. Open a new job on this brake to go on, or take that back.`,
    )
  }
  const forbidden = forbiddenHere(stand, entry)
  if (forbidden) return forbidden
  switch (entry.kind) {
    case 'reading':
      return admitReading(stand, entry)
    case 'turn':
      return admitTurn(stand, entry)
    case 'confirm':
      return admitStep(stand, entry, entry.step)
    case 'skip':
      return entry.reason.trim() === ''
        ? refuse('reason-missing', 'reason', 'Skipping a step needs a reason: it stands on the job sheet.')
        : admitSkip(stand, entry)
    case 'swap':
      return admitSwap(stand, entry)
    case 'plan':
      return admitPlan(stand, entry)
    case 'route':
      return admitRoute(stand, entry)
    case 'torque':
      return admitTorque(stand, entry)
    case 'figure':
      return admitFigure(stand, entry)
    case 'estimate':
    case 'spent':
      return admitCost(stand, entry)
    case 'run':
      return admitRun(stand, entry)
    case 'note':
      return entry.text.trim() !== '' && entry.text.length <= NOTE_LENGTH
        ? ok(entry)
        : refuse('out-of-range', 'text', `A note of ${entry.text.length} characters. Accepted: 1 to ${NOTE_LENGTH}.`)
    case 'correction':
      return admitCorrection(stand, entry, next)
    case 'release':
      return admitRelease(entry, next())
    case 'close':
      return admitClose(stand, entry, next())
  }
}

/** What must not be done at this brake as it stands: its family knows. */
function forbiddenHere(stand: Stand, entry: EntryBody): Outcome<EntryBody> | undefined {
  const fact = factOf(entry)
  const allowed =
    fact &&
    stand.family.allows?.(fact, {
      ...stand,
      confirmed: (step) => {
        const answer = stand.state.confirmed[step]
        return answer?.status === 'current' && answer.value
      },
    })
  return allowed && !allowed.ok ? allowed : undefined
}

function admitReading(stand: Stand, entry: EntryBody & { kind: 'reading' }): Outcome<EntryBody> {
  const { kit } = stand
  const seen = kit.seeing(entry.reading)
  if (seen) return admitSeen(seen, entry)
  const spec = kit.reading(entry.reading)
  if (!spec) {
    return refuse(
      'unknown-reading',
      'reading',
      `A ${stand.family.title} brake has no reading “${entry.reading}”. Accepted: ${kit.order.join(', ')}.`,
    )
  }
  if (entry.unit !== spec.unit)
    return refuse('wrong-unit', 'unit', `${spec.title} is kept in ${spec.unit}, not “${entry.unit}”.`)
  if (typeof entry.value !== 'number' || !(entry.value >= spec.min && entry.value <= spec.max)) {
    const range = `${formatQuantity(spec.min, spec.unit)} to ${formatQuantity(spec.max, spec.unit)}`
    const shown = typeof entry.value === 'number' ? formatQuantity(entry.value, spec.unit) : `“${entry.value}”`
    return refuse('out-of-range', 'value', `${spec.title} is ${shown}. Accepted: ${range}.`)
  }
  return admitAmong(stand, entry.reading, entry.value, entry)
}

function admitSeen(seen: SeenSpec, entry: EntryBody & { kind: 'reading' }): Outcome<EntryBody> {
  return seen.options.some((each) => each.id === entry.value)
    ? ok(entry)
    : refuse(
        'not-a-choice',
        'value',
        `${seen.title} is “${entry.value}”. Accepted: ${seen.options.map((each) => each.id).join(', ')}.`,
      )
}

/** A measurement beside the others of the same brake: a hole wider than its tube was misread. */
function admitAmong(stand: Stand, id: string, value: number, entry: EntryBody): Outcome<EntryBody> {
  const { family, kit } = stand
  const checked = family.check?.({ seen: stand.seen, number: (each) => (each === id ? value : stand.number(each)) })
  if (checked && !checked.ok) return checked
  const dimension = kit.reading(id)?.dimension
  const fitted = dimension ? family.fit({ ...stand.dimensions, [dimension]: value }, stand.here) : ok(entry)
  return fitted.ok ? ok(entry) : fitted
}

function admitTurn({ kit, model, family, state }: Stand, entry: EntryBody & { kind: 'turn' }): Outcome<EntryBody> {
  const all = adjustersOf(kit, model)
  const spec = all.find((each) => each.id === entry.adjuster)
  if (!spec) {
    const known = all.map((each) => each.id).join(', ')
    return refuse(
      'unknown-adjuster',
      'adjuster',
      `A ${family.title} brake has no “${entry.adjuster}”. Accepted: ${known}.`,
    )
  }
  if (entry.unit !== spec.unit)
    return refuse('wrong-unit', 'unit', `The ${spec.title} is set in ${SET_IN[spec.unit]}, not “${entry.unit}”.`)
  if (entry.from && !spec.contact) {
    return refuse(
      'no-contact',
      'from',
      `The ${spec.title} meets nothing when it is wound in. Accepted: how far it was turned from where it stood.`,
    )
  }
  if (entry.from && spec.contact && entry.amount * spec.contact.inward > 0) {
    return refuse(
      'out-of-range',
      'amount',
      `From contact the ${spec.title} goes back: ${spec.contact.inward > 0 ? spec.minus : spec.plus}.`,
    )
  }
  if (entry.tried !== undefined && (entry.amount !== 0 || !entry.endReached)) {
    return refuse('out-of-range', 'tried', 'What was tried is told where nothing moved: amount 0, at its end.')
  }
  if (!Number.isFinite(entry.amount) || (entry.amount === 0 && !entry.endReached)) {
    return refuse('out-of-range', 'amount', `${spec.title} by ${entry.amount}: say how far, for example ${spec.step}.`)
  }
  if (spec.unit === 'hole' && !Number.isInteger(entry.amount)) {
    return refuse(
      'out-of-range',
      'amount',
      `${spec.title} by ${entry.amount}: a pin stands in a hole. Accepted: whole holes.`,
    )
  }
  if (spec.travel === undefined) {
    return Math.abs(entry.amount) <= MOST_CABLE_MM
      ? ok(entry)
      : refuse(
          'out-of-range',
          'amount',
          `${spec.title}: ${formatQuantity(entry.amount, spec.unit)}. Accepted: up to ${formatQuantity(MOST_CABLE_MM, spec.unit)} either way.`,
        )
  }
  const { roomDown, roomUp } = state.adjusters[spec.id] as { roomDown: number; roomUp: number }
  const room = entry.from ? spec.travel : entry.amount > 0 ? roomUp : roomDown
  if (Math.abs(entry.amount) > room + HALF_STEP) {
    const way = entry.amount > 0 ? spec.plus : spec.minus
    return refuse(
      'past-its-end',
      'amount',
      `${way} ${formatQuantity(Math.abs(entry.amount), spec.unit)}: it has only ${formatQuantity(Math.max(0, room), spec.unit)} to go that way. Log what it really turned.`,
    )
  }
  return ok(entry)
}

const namesOf = ({ family }: Stand): string => family.fasteners.map(({ id }) => id).join(', ')

const torqueFault = (field: string, valueNm: number, at: string): Outcome<never> | undefined =>
  valueNm > 0 && valueNm <= MOST_TORQUE_NM
    ? undefined
    : refuse('out-of-range', field, `${valueNm} N·m at the ${at}. Accepted: above 0 to ${MOST_TORQUE_NM} N·m.`)

function admitTorque(stand: Stand, entry: EntryBody & { kind: 'torque' }): Outcome<EntryBody> {
  const { fastener, valueNm } = entry
  return stand.kit.fastener(fastener) || isFastener(fastener)
    ? (torqueFault('valueNm', valueNm, fastener) ?? ok(entry))
    : refuse('unknown-fastener', 'fastener', `There is no fastener “${fastener}”. Accepted: ${namesOf(stand)}.`)
}

function admitFigure(stand: Stand, entry: EntryBody & { kind: 'figure' }): Outcome<EntryBody> {
  const { fastener, lowNm, highNm } = entry
  if (stand.kit.fastener(fastener)?.id !== fastener)
    return refuse('unknown-fastener', 'fastener', `There is no fastener “${fastener}”. Accepted: ${namesOf(stand)}.`)
  const fault = torqueFault('lowNm', lowNm, fastener) ?? torqueFault('highNm', highNm, fastener)
  if (fault) return fault
  return lowNm <= highNm
    ? ok(entry)
    : refuse(
        'out-of-range',
        'highNm',
        `${lowNm} to ${highNm} N·m at the ${fastener}. Accepted: the lower figure first.`,
      )
}

/** Nobody rides a stop while something says that it is not to be ridden; after the work it was walked first. */
function admitRun(stand: Stand, entry: EntryBody & { kind: 'run' }): Outcome<EntryBody> {
  const against = findingsOf(stand, SETTLED).filter(({ undone }) => !undone)
  if (against.length > 0)
    return refuse(
      'not-to-be-ridden',
      'phase',
      `Not to be ridden: ${sayFindings(against).join('; ')}. Put that right before a stop is ridden.`,
    )
  const walked = stand.state.confirmed['walk-test']
  if (entry.phase === 'after' && stand.kit.step('walk-test') && !(walked?.value && walked.status === 'current'))
    return refuse(
      'not-walked',
      'phase',
      'After the work it is walked before it is ridden: do the walk test, then ride. Accepted: a run from before the work.',
    )
  const checked = checkRun(entry)
  return checked.ok ? ok(entry) : checked
}

const MOST_MINUTES = 10_000
const MOST_MONEY = 1_000_000

/** Minutes and money of a job: all of it in one currency. */
function admitCost({ state }: Stand, entry: EntryBody & { kind: 'estimate' | 'spent' }): Outcome<EntryBody> {
  const { minutes, currency } = entry
  const money = entry.kind === 'estimate' ? entry.cost : entry.labour
  if (!(minutes >= 0 && minutes <= MOST_MINUTES))
    return refuse('out-of-range', 'minutes', `${minutes} minutes. Accepted: 0 to ${MOST_MINUTES}.`)
  if (!(money >= 0 && money <= MOST_MONEY))
    return refuse(
      'out-of-range',
      entry.kind === 'estimate' ? 'cost' : 'labour',
      `${money} ${currency}. Accepted: 0 to ${MOST_MONEY}.`,
    )
  if (!/^[A-Z]{3}$/.test(currency))
    return refuse(
      'not-a-choice',
      'currency',
      `The currency is “${currency}”. Accepted: its three letters by ISO 4217, for example EUR.`,
    )
  const other = costsIn(state.standing).currency
  if (other !== undefined && other !== currency)
    return refuse('other-currency', 'currency', `This job is kept in ${other}, not ${currency}. Accepted: ${other}.`)
  const parts = entry.kind === 'spent' ? entry.parts : []
  const wrong = parts.find(({ count, price }) => !(Number.isInteger(count) && count > 0 && price >= 0))
  if (wrong)
    return refuse(
      'out-of-range',
      'parts',
      `${wrong.count} × ${wrong.name} at ${wrong.price} ${currency}. Accepted: whole pieces, a price of 0 or more.`,
    )
  return minutes > 0 || money > 0 || parts.length > 0
    ? ok(entry)
    : refuse('missing', 'minutes', 'Nothing is told. Accepted: minutes, money or parts.')
}

function admitStep(stand: Stand, entry: EntryBody, id: string): Outcome<EntryBody> {
  if (isBenchAct(id) && entry.kind === 'confirm') {
    const { loosenable } = stand.kit
    return id === SQUEEZES || Object.values(loosenable).includes(id)
      ? ok(entry)
      : refuse(
          'unknown-step',
          'step',
          `A ${stand.family.title} brake has nothing of “${id}”. Accepted: ${Object.values(loosenable).join(', ')}.`,
        )
  }
  const step = stand.kit.step(id)
  const here = stepsOn(stand)
  if (!step || step.done.kind === 'signed') {
    const known = stand.kit.steps.filter((each) => each.done.kind !== 'signed').map((each) => each.id)
    return refuse('unknown-step', 'step', `There is no step “${id}”. Accepted: ${known.join(', ')}.`)
  }
  if (!here.some((each) => each.id === id)) {
    const known = here.filter((each) => each.done.kind !== 'signed').map((each) => each.id)
    return refuse(
      'not-on-sheet',
      'step',
      `“${step.title}” does not stand on this job’s sheet. Accepted: ${known.join(', ')}.`,
    )
  }
  if (entry.kind === 'confirm' && step.done.kind !== 'confirmed') {
    return refuse('needs-readings', 'step', `“${step.title}” is not confirmed by hand: it needs its readings.`)
  }
  return ok(entry)
}

function admitSkip(stand: Stand, entry: EntryBody & { kind: 'skip' }): Outcome<EntryBody> {
  const admitted = admitStep(stand, entry, entry.step)
  if (!admitted.ok) return admitted
  const step = stepsOn(stand).find((each) => each.id === entry.step)
  return step && (step.mustBeDone || stepStatus(step, stand, SETTLED).stop)
    ? refuse(
        'not-skipped',
        'step',
        `“${step.title}” is not skipped: a bicycle is not ridden like this. Put it right, or close the job unreleased.`,
      )
    : admitted
}

/** A way may be chosen only when it can be done here, and when each of its cautions was read. */
function admitPlan(stand: Stand, entry: EntryBody & { kind: 'plan' }): Outcome<EntryBody> {
  const { plans, title } = stand.family
  const plan = plans.find((each) => each.id === entry.plan)
  const way = plan?.ways.find((each) => each.id === entry.to)
  if (!plan || !way) {
    const known = plans.map((each) => `${each.id}, by ${each.ways.map(({ id }) => id).join(', ')}`).join('; ')
    return refuse(
      'unknown-way',
      'to',
      `There is no way “${entry.to}” of a ${entry.plan} on a ${title} brake. Accepted: ${known || 'none'}.`,
    )
  }
  const unheard = entry.acknowledged.find((id) => !(id in CAUTIONS))
  if (unheard) {
    return refuse(
      'unknown-caution',
      'acknowledged',
      `There is no caution “${unheard}”. Accepted: ${way.cautions.join(', ') || 'none'}.`,
    )
  }
  const unread = way.cautions.find((id) => !entry.acknowledged.includes(id))
  if (unread) {
    return refuse('caution-unread', 'acknowledged', `Read and acknowledge first: ${CAUTIONS[unread].text}`)
  }
  const admitted = plan.admit(stand, way.id, entry.figures ?? {})
  return admitted.ok ? ok(entry) : admitted
}

function admitSwap({ kit }: Stand, entry: EntryBody & { kind: 'swap' }): Outcome<EntryBody> {
  const school = kit.schools.find((each) => partOf(each) === entry.part)
  if (school) {
    const read = readSchool(school, entry.to)
    return read.ok ? ok(entry) : read
  }
  if (!SWAPPED_PARTS.includes(entry.part)) {
    const known = [...SWAPPED_PARTS, ...kit.schools.map(partOf)].join(', ')
    return refuse('unknown-part', 'part', `There is no part “${entry.part}”. Accepted: ${known}.`)
  }
  return entry.to.trim() === '' ? refuse('missing', 'to', `Say what the ${entry.part} was swapped for.`) : ok(entry)
}

const MOST_SEGMENTS = 20

function admitRoute({ dimensions, model }: Stand, entry: EntryBody & { kind: 'route' }): Outcome<EntryBody> {
  if (entry.segments.length < 1 || entry.segments.length > MOST_SEGMENTS) {
    return refuse(
      'out-of-range',
      'segments',
      `A way of ${entry.segments.length} pieces. Accepted: 1 to ${MOST_SEGMENTS}.`,
    )
  }
  const route = routeOf(entry.segments, dimensions, model.throw.squeezeTensionN)
  return route.ok ? ok(entry) : route
}

function admitCorrection(
  { state }: Stand,
  entry: EntryBody & { kind: 'correction' },
  next: () => Act,
): Outcome<EntryBody> {
  const struck = state.line.find((each) => each.entry.id === entry.strikes)
  if (!struck) return refuse('unknown-entry', 'strikes', `There is no entry “${entry.strikes}” in this job to strike.`)
  if (struck.struckBy) return refuse('already-struck', 'strikes', 'That entry is struck already.')
  const restored = struck.entry.kind === 'correction' && struck.entry.strikes
  const again = restored ? state.line.find((each) => each.entry.id === restored)?.entry : undefined
  return again?.kind === 'release' ? admitRelease(again, next(), entry) : ok(entry)
}

const INITIALS_LENGTH = 20

/** Whether these sign a job. */
const signed = (initials: string) => readText(initials, { field: 'initials', what: 'Initials', most: INITIALS_LENGTH })

function admitRelease(
  release: EntryBody & { kind: 'release' },
  next: Act,
  entry: EntryBody = release,
): Outcome<EntryBody> {
  const by = signed(release.initials)
  if (!by.ok) return by
  const { lookAgain } = release
  if (lookAgain !== undefined && !isDay(lookAgain))
    return refuse(
      'out-of-range',
      'lookAgain',
      `Look again on “${lookAgain}”. Accepted: a day as year-month-day, for example 2027-05-26.`,
    )
  return next.kind === 'sign'
    ? ok(entry)
    : refuse(
        'not-ready',
        'kind',
        `Not ready for release: “${next.step.title}” is open. Do it, skip it with a reason where it may be skipped, or close the job unreleased.`,
      )
}

const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text))

/** A job is closed unreleased only where something says that the bicycle is not to be ridden, and with why. */
function admitClose(stand: Stand, entry: EntryBody & { kind: 'close' }, next: Act): Outcome<EntryBody> {
  const by = signed(entry.initials)
  if (!by.ok) return by
  if (entry.why.trim() === '' || entry.why.length > WHY_LENGTH) {
    return refuse(
      'reason-missing',
      'why',
      `Closing a job unreleased needs a reason of 1 to ${WHY_LENGTH} characters: it stands on the tag.`,
    )
  }
  return next.kind === 'sign' || findingsOf(stand, SETTLED).length === 0
    ? refuse('nothing-against', 'kind', 'Nothing here says that it is not to be ridden: release it instead.')
    : ok(entry)
}
