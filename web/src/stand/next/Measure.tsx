import type { Job } from '@overhaul/core/run-sheet/job'
import type { Act as NextAct } from '@overhaul/core/run-sheet/next'
import { FIRST_TOUCH, findReading, findSeen, readingTitle } from '@overhaul/core/stand/readings'
import { type ReactNode, useState } from 'react'
import { Label, Press, Slate } from '../../ui/parts.tsx'
import { Act, Check, type NextProps, Row, Skip, Tools, Top } from './parts.tsx'
import { Readings } from './Readings.tsx'

const DIAL = ['gapLeft', 'gapRight', 'biteTravel']

/** Asks for readings, each with its own field, and says whether the brake was squeezed first. */
export function Measure(props: NextProps & { next: NextAct & { kind: 'measure' } }) {
  const { job, next, drafts, onSave, onGauge, onWhy } = props
  const { done } = next.step
  const dial = next.readings.some((id) => DIAL.includes(id))
  const unsettled = dial && needsSqueezes(job)
  const [squeezed, setSqueezed] = useState(unsettled)
  const optional = 'optional' in done ? (done.optional ?? []) : []
  return (
    <>
      <Top>
        <Label>{next.readings.every(findSeen) ? 'Look' : 'Measure'}</Label>
        <Slate>{next.why}</Slate>
      </Top>
      <Act>{unsettled ? 'Squeeze ten times, then measure.' : dial ? sayMeasure(next.readings) : next.step.say}</Act>
      {!dial && <p>{next.step.why}</p>}
      <Tools step={next.step} />
      <form
        onSubmit={(event) => {
          event.preventDefault()
          onSave(dial && squeezed ? { kind: 'confirm', step: 'squeezes', count: 10 } : undefined)
        }}
      >
        <Readings {...props} readings={dial ? [...next.readings, FIRST_TOUCH.id] : next.readings} />
        {optional.length > 0 && (
          <Fold title={`If need be: ${optional.map(readingTitle).join(' · ')}`}>
            <Readings {...props} readings={optional} optional />
          </Fold>
        )}
        <HowTo readings={dial ? [] : next.readings} />
        <Row>
          <Press type="submit" go isDisabled={drafts.count === 0}>
            Save
          </Press>
          {dial && (
            <Check>
              <input type="checkbox" checked={squeezed} onChange={(event) => setSqueezed(event.target.checked)} />
              squeezed ten times first
            </Check>
          )}
          <Press quiet onPress={onWhy}>
            Why
          </Press>
          {onGauge && <Press onPress={() => onGauge(next.readings)}>Read the practice gauge</Press>}
          {!dial && <Skip {...props} />}
        </Row>
      </form>
    </>
  )
}

function Fold({ title, children }: { title: string; children: ReactNode }) {
  return (
    <details>
      <summary
        style={{ minHeight: 44, display: 'flex', alignItems: 'center', cursor: 'pointer', textDecoration: 'underline' }}
      >
        {title}
      </summary>
      {children}
    </details>
  )
}

/** How each reading is taken, folded away for those who know. */
function HowTo({ readings }: { readings: readonly string[] }) {
  if (readings.length === 0) return null
  return (
    <Fold title="How each is taken">
      <dl>
        {readings.map((id) => (
          <div key={id}>
            <dt style={{ font: '600 17px/1.3 var(--label)' }}>{readingTitle(id)}</dt>
            <dd style={{ paddingBottom: 4 }}>{(findReading(id) ?? findSeen(id))?.how}</dd>
          </div>
        ))}
      </dl>
    </Fold>
  )
}

/** “Measure both gaps and the bite.”, or just what is asked for. */
function sayMeasure(readings: readonly string[]): string {
  if (readings.length === 3) return 'Measure both gaps and the bite.'
  return `Measure the ${readings.map(readingTitle).join(' and the ')} once more.`
}

/** A turn since the last squeezes: the brake has not settled. */
function needsSqueezes(job: Job): boolean {
  const last = job.state.standing.findLast(
    (entry) => entry.kind === 'turn' || (entry.kind === 'confirm' && entry.step.includes('squeezes')),
  )
  return last?.kind === 'turn'
}
