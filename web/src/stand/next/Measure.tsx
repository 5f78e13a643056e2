import type { Kit } from '@overhaul/core/brake/kit'
import type { Act as NextAct } from '@overhaul/core/run-sheet/next'
import { isUnsettled } from '@overhaul/core/run-sheet/say'
import type { Card } from '@overhaul/core/stand/card'
import { useState } from 'react'
import { Fold } from '../../ui/Fold.tsx'
import { Ends } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Tick } from '../../ui/Tick.tsx'
import { Read } from '../../ui/words.tsx'
import { askedNow, measuredOn } from '../view.ts'
import { ActCautions } from './ActCautions.tsx'
import { type NextProps, PracticeGauge, Says, Skip, Tools, Top } from './parts.tsx'
import { Readings } from './Readings.tsx'
import { walkOnEnter } from './walk-fields.ts'

/** Asks for readings, each with its own field, and says whether the brake was squeezed first. */
export function Measure(props: NextProps & { next: NextAct & { kind: 'measure' } }) {
  const { job, next, card, drafts, onSave, onGauge, onWhy } = props
  const { done } = next.step
  const { kit, model } = job
  const measured = measuredOn(job, card)
  const asked = askedNow(job, card)
  const dial = asked.some((id) => model.needed.includes(id))
  const unsettled = dial && isUnsettled(job)
  const [squeezed, setSqueezed] = useState(unsettled)
  const optional = 'optional' in done ? (done.optional ?? []) : []
  return (
    <>
      <Top label={measured ? measured.title : next.readings.every(kit.seeing) ? 'Look' : 'Measure'} hint="m">
        {next.why}
      </Top>
      <Says job={job} />
      <form
        onKeyDown={walkOnEnter}
        onSubmit={(event) => {
          event.preventDefault()
          onSave(dial && squeezed ? { kind: 'confirm', step: 'squeezes', count: 10 } : undefined)
        }}
      >
        <ActCautions job={job} />
        {measured ? <MeasuredRows {...props} card={measured} /> : <Readings {...props} readings={asked} />}
        {!dial && !measured && (
          <p style={{ paddingTop: 8 }}>
            <Read>{next.step.why}</Read>
          </p>
        )}
        <Tools step={next.step} />
        {optional.length > 0 && (
          <Fold title={`If need be: ${optional.map(kit.title).join(' · ')}`}>
            <Readings {...props} readings={optional} optional />
          </Fold>
        )}
        <HowTo kit={kit} readings={dial ? [] : asked} />
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
          {onGauge && <PracticeGauge onGauge={() => onGauge(measured ? asked : next.readings)} />}
          {!dial && <Skip {...props} />}
        </Ends>
      </form>
    </>
  )
}

/** What is measured with the tool in the hand, thing after thing, each with what is to be done for it. */
function MeasuredRows(props: NextProps & { card: Card }) {
  const { job, card } = props
  const asked = askedNow(job, card)
  const later = new Set(card.rows.slice(1).flatMap(({ readings }) => readings))
  return (
    <>
      <Readings {...props} readings={asked.filter((id) => !later.has(id))} />
      {card.rows.slice(1).map(({ step, say, readings }) => (
        <div key={step.id} style={{ display: 'grid', gap: 6, paddingTop: 10 }}>
          <p style={{ font: '600 1.25rem/1.15 var(--label)' }}>
            <Read>{say}</Read>
          </p>
          <Readings {...props} readings={readings} from={asked.indexOf(readings[0] ?? '')} />
        </div>
      ))}
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
            <dt style={{ font: '600 1.0625rem/1.3 var(--label)' }}>{kit.title(id)}</dt>
            <dd style={{ paddingBottom: 4 }}>{(kit.reading(id) ?? kit.seeing(id))?.how}</dd>
          </div>
        ))}
      </dl>
    </Fold>
  )
}
