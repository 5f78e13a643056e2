import type { ReactNode } from 'react'
import { Label, Radio, RadioGroup } from 'react-aria-components'
import styled from 'styled-components'
import type { Choice } from './Choose.tsx'

const Answers = styled(RadioGroup)`
  min-width: 0;
  display: grid;
  gap: 4px;
  align-content: start;
  > span {
    font: 500 1rem/1 var(--label);
  }
  > div {
    display: flex;
    flex-wrap: wrap;
    row-gap: 4px;
  }
`
const Answer = styled(Radio)`
  position: relative;
  min-height: 48px;
  min-width: 48px;
  padding: 0 10px;
  display: grid;
  place-items: center;
  gap: 4px;
  &:has(svg) {
    padding: 3px 3px 8px;
  }
  border: 1.5px solid var(--control);
  margin-left: -1.5px;
  font: 600 1.0625rem/1.05 var(--label);
  cursor: pointer;
  &[data-selected] {
    background: var(--ink);
    color: var(--sheet);
  }
  &[data-pressed] {
    background: var(--wash);
    color: var(--ink);
  }
  &[data-focus-visible] {
    z-index: 1;
  }
`

interface Props {
  readonly legend: string
  readonly options: readonly Choice[]
  readonly value: string | undefined
  readonly onChange: (id: string) => void
  /** Finds it again for the hand: `m` goes to the first of them. */
  readonly measure?: number | undefined
  /** What an answer looks like, above its words. */
  readonly pictureOf?: (id: string) => ReactNode
}

/** One of a few answers, each a target for a gloved finger. */
export function Options({ legend, options, value, onChange, measure, pictureOf }: Props) {
  return (
    <Answers value={value ?? null} onChange={onChange} {...(measure !== undefined && { 'data-measure': measure })}>
      <Label>{legend}</Label>
      <div>
        {options.map((each) => (
          <Answer key={each.id} value={each.id}>
            {pictureOf?.(each.id)}
            {each.title}
          </Answer>
        ))}
      </div>
    </Answers>
  )
}
