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
  const { bicycle, hardware, job } = state.open.record
  return (
    <>
      <Title>{`${bicycle.name} ${hardware.end}, job ${job.number}`}</Title>
      <SubjectLine>
        <Link to={`/bicycles/${bicycle.id}`} aria-label={`Hardware of ${bicycle.name}`}>
          {bicycle.name}
        </Link>{' '}
        · {hardware.end} · {state.open.job.family.title} · job {job.number}
        {job.complaint && <em title={job.complaint}> · “{job.complaint}”</em>}
      </SubjectLine>
      <Stand key={jobId} open={state.open} />
    </>
  )
}
