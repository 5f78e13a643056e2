import type { Fact } from '../../brake/graph.ts'
import type { Entry } from '../../stand/entries.ts'

/** What one turn in takes off the reach, mm, and how well that is known. */
export interface ScrewEffect {
  readonly mean: number
  readonly sd: number
}

export const REACH_SCREW = 'reachScrew'
export const LEVER_ALONG = 'leverAlong'

/** Turned or moved at the lever. The reach screw moves no part of the brake: what any turn shakes, it does not. */
export const REACH_TURNED: Fact = `turn:${REACH_SCREW}`
export const LEVER_MOVED: Fact = `turn:${LEVER_ALONG}`

/** A fine thread at a short arm, from memory; thirty parts in a hundred either way until this lever has shown. */
export const BOOK_SCREW: ScrewEffect = { mean: 1.5, sd: 0.45 }
/** A reach read twice by a rule, mm. */
const READ_SD = Math.hypot(1, 1)

/**
 * What this lever’s reach screw does, from the reaches read before and after its turns: each pair tells of it as well as a
 * rule reads, and what was believed before it counts for as much as it was sure. Changed levers begin at the book again.
 */
export function learnScrew(standing: readonly Entry[], before: ScrewEffect = BOOK_SCREW): ScrewEffect {
  let known = before
  let reach: number | undefined
  let turned = 0
  for (const entry of standing) {
    if (entry.kind === 'swap' && entry.part === 'lever') {
      known = BOOK_SCREW
      reach = undefined
      turned = 0
    }
    if (entry.kind === 'turn' && entry.adjuster === REACH_SCREW) turned += entry.amount
    if (entry.kind !== 'reading' || entry.reading !== 'leverReach' || typeof entry.value !== 'number') continue
    if (reach !== undefined && turned !== 0)
      known = narrowed(known, (reach - entry.value) / turned, READ_SD / Math.abs(turned))
    reach = entry.value
    turned = 0
  }
  return known
}

/** Two beliefs as one, each by how sure it is. */
function narrowed({ mean, sd }: ScrewEffect, told: number, toldSd: number): ScrewEffect {
  const [before, now] = [1 / sd ** 2, 1 / toldSd ** 2]
  return { mean: (mean * before + told * now) / (before + now), sd: 1 / Math.sqrt(before + now) }
}

/** “A turn takes 1.8 mm off the reach (±0.3 mm); the book said 1.5 mm.” Only once it was read. */
export const sayScrew = ({ mean, sd }: ScrewEffect): string | undefined =>
  sd < 0.75 * BOOK_SCREW.sd
    ? `A turn of the reach screw takes ${mean.toFixed(1)} mm off the reach (±${sd.toFixed(1)} mm); the book said ${BOOK_SCREW.mean.toFixed(1)} mm.`
    : undefined
