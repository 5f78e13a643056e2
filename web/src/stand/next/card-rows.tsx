import type { Row as CardRow } from '@overhaul/core/stand/card'
import { upper } from '@overhaul/core/stand/words'
import styled from 'styled-components'
import { useDrawings } from '../../data/drawings.ts'
import { Ends, Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Read, Slate } from '../../ui/words.tsx'
import { Answer } from './Answer.tsx'
import type { NextProps } from './parts.tsx'

export const Head = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 14px;
  align-items: center;
`
export const Rows = styled.ol`
  display: grid;
  list-style: none;
  > li {
    border-top: 1px solid var(--rule);
  }
`
export const Line = styled.button`
  all: unset;
  box-sizing: border-box;
  width: 100%;
  min-height: 44px;
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr);
  gap: 10px;
  align-items: center;
  padding: 3px 0;
  cursor: pointer;
  font: 600 1.1875rem/1.15 var(--label);
  &:focus-visible {
    outline: 2px solid var(--ink);
    outline-offset: -2px;
  }
  small {
    font: 400 1rem/1.2 var(--text);
    color: var(--slate);
  }
`
export const Badge = styled.b`
  display: grid;
  place-items: center;
  width: 28px;
  height: 28px;
  border: 1.5px solid var(--ink);
  border-radius: 50%;
  font: 600 1rem/1 var(--label);
`
export const Open = styled.div`
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr);
  gap: 10px;
  padding: 8px 0 10px;
  > div {
    display: grid;
    gap: 6px;
  }
  /* Its card says what it is: an act on it takes no more room than it needs. */
  [data-top] {
    display: none;
  }
  [data-act] {
    font-size: 1.3125rem;
  }
  /* What ends the card is at its head. */
  ${Ends} {
    position: static;
  }
`
const First = styled.p`
  font: 600 1.3125rem/1.15 var(--label);
  &:focus {
    outline: none;
  }
`
/** The first row, in as little room as it needs: what to look at, and its two answers. */
export function FirstRow({
  job,
  row,
  write,
  words,
  onOther,
}: Pick<NextProps, 'job' | 'write'> & { row: CardRow; words: string; onOther: () => void }) {
  const { step, sound = [] } = row
  const pictures = useDrawings(job.family)?.pictures[step.id]
  const ill = step.done.kind === 'confirmed' ? step.done.ill : undefined
  return (
    <>
      <First data-act="" tabIndex={-1}>
        <Read>{row.say}</Read>
      </First>
      {ill === undefined && <Slate>{upper(words)}</Slate>}
      <Row>
        <Press hint="d" data-key="did-it" onPress={() => write(sound)}>
          <Answer picture={pictures?.well}>{step.done.kind === 'confirmed' ? step.done.well : 'Sound'}</Answer>
        </Press>
        <Press
          hint="n"
          data-key="not-well"
          {...(ill === undefined && { 'data-opens-row': '' })}
          onPress={() => (ill === undefined ? onOther() : write([{ kind: 'confirm', step: step.id, well: false }]))}
        >
          <Answer picture={pictures?.ill}>{ill ?? 'Otherwise'}</Answer>
        </Press>
      </Row>
    </>
  )
}
