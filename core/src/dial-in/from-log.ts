import type { Move } from '../brake/adjuster.ts'
import type { Kit } from '../brake/kit.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { Windows } from '../brake/window.ts'
import type { Entry } from '../stand/entries.ts'
import { fold } from '../stand/fold.ts'
import { type Advice, advise, type NotRight } from './advice.ts'
import { believe } from './belief.ts'
import type { Learnt } from './layout.ts'

/** Advice straight from a log. */
export function adviceFromLog(
  kit: Kit,
  model: BrakeModel,
  entries: readonly Entry[],
  windows: Windows,
  options: { readonly learnt?: Learnt; readonly notRight?: NotRight } = {},
): Advice {
  const state = fold(kit, model, entries)
  return advise(believe(kit, model, state, options.learnt), state, windows, options.notRight)
}

/** Two measurements in a row with nothing turned in between: the last look changed nothing. */
function lookedTwice(entries: readonly Entry[]): boolean {
  const acts = entries.filter(
    (entry) => entry.kind === 'turn' || (entry.kind === 'confirm' && entry.step === 'squeezes'),
  )
  const [before, last] = acts.slice(-2)
  return before?.kind === 'confirm' && last?.kind === 'confirm'
}

/** The advice as a bench policy (docs/bench.md): content, yet judged not right, it turns as the habit does; so it does after a second look in vain. */
export function adviceMoves(kit: Kit, model: BrakeModel, entries: readonly Entry[], windows: Windows): readonly Move[] {
  const first = adviceFromLog(kit, model, entries, windows)
  const next =
    first.kind === 'in-window' || (first.kind !== 'turn' && lookedTwice(entries))
      ? adviceFromLog(kit, model, entries, windows, { notRight: 'somewhere' })
      : first
  return next.kind === 'turn' ? next.turn.moves : []
}
