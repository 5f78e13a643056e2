import type { FamilyModel } from '../families/family.ts'
import type { Entry } from '../stand/entries.ts'
import { fold } from '../stand/fold.ts'
import type { Windows } from '../stand/windows.ts'
import { type Advice, advise, type NotRight } from './advice.ts'
import { believe } from './belief.ts'
import type { Learnt } from './layout.ts'
import type { Move } from './turn.ts'

/** Advice straight from a log. */
export function adviceFromLog(
  model: FamilyModel,
  entries: readonly Entry[],
  windows: Windows,
  options: { readonly learnt?: Learnt; readonly notRight?: NotRight } = {},
): Advice {
  const state = fold(model, entries)
  return advise(believe(model, state, options.learnt), state, windows, options.notRight)
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
export function adviceMoves(model: FamilyModel, entries: readonly Entry[], windows: Windows): readonly Move[] {
  const first = adviceFromLog(model, entries, windows)
  const next =
    first.kind === 'in-window' || (first.kind !== 'turn' && lookedTwice(entries))
      ? adviceFromLog(model, entries, windows, { notRight: 'somewhere' })
      : first
  return next.kind === 'turn' ? next.turn.moves : []
}
