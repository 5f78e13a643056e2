import styled from 'styled-components'
import { upright } from '../app/theme.ts'

/** Drawing left, figures right; one under the other where the screen stands upright. */
export const Bench = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px;
  align-items: start;
  ${upright} {
    grid-template-columns: minmax(0, 1fr);
  }
`
export const Column = styled.div`
  display: grid;
  gap: 10px;
  min-width: 0;
`
export const Ends = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  align-items: end;
  border-bottom: 1px solid var(--rule);
  padding-bottom: 12px;
  label {
    display: grid;
    gap: 4px;
    font: 500 1rem/1 var(--label);
  }
`
