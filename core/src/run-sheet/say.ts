import { SQUEEZING } from '../brake/acts.ts'
import type { Turn } from '../dial-in/turn.ts'
import type { LengthUnit } from '../quantity/quantity.ts'
import { sayMove } from '../stand/show.ts'
import { oneLine } from '../stand/words.ts'
import type { Act } from './next.ts'
import type { Stand } from './stand.ts'
import { wantedOf } from './status.ts'

/** What to do with the hand: one line, and the rest under it. */
export interface Said {
  readonly line: string
  readonly more?: string
}

type Measuring = Act & { readonly kind: 'measure' }

/** A turn since the last squeezes: the brake has not settled. */
export function isUnsettled({ state }: Pick<Stand, 'state'>): boolean {
  const last = state.standing.findLast(
    (entry) => entry.kind === 'turn' || (entry.kind === 'confirm' && SQUEEZING.has(entry.step)),
  )
  return last?.kind === 'turn'
}

/** Read in this very visit, and not only kept from an earlier one. */
const isReadHere = ({ state }: Stand, readings: readonly string[]): boolean =>
  readings.some((id) => state.readings[id] !== undefined && !state.readings[id]?.carried)

/** “both gaps and the bite”, or just what is asked for. */
function sayMeasure(stand: Stand, { step, readings, why }: Measuring): Said {
  const { kit, family, model } = stand
  const names = readings.map(kit.title)
  if (readings.some((id) => model.needed.includes(id))) {
    if (isUnsettled(stand)) return { line: 'Squeeze ten times, then measure.' }
    return {
      line:
        readings.length === model.needed.length
          ? `Measure ${family.dial.say}.`
          : `Measure the ${names.join(' and the ')}${isReadHere(stand, readings) ? ' once more' : ''}.`,
    }
  }
  // Half of it was saved: only what is still wanted is asked for.
  if (readings.length < wantedOf(step, stand).length) {
    return why === undefined
      ? { line: step.say, more: `Only ${names.join(', ')}: the rest stands.` }
      : { line: `Look again: ${names.join(', ')}.` }
  }
  return { line: step.say, ...(step.more && { more: step.more }) }
}

/** What is turned, move after move, each a sentence. */
export const sayMoves = (
  { model }: Pick<Stand, 'model'>,
  { moves }: Pick<Turn, 'moves'>,
  length: LengthUnit,
): readonly string[] =>
  moves.flatMap((move) => {
    const spec = model.adjusters.find(({ id }) => id === move.adjuster)
    return spec ? [`${sayMove(spec, move, length)}.`] : []
  })

/** How a hand makes them, where their names do not say it. */
export const sayHow = ({ model }: Pick<Stand, 'model'>, { moves }: Pick<Turn, 'moves'>): readonly string[] => [
  ...new Set(
    moves.flatMap(({ adjuster, amount }) => {
      const how = model.adjusters.find(({ id }) => id === adjuster)?.how
      return how ? [how(amount)] : []
    }),
  ),
]

/** What a turn is followed by, at any brake. */
export const sayAfterTurn = ({ family }: Pick<Stand, 'family'>): string =>
  `Squeeze ten times, then measure ${family.dial.say}.`

/** What Next says of an act, the same on the screen, on the rack and to a machine; lengths of cable in mm if not told otherwise. */
export function sayAct(stand: Stand, act: Act, length: LengthUnit = 'mm'): Said {
  switch (act.kind) {
    case 'turn':
      return {
        line: sayMoves(stand, act.turn, length).join(' '),
        more: [...sayHow(stand, act.turn), sayAfterTurn(stand)].join(' '),
      }
    case 'measure':
      return sayMeasure(stand, act)
    case 'mend':
    case 'stuck':
      return oneLine(act.say)
    case 'confirm':
      if (act.ill) return oneLine(act.ill.say)
  }
  const { say, more } = act.step
  return { line: say, ...(more && { more }) }
}
