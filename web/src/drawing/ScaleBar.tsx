import { formatQuantity, type LengthUnit } from '@overhaul/core/quantity/quantity'

/** A length of the trade, as long as it is drawn here, and its words. */
export interface ScaleBarProps {
  readonly mm: number
  readonly text: string
}

/** A round length in the workshop’s unit. */
export const scaleBar = (length: LengthUnit): ScaleBarProps =>
  length === 'mm' ? { mm: 20, text: '20 mm' } : { mm: 25.4, text: formatQuantity(25.4, 'in', 0) }

/** Says how large the drawing is: `k` pixels to the millimetre. */
export function ScaleBar({ mm, text, k }: ScaleBarProps & { readonly k: number }) {
  const end = 24 + mm * k
  return (
    <>
      <path d={`M24,23V33M24,28H${end}M${end},23V33`} stroke="var(--ink)" fill="none" strokeWidth="1.4" />
      <text x={end + 10} y={33} fontSize="16" fontWeight="500">
        {text}
      </text>
    </>
  )
}
