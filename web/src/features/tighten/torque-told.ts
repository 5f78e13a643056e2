import { torqueFromPull } from '@overhaul/core/calculations/torque-from-pull'
import { type Outcome, ok } from '@overhaul/core/outcome/outcome'
import { type LengthUnit, parseQuantity, shownUnit, type UnitId } from '@overhaul/core/quantity/quantity'
import { showQuantity } from '@overhaul/core/stand/show'

/** How the hand comes to a torque: by a wrench that shows it, or by a pull on a key of known length. */
export interface Means {
  readonly by: 'wrench' | 'key'
  readonly key: string
  readonly pullIn: 'N' | 'kgf' | 'lbf'
}

/** The unit a hand types in. */
export const unitTyped = ({ by, pullIn }: Means, length: LengthUnit): UnitId =>
  by === 'key' ? pullIn : shownUnit('Nm', length)

/** A torque as it is written to the log, N·m, and how the hand came to it. */
export interface TorqueTold {
  readonly nm: number
  readonly instrument: string
}

/** What was typed as a torque, and how it was come to. Refuses what is no number, and a pull on a key of no length. */
export function torqueTold(
  text: string,
  title: string,
  means: Means,
  keyMm: Outcome<number>,
  length: LengthUnit,
): Outcome<TorqueTold> {
  const value = parseQuantity(text, unitTyped(means, length), title)
  if (!value.ok) return value
  if (means.by === 'wrench') return ok({ nm: value.value, instrument: 'torque wrench' })
  if (!keyMm.ok) return keyMm
  const worked = torqueFromPull.work({ forceN: value.value, lengthMm: keyMm.value })
  if (!worked.ok) return worked
  return ok({
    nm: worked.value.outputs.torqueNm as number,
    instrument: `a pull of ${showQuantity(value.value, 'N')} at ${showQuantity(keyMm.value, 'mm', length)} of key`,
  })
}
