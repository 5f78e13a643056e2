import type { Kit } from '@overhaul/core/brake/kit'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { Act as NextAct } from '@overhaul/core/run-sheet/next'
import { useState } from 'react'
import { Fold } from '../../ui/Fold.tsx'
import { Press } from '../../ui/Press.tsx'
import { Tick } from '../../ui/Tick.tsx'
import { ActCautions } from './ActCautions.tsx'
import { Act, Ends, type NextProps, Skip, Tools, Top } from './parts.tsx'
import { Readings } from './Readings.tsx'

/** Asks for readings, each with its own field, and says whether the brake was squeezed first. */
export function Measure(props: NextProps & { next: NextAct & { kind: 'measure' } }) {
  const { job, next, drafts, onSave, onGauge, onWhy } = props
  const { done } = next.step
  const { kit, family, model } = job
  const dial = next.readings.some((id) => model.needed.includes(id))
  const { beside } = family.dial
  const unsettled = dial && needsSqueezes(job)
  const [squeezed, setSqueezed] = useState(unsettled)
  const optional = 'optional' in done ? (done.optional ?? []) : []
  return (
    <>
      <Top label={next.readings.every(kit.seeing) ? 'Look' : 'Measure'} hint="m">
        {next.why}
      </Top>
      <Act>
        {unsettled ? 'Squeeze ten times, then measure.' : dial ? sayMeasure(job, next.readings) : next.step.say}
      </Act>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          onSave(dial && squeezed ? { kind: 'confirm', step: 'squeezes', count: 10 } : undefined)
        }}
      >
        <ActCautions job={job} />
        <Readings {...props} readings={dial && beside ? [...next.readings, beside] : next.readings} />
        {!dial && <p style={{ paddingTop: 8 }}>{next.step.why}</p>}
        <Tools step={next.step} />
        {optional.length > 0 && (
          <Fold title={`If need be: ${optional.map(kit.title).join(' · ')}`}>
            <Readings {...props} readings={optional} optional />
          </Fold>
        )}
        <HowTo kit={kit} readings={dial ? [] : next.readings} />
        <Ends>
          <Press type="submit" go hint="Enter" data-ends="" isDisabled={drafts.count === 0}>
            Save
          </Press>
          {dial && (
            <Tick on={squeezed} onChange={setSqueezed}>
              squeezed ten times first
            </Tick>
          )}
          <Press quiet hint="w" onPress={onWhy}>
            Why
          </Press>
          {onGauge && (
            <Press hint="g" data-key="gauge" onPress={() => onGauge(next.readings)}>
              Read the practice gauge
            </Press>
          )}
          {!dial && <Skip {...props} />}
        </Ends>
      </form>
    </>
  )
}

/** How each reading is taken, folded away for those who know. */
function HowTo({ kit, readings }: { kit: Kit; readings: readonly string[] }) {
  if (readings.length === 0) return null
  return (
    <Fold title="How each is taken">
      <dl>
        {readings.map((id) => (
          <div key={id}>
            <dt style={{ font: '600 17px/1.3 var(--label)' }}>{kit.title(id)}</dt>
            <dd style={{ paddingBottom: 4 }}>{(kit.reading(id) ?? kit.seeing(id))?.how}</dd>
          </div>
        ))}
      </dl>
    </Fold>
  )
}

/** “Measure both gaps and the bite.”, or just what is asked for. */
function sayMeasure({ family, kit, model }: Job, readings: readonly string[]): string {
  if (readings.length === model.needed.length) return `Measure ${family.dial.say}.`
  return `Measure the ${readings.map(kit.title).join(' and the ')} once more.`
}

/** A turn since the last squeezes: the brake has not settled. */
function needsSqueezes(job: Job): boolean {
  const last = job.state.standing.findLast(
    (entry) => entry.kind === 'turn' || (entry.kind === 'confirm' && entry.step.includes('squeezes')),
  )
  return last?.kind === 'turn'
}
