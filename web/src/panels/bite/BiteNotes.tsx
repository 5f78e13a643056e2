import { partOf, usualOf, writeSchool } from '@overhaul/core/brake/school'
import {
  BITE,
  biteSetting,
  convertBite,
  DEFAULT_BITE,
  type RimThrow,
  rimThrowOf,
} from '@overhaul/core/families/rim/bite'
import type { Job } from '@overhaul/core/run-sheet/job'
import { showQuantity } from '@overhaul/core/stand/describe'
import styled from 'styled-components'
import { Choose, Label, Slate } from '../../ui/parts.tsx'
import type { NotesProps } from '../notes.ts'

const Schools = styled.label`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
`

/** Whether this brake bites by the gaps on both sides of a rim. */
export const bitesOnRim = ({ family, model }: Job): boolean =>
  family.schools.includes(BITE) && rimThrowOf(model) !== undefined

/** The ways to say where it shall bite. Another school starts at its usual figure; each tells what this setting is in its words. */
export function BiteNotes({ job, length, write }: NotesProps) {
  const brake = rimThrowOf(job.model)
  return brake ? <Bite job={job} brake={brake} length={length} write={write} /> : null
}

function Bite({ job, brake, length, write }: Pick<NotesProps, 'job' | 'length' | 'write'> & { brake: RimThrow }) {
  const school = job.schools[BITE.id] ?? DEFAULT_BITE
  const setting = biteSetting(school, brake)
  const mm = (value: number) => showQuantity(value, 'mm', length)
  return (
    <Schools>
      <Label as="span">Bite school</Label>
      <Choose
        aria-label="Bite school"
        disabled={job.state.ended !== undefined}
        value={school.option}
        onChange={(event) => {
          const chosen = BITE.options.find((each) => each.id === event.target.value)
          if (chosen) write([{ kind: 'swap', part: partOf(BITE), to: writeSchool(usualOf(chosen)) }])
        }}
      >
        {BITE.options.map((each) => {
          const { amount = 0 } = convertBite(school, each.id, brake)
          const said = each.amount?.unit === 'mm' ? mm(amount) : `${Math.round(100 * amount)} %`
          return (
            <option key={each.id} value={each.id}>
              {each.title} ({each.id === school.option ? said : `this setting is ${said}`})
            </option>
          )
        })}
      </Choose>
      <Slate>
        On this brake: first touch at {mm(setting.travelMm)} ({Math.round(100 * setting.share)} % of the reach),{' '}
        {mm(setting.cableMm)} of cable, {mm(setting.gapMm)} each side
      </Slate>
      <Slate>
        Usual figures on this brake:{' '}
        {BITE.options
          .filter((each) => each.id !== school.option)
          .map((each) => {
            const { travelMm, gapMm } = biteSetting(usualOf(each), brake)
            return `${each.title} ${mm(travelMm)} of finger, ${mm(gapMm)} a side`
          })
          .join('; ')}
        .
      </Slate>
      <span>
        Clamping anew: hold both pads to the rim, let <b>{mm(setting.cableMm)}</b> of cable back through the anchor,
        tighten. <Slate>By the book’s linkage; the next turns trim it.</Slate>
      </span>
    </Schools>
  )
}
