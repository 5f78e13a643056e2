import { SQUEEZES } from '../../brake/acts.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import type { EntryBody } from '../../stand/entries.ts'
import type { Stand } from '../stand.ts'
import { heldAt, stepsOn } from '../status.ts'
import type { Held } from '../step-state.ts'

/** A step of this job’s sheet, or an act of the bench, that is told by hand. */
export function admitStep(stand: Stand, entry: EntryBody, id: string): Outcome<EntryBody> {
  const acts = Object.values(stand.kit.loosenable)
  if (entry.kind === 'confirm' && (id === SQUEEZES || acts.includes(id))) return ok(entry)
  const step = stand.kit.step(id)
  const here = stepsOn(stand)
  if (!step || step.done.kind === 'signed') {
    const known = stand.kit.steps.filter((each) => each.done.kind !== 'signed').map((each) => each.id)
    return refuse(
      'unknown-step',
      'step',
      `A ${stand.family.title} brake has no step “${id}”. Accepted: ${[...known, ...acts].join(', ')}.`,
    )
  }
  if (!here.some((each) => each.id === id) && !(step.unasked && entry.kind === 'confirm')) {
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

/** Why a step is not passed over as it stands. */
const HELD: Readonly<Record<Held, (title: string) => string>> = {
  stop: (title) =>
    `“${title}” is not skipped: a bicycle is not ridden like this. Put it right, or close the job unreleased.`,
  wrong: (title) => `“${title}” is not left as it is: put it right, or close the job unreleased.`,
  unlooked: (title) =>
    `“${title}” is not skipped: it must be looked at on this visit. Do it, or close the job unreleased.`,
}

/** A step is skipped with a reason where it need not be looked at, and left where what was found is only unwanted. */
export function admitSkip(stand: Stand, entry: EntryBody & { kind: 'skip' }): Outcome<EntryBody> {
  const admitted = admitStep(stand, entry, entry.step)
  if (!admitted.ok) return admitted
  const step = stepsOn(stand).find((each) => each.id === entry.step)
  const held = step && heldAt(step, stand)
  return step && held ? refuse('not-skipped', 'step', HELD[held](step.title)) : admitted
}
