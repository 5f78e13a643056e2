import type { Act as NextAct } from '@overhaul/core/run-sheet/next'
import { upper } from '@overhaul/core/stand/words'
import { useState } from 'react'
import { Check, Label, Press, Row, Slate } from '../../ui/parts.tsx'
import { Act, type NextProps, Skip, Top } from './parts.tsx'
import { Readings } from './Readings.tsx'

/** Something was found wrong: what to do about it, what was replaced, and the readings to take again. */
export function Mend(props: NextProps & { next: NextAct & { kind: 'mend' } }) {
  const { next, drafts, write, onSave, onGauge, onWhy } = props
  const { loosens } = next.step
  const [loosened, setLoosened] = useState(true)
  return (
    <>
      <Top>
        <Label>Put right</Label>
        <Slate>{next.step.title}</Slate>
      </Top>
      <Act>{next.say}</Act>
      {next.remedy && <p>{next.remedy}</p>}
      {next.stop && <p>Not to be ridden like this. It is put right, or the job is closed unreleased.</p>}
      <Row>
        {next.step.mends?.map((part) => (
          <Press key={part} onPress={() => write([{ kind: 'swap', part, to: 'new' }])}>
            {`${upper(part)} replaced`}
          </Press>
        ))}
      </Row>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          onSave(loosens && loosened ? { kind: 'confirm', step: loosens } : undefined)
        }}
      >
        <Slate>Put right and taken again:</Slate>
        <Readings {...props} readings={next.readings} />
        {loosens && (
          <Check>
            <input type="checkbox" checked={loosened} onChange={(event) => setLoosened(event.target.checked)} />
            {props.job.kit.stepTitle(loosens)} to set it
          </Check>
        )}
        <Row>
          <Press type="submit" go isDisabled={drafts.count === 0}>
            Save
          </Press>
          <Press quiet onPress={onWhy}>
            Why
          </Press>
          {onGauge && <Press onPress={() => onGauge(next.readings)}>Read the practice gauge</Press>}
          <Skip {...props} />
        </Row>
      </form>
    </>
  )
}
