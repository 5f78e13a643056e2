import type { Act as NextAct } from '@overhaul/core/run-sheet/next'
import { upper } from '@overhaul/core/stand/words'
import { useState } from 'react'
import { Ends, Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Tick } from '../../ui/Tick.tsx'
import { Read, Slate } from '../../ui/words.tsx'
import { ActCautions } from './ActCautions.tsx'
import { type NextProps, PracticeGauge, Says, Skip, Top } from './parts.tsx'
import { Readings } from './Readings.tsx'
import { walkOnEnter } from './walk-fields.ts'

/** Something was found wrong: what to do about it, what was replaced, and the readings to take again. */
export function Mend(props: NextProps & { next: NextAct & { kind: 'mend' } }) {
  const { job, next, drafts, write, onSave, onGauge, onWhy } = props
  const { loosens } = next.step
  const [loosened, setLoosened] = useState(true)
  return (
    <>
      <Top label="Put right" hint="m">
        {next.step.title}
      </Top>
      <Says job={job} />
      <form
        onKeyDown={walkOnEnter}
        onSubmit={(event) => {
          event.preventDefault()
          onSave(loosens && loosened ? { kind: 'confirm', step: loosens } : undefined)
        }}
      >
        <ActCautions job={job} />
        {next.remedy && (
          <p>
            <Read>{next.remedy}</Read>
          </p>
        )}
        {next.stop && <p>Not to be ridden like this. It is put right, or the job is closed unreleased.</p>}
        {next.step.mends && (
          <Row>
            {next.step.mends.map((part) => (
              <Press key={part} onPress={() => write([{ kind: 'swap', part, to: 'new' }])}>
                {`${upper(part)} replaced`}
              </Press>
            ))}
          </Row>
        )}
        <Slate>Put right and taken again:</Slate>
        <Readings {...props} readings={next.readings} />
        {loosens && (
          <Tick on={loosened} onChange={setLoosened}>
            {props.job.kit.stepTitle(loosens)} to set it
          </Tick>
        )}
        <Ends>
          <Press type="submit" go hint="Enter" data-ends="" isDisabled={drafts.count === 0}>
            Save
          </Press>
          <Press quiet hint="w" onPress={onWhy}>
            Why
          </Press>
          {onGauge && <PracticeGauge onGauge={() => onGauge(next.readings)} />}
          <Skip {...props} />
        </Ends>
      </form>
    </>
  )
}
