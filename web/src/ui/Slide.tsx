import { Slider, SliderThumb, SliderTrack } from 'react-aria-components'
import styled from 'styled-components'

const Box = styled(Slider)`
  width: 100%;
`
const Track = styled(SliderTrack)`
  height: 44px;
  &::before {
    content: '';
    position: absolute;
    left: 0;
    right: 0;
    top: 21px;
    height: 2px;
    background: var(--control);
  }
`
const Thumb = styled(SliderThumb)`
  top: 50%;
  width: 28px;
  height: 28px;
  background: var(--ink);
  cursor: grab;
  &::after {
    content: '';
    position: absolute;
    inset: -8px;
  }
`

interface Props {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly step: number
  readonly onChange: (value: number) => void
}

/** A value found by moving it and looking what it does. */
export function Slide({ label, value, min, max, step, onChange }: Props) {
  return (
    <Box
      aria-label={label}
      value={value}
      minValue={min}
      maxValue={max}
      step={step}
      onChange={(to) => onChange(to as number)}
    >
      <Track>
        <Thumb />
      </Track>
    </Box>
  )
}
