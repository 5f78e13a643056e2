import { type Placement, placement, type Windows } from '../brake/window.ts'
import type { Entry, EntryOf } from '../stand/entries.ts'
import type { Decision, Policy } from './passes.ts'

type Readings = Record<string, number>

const latest = (log: readonly Entry[]): Readings => {
  const struck = new Set(log.flatMap((entry) => (entry.kind === 'correction' ? [entry.strikes] : [])))
  return Object.fromEntries(
    log.flatMap((entry) =>
      entry.kind === 'reading' && typeof entry.value === 'number' && !struck.has(entry.id)
        ? [[entry.reading, entry.value]]
        : [],
    ),
  )
}

const turnsOf = (log: readonly Entry[], adjuster: RegExp) =>
  log.filter(
    (entry): entry is EntryOf<'turn'> => entry.kind === 'turn' && adjuster.test(entry.adjuster) && entry.amount !== 0,
  )

const anchorStep = (log: readonly Entry[], direction: 1 | -1): Decision => {
  const before = turnsOf(log, /^anchor$/)
  const reversed = before.some((turn) => Math.sign(turn.amount) !== direction)
  return { kind: 'turn', moves: [{ adjuster: 'anchor', amount: direction * (reversed ? 1 : 2) }] }
}

/** How a family is centred by hand: docs/bench.md. `way` is +1 where a positive amount draws the left pad away. */
interface Centring {
  readonly adjuster: string
  readonly way: 1 | -1
  readonly first: number
  /** The smallest step it comes down to, and back to twice that. */
  readonly least: number
}

type Centre = (log: readonly Entry[], left: boolean) => Centring

const ended = (log: readonly Entry[], adjuster: string, sign: number) =>
  log.some(
    (entry) => entry.kind === 'turn' && entry.adjuster === adjuster && entry.endReached && entry.amount * sign >= 0,
  )

/** The screw on the closer side; at its end, the other comes out. */
const bothScrews: Centre = (log, left) => {
  const [own, other] = left ? (['leftScrew', 'rightScrew'] as const) : (['rightScrew', 'leftScrew'] as const)
  const adjuster = ended(log, own, 1) ? other : own
  return { adjuster, way: adjuster === 'leftScrew' ? 1 : -1, first: 1, least: 0.25 }
}

/** The one screw; at its end, its spring goes to the next hole. */
const leftScrewOnly: Centre = (log, left) =>
  ended(log, 'leftScrew', left ? 1 : -1)
    ? { adjuster: 'leftSpring', way: 1, first: 1, least: 1 }
    : { adjuster: 'leftScrew', way: 1, first: 1, least: 0.25 }

/** Clockwise until it is plain that this makes it worse. */
const eitherWay: Centre = (log) => {
  let way: 1 | -1 = 1
  let before: number | undefined
  let turned = 0
  let gaps: Readings = {}
  for (const entry of log) {
    if (entry.kind === 'turn' && entry.adjuster === 'centringScrew') {
      before = difference(gaps)
      turned = entry.amount
    }
    if (entry.kind !== 'reading' || typeof entry.value !== 'number') continue
    gaps = { ...gaps, [entry.reading]: entry.value }
    if (entry.reading !== 'gapRight' || before === undefined || turned === 0) continue
    const moved = difference(gaps) - before
    if (Math.abs(moved) > PLAINLY_MOVED_MM) way = moved * turned > 0 ? 1 : -1
    before = undefined
  }
  return { adjuster: 'centringScrew', way, first: 0.5, least: 0.125 }
}

const PLAINLY_MOVED_MM = 0.3
const difference = ({ gapLeft = 0, gapRight = 0 }: Readings) => gapLeft - gapRight

const onItsBolt: Centre = () => ({ adjuster: 'caliper', way: 1, first: 1, least: 0.25 })

const CENTRES: Readonly<Record<string, Centre>> = {
  'linear-pull': bothScrews,
  cantilever: leftScrewOnly,
  'dual-pivot': eitherWay,
  'single-pivot': onItsBolt,
  'centre-pull': onItsBolt,
}

const CENTRING = /Screw$|^caliper$/

/** The whole step first, after a change of direction halves, then quarters; two quarters the same way grow back. */
function centringStep(centre: Centre, log: readonly Entry[], gapLeft: number, gapRight: number): Decision {
  const left = gapLeft < gapRight
  const want = left ? 1 : -1
  const { adjuster, way, first, least } = centre(log, left)
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

/** The trial and error of the trade, as docs/bench.md writes it down for each family. */
export function habitOf(familyId: string): Policy {
  const centre = CENTRES[familyId]
  if (!centre) throw new Error(`no habit for ${familyId}`)
  return (log, windows) => habitual(centre, log, windows)
}

function habitual(centre: Centre, log: readonly Entry[], windows: Windows): Decision {
  const clamped = log.some((entry) => entry.kind === 'note' && entry.text.startsWith('clamped'))
  if (!clamped) return { kind: 'clamp', giveBackMm: 4 }
  const seen = latest(log)
  const where = (id: string): Placement => {
    const window = windows.of[id]
    return window ? placement(window, seen[id] as number) : 'in'
  }
  const apart = Math.abs((seen.gapLeft as number) - (seen.gapRight as number))
  if (apart > PLAINLY_OFF_MM) return centringStep(centre, log, seen.gapLeft as number, seen.gapRight as number)
  const bite = where('biteTravel')
  if (bite !== 'in') return anchorStep(log, bite === 'low' ? 1 : -1)
  const left = where('gapLeft')
  const right = where('gapRight')
  if (left === 'in' && right === 'in') return centringStep(centre, log, seen.gapLeft as number, seen.gapRight as number)
  if (left === right) return { kind: 'turn', moves: [{ adjuster: 'anchor', amount: left === 'low' ? 1 : -1 }] }
  return centringStep(centre, log, seen.gapLeft as number, seen.gapRight as number)
}
