import styled, { css } from 'styled-components'
import { phone, short } from '../app/theme.ts'

/** A link that looks like what it is pressed for. */
export const linkPress = css`
  min-height: 46px;
  min-width: 48px;
  padding: 0 14px;
  display: inline-grid;
  place-items: center;
  border: 1.5px solid var(--control);
  font: 600 1.125rem/1 var(--label);
  text-decoration: none;
`

export const LinkPress = styled.a`
  ${linkPress}
`

/** A page that scrolls under the head of the sheet. */
export const Page = styled.main`
  padding: 18px 24px 60px;
  display: grid;
  gap: 16px;
  align-content: start;
  position: relative;
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  ${phone} {
    padding: 12px 16px 60px;
  }
`

/** A form or report opened on a page, ruled off from what follows. */
export const panel = css`
  border-top: 3px solid var(--ink);
  border-bottom: 1px solid var(--rule);
  padding: 12px 0 16px;
  display: grid;
  gap: 12px;
`

export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin-top: 4px;
`

/** Rows under hairline rules, for print and for reading. */
export const Ruled = styled.table`
  border-collapse: collapse;
  width: 100%;
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 6px 14px 6px 0;
    border-bottom: 1px solid var(--rule);
    font-weight: 400;
  }
  thead th {
    font: 600 1rem/1.2 var(--label);
  }
  tr {
    break-inside: avoid;
  }
`

/** The buttons that end an act: in sight however long what stands above them is. */
export const Ends = styled(Row)`
  position: sticky;
  bottom: 0;
  z-index: 1;
  margin: 0;
  padding: 6px 0;
  background: var(--sheet);
  box-shadow: 0 -1px 0 var(--rule);
  button {
    padding: 0 14px;
  }
  align-items: center;
  ${short} {
    position: static;
  }
`
