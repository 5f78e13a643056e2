import styled from 'styled-components'

/** A page as it is printed: what is for the screen only is left off. */
export const Paper = styled.main`
  max-width: 980px;
  padding: 24px;
  display: grid;
  gap: 16px;
  h1 {
    font: 600 30px/1.1 var(--label);
  }
  @media print {
    padding: 0;
    max-width: none;
    gap: 6px;
    font-size: 8.5pt;
    line-height: 1.25;
    h1 {
      font-size: 16pt;
    }
    h2 {
      font-size: 9pt;
    }
    td,
    th {
      padding: 1px 8px 1px 0;
      font-size: 8pt;
    }
  }
`
export const NoPrint = styled.div`
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  @media print {
    display: none;
  }
`
