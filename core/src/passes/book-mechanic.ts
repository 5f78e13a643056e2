import type { AdjusterSpec } from '../brake/adjuster.ts'
import type { Entry } from '../stand/entries.ts'
import { centringOf } from './centring.ts'
import type { Bicycle } from './fleet.ts'
import { ended, isWell, seenIn } from './seen.ts'
import type { Hand } from './trial.ts'

type Moved = { readonly adjuster: string; readonly amount: number }

const BARREL_MOST_MM = 2

const inSteps = (amount: number, step: number) => Math.round(amount / step) * step

/** Cable let out (or in, below 0) by the barrel where it is little and the barrel can, else at the anchor. */
function letOut(bicycle: Bicycle, log: readonly Entry[], cableMm: number): readonly Moved[] {
  const spec = adjusterOf(bicycle, 'barrel')
  const turns = inSteps(cableMm / spec.book, spec.step)
  if (Math.abs(cableMm) <= BARREL_MOST_MM && !ended(log, 'barrel', Math.sign(turns)))
    return turns === 0 ? [] : [{ adjuster: 'barrel', amount: turns }]
  const amount = inSteps(cableMm, adjusterOf(bicycle, 'anchor').step)
  return amount === 0 ? [] : [{ adjuster: 'anchor', amount }]
}

function adjusterOf({ model }: Bicycle, id: string): AdjusterSpec {
  const spec = model.adjusters.find((each) => each.id === id)
  if (!spec) throw new Error(`no ${id} on this brake`)
  return spec
}

/** What one unit of an adjuster does to the difference between the gaps, the brake as the book sets it; mm. */
function apartPerUnit({ model, schools }: Bicycle, { input, book }: AdjusterSpec): number {
  const at = (amount: number) => {
    const q = Float64Array.from(model.inputs, ({ id, mean }) =>
      id === 'cable' ? model.setting(schools).cableMm : mean + (id === input ? book * amount : 0),
    )
    const y = new Float64Array(model.readings.length)
    model.predict(q, y)
    return y[model.readings.indexOf('gapDifference')] as number
  }
  return (at(0.1) - at(-0.1)) / 0.2
}

/** The family’s centring adjuster by the book’s effect of it; at least one step. */
function centred(bicycle: Bicycle, log: readonly Entry[], difference: number): Moved {
  const left = difference < 0
  const { adjuster, way } = centringOf(bicycle.family.id)(log, left)
  const spec = adjusterOf(bicycle, adjuster)
  const effect = Math.abs(apartPerUnit(bicycle, spec))
  const amount = Math.max(spec.step, inSteps(Math.abs(difference) / effect, spec.step))
  return { adjuster, amount: (left ? 1 : -1) * way * amount }
}

/** Rule and arithmetic of the book, both corrections at once, nothing learnt: docs/bench.md. */
export function bookMechanicOf(bicycle: Bicycle): Hand {
  const { lever } = bicycle.model.throw
  const leverage = lever.fingerArmMm / lever.cableArmMm
  return ({ log, book, told }) => {
    const seen = seenIn(book, log)
    const wanted = book.of.biteTravel?.target ?? 0
    const short = (wanted - seen.biteTravel) / leverage
    if (isWell(seen)) {
      if (!told) return { kind: 'stop' }
      if (seen.difference === 0)
        return { kind: 'turn', moves: [{ adjuster: 'barrel', amount: short > 0 ? -0.5 : 0.5 }] }
      return { kind: 'turn', moves: [...letOut(bicycle, log, short), centred(bicycle, log, seen.difference)] }
    }
    const moves = [
      ...(seen.bite === 'in' ? [] : letOut(bicycle, log, short)),
      ...(seen.apart || (seen.rubs && seen.difference !== 0) ? [centred(bicycle, log, seen.difference)] : []),
    ]
    return moves.length > 0 ? { kind: 'turn', moves } : { kind: 'turn', moves: letOut(bicycle, log, RUBS_OUT_MM) }
  }
}

/** Both gaps alike and within the rub wall although the bite is well: a little cable let out. */
const RUBS_OUT_MM = 1
