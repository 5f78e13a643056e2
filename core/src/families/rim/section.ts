import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'

/**
 * A rim and tyre in section, square to the wheel, with the middle of the brake track at `trackHeightMm`.
 * Proportions are a drawing convention; the width is the rim's own.
 */
export function rimSection(rimWidthMm: number, tyreWidthMm: number, trackHeightMm: number): readonly Shape[] {
  const half = rimWidthMm / 2
  const wall = Math.min(1.6, half / 5)
  const top = trackHeightMm + 8
  const bed = trackHeightMm
  const low = trackHeightMm - 10
  const well = low - 8
  const inner = half - wall
  const tyre = tyreWidthMm / 2
  const crown = top + tyreWidthMm * 0.95
  return [
    { kind: 'polygon', role: 'tyre', points: loop(tyre, inner, top - 2, crown) },
    { kind: 'polygon', role: 'tube', points: loop(tyre - 3, inner - 2, top, crown - 4.5) },
    {
      kind: 'polygon',
      role: 'cut',
      points: [
        [-half, top],
        [-inner, top],
        [-inner, bed + 0.8],
        [inner, bed + 0.8],
        [inner, top],
        [half, top],
        [half, low],
        [half / 3, well],
        [-half / 3, well],
        [-half, low],
      ],
    },
    {
      kind: 'polygon',
      role: 'void',
      points: [
        [-inner, bed - 0.8],
        [inner, bed - 0.8],
        [inner, low + 0.6],
        [half / 3 - 0.7, well + wall],
        [-half / 3 + 0.7, well + wall],
        [-inner, low + 0.6],
      ],
    },
    {
      kind: 'line',
      role: 'axis',
      points: [
        [0, well - 12],
        [0, crown + 6],
      ],
    },
  ]
}

/** A closed casing from one bead over the crown to the other, wide in the middle. */
function loop(halfWidth: number, halfBead: number, bead: number, crown: number): readonly Point[] {
  const middle = bead + (crown - bead) * 0.56
  const points: Point[] = []
  const steps = 28
  for (let step = 0; step <= steps; step += 1) {
    const angle = -Math.PI * 0.22 + (step / steps) * Math.PI * 1.44
    const y =
      middle +
      Math.sin(angle) * (angle > 0 && angle < Math.PI ? crown - middle : (middle - bead) / Math.sin(Math.PI * 0.22))
    points.push([Math.cos(angle) * halfWidth, y])
  }
  return [[halfBead, bead], ...points, [-halfBead, bead]]
}
