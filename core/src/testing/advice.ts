import type { Kit } from '../brake/kit.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { Windows } from '../brake/window.ts'
import { type Advice, advise } from '../dial-in/advice.ts'
import { believe } from '../dial-in/belief.ts'
import type { Entry } from '../stand/entries.ts'
import { fold } from '../stand/fold.ts'

/** Advice straight from a log, aimed at windows that are given. */
export function adviceFromLog(kit: Kit, model: BrakeModel, entries: readonly Entry[], windows: Windows): Advice {
  const state = fold(kit, model, entries)
  return advise(believe(kit, model, state), state, windows)
}
