import { SOURCE_WORDS, type Source } from '@overhaul/core/calculation/source'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { readIn } from '@overhaul/core/quantity/read-in'
import type { CSSProperties, ReactNode } from 'react'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'

export const Label = styled.h2`
  font: 600 0.9375rem/1.2 var(--label);
  letter-spacing: 0.06em;
  text-transform: uppercase;
`

const Refused = styled.p.attrs({ role: 'alert' })`
  color: var(--out);
  font-weight: 600;
  border-left: 3px solid var(--out);
  padding-left: 10px;
`

/** A sentence of the core, in the length this workshop reads. */
export function Read({ children }: { children: string }) {
  return readIn(children, useSettings().length)
}

const read = (children: ReactNode, length: LengthUnit): ReactNode =>
  typeof children === 'string' ? readIn(children, length) : children

/** Said to those who do not see it. */
export const Heard = styled.p`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
`

/** A refusal in one sentence, said aloud to those who do not see it. */
export function Complaint({ children }: { children: ReactNode }) {
  return <Refused>{read(children, useSettings().length)}</Refused>
}

export const Cautions = styled.ul`
  display: grid;
  gap: 4px;
  border-left: 3px solid var(--recheck);
  padding-left: 10px;
  font-size: 1rem;
`

export const Grey = styled.span`
  color: var(--slate);
`

interface SlateProps {
  readonly children: ReactNode
  readonly as?: 'p'
  readonly style?: CSSProperties
}

/** What is said beside. */
export function Slate({ children, ...rest }: SlateProps) {
  return <Grey {...rest}>{read(children, useSettings().length)}</Grey>
}

export function SourceNote({ source }: { source: Source }) {
  return (
    <Slate>
      {SOURCE_WORDS[source.kind]}: {source.title}
    </Slate>
  )
}
