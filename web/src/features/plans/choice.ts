import { Button } from 'react-aria-components'
import styled from 'styled-components'

/** One of several things to choose from, a line to be opened. */
export const Choice = styled(Button)<{ $open: boolean }>`
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  width: 100%;
  min-height: 52px;
  display: grid;
  grid-template-columns: 26px 1fr auto;
  gap: 10px;
  align-items: center;
  border-top: 1px solid var(--rule);
  font: ${({ $open }) => ($open ? 600 : 500)} 1.1875rem/1.15 var(--label);
  &[data-focus-visible] {
    outline: 3px solid var(--predicted);
  }
`

/** What stands under the one that is open. */
export const Opened = styled.div`
  display: grid;
  gap: 8px;
  padding: 0 0 14px 36px;
  ol {
    padding-left: 22px;
    list-style: decimal;
    display: grid;
    gap: 4px;
  }
`
