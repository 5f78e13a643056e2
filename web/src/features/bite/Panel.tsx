import { partOf, usualOf, writeSchool } from '@overhaul/core/brake/school'
import {
  BITE,
  biteSetting,
  convertBite,
  DEFAULT_BITE,
  type RimThrow,
  rimThrowOf,
} from '@overhaul/core/families/rim/bite'
import { showQuantity } from '@overhaul/core/stand/show'
import styled from 'styled-components'
import { Choose } from '../../ui/Choose.tsx'
import { Label, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

const Schools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
`

/** The ways to say where it shall bite. Another school starts at its usual figure; each tells what this setting is in its words. */
export function Panel({ job, length, write }: NotesProps) {
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
        label="Bite school"
        unseen
        isDisabled={job.state.ended !== undefined}
        options={BITE.options.map((each) => {
          const { amount = 0 } = convertBite(school, each.id, brake)
          const said = each.amount?.unit === 'mm' ? mm(amount) : `${Math.round(100 * amount)} %`
          return {
            id: each.id,
            title: `${each.title} (${each.id === school.option ? said : `this setting is ${said}`})`,
          }
        })}
        value={school.option}
        onChange={(id) => {
          const chosen = BITE.options.find((each) => each.id === id)
          if (chosen) write([{ kind: 'swap', part: partOf(BITE), to: writeSchool(usualOf(chosen)) }])
        }}
      />
      <Slate>
        On this brake: bite at {mm(setting.travelMm)} ({Math.round(100 * setting.share)} % of the reach),{' '}
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
        tighten. <Slate>Worked out from typical figures; the next turns trim it.</Slate>
      </span>
    </Schools>
  )
}
