/** A length of the trade, as long as it is drawn here, and its words. */
export interface ScaleBarProps {
  readonly mm: number
  readonly text: string
}

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
