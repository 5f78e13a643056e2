import { ToggleButton, ToggleButtonGroup } from 'react-aria-components'
import styled from 'styled-components'
import type { Choice } from './Choose.tsx'

const Group = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
`
const Toggle = styled(ToggleButton)`
  min-height: 46px;
  min-width: 46px;
  padding: 0 14px;
  border: 1.5px solid var(--control);
  margin-left: -1.5px;
  background: none;
  font: 600 1.125rem/1 var(--label);
  letter-spacing: 0.02em;
  cursor: pointer;
  border-radius: 0;
  &[data-selected] {
    background: var(--ink);
    color: var(--sheet);
  }
  &[data-focus-visible] {
    z-index: 1;
  }
`

interface Props {
  readonly label: string
  readonly options: readonly Choice[]
  readonly value: string
  readonly onChange: (id: string) => void
}

/** One of a few ways to look at the same thing. */
export function Toggles({ label, options, value, onChange }: Props) {
  return (
    <Group
      aria-label={label}
      disallowEmptySelection
      selectedKeys={[value]}
      onSelectionChange={([id]) => id !== undefined && onChange(String(id))}
    >
      {options.map((each) => (
        <Toggle key={each.id} id={each.id}>
          {each.title}
        </Toggle>
      ))}
    </Group>
  )
}

/** Something that is on or off. */
export function OnOff({ children, on, onChange }: { children: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <Toggle isSelected={on} onChange={onChange} style={{ marginLeft: 0 }}>
      {children}
    </Toggle>
  )
}
