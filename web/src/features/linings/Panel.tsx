import { drumWear } from '@overhaul/core/calculations/drum'
import { type ArmReading, liningsLast } from '@overhaul/core/features/drum/wear'
import type { Entry } from '@overhaul/core/stand/entries'
import { lastReading } from '@overhaul/core/stand/fold'
import { standingIn } from '@overhaul/core/stand/log-order'
import { showQuantity } from '@overhaul/core/stand/show'
import { sayDay } from '@overhaul/core/stand/when'
import { useJobRecord } from '../../data/queries.ts'
import { Press } from '../../ui/Press.tsx'
import { Label, Read, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

/** The applied arm’s readings since the linings that are in now went in, of entries that stand, oldest first. */
function sinceNew(standing: readonly Entry[]): readonly ArmReading[] {
  let readings: ArmReading[] = []
  for (const entry of standing) {
    if (entry.kind === 'swap' && entry.part === 'pads') readings = []
    if (entry.kind === 'reading' && entry.reading === 'armApplied' && typeof entry.value === 'number')
      readings.push({ at: entry.at, deg: entry.value })
  }
  return readings
}

/** What remains of the linings, and until when, by the arm’s angle over every visit. */
export function Panel({ job, jobId, length, onWorked }: NotesProps) {
  const { data: record } = useJobRecord(jobId)
  const earlier = (record?.visits ?? []).flatMap(({ entries }) => standingIn(entries))
  const readings = sinceNew([...earlier, ...job.state.standing])
  const applied = lastReading(job.state, 'armApplied')
  const now =
    applied === undefined ? undefined : drumWear.work({ armAppliedDeg: applied, camHalfMm: job.dimensions.camHalfMm })
  const wear = liningsLast(readings)
  const day = (at: string) => sayDay(at)
  return (
    <section aria-label="Linings">
      <Label>How long the linings last</Label>
      {now?.ok ? (
        <p>
          Applied, the arm stands {applied?.toFixed(0)}° from the ridge: about{' '}
          <b>{showQuantity(now.value.outputs.liningMm, 'mm', length)}</b> of lining until they are parallel.{' '}
          <Press quiet onPress={() => onWorked('linings by the arm', [now.value])}>
            Working
          </Press>
        </p>
      ) : (
        <Slate>Measured once the arm is, at rest and applied.</Slate>
      )}
      {wear.ok && wear.value.kind === 'too-few' && (
        <Slate>
          {`When they will be at their end is worked out from ${wear.value.more} more ${wear.value.more === 1 ? 'visit' : 'visits'} that measure the arm.`}
        </Slate>
      )}
      {wear.ok && wear.value.kind === 'no-wear' && <Slate>As far as these readings tell, nothing wears.</Slate>}
      {wear.ok && wear.value.kind === 'forecast' && (
        <p>
          <Read>{`Parallel about ${day(wear.value.at)}${wear.value.earliest ? `; not before ${day(wear.value.earliest)}` : ''}${wear.value.latest ? `, by ${day(wear.value.latest)} at the latest` : ''}, nine times in ten. Replace the plate assembly then, not the cable.`}</Read>{' '}
          <Press quiet onPress={() => wear.value.kind === 'forecast' && onWorked('wear forecast', [wear.value.worked])}>
            Working
          </Press>
        </p>
      )}
    </section>
  )
}
