import type { AdjusterSpec } from '@overhaul/core/brake/adjuster'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { showQuantity } from '@overhaul/core/stand/show'
import type { ReactNode } from 'react'
import { Press } from './Press.tsx'

interface Props {
  readonly spec: AdjusterSpec
  readonly amount: number
  readonly length: LengthUnit
  readonly onAmount: (amount: number) => void
  /** What stands behind it: its end, or the button that logs it. */
  readonly children: ReactNode
}

/** An amount of an adjuster in the steps a hand can make, said as the hand does it. */
export function Stepper({ spec, amount, length, onAmount, children }: Props) {
  const step = (by: number) => onAmount(Number((amount + by * spec.step).toFixed(4)))
  return (
    <div style={{ display: 'contents' }}>
      <span>{amount < 0 ? spec.minus : spec.plus}</span>
      <Press aria-label={`${spec.title} less`} onPress={() => step(-1)}>
        −
      </Press>
      <output>{amount === 0 ? '0' : showQuantity(Math.abs(amount), spec.unit, length)}</output>
      <Press aria-label={`${spec.title} more`} onPress={() => step(1)}>
        +
      </Press>
      {children}
    </div>
  )
}
