import styled from 'styled-components'
import { phone as onPhone, short, upright } from '../app/theme.ts'

export const Room = styled.div`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  grid-template-columns: minmax(0, 1fr);
  ${short} {
    display: block;
  }
`
export const Bench = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 770fr) minmax(440px, 510fr);
  grid-template-rows: minmax(0, 1fr);
  min-height: 0;
  ${upright} {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 9fr) minmax(0, 10fr);
  }
  ${onPhone} {
    grid-template-rows: minmax(0, 1fr);
  }
  ${short} {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(24em, auto);
  }
`
/** On a short window it comes before the drawing, which is scrolled to. */
export const Right = styled.div`
  position: relative;
  min-height: 0;
  ${short} {
    order: -1;
  }
`
/** What scrolls stops short of the buttons that stay in sight. */
export const Scroll = styled.div`
  position: relative;
  height: 100%;
  overflow-y: auto;
  scroll-padding: 12px 0 72px;
  ${short} {
    height: auto;
    overflow: visible;
  }
`
export const Readings = styled.section`
  padding: 4px 24px;
  ${onPhone} {
    padding: 4px 16px;
  }
`
export const Folded = styled.div`
  padding: 0 16px;
  border-bottom: 1px solid var(--rule);
  [role='group'] > section {
    border: 0;
  }
`
export const Foot = styled.footer`
  border-top: 1px solid var(--rule);
  padding: 0 24px;
  background: var(--sheet);
  ${onPhone} {
    padding: 0 16px;
  }
`
/** As high as the tape, so that nothing moves when it comes. */
export const TapeToCome = styled.div`
  height: 53px;
  border-bottom: 1px solid var(--rule);
`
export const LogLine = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  align-items: center;
  gap: 4px;
  ${onPhone} {
    grid-template-columns: minmax(0, 1fr) auto auto;
  }
`
export const Message = styled.div`
  padding: 8px 0;
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
`
