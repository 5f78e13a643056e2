import { Check } from 'lucide-react'
import type { ReactNode } from 'react'
import { Checkbox } from 'react-aria-components'
import styled from 'styled-components'

const Box = styled(Checkbox)`
  position: relative;
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
  cursor: pointer;
  &[data-disabled] {
    color: var(--slate);
    cursor: default;
  }
  &[data-focus-visible] {
    outline: none;
  }
`
const Square = styled.span`
  flex: none;
  width: 24px;
  height: 24px;
  border: 1.5px solid var(--control);
  display: grid;
  place-items: center;
  [data-selected] > & {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--sheet);
  }
  [data-focus-visible] > & {
    outline: 3px solid var(--predicted);
    outline-offset: 2px;
  }
`

interface Props {
  readonly children: ReactNode
  readonly on: boolean
  readonly onChange: (on: boolean) => void
  readonly isDisabled?: boolean
}

/** Something that is so, or is not. */
export function Tick({ children, on, onChange, isDisabled = false }: Props) {
  return (
    <Box isSelected={on} onChange={onChange} isDisabled={isDisabled}>
      <Square>{on && <Check size={18} strokeWidth={3} aria-hidden="true" />}</Square>
      <span>{children}</span>
    </Box>
  )
}
