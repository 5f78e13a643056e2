import type { Kit } from '@overhaul/core/brake/kit'
import type { BrakeModel } from '@overhaul/core/brake/model'
import { wordsByStation } from '@overhaul/core/tape/words'
import styled from 'styled-components'
import { Cover } from '../ui/Cover.tsx'
import { Label, Slate } from '../ui/words.tsx'

const Words = styled.dl`
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 4px 10px;
  align-items: baseline;
  dt {
    font: 600 1.1875rem/1.2 var(--label);
  }
`

interface Props {
  readonly kit: Kit
  readonly model: BrakeModel
  readonly onClose: () => void
}

/** The tape's words on this very brake, in the order its stations ask for them. */
export function WordList({ kit, model, onClose }: Props) {
  return (
    <Cover title="The tape’s words on this brake" onClose={onClose}>
      {wordsByStation({ kit, model }).map(({ title, words }) => (
        <section key={title} aria-label={title} style={{ display: 'grid', gap: 6 }}>
          <Label as="h3">{title}</Label>
          <Words>
            {words.map(({ word, means, form }) => (
              <div key={word} style={{ display: 'contents' }}>
                <dt>{word}</dt>
                <dd>
                  {means} <Slate>{form}</Slate>
                </dd>
              </div>
            ))}
          </Words>
        </section>
      ))}
    </Cover>
  )
}
