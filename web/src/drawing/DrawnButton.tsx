import { type ReactNode, useRef } from 'react'
import { useButton } from 'react-aria'

interface Props {
  readonly label: string
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  readonly onPress: () => void
  readonly children?: ReactNode
}

/** A button drawn into a drawing: pressed by finger, Enter or Space, and walked to with Tab. */
export function DrawnButton({ label, x, y, width, height, onPress, children }: Props) {
  const ref = useRef<SVGGElement>(null)
  const { buttonProps } = useButton({ elementType: 'g', onPress, 'aria-label': label }, ref)
  return (
    <g {...buttonProps} ref={ref} className="drawn-button">
      {children}
      <rect x={x} y={y} width={width} height={height} fill="transparent" />
    </g>
  )
}
