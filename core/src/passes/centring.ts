import type { Entry } from '../stand/entries.ts'
import { ended } from './seen.ts'

/** How a family is centred by hand: docs/bench.md. `way` is +1 where a positive amount draws the left pad away. */
export interface Centring {
  readonly adjuster: string
  readonly way: 1 | -1
  readonly first: number
  /** The smallest step it comes down to, and back to twice that. */
  readonly least: number
}

type Centre = (log: readonly Entry[], left: boolean) => Centring

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
  const gaps: Record<string, number> = {}
  const difference = () => (gaps.gapLeft ?? 0) - (gaps.gapRight ?? 0)
  for (const entry of log) {
    if (entry.kind === 'turn' && entry.adjuster === 'centringScrew') {
      before = difference()
      turned = entry.amount
    }
    if (entry.kind !== 'reading' || typeof entry.value !== 'number') continue
    gaps[entry.reading] = entry.value
    if (entry.reading !== 'gapRight' || before === undefined || turned === 0) continue
    const moved = difference() - before
    if (Math.abs(moved) > PLAINLY_MOVED_MM) way = moved * turned > 0 ? 1 : -1
    before = undefined
  }
  return { adjuster: 'centringScrew', way, first: 0.5, least: 0.125 }
}

const PLAINLY_MOVED_MM = 0.3

const onItsBolt: Centre = () => ({ adjuster: 'caliper', way: 1, first: 1, least: 0.25 })

const CENTRES: Readonly<Record<string, Centre>> = {
  'linear-pull': bothScrews,
  cantilever: leftScrewOnly,
  'dual-pivot': eitherWay,
  'single-pivot': onItsBolt,
  'centre-pull': onItsBolt,
}

export function centringOf(familyId: string): Centre {
  const centre = CENTRES[familyId]
  if (!centre) throw new Error(`no way of centring a ${familyId}`)
  return centre
}
