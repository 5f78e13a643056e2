import { Search, X } from 'lucide-react'
import type { KeyboardEvent } from 'react'
import { SearchField as AriaSearchField, Button, Input } from 'react-aria-components'
import styled from 'styled-components'

const Box = styled(AriaSearchField)`
  display: flex;
  align-items: center;
  gap: 8px;
  border: 1.5px solid var(--control);
  padding: 0 0 0 12px;
  flex: 0 1 340px;
  min-width: 0;
  input {
    border: 0;
    background: none;
    height: 44px;
    flex: 1;
    min-width: 0;
    outline: none;
  }
  input::-webkit-search-cancel-button {
    display: none;
  }
  button {
    all: unset;
    width: 44px;
    height: 44px;
    display: grid;
    place-items: center;
    cursor: pointer;
  }
  &[data-empty] button {
    visibility: hidden;
  }
  &:focus-within {
    outline: 3px solid var(--predicted);
  }
`

interface Props {
  readonly label: string
  readonly placeholder: string
  readonly value: string
  readonly onChange: (text: string) => void
  readonly onKeyDown?: (event: KeyboardEvent<HTMLInputElement>) => void
}

/** Searches as it is typed into; Esc empties it. */
export const SearchField = ({ label, placeholder, value, onChange, onKeyDown }: Props) => (
  <Box aria-label={label} value={value} onChange={onChange}>
    <Search size={20} aria-hidden="true" />
    <Input placeholder={placeholder} {...(onKeyDown && { onKeyDown })} />
    <Button aria-label="empty the search">
      <X size={18} aria-hidden="true" />
    </Button>
  </Box>
)
