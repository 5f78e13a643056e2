import { HELD_IN, POSTURES, type PostureId } from '../brake/posture.ts'
import type { Step } from '../brake/step.ts'
import type { Card, Row } from '../stand/card.ts'
import type { EntryBody } from '../stand/entries.ts'
import { judgedAs, standingNow } from './carried.ts'
import type { Job, Stand } from './job.ts'
import type { Act } from './next.ts'
import { settled, sheetOf, wantedOf } from './status.ts'
import type { StepStatus } from './step-state.ts'

/** The postures in which numbers are taken: not before the brake was squeezed, where that is still owed. */
const MEASURING: ReadonlySet<PostureId> = new Set(['caliper', 'rule', 'feeler', 'protractor'])

/** The posture a reading is taken in, at this step. */
function postureOf({ kit }: Stand, step: Step, id: string): PostureId | undefined {
  const spec = kit.reading(id)
  return spec ? HELD_IN[spec.instrument] : step.posture
}

/** A step that takes a tool of its own is measured by itself. */
const takesOwnTool = ({ kit }: Stand, readings: readonly string[]): boolean =>
  readings.some((id) => {
    const spec = kit.reading(id)
    return spec !== undefined && HELD_IN[spec.instrument] === undefined
  })

/** What a step still asks for: of the dial-in what the advice wants read. */
function askedAt(job: Job, { step }: StepStatus): readonly string[] {
  if (step.done.kind === 'dialled-in') return job.advice.kind === 'measure' ? job.advice.readings : []
  const wanted = wantedOf(step, job)
  const missing = wanted.filter((id) => job.state.readings[id]?.status !== 'current')
  return missing.length > 0 ? missing : wanted
}

/** What earlier visits and this one answered, where it still stands on what it stood on: by reading. */
type Answered = ReturnType<typeof standingNow>

/** What is kept and well, else the only answer that is. */
function soundAnswer(
  job: Job,
  answered: Answered,
  id: string,
): { readonly body: EntryBody; readonly isKept: boolean } | undefined {
  const kept = answered.get(id)?.at(-1)?.value
  const well = job.kit.seeing(id)?.options.filter((option) => option.remedy === undefined) ?? []
  const value = well.find((option) => option.id === kept)?.id ?? (well.length === 1 ? well[0]?.id : undefined)
  if (value === undefined || judgedAs(job, id, value) !== 'well') return undefined
  return { body: { kind: 'reading', reading: id, value, unit: '' }, isKept: value === kept }
}

/** What a row comes to where it is sound; nothing where the hand must choose or measure. */
function soundOf(
  job: Job,
  answered: Answered,
  { step }: StepStatus,
  readings: readonly string[],
): Pick<Row, 'sound' | 'kept'> {
  if (step.done.kind === 'confirmed')
    return { sound: [{ kind: 'confirm', step: step.id, ...(step.done.count && { count: step.done.count }) }] }
  const answers = readings.map((id) => soundAnswer(job, answered, id))
  if (!answers.every((each) => each !== undefined)) return {}
  return {
    sound: answers.map(({ body }) => body),
    ...(answers.every(({ isKept }) => isKept) && { kept: true as const }),
  }
}

/** A step of which this row asks a part is said by that part: “Measure: housing, outside.” */
function sayRow(job: Job, step: Step, readings: readonly string[]): string {
  if (step.done.kind === 'confirmed' || readings.length === wantedOf(step, job).length) return step.say
  const isMeasured = readings.some((id) => job.kit.reading(id))
  return `${isMeasured ? 'Measure' : 'Look'}: ${readings.map(job.kit.title).join(', ')}.`
}

/** It was found not well, and is put right first; what is dialled in is set by reading it. */
const isIll = ({ step, state }: StepStatus): boolean => state === 'out' && step.done.kind !== 'dialled-in'

/** The row of a step in this posture; none where nothing of it is done so, or all of it is asked by a row before. */
function rowIn(
  job: Job,
  status: StepStatus,
  posture: PostureId,
  taken: ReadonlySet<string>,
): Omit<Row, 'sound' | 'kept'> | undefined {
  const { step } = status
  if (isIll(status)) return undefined
  const isConfirmed = step.done.kind === 'confirmed'
  // What one step measures is measured in one go, with another tool beside it: the gaps with the bite, a wheel’s runouts.
  const isWhole = MEASURING.has(posture) && (step.id === job.next.step.id || step.done.kind === 'dialled-in')
  if (isConfirmed && step.posture !== posture) return undefined
  const asked = isConfirmed ? [] : askedAt(job, status)
  if (takesOwnTool(job, asked)) return undefined
  const readings = asked.filter((id) => !taken.has(id) && (isWhole || postureOf(job, step, id) === posture))
  if (!isConfirmed && readings.length === 0) return undefined
  return { step, act: isConfirmed ? 'confirm' : 'measure', say: sayRow(job, step, readings), readings }
}

/** Whether what comes behind a step that is still open must wait for it: work of the hand, and what settles the brake. */
function holdsUp(job: Job, status: StepStatus, posture: PostureId): boolean {
  const { step } = status
  const isKnown = job.known.visits.length > 0
  // What looks ill is put right when it is its turn: the rest of the walk round is looked at as well.
  if (isIll(status)) return posture !== 'walk-round' || step.done.kind === 'confirmed'
  switch (step.done.kind) {
    case 'confirmed':
      if (step.posture === undefined) return true
      if (step.posture === 'walk') return posture !== 'walk'
      return step.posture === 'lever' && MEASURING.has(posture)
    case 'planned':
    case 'signed':
      return true
    // What proves a setting waits until it is set; on a brake that was sound before it tells whether it still is.
    case 'dialled-in':
      return job.advice.kind !== 'measure' || (posture !== 'walk-round' && !isKnown)
    default:
      return wantedOf(step, job).some((id) => job.kit.seeing(id)) && step.posture === undefined
  }
}

const inHand = (next: Act): next is Act & { readonly kind: 'confirm' | 'measure' } =>
  next.kind === 'measure' || (next.kind === 'confirm' && next.ill === undefined)

/** The posture of the act in hand. */
function postureNow(job: Job, next: Act & { readonly kind: 'confirm' | 'measure' }): PostureId | undefined {
  if (next.kind === 'confirm') return next.step.posture
  if (next.step.done.kind === 'dialled-in') return 'rule'
  const [first] = next.readings
  if (takesOwnTool(job, next.readings)) return undefined
  return first === undefined ? undefined : postureOf(job, next.step, first)
}

/** What is done now without moving or taking another tool; undefined where the act in hand has no posture it shares. */
export function cardOf(job: Job): Card | undefined {
  const { next } = job
  if (!inHand(next)) return undefined
  const posture = postureNow(job, next)
  if (!posture) return undefined
  const rows: Row[] = []
  const taken = new Set<string>()
  const answered = standingNow(job.kit, job.known.visits, job.state.standing)
  for (const status of sheetOf(job, job.advice)) {
    if (settled(status.state)) continue
    const row = rowIn(job, status, posture, taken)
    if (row) rows.push({ ...row, ...soundOf(job, answered, status, row.readings) })
    for (const id of row?.readings ?? []) taken.add(id)
    if (holdsUp(job, status, posture)) break
  }
  return rows.length > 0 ? { posture, title: POSTURES[posture], rows } : undefined
}
