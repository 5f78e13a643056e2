import { sayLessons } from '@overhaul/core/dial-in/learnt'
import { type StepState, sheetOf } from '@overhaul/core/run-sheet/next'
import type { StationId } from '@overhaul/core/run-sheet/stations'
import { showQuantity } from '@overhaul/core/stand/describe'
import { amountOf, convertSchool, SCHOOLS, settingOf, usualOf, writeSchool } from '@overhaul/core/stand/schools'
import type { ReactNode } from 'react'
import styled from 'styled-components'
import { Mark, type Shape } from '../drawing/Mark.tsx'
import { Choose, Label, Slate } from '../ui/parts.tsx'
import { Also } from './Also.tsx'
import { CableNotes } from './cable/CableNotes.tsx'
import { StraddleNotes } from './cable/StraddleNotes.tsx'
import { LeverWeightNotes } from './LeverWeightNotes.tsx'
import { MatchNotes } from './MatchNotes.tsx'
import type { NotesProps } from './notes.ts'
import { OtherEnd } from './OtherEnd.tsx'
import { PadNotes } from './pads/PadNotes.tsx'

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
    grid-template-columns: 22px 1fr auto;
    gap: 10px;
    align-items: center;
  }
`
const Schools = styled.label`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
`

const SHAPES: Readonly<Record<StepState, Shape>> = {
  done: 'in',
  skipped: 'skipped',
  recheck: 'recheck',
  out: 'high',
  open: 'unmeasured',
}

interface Props extends NotesProps {
  readonly station: StationId
  readonly jobId: string
  readonly children?: ReactNode
}

/** What matters at the current station: its steps, what the readings lean on, and the bite school where it counts. */
export function StationNotes({ job, jobId, station, length, write, onWorked, children }: Props) {
  const { state, advice } = job
  const sheet = sheetOf(job, advice)
  const steps = sheet.filter(
    ({ step }) => step.station === station || (station === 'centre' && step.station === 'bite'),
  )
  return (
    <Notes aria-label="At this station">
      {station === 'match' && <MatchNotes job={job} length={length} onWorked={onWorked} />}
      {station === 'pads' && <PadNotes job={job} jobId={jobId} length={length} write={write} onWorked={onWorked} />}
      {station === 'cable' && <CableNotes job={job} length={length} write={write} onWorked={onWorked} />}
      {station === 'cable' && <OtherEnd jobId={jobId} of="cable" />}
      {(station === 'match' || station === 'bite') && <StraddleNotes job={job} length={length} />}
      {children}
      {station === 'mount' && <OtherEnd jobId={jobId} of="reach" />}
      {station === 'centre' && <LeverWeightNotes job={job} onWorked={onWorked} />}
      {(station === 'bite' || station === 'centre') && <SchoolSwitch job={job} length={length} write={write} />}
      <Learnt job={job} shown={station === 'bite' || station === 'centre'} />
      <Label>At this station</Label>
      <Steps>
        {steps.map(({ step, state: at, cause, remark }) => (
          <li key={step.id}>
            <Mark shape={SHAPES[at]} size={20} label={at} />
            <span>{step.title}</span>
            <Slate>{state.skipped[step.id] ?? cause ?? remark ?? (at === 'done' ? 'done' : '')}</Slate>
          </li>
        ))}
      </Steps>
      {!state.ended && <Also length={length} steps={sheet.map((each) => each.step)} write={write} />}
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
        <p key={each}>{each}</p>
      ))}
    </div>
  )
}

/** The four ways to say where it shall bite. Another school starts at its usual figure; each tells what this setting is in its words. */
function SchoolSwitch({ job, length, write }: Pick<NotesProps, 'job' | 'length' | 'write'>) {
  const { school } = job.state
  const setting = settingOf(school, job.model.throw)
  const mm = (value: number) => showQuantity(value, 'mm', length)
  return (
    <Schools>
      <Label as="span">Bite school</Label>
      <Choose
        aria-label="Bite school"
        disabled={job.state.ended !== undefined}
        value={school.school}
        onChange={(event) => {
          const chosen = SCHOOLS.find((each) => each.id === event.target.value)
          if (chosen)
            write([{ kind: 'swap', part: 'school.bite', to: `${chosen.id} ${Number(chosen.usual.toFixed(3))}` }])
        }}
      >
        {SCHOOLS.map((each) => {
          const same = convertSchool(school, each.id, job.model.throw)
          const amount = each.id === 'third' ? `${Math.round(100 * amountOf(same))} %` : mm(amountOf(same))
          return (
            <option key={each.id} value={each.id} title={writeSchool(same)}>
              {each.title} ({each.id === school.school ? amount : `this setting is ${amount}`})
            </option>
          )
        })}
      </Choose>
      <Slate>
        On this brake: first touch at {mm(setting.travelMm)} ({Math.round(100 * setting.share)} % of the reach),{' '}
        {mm(setting.cableMm)} of cable, {mm(setting.gapMm)} each side
      </Slate>
      <Others job={job} mm={mm} />
      <span>
        Clamping anew: hold both pads to the rim, let <b>{mm(setting.cableMm)}</b> of cable back through the anchor,
        tighten. <Slate>By the book’s linkage; the next turns trim it.</Slate>
      </span>
    </Schools>
  )
}

/** How short or long the other schools’ usual figures come out on this very brake. */
function Others({ job, mm }: Pick<NotesProps, 'job'> & { mm: (value: number) => string }) {
  const { school } = job.state
  return (
    <Slate>
      Usual figures on this brake:{' '}
      {SCHOOLS.filter((each) => each.id !== school.school)
        .map((each) => {
          const { travelMm, gapMm } = settingOf(usualOf(each.id), job.model.throw)
          return `${each.title} ${mm(travelMm)} of finger, ${mm(gapMm)} a side`
        })
        .join('; ')}
      .
    </Slate>
  )
}
