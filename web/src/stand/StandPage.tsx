import { Link, useParams } from 'react-router'
import styled from 'styled-components'
import { SubjectLine } from '../app/Shell.tsx'
import { useJob } from '../data/use-job.ts'
import { LinkPress } from '../ui/layout.ts'
import { Title } from '../ui/Title.tsx'
import { Slate } from '../ui/words.tsx'
import { Stand } from './Stand.tsx'

export { fetchParts } from './ahead.ts'

const Plain = styled.main`
  padding: 40px 24px;
  display: grid;
  gap: 10px;
  justify-items: start;
`

/** To the job before or after: as easily touched as a button, in a line that is no higher for it. */
const Beside = styled(Link)`
  justify-content: center;
  min-width: 44px;
  min-height: 44px;
  margin: -14px 0;
  text-decoration: none;
  font-weight: 600;
`

/** The Stand's room for one job, from loading to open. */
export default function StandPage() {
  const { jobId = '' } = useParams()
  const state = useJob(jobId)
  if (state.status === 'loading') {
    return (
      <Plain>
        <Slate>Fetching the job…</Slate>
      </Plain>
    )
  }
  if (state.status === 'failed') {
    return (
      <Plain>
        <title>No such job · Overhaul</title>
        <h1>This job cannot be opened</h1>
        <p>{state.error.message}</p>
        <LinkPress href="/">To the rack</LinkPress>
      </Plain>
    )
  }
  const { bicycle, hardware, job, beside } = state.open.record
  return (
    <>
      <Title>{`${bicycle.name} ${hardware.end}, job ${job.number}`}</Title>
      <SubjectLine>
        <Link to={`/bicycles/${bicycle.id}`} aria-label={`Hardware of ${bicycle.name}`}>
          {bicycle.name}
        </Link>{' '}
        · {hardware.end} · {state.open.job.family.title} ·{' '}
        {beside?.before && (
          <Beside to={`/stand/${beside.before.id}`} aria-label={`Earlier job ${beside.before.number} of this brake`}>
            ‹
          </Beside>
        )}
        job {job.number}
        {beside?.after && (
          <Beside to={`/stand/${beside.after.id}`} aria-label={`Later job ${beside.after.number} of this brake`}>
            ›
          </Beside>
        )}
        {job.complaint && <em title={job.complaint}> · “{job.complaint}”</em>}
      </SubjectLine>
      <Stand key={jobId} open={state.open} />
    </>
  )
}
