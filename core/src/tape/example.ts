import type { From } from '../brake/adjuster.ts'
import { adjustersOf } from '../brake/kit.ts'
import type { LengthUnit } from '../quantity/quantity.ts'
import { showParts } from '../stand/show.ts'
import { usualValue, type Written } from './words.ts'

/** What an example is of: readings to take, turns to make, or one word. */
export interface Example {
  readonly readings?: readonly string[]
  readonly moves?: readonly { readonly adjuster: string; readonly amount: number; readonly from?: From | undefined }[]
  readonly step?: string
}

const MOST = 3

/** An amount of turns as it is typed: `1 1/2`. */
function typedFraction(turns: number): string {
  const whole = Math.floor(turns)
  const rest = [2, 4, 8].find((parts) => Number.isInteger((turns - whole) * parts))
  if (turns === whole) return String(whole)
  return rest === undefined ? String(turns) : `${whole > 0 ? `${whole} ` : ''}${(turns - whole) * rest}/${rest}`
}

/**
 * A line as it may be written for what is asked for now. `plausible` is a value of a reading as it is met: the middle of its
 * window, or the book's.
 */
export function exampleLine(
  { kit, model, length }: Written & { readonly length: LengthUnit },
  { readings = [], moves = [], step }: Example,
  plausible: (reading: string) => number | undefined,
): string {
  const taken = readings.slice(0, MOST).flatMap((id) => {
    const spec = kit.reading(id)
    const seen = kit.seeing(id)
    if (seen) return [`${seen.shorthand} ${(seen.options.find((each) => !each.remedy) ?? seen.options[0])?.id}`]
    if (!spec) return []
    const value = plausible(id) ?? usualValue(spec)
    return [`${spec.shorthand} ${showParts(kit, id, value, length).number}`]
  })
  const turned = moves.flatMap(({ adjuster, amount, from }) => {
    const spec = adjustersOf(kit, model).find(({ id }) => id === adjuster)
    if (!spec) return []
    const size = spec.unit === 'turn' ? typedFraction(Math.abs(amount)) : String(Math.abs(amount))
    const told = amount === 0 ? '' : ` ${amount < 0 ? '-' : '+'}${size}`
    return [`${spec.shorthand}${told}${from ? ` ${from.contact}` : ''}`]
  })
  return [...(step ? [`${step} ok`] : []), ...taken, ...turned].join('  ')
}
