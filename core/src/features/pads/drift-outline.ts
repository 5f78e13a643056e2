import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'
import type { Drift } from './pads.ts'

/** The pad on its track at one moment of its life. */
export interface PadMoment {
  readonly name: 'new' | 'half worn' | 'worn out'
  readonly wornMm: number
  /** Pad’s upper edge below the track’s. */
  readonly edgeMm: number
  readonly pad: Shape
}

/** The pad’s path over one side of the rim, in mm: x from the rim’s side outward to the left, y from the track’s upper edge. */
export interface DriftOutline {
  readonly fixed: readonly Shape[]
  readonly moments: readonly PadMoment[]
  /** The track, top and bottom. */
  readonly track: readonly [Point, Point]
  readonly bounds: { readonly min: Point; readonly max: Point }
}

/** How the rim and tyre are drawn beyond what was measured: a convention. */
const WALL_MM = 1.6
const BED_MM = 9
const WELL_MM = 5

/** A tyre’s section, round, seated on the rim. */
function tyre(rimWidthMm: number, tyreWidthMm: number): readonly Point[] {
  const radius = tyreWidthMm / 2
  const half = Math.min(radius, rimWidthMm / 2 - WALL_MM)
  const rise = Math.sqrt(radius * radius - half * half)
  const from = Math.atan2(-rise, -half)
  const steps = 40
  return Array.from({ length: steps + 1 }, (_, index): Point => {
    const angle = from - (index / steps) * (2 * Math.PI + 2 * from)
    return [rimWidthMm / 2 + radius * Math.cos(angle), rise - 1 + radius * Math.sin(angle)]
  })
}

/** Drawn for a pad whose upper edge starts this far below the track’s, by the drift worked out for this brake. */
export function driftOutline(
  drift: Drift,
  edgeMm: number,
  padThickMm: number,
  rim: { readonly rimWidthMm: number; readonly tyreWidthMm: number },
): DriftOutline {
  const { path, trackMm, padMm } = drift
  const last = path.length - 1
  const moment = (name: PadMoment['name'], index: number): PadMoment => {
    const { wornMm, riseMm } = path[index] as Drift['path'][number]
    const edge = edgeMm - riseMm
    const back = -Math.max(0.3, padThickMm - wornMm)
    return {
      name,
      wornMm,
      edgeMm: edge,
      pad: {
        kind: 'polygon',
        role: 'pad',
        points: [
          [back, -edge],
          [0, -edge],
          [0, -edge - padMm],
          [back, -edge - padMm],
        ],
      },
    }
  }
  const foot = -trackMm - WELL_MM
  const wide = rim.rimWidthMm
  const moments = [moment('new', 0), moment('half worn', Math.round(last / 2)), moment('worn out', last)]
  const lowest = Math.min(foot - 3, ...moments.map(({ edgeMm: edge }) => -edge - padMm - 2))
  return {
    fixed: [
      { kind: 'polygon', role: 'tyre', points: tyre(wide, rim.tyreWidthMm) },
      {
        kind: 'polygon',
        role: 'cut',
        points: [
          [0, 0.6],
          [WALL_MM, 0.6],
          [WALL_MM, -BED_MM],
          [wide - WALL_MM, -BED_MM],
          [wide - WALL_MM, 0.6],
          [wide, 0.6],
          [wide, -trackMm],
          [wide * 0.7, foot],
          [wide * 0.3, foot],
          [0, -trackMm],
        ],
      },
    ],
    moments,
    track: [
      [0, 0],
      [0, -trackMm],
    ],
    bounds: {
      min: [-Math.max(padThickMm, (rim.tyreWidthMm - wide) / 2) - 1, lowest],
      max: [wide / 2 + 1, Math.max(9, ...moments.map(({ edgeMm: edge }) => -edge + 2))],
    },
  }
}
