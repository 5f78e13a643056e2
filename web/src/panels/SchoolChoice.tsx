import { partOf, type SchoolSpec } from '@overhaul/core/brake/school'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { EntryBody } from '@overhaul/core/stand/entries'
import styled from 'styled-components'
import { Choose, Label, SourceNote } from '../ui/parts.tsx'

const Row = styled.label`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
`

interface Props {
  readonly id: string
  readonly job: Job
  readonly write: (bodies: readonly EntryBody[]) => boolean
}

/** Which school this job goes by, where a school is one of a few words; nothing where this brake has no such school. */
export function SchoolChoice({ id, job, write }: Props) {
  const school = job.kit.school(id)
  return school ? <Choice school={school} job={job} write={write} /> : null
}

function Choice({ school, job, write }: Omit<Props, 'id'> & { school: SchoolSpec }) {
  const now = job.schools[school.id]?.option
  const chosen = school.options.find((each) => each.id === now)
  return (
    <Row>
      <Label as="span">School: {school.title}</Label>
      <Choose
        aria-label={`School: ${school.title}`}
        disabled={job.state.ended !== undefined}
        value={now}
        onChange={(event) => write([{ kind: 'swap', part: partOf(school), to: event.target.value }])}
      >
        {school.options.map((each) => (
          <option key={each.id} value={each.id}>
            {each.title}
          </option>
        ))}
      </Choose>
      {chosen && <SourceNote source={chosen.source} />}
    </Row>
  )
}
