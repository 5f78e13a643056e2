import type { Mark as MarkName } from '@overhaul/core/run-sheet/job'
import type { StepState } from '@overhaul/core/run-sheet/step-state'

export type Shape = MarkName | 'predicted' | 'draft' | 'skipped'

/** How a step stands, as its shape. */
export const STEP_SHAPES: Readonly<Record<StepState, Shape>> = {
  done: 'in',
  skipped: 'skipped',
  recheck: 'recheck',
  out: 'high',
  open: 'unmeasured',
}

const WORDS: Readonly<Record<Shape, string>> = {
  in: 'in its window',
  carried: 'kept from an earlier visit',
  low: 'too low',
  high: 'too high',
  recheck: 'look again',
  unmeasured: 'not measured',
  'left-out': 'not on this job’s sheet',
  predicted: 'expected',
  draft: 'not saved yet',
  skipped: 'skipped',
}

/** What a shape says, to those who do not see it. */
export const markWords = (shape: Shape): string => WORDS[shape]

/** The state of a whole station: worn, wrong or loose is never “too high”. */
export const stationWords = (shape: Shape): string =>
  shape === 'high' || shape === 'low' ? 'not well' : markWords(shape)

/** A square in brackets: full where it was measured, hollow where it is kept from an earlier visit. */
function Bracketed({ r, colour, fill }: { r: number; colour: string; fill: string }) {
  return (
    <g stroke={colour} strokeWidth="1.8">
      <rect x={-0.58 * r} y={-0.58 * r} width={1.16 * r} height={1.16 * r} fill={fill} />
      <path d={`M${-0.72 * r},${-r}H${-r}V${r}H${-0.72 * r}M${0.72 * r},${-r}H${r}V${r}H${0.72 * r}`} fill="none" />
    </g>
  )
}

/** A state shape, drawn about the origin: shape first, colour second. `r` is its half-size. */
export function MarkShape({ shape, r = 8 }: { shape: Shape; r?: number }) {
  switch (shape) {
    case 'in':
      return <Bracketed r={r} colour="var(--in)" fill="var(--in)" />
    case 'carried':
      return <Bracketed r={r} colour="var(--slate)" fill="var(--sheet)" />
    case 'low':
      return (
        <path
          d={`M${-0.8 * r},${-r}L${r},0L${-0.8 * r},${r}Z`}
          fill="var(--sheet)"
          stroke="var(--out)"
          strokeWidth="2.4"
        />
      )
    case 'high':
      return (
        <path
          d={`M${0.8 * r},${-r}L${-r},0L${0.8 * r},${r}Z`}
          fill="var(--sheet)"
          stroke="var(--out)"
          strokeWidth="2.4"
        />
      )
    case 'recheck':
      return (
        <g>
          <rect
            x={-0.8 * r}
            y={-0.8 * r}
            width={1.6 * r}
            height={1.6 * r}
            fill="var(--sheet)"
            stroke="var(--recheck)"
            strokeWidth="2"
          />
          <path d={`M${-0.8 * r},${0.8 * r}V${-0.8 * r}L${0.8 * r},${0.8 * r}Z`} fill="var(--recheck)" />
        </g>
      )
    case 'unmeasured':
      return <circle r={0.85 * r} fill="var(--sheet)" stroke="var(--slate)" strokeWidth="2" strokeDasharray="2.4 3" />
    case 'left-out':
      return <circle r={0.3 * r} fill="var(--rule)" />
    case 'predicted':
      return (
        <path d={`M0,${-r}L${r},0L0,${r}L${-r},0Z`} fill="var(--sheet)" stroke="var(--predicted)" strokeWidth="2.2" />
      )
    case 'draft':
      return (
        <path
          d={`M0,${-r}V${r}M${-0.7 * r},${-r}H${0.7 * r}M${-0.7 * r},${r}H${0.7 * r}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2"
        />
      )
    case 'skipped':
      return <path d={`M${-0.8 * r},0H${0.8 * r}`} fill="none" stroke="var(--recheck)" strokeWidth="3" />
  }
}

/** A state shape on its own, with its meaning for those who do not see it. */
export function Mark({ shape, size = 22, label }: { shape: Shape; size?: number; label?: string }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${-size / 2} ${-size / 2} ${size} ${size}`}
      role="img"
      aria-label={label ?? markWords(shape)}
    >
      <MarkShape shape={shape} r={size / 2 - 2} />
    </svg>
  )
}
