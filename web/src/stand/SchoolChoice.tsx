import { type ChoiceId, findChoice, partOf } from '@overhaul/core/stand/choices'
import type { EntryBody } from '@overhaul/core/stand/entries'
import type { StandState } from '@overhaul/core/stand/fold'
import styled from 'styled-components'
import { Choose, Label, SourceNote } from '../ui/parts.tsx'

const Row = styled.label`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
`

interface Props {
  readonly id: ChoiceId
  readonly state: StandState
  readonly write: (bodies: readonly EntryBody[]) => boolean
}

/** Which school this job goes by, where a school is one of a few words. */
export function SchoolChoice({ id, state, write }: Props) {
  const choice = findChoice(id)
  const chosen = choice.options.find((each) => each.id === state.chosen[id])
  return (
    <Row>
      <Label as="span">School: {choice.title}</Label>
      <Choose
        aria-label={`School: ${choice.title}`}
        disabled={state.ended !== undefined}
        value={state.chosen[id]}
        onChange={(event) => write([{ kind: 'swap', part: partOf(choice), to: event.target.value }])}
      >
        {choice.options.map((each) => (
          <option key={each.id} value={each.id}>
            {each.title}
          </option>
        ))}
      </Choose>
      {chosen && <SourceNote source={chosen.source} />}
    </Row>
  )
}
