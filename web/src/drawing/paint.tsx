import type { Shape, ShapeRole } from '@overhaul/core/brake/frame'
import type { Point } from '@overhaul/core/calculation/calculation'
import type { SectionRole } from '@overhaul/core/features/mount/section'

/** From the core's millimetres (y up, rider's right positive) to the drawing's pixels. */
export interface Scale {
  readonly x: (mm: number) => number
  readonly y: (mm: number) => number
  /** Pixels in a millimetre. */
  readonly k: number
}

interface Ink {
  readonly fill: string
  readonly stroke: string
  readonly strokeWidth: number
  readonly strokeDasharray?: string
}

const SHEET = 'var(--sheet)'
const INK = 'var(--ink)'

type Role = ShapeRole | SectionRole

const INKS: Readonly<Record<Role, Ink>> = {
  arm: { fill: SHEET, stroke: INK, strokeWidth: 1.8 },
  pad: { fill: 'url(#hatch-rubber)', stroke: INK, strokeWidth: 1.8 },
  shoe: { fill: SHEET, stroke: INK, strokeWidth: 1.8 },
  post: { fill: SHEET, stroke: INK, strokeWidth: 1.8 },
  cut: { fill: 'url(#hatch-metal)', stroke: INK, strokeWidth: 1.8 },
  void: { fill: SHEET, stroke: INK, strokeWidth: 1 },
  tyre: { fill: 'url(#hatch-rubber)', stroke: INK, strokeWidth: 1.4 },
  tube: { fill: SHEET, stroke: INK, strokeWidth: 1 },
  cable: { fill: 'none', stroke: INK, strokeWidth: 3 },
  housing: { fill: 'none', stroke: INK, strokeWidth: 9 },
  boss: { fill: SHEET, stroke: INK, strokeWidth: 1.8 },
  bolt: { fill: 'url(#hatch-metal)', stroke: INK, strokeWidth: 1.4 },
  screw: { fill: 'none', stroke: INK, strokeWidth: 5 },
  frame: { fill: 'url(#hatch-metal)', stroke: INK, strokeWidth: 1.8 },
  shank: { fill: SHEET, stroke: INK, strokeWidth: 1.6 },
  washer: { fill: 'url(#hatch-metal-back)', stroke: INK, strokeWidth: 1.4 },
  nut: { fill: 'url(#hatch-metal-back)', stroke: INK, strokeWidth: 1.8 },
  caliper: { fill: SHEET, stroke: INK, strokeWidth: 1.8 },
  'seat-tube': { fill: 'url(#hatch-wall)', stroke: INK, strokeWidth: 1.4 },
  thread: { fill: 'none', stroke: INK, strokeWidth: 1.2 },
  engaged: { fill: 'none', stroke: 'var(--in)', strokeWidth: 5 },
  skin: { fill: 'none', stroke: INK, strokeWidth: 1.2 },
  ghost: { fill: 'none', stroke: 'var(--predicted)', strokeWidth: 1.4, strokeDasharray: '6 4' },
  limit: { fill: 'none', stroke: 'var(--slate)', strokeWidth: 1.4, strokeDasharray: '3 3' },
  fault: { fill: 'none', stroke: 'var(--out)', strokeWidth: 3 },
  axis: { fill: 'none', stroke: 'var(--slate)', strokeWidth: 1, strokeDasharray: '14 4 3 4' },
}

const GHOST: Ink = { fill: 'none', stroke: 'var(--predicted)', strokeWidth: 1.4, strokeDasharray: '6 4' }
const GHOSTED: ReadonlySet<Role> = new Set(['arm', 'pad'])

const pathOf = (points: readonly Point[], scale: Scale, closed: boolean): string =>
  `M${points.map(([x, y]) => `${scale.x(x)},${scale.y(y)}`).join('L')}${closed ? 'Z' : ''}`

function Painted({ shape, scale, ink }: { shape: Shape<Role>; scale: Scale; ink: Ink }) {
  if (shape.kind === 'circle')
    return <circle cx={scale.x(shape.centre[0])} cy={scale.y(shape.centre[1])} r={shape.radius * scale.k} {...ink} />
  const d = pathOf(shape.points, scale, shape.kind === 'polygon')
  if (shape.role === 'housing') {
    return (
      <g fill="none">
        <path d={d} {...ink} />
        <path d={d} stroke={SHEET} strokeWidth={5.6} />
      </g>
    )
  }
  const opaque = shape.kind === 'polygon' && ink.fill.startsWith('url')
  return (
    <g>
      {opaque && <path d={d} fill={SHEET} />}
      <path d={d} strokeLinejoin="round" {...ink} />
    </g>
  )
}

/** Paints shapes of an outline as an engineer would: thin outlines, hatched cuts. */
export function Shapes({ shapes, scale }: { shapes: readonly Shape<Role>[]; scale: Scale }) {
  return shapes.map((shape, index) => <Painted key={index} shape={shape} scale={scale} ink={INKS[shape.role]} />)
}

/** Where the arms will stand after the next turn. */
export function GhostShapes({ shapes, scale }: { shapes: readonly Shape[]; scale: Scale }) {
  return shapes
    .filter((shape) => GHOSTED.has(shape.role))
    .map((shape, index) => <Painted key={index} shape={shape} scale={scale} ink={GHOST} />)
}

/** Words keep clear of a line that runs under them. */
export const HALO = { paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 5, strokeLinejoin: 'round' } as const
