import { isBenchAct, SQUEEZES } from '../../brake/acts.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import type { EntryBody } from '../../stand/entries.ts'
import type { Stand } from '../stand.ts'
import { SETTLED, stepStatus, stepsOn } from '../status.ts'

/** A step of this job’s sheet, or an act of the bench, that is told by hand. */
export function admitStep(stand: Stand, entry: EntryBody, id: string): Outcome<EntryBody> {
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

/** A step is skipped with a reason, where it may be. */
export function admitSkip(stand: Stand, entry: EntryBody & { kind: 'skip' }): Outcome<EntryBody> {
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
