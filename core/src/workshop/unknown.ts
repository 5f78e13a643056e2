import { type Outcome, refuse } from '../outcome/outcome.ts'
import { CAUTIONS } from '../reference/cautions.ts'

/** A family there is not. One worked by fluid from the lever is out of scope, and that is said plainly. */
export const unknownFamily = (id: string, known: readonly string[]): Outcome<never> =>
  /hydraulic|fluid/i.test(id)
    ? refuse('out-of-scope', 'family', `“${id}”: ${CAUTIONS.hydraulic.text} Accepted: ${known.join(', ')}.`)
    : refuse('unknown-family', 'family', `There is no brake family “${id}”. Accepted: ${known.join(', ')}.`)
