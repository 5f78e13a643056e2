import type { OnStand } from '../../brake/on-stand.ts'
import type { Verdict } from '../../brake/step.ts'
import type { Outcome } from '../../outcome/outcome.ts'
import { cableFeel, type LeverWeight, leverWeightOf } from './feel.ts'

/** Springs and cable told apart by the lever’s weight both ways, or undefined until a scale has shown both. */
export function leverWeightAt({ number, dimensions }: OnStand): Outcome<LeverWeight> | undefined {
  const pull = number('leverWeight')
  const back = number('leverBack')
  return pull === undefined || back === undefined ? undefined : leverWeightOf(pull, back, dimensions)
}

/** How the inner runs in its housing. */
export function judgeCableFeel({ seen }: OnStand): Verdict | undefined {
  const [feel, lined] = [seen('cableFeel'), seen('cableLined')]
  if (feel === undefined || lined === undefined) return undefined
  const remedy = cableFeel(feel, lined)
  return remedy
    ? { state: 'out', say: remedy, ...(feel === 'stuck' && { stop: true as const }) }
    : { state: 'well', say: 'The inner runs smoothly.' }
}
