import type { Entry } from '../stand/entries.ts'
import { centringOf } from './centring.ts'
import type { Bicycle } from './fleet.ts'
import { isWell, type Seen, seenIn, turnsOf } from './seen.ts'
import type { Decision, Hand } from './trial.ts'

const ANCHOR_MM = { first: 2, reversed: 1 } as const

/** Lets cable out (+1) or takes it in, less after a change of direction. */
const anchorStep = (log: readonly Entry[], direction: 1 | -1): Decision => {
  const reversed = turnsOf(log, /^anchor$/).some((turn) => Math.sign(turn.amount) !== direction)
  return {
    kind: 'turn',
    moves: [{ adjuster: 'anchor', amount: direction * ANCHOR_MM[reversed ? 'reversed' : 'first'] }],
  }
}

const CENTRING = /Screw$|^caliper$/

/** The whole step first, after a change of direction halves, then quarters; two quarters the same way grow back. */
function centringStep(familyId: string, log: readonly Entry[], { difference }: Seen): Decision {
  const left = difference < 0
  const want = left ? 1 : -1
  const { adjuster, way, first, least } = centringOf(familyId)(log, left)
  if (adjuster === 'leftSpring') return { kind: 'turn', moves: [{ adjuster, amount: want }] }
  const wayOf = (id: string) => (id === 'rightScrew' ? -1 : id === 'leftScrew' ? 1 : way)
  const directions = [...turnsOf(log, CENTRING).map((turn) => wayOf(turn.adjuster) * Math.sign(turn.amount)), want]
  const size = directions.reduce((step, direction, k) => {
    if (k === 0) return first
    if (direction !== directions[k - 1]) return Math.max(least, step / 2)
    return step === least && direction === directions[k - 2] ? 2 * least : step
  }, first)
  return { kind: 'turn', moves: [{ adjuster, amount: want * way * size }] }
}

/** A difference between the gaps that anyone sees and puts right before the bite. */
const PLAINLY_OFF_MM = 1
/** Less than this the eye does not tell apart. */
const ALIKE_MM = 0.12

/** The trial and error of the trade, as docs/bench.md writes it down for each family. */
export function habitOf(bicycle: Bicycle): Hand {
  const { family, model, schools } = bicycle
  const giveBackMm = Number(model.setting(schools).cableMm.toFixed(1))
  return ({ log, book, told }) => {
    const seen = seenIn(book, log)
    const centre = () => centringStep(family.id, log, seen)
    if (isWell(seen)) return told ? centre() : { kind: 'stop' }
    const clamped = log.some((entry) => entry.kind === 'note' && entry.text.startsWith('clamped'))
    if (!clamped) return { kind: 'clamp', giveBackMm }
    if (Math.abs(seen.difference) > PLAINLY_OFF_MM) return centre()
    if (seen.bite !== 'in') return anchorStep(log, seen.bite === 'low' ? 1 : -1)
    return Math.abs(seen.difference) < ALIKE_MM ? anchorStep(log, 1) : centre()
  }
}
