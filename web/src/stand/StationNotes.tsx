import type { StationId } from '@overhaul/core/brake/station'
import { sayLessons } from '@overhaul/core/dial-in/learnt'
import { sheetOf } from '@overhaul/core/run-sheet/status'
import { Suspense, useMemo } from 'react'
import styled from 'styled-components'
import { lazily } from '../app/lazily.ts'
import { Mark, STEP_SHAPES } from '../drawing/Mark.tsx'
import type { NotesProps } from '../features/notes.ts'
import { panelsAt } from '../features/panels.ts'
import { Label, Read, Slate } from '../ui/words.tsx'

const Kept = lazily(async () => (await import('./Kept.tsx')).Kept)
const Also = lazily(async () => (await import('./Also.tsx')).Also)

const Notes = styled.section`
  padding: 12px 24px 20px;
  display: grid;
  gap: 10px;
`
const Steps = styled.ul`
  display: grid;
  gap: 6px;
  li {
    display: grid;
    grid-template-columns: 22px minmax(130px, 1fr) minmax(0, auto);
    gap: 10px;
    align-items: center;
  }
`
interface Props extends NotesProps {
  readonly station: StationId
}

/** What matters at the current station: what its capabilities have to say, its steps, and what the brake has taught. */
export function StationNotes({ station, ...props }: Props) {
  const { job, length, write } = props
  const { state, advice } = job
  const sheet = useMemo(() => sheetOf(job, advice), [job, advice])
  const steps = sheet.filter(
    ({ step }) => step.station === station || (station === 'centre' && step.station === 'bite'),
  )
  return (
    <Notes aria-label="At this station">
      <Suspense fallback={<Slate>…</Slate>}>
        {panelsAt(station, job).map(({ id, Panel }) => (
          <Panel key={id} {...props} />
        ))}
      </Suspense>
      <Kept {...props} steps={steps.flatMap(({ step }) => (step.station === station ? [step] : []))} />
      <Learnt job={job} shown={station === 'bite' || station === 'centre'} />
      <Label>At this station</Label>
      <Steps>
        {steps.map(({ step, state: at, cause, remark }) => (
          <li key={step.id}>
            <Mark shape={STEP_SHAPES[at]} size={20} label={at} />
            <span>{step.title}</span>
            <Slate>{state.skipped[step.id] ?? cause ?? remark ?? (at === 'done' ? 'done' : '')}</Slate>
          </li>
        ))}
      </Steps>
      {!state.ended && (
        <Also jobId={props.jobId} kit={job.kit} length={length} steps={sheet.map((each) => each.step)} write={write} />
      )}
    </Notes>
  )
}

/** What the readings have taught of this very brake, beside the book. */
function Learnt({ job, shown }: Pick<NotesProps, 'job'> & { shown: boolean }) {
  const lessons = shown ? sayLessons(job.belief) : []
  if (lessons.length === 0) return null
  return (
    <div>
      <Label>What this brake has taught</Label>
      {lessons.map((each) => (
        <p key={each}>
          <Read>{each}</Read>
        </p>
      ))}
    </div>
  )
}
