import { placement, type Windows } from '../brake/window.ts'
import type { Entry } from '../stand/entries.ts'
import type { Bicycle } from './fleet.ts'
import { latest, turnsOf } from './seen.ts'
import type { Decision, Hand } from './trial.ts'

/** What the gauge last said, as a hand without arithmetic reads it. */
function seenAt(book: Windows, log: readonly Entry[]) {
  const bite = latest(log).biteTravel ?? 0
  const spun = log.findLast((entry) => entry.kind === 'reading' && entry.reading === 'drag')
  const drag = spun?.kind === 'reading' ? String(spun.value) : 'none'
  const window = book.of.biteTravel
  return { bite, drag, place: window ? placement(window, bite) : 'in', target: window?.target ?? bite }
}

const turn = (adjuster: string, amount: number): Decision => ({ kind: 'turn', moves: [{ adjuster, amount }] })

const HALF = 0.5

/** Trial and error as its trade does it: docs/bench.md, Drum. */
export function drumHabit({ model }: Bicycle): Hand {
  const half = model.throw.lever.reachMm / 2
  return ({ log, book, told }) => {
    const { bite, drag, place } = seenAt(book, log)
    if (drag === 'none' && place === 'in' && !told) return { kind: 'stop' }
    if (drag === 'hard') return turn('anchor', 1)
    if (drag !== 'none') return turn('barrel', -HALF)
    if (bite > half) return turn('anchor', -3)
    const want = place === 'low' ? -1 : 1
    const directions = [...turnsOf(log, /^barrel$/).map(({ amount }) => Math.sign(amount)), want]
    const step = directions.reduce<number>(
      (now, direction, k) => (k > 0 && direction !== directions[k - 1] ? Math.max(HALF, now / 2) : now),
      1,
    )
    return turn('barrel', want * step)
  }
}

/** Rule and arithmetic of the book, nothing learnt. */
export function drumBookMechanic({ model, dimensions }: Bicycle): Hand {
  const { lever } = model.throw
  const leverage = lever.fingerArmMm / lever.cableArmMm
  const pitch = dimensions.barrelPitchMm as number
  return ({ log, book, told }) => {
    const { bite, drag, place, target } = seenAt(book, log)
    if (drag === 'none' && place === 'in' && !told) return { kind: 'stop' }
    const takeUpMm = (bite - target) / leverage
    const wanted = drag === 'none' ? takeUpMm : Math.min(takeUpMm, -HALF * pitch)
    if (Math.abs(wanted) > 3) return turn('anchor', -Math.round(2 * wanted) / 2)
    const turns = Math.round((2 * wanted) / pitch) / 2
    return turn('barrel', turns !== 0 ? turns : wanted < 0 ? -HALF : HALF)
  }
}
