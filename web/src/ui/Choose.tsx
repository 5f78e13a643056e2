import { ChevronDown } from 'lucide-react'
import { Button, Label, ListBox, ListBoxItem, Popover, Select, SelectValue } from 'react-aria-components'
import styled from 'styled-components'
import { fieldBox, fieldName, listBox } from './field.ts'

const Box = styled(Select)`
  position: relative;
  display: grid;
  gap: 6px;
  align-content: start;
  min-width: 0;
  max-width: 100%;
  > span {
    ${fieldName}
  }
` as typeof Select
const Face = styled(Button)`
  ${fieldBox}
  min-height: 46px;
  height: auto;
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  text-align: left;
  cursor: pointer;
`
const List = styled(Popover)`
  ${listBox}
  min-width: var(--trigger-width);
`
const Item = styled(ListBoxItem)`
  min-height: 44px;
  padding: 8px 12px;
  display: flex;
  align-items: center;
  cursor: pointer;
  &[data-focused] {
    background: var(--wash);
    outline: 2px solid var(--predicted);
    outline-offset: -2px;
  }
  &[data-selected] {
    font-weight: 700;
  }
`

export interface Choice {
  readonly id: string
  readonly title: string
}

interface Props {
  readonly label: string
  /** The label is for those who do not see what stands beside it. */
  readonly unseen?: boolean
  readonly options: readonly Choice[]
  readonly value: string
  readonly onChange: (id: string) => void
  readonly onFocus?: () => void
  readonly isDisabled?: boolean
}

/** One of a list too long to lay out. */
export function Choose({ label, unseen, options, value, onChange, onFocus, isDisabled = false }: Props) {
  return (
    <Box
      value={value}
      isDisabled={isDisabled}
      onChange={(id) => id !== null && onChange(String(id))}
      {...(unseen && { 'aria-label': label })}
      {...(onFocus && { onFocus })}
    >
      {!unseen && <Label>{label}</Label>}
      <Face>
        <SelectValue />
        <ChevronDown size={18} aria-hidden="true" />
      </Face>
      <List>
        <ListBox items={options}>
          {(each) => (
            <Item id={each.id} textValue={each.title}>
              {each.title}
            </Item>
          )}
        </ListBox>
      </List>
    </Box>
  )
}
