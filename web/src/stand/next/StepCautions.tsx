import type { Step } from '@overhaul/core/brake/step'
import { CAUTIONS } from '@overhaul/core/reference/cautions'
import { Cautions } from '../../ui/words.tsx'

/** What can hurt in this step, where the hand is about to do it. */
export function StepCautions({ step }: { step: Step }) {
  if (step.cautions.length === 0) return null
  return (
    <Cautions aria-label="Cautions">
      {step.cautions.map((id) => (
        <li key={id}>{CAUTIONS[id].text}</li>
      ))}
    </Cautions>
  )
}
