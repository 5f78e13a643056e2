import { css } from 'styled-components'

/** What every field one types into looks like. */
export const fieldBox = css`
  height: 46px;
  padding: 0 10px;
  border: 1.5px solid var(--control);
  border-radius: 0;
  background: var(--sheet);
  min-width: 0;
  &[data-invalid] {
    border-color: var(--out);
    border-width: 2px;
  }
`

/** The word above a field. */
export const fieldName = css`
  font: 500 1rem/1.2 var(--label);
`

/** What is wrong with it, under it. */
export const fieldFault = css`
  color: var(--out);
  font: 600 1rem/1.25 var(--label);
  max-width: 34ch;
`

/** A list laid over a room, to choose from. */
export const listBox = css`
  background: var(--sheet);
  border: 1.5px solid var(--control);
  overflow-y: auto;
  outline: none;
`
