import { partOf, type SchoolSpec } from '@overhaul/core/brake/school'
import { readIn } from '@overhaul/core/quantity/read-in'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { EntryBody } from '@overhaul/core/stand/entries'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { Choose } from '../ui/Choose.tsx'
import { Label, SourceNote } from '../ui/words.tsx'

const Row = styled.div`
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
  const { length } = useSettings()
  const now = job.schools[school.id]?.option
  const chosen = school.options.find((each) => each.id === now)
  return (
    <Row>
      <Label as="span">School: {school.title}</Label>
      <Choose
        label={`School: ${school.title}`}
        unseen
        isDisabled={job.state.ended !== undefined}
        options={school.options.map((each) => ({ ...each, title: readIn(each.title, length) }))}
        value={now ?? ''}
        onChange={(to) => write([{ kind: 'swap', part: partOf(school), to }])}
      />
      {chosen && <SourceNote source={chosen.source} />}
    </Row>
  )
}
