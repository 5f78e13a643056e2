import { type Advice, advise } from '../dial-in/advice.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { Entry } from '../stand/entries.ts'
import { openJob } from '../workshop/open.ts'
import type { Bicycle } from './fleet.ts'
import type { Decision, Hand } from './trial.ts'

/** Two measurements in a row with nothing turned in between: the last look changed nothing. */
function lookedTwice(entries: readonly Entry[]): boolean {
  const acts = entries.filter(
    (entry) => entry.kind === 'turn' || (entry.kind === 'confirm' && entry.step === 'squeezes'),
  )
  const [before, last] = acts.slice(-2)
  return before?.kind === 'confirm' && last?.kind === 'confirm'
}

const decided = (advice: Advice): Decision =>
  advice.kind === 'turn'
    ? { kind: 'turn', moves: advice.turn.moves }
    : advice.kind === 'measure'
      ? { kind: 'look', readings: advice.readings }
      : { kind: advice.kind === 'in-window' ? 'stop' : 'stuck' }

/** The hand that does what the Stand says. Told that it is not right, it asks the Stand for another turn. */
export const advised =
  ({ family, here }: Bicycle): Hand =>
  ({ log, wheel, told }) => {
    const looked = Object.entries(wheel).map(
      ([reading, value]): Entry => ({
        kind: 'reading',
        reading,
        value,
        unit: 'mm',
        id: `wheel ${reading}`,
        at: '2026-01-01T00:00:00Z',
        by: '1',
        seq: 0,
      }),
    )
    const job = expectOk(openJob({ family: family.id, end: here.end, dimensions: {} }, [...looked, ...log]))
    const first = job.advice
    if (!told && !(first.kind === 'measure' && lookedTwice(log))) return decided(first)
    const again = advise(job.belief, job.state, job.windows, 'somewhere')
    return again.kind === 'turn' ? decided(again) : { kind: 'look' }
  }
