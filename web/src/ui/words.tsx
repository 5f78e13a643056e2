import { SOURCE_WORDS, type Source } from '@overhaul/core/calculation/source'
import styled from 'styled-components'

export const Label = styled.h2`
  font: 600 15px/1.2 var(--label);
  letter-spacing: 0.06em;
  text-transform: uppercase;
`

/** A refusal in one sentence, said aloud to those who do not see it. */
export const Complaint = styled.p.attrs({ role: 'alert' })`
  color: var(--out);
  font-weight: 600;
  border-left: 3px solid var(--out);
  padding-left: 10px;
`

export const Cautions = styled.ul`
  display: grid;
  gap: 4px;
  border-left: 3px solid var(--recheck);
  padding-left: 10px;
  font-size: 16px;
`

export const Slate = styled.span`
  color: var(--slate);
`

export function SourceNote({ source }: { source: Source }) {
  return (
    <Slate>
      {SOURCE_WORDS[source.kind]}: {source.title}
    </Slate>
  )
}
