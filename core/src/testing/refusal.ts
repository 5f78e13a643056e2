import type { Fault } from '../outcome/outcome.ts'
import type { Known } from '../run-sheet/known.ts'
import type { Entry } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { admitAll, openStand } from '../workshop/open.ts'

/** The first of some entries that may not be written to a log. Undefined where all may. */
export function firstRefusal(
  hardware: Hardware,
  log: readonly Entry[],
  incoming: readonly Entry[],
  known?: Known,
): { readonly index: number; readonly error: Fault } | undefined {
  const stand = openStand(hardware, log, known)
  if (!stand.ok) return { index: 0, error: stand.error }
  const judged = admitAll(stand.value, incoming)
  return 'error' in judged ? judged : undefined
}
