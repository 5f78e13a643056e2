import { STOPS } from '@overhaul/core/features/disc-pads/bedding'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Label } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

/** Bedding-in ticked off on the road: each press writes how many stops are made by now. */
export function Panel({ job, write }: NotesProps) {
  const told = job.state.readings.beddedStops
  const made = told?.status === 'current' && typeof told.value === 'number' ? told.value : 0
  const add = (more: number) =>
    write([{ kind: 'reading', reading: 'beddedStops', value: made + more, unit: 'count', instrument: 'counted' }])
  return (
    <section aria-label="Bedding-in">
      <Label>Bedding-in</Label>
      <p>
        <b>{made}</b> of {STOPS.low}–{STOPS.high} firm stops made.
      </p>
      {!job.state.ended && (
        <Row>
          {[1, 5].map((more) => (
            <Press key={more} onPress={() => add(more)}>
              {more === 1 ? 'One more stop' : `${more} more stops`}
            </Press>
          ))}
        </Row>
      )}
    </section>
  )
}
