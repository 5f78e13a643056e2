import { routeOf } from '../cable/route.ts'
import type { Learnt } from '../dial-in/layout.ts'
import { frameStops } from '../mount/drilling.ts'
import { checkMeasured } from '../mount/measured.ts'
import { planMount } from '../mount/plan.ts'
import { findWay, preferenceOf, WAYS } from '../mount/ways.ts'
import { type Fault, type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { formatQuantity } from '../quantity/quantity.ts'
import { CAUTIONS } from '../reference/cautions.ts'
import { CHOICES, choiceOfPart, partOf } from '../stand/choices.ts'
import { SWAPPED_PARTS } from '../stand/depends.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { findReading, findSeen, READING_ORDER, type SeenSpec } from '../stand/readings.ts'
import { parseSchool } from '../stand/schools.ts'
import { openStand, type Stand, workOut } from './job.ts'
import { boltMountAt, measuredAt } from './judges.ts'
import { type Act, findingsOf, stepStatus, stepsOn } from './next.ts'
import { findStep, isBenchAct, STEPS } from './steps/steps.ts'

const MOST_CABLE_MM = 60
const MOST_TORQUE_NM = 60
const NOTE_LENGTH = 2000
const WHY_LENGTH = 500
const HALF_STEP = 0.02
const SET_IN = { turn: 'turns', mm: 'mm', hole: 'holes' } as const

/** What can be swapped: parts, and the schools a job goes by. */
const PARTS: readonly string[] = [...SWAPPED_PARTS, 'school.bite', ...CHOICES.map(partOf)]

/**
 * The first of some entries that may not be written, each judged on the stand as the ones before it leave it.
 * Undefined where all may.
 */
export function firstRefusal(
  hardware: Hardware,
  log: readonly Entry[],
  incoming: readonly Entry[],
  learnt: Learnt,
): { readonly index: number; readonly error: Fault } | undefined {
  for (const [index, entry] of incoming.entries()) {
    const stand = openStand(hardware, [...log, ...incoming.slice(0, index)])
    const admitted = stand.ok ? admit(stand.value, entry, () => workOut(stand.value, learnt).next) : stand
    if (!admitted.ok) return { index, error: admitted.error }
  }
  return undefined
}

/**
 * Whether an entry may be written to this job as it stands. One rule for the tape, the touch controls and the server,
 * so that what one accepts the others do.
 */
export function admit(stand: Stand, entry: EntryBody, next: () => Act = () => workOut(stand).next): Outcome<EntryBody> {
  const { released, ended: ending } = stand.state
  if (ending && !(entry.kind === 'correction' && entry.strikes === ending.id)) {
    return refuse(
      released ? 'job-released' : 'job-closed',
      'kind',
      `This job was ${released ? 'released' : 'closed unreleased'} by ${ending.initials}. Open a new job on this brake to go on, or take that back.`,
    )
  }
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
      return admitSwap(entry)
    case 'plan':
      return admitPlan(stand, entry)
    case 'route':
      return admitRoute(stand, entry)
    case 'torque':
      return entry.valueNm > 0 && entry.valueNm <= MOST_TORQUE_NM
        ? ok(entry)
        : refuse(
            'out-of-range',
            'valueNm',
            `${entry.valueNm} N·m at the ${entry.fastener}. Accepted: above 0 to ${MOST_TORQUE_NM} N·m.`,
          )
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

function admitReading(stand: Stand, entry: EntryBody & { kind: 'reading' }): Outcome<EntryBody> {
  const seen = findSeen(entry.reading)
  if (seen) return admitSeen(seen, entry)
  const spec = findReading(entry.reading)
  if (!spec) {
    return refuse(
      'unknown-reading',
      'reading',
      `There is no reading “${entry.reading}”. Accepted: ${READING_ORDER.join(', ')}.`,
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

/** A measurement beside the others of the same mount: a hole wider than its tube was misread. */
function admitAmong(stand: Stand, id: string, value: number, entry: EntryBody): Outcome<EntryBody> {
  const measured = measuredAt(stand)
  const checked = checkMeasured({
    ...measured,
    number: (each) => (each === id ? value : measured.number(each)),
  })
  if (!checked.ok) return checked
  const dimension = findReading(id)?.dimension
  const fitted = dimension ? stand.family.fit({ ...stand.dimensions, [dimension]: value }, stand.here) : ok(entry)
  return fitted.ok ? ok(entry) : fitted
}

function admitTurn({ model, family, state }: Stand, entry: EntryBody & { kind: 'turn' }): Outcome<EntryBody> {
  const spec = model.adjusters.find((each) => each.id === entry.adjuster)
  if (!spec) {
    const known = model.adjusters.map((each) => each.id).join(', ')
    return refuse(
      'unknown-adjuster',
      'adjuster',
      `A ${family.title} brake has no “${entry.adjuster}”. Accepted: ${known}.`,
    )
  }
  if (entry.unit !== spec.unit)
    return refuse('wrong-unit', 'unit', `The ${spec.title} is set in ${SET_IN[spec.unit]}, not “${entry.unit}”.`)
  if (!Number.isFinite(entry.amount) || (entry.amount === 0 && !entry.endReached)) {
    return refuse('out-of-range', 'amount', `${spec.title} by ${entry.amount}: say how far, for example ${spec.step}.`)
  }
  if (spec.travel === undefined) {
    return Math.abs(entry.amount) <= MOST_CABLE_MM
      ? ok(entry)
      : refuse(
          'out-of-range',
          'amount',
          `${spec.title}: ${formatQuantity(entry.amount, 'mm')}. Accepted: up to ${MOST_CABLE_MM} mm either way.`,
        )
  }
  const { roomDown, roomUp } = state.adjusters[spec.id] as { roomDown: number; roomUp: number }
  const room = entry.amount > 0 ? roomUp : roomDown
  if (Math.abs(entry.amount) > room + HALF_STEP) {
    const way = entry.amount > 0 ? spec.plus : spec.minus
    return refuse(
      'past-its-end',
      'amount',
      `${way} ${formatQuantity(Math.abs(entry.amount), spec.unit)}: it has only ${formatQuantity(Math.max(0, room), spec.unit)} left that way. Log what it really turned.`,
    )
  }
  return ok(entry)
}

function admitStep(stand: Stand, entry: EntryBody, id: string): Outcome<EntryBody> {
  if (isBenchAct(id) && entry.kind === 'confirm') return ok(entry)
  const step = findStep(id)
  const here = stepsOn(stand)
  if (!step || step.done.kind === 'signed') {
    const known = STEPS.filter((each) => each.done.kind !== 'signed').map((each) => each.id)
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

/** Skipping asks nothing of the advice. */
const SETTLED = { kind: 'in-window', chanceNow: 1 } as const

/** A way may be chosen only when it can be done here, and when each of its cautions was read. */
function admitPlan(stand: Stand, entry: EntryBody & { kind: 'plan' }): Outcome<EntryBody> {
  const way = findWay(entry.to)
  if (entry.plan !== 'mount' || !way) {
    return refuse(
      'unknown-way',
      'to',
      `There is no way “${entry.to}” of a ${entry.plan}. Accepted: mount, by ${WAYS.map((each) => each.id).join(', ')}.`,
    )
  }
  const unread = way.cautions.find((id) => !entry.acknowledged.includes(id))
  if (unread) {
    return refuse('caution-unread', 'acknowledged', `Read and acknowledge first: ${CAUTIONS[unread].text}`)
  }
  const mount = boltMountAt(stand)
  if (!mount)
    return refuse('not-measured', 'plan', 'The mount is not measured yet: a way is chosen from its measurements.')
  const closed = frameStops(mount)[0]
  if (closed) return refuse('way-closed', 'to', `Nothing is mounted here. ${closed.say}`)
  const plan = planMount(mount, [], preferenceOf(stand.state.chosen.mount)).find((each) => each.way.id === way.id)
  const stop = plan ? plan.reasons.find((each) => each.kind === 'stop') : undefined
  return plan && !stop
    ? ok(entry)
    : refuse(
        'way-closed',
        'to',
        `Way ${way.id} cannot be done here. ${stop?.say ?? 'It does not belong to this end or this hole.'}`,
      )
}

function admitSwap(entry: EntryBody & { kind: 'swap' }): Outcome<EntryBody> {
  if (!PARTS.includes(entry.part))
    return refuse('unknown-part', 'part', `There is no part “${entry.part}”. Accepted: ${PARTS.join(', ')}.`)
  if (entry.part === 'school.bite') {
    const school = parseSchool(entry.to)
    return school.ok ? ok(entry) : school
  }
  const choice = choiceOfPart(entry.part)
  if (choice) {
    return choice.options.some((each) => each.id === entry.to)
      ? ok(entry)
      : refuse(
          'unknown-school',
          'to',
          `There is no school “${entry.to}” of ${choice.title}. Accepted: ${choice.options.map((each) => each.id).join(', ')}.`,
        )
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

const SIGNED = /^\S.{0,19}$/

function admitRelease(
  release: EntryBody & { kind: 'release' },
  next: Act,
  entry: EntryBody = release,
): Outcome<EntryBody> {
  if (!SIGNED.test(release.initials.trim())) return unsigned(release.initials)
  return next.kind === 'sign'
    ? ok(entry)
    : refuse(
        'not-ready',
        'kind',
        `Not ready for release: “${next.step.title}” is open. Do it, skip it with a reason where it may be skipped, or close the job unreleased.`,
      )
}

const unsigned = (initials: string) =>
  refuse('out-of-range', 'initials', `“${initials}” does not sign a job. Accepted: 1 to 20 characters.`)

/** A job is closed unreleased only where something says that the bicycle is not to be ridden, and with why. */
function admitClose(stand: Stand, entry: EntryBody & { kind: 'close' }, next: Act): Outcome<EntryBody> {
  if (!SIGNED.test(entry.initials.trim())) return unsigned(entry.initials)
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
