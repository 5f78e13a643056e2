import type { AdjusterSpec } from '../brake/adjuster.ts'
import { adjustersOf } from '../brake/kit.ts'
import type { LengthUnit } from '../quantity/quantity.ts'
import type { Job } from '../run-sheet/job.ts'
import type { StepStatus } from '../run-sheet/step-state.ts'
import { describe } from '../stand/describe.ts'
import type { Naming } from '../stand/entry-kind.ts'
import { sayMade } from '../stand/show.ts'
import { lower, upper } from '../stand/words.ts'

/** What was moved by hand after it floated, which the Stand asks of nobody. */
function shifted(spec: AdjusterSpec, after: readonly { readonly amount: number }[], length: LengthUnit): string {
  const amount = after.reduce((sum, each) => sum + each.amount, 0)
  return Math.abs(amount) < 1e-9 ? '' : `, then ${lower(sayMade(spec, { amount }, length))}`
}

/** What was turned in all, adjuster by adjuster; one that was wound in to contact is told from there. */
function turnedLines({ kit, model, state }: Job, length: LengthUnit): readonly string[] {
  return adjustersOf(kit, model).flatMap((spec): readonly string[] => {
    const turns = state.standing.filter((entry) => entry.kind === 'turn' && entry.adjuster === spec.id)
    const told = turns.flatMap((entry) => (entry.kind === 'turn' ? [entry] : []))
    const contact = told.findLastIndex(({ from }) => from !== undefined)
    const since = told.slice(Math.max(0, contact))
    const [first, ...after] = since
    if (!first) return []
    const amount = since.reduce((sum, each) => sum + each.amount, 0)
    const goes = told.length > 1 ? `, in ${told.length} goes` : ''
    if (first.from && spec.contact?.gives)
      return [`${sayMade(spec, first, length)}${shifted(spec, after, length)}${goes}`]
    if (Math.abs(amount) < 1e-9) return [`${upper(spec.title)} turned, and back where it was${goes}`]
    return [`${sayMade(spec, { amount, from: first.from }, length)}${goes}`]
  })
}

/** The work that was confirmed, as it stands on the sheet. */
const didLines = ({ state }: Job, steps: readonly StepStatus[]): readonly string[] =>
  steps.flatMap(({ step: { id, done } }) =>
    done.kind === 'confirmed' && done.did && state.confirmed[id]?.value === true ? [done.did] : [],
  )

/** What else the hand did that changed the brake: parts, ways, what was loosened. */
function changedLines(job: Job, naming: Naming): readonly string[] {
  const { kit, state } = job
  const said = state.standing.flatMap((entry): readonly string[] => {
    if (entry.kind === 'swap') return kit.schoolAt(entry.part) ? [] : [describe(entry, naming)]
    if (entry.kind === 'plan') return [describe(entry, naming)]
    return entry.kind === 'confirm' && kit.act(entry.step) ? [describe(entry, naming)] : []
  })
  return [...new Set(said)].map(upper)
}

/** What the hand did, from first to last, each thing once: the work, the turns, what else was changed, what proved it. */
export function doneLines(
  job: Job,
  steps: readonly StepStatus[],
  naming: Naming,
  length: LengthUnit,
): readonly string[] {
  const worked = steps.filter(({ step }) => step.station !== 'prove')
  const proven = steps.filter(({ step }) => step.station === 'prove')
  return [...didLines(job, worked), ...turnedLines(job, length), ...changedLines(job, naming), ...didLines(job, proven)]
}
