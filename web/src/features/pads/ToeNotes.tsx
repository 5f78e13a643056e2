import { toeShims } from '@overhaul/core/features/pads/at-hand'
import { TOE_WINDOWS } from '@overhaul/core/features/pads/judges'
import { lastReading } from '@overhaul/core/stand/fold'
import { showQuantity } from '@overhaul/core/stand/show'
import { useDrawer } from '../../data/drawer.ts'
import { Label, Read, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { SchoolChoice } from '../SchoolChoice.tsx'

/** Toe-in by the job’s school, and which things in the drawer make it. */
export function ToeNotes({ job, length, write }: NotesProps) {
  const { data: stock = [] } = useDrawer()
  const measured = lastReading(job.state, 'padLength')
  const padLength = measured ?? 55
  const school = job.schools.toe?.option ?? ''
  const shims = toeShims(stock, padLength).slice(0, 3)
  return (
    <section aria-label="Toe-in">
      <Label>Toe-in</Label>
      <SchoolChoice id="toe" job={job} write={write} />
      <p>
        <Read>{`Gap at the rear edge as the front touches: ${TOE_WINDOWS[school]?.join(' to ')} mm.`}</Read>
      </p>
      {school === 'front-touch' && shims.length > 0 && (
        <p>
          At the rear edge while tightening:{' '}
          {shims
            .map(
              ({ name, layers, rearGapMm }) =>
                `${layers > 1 ? `${layers} × ` : ''}${name} (${showQuantity(rearGapMm, 'mm', length)})`,
            )
            .join(', or ')}
          . Check again after tightening.{' '}
          {measured === undefined && <Slate>{`For a pad of ${padLength} mm, not measured yet.`}</Slate>}
        </p>
      )}
      {school === 'front-touch' && shims.length === 0 && (
        <Slate>The drawer holds no shim for it: folded paper, about 0.1 mm a layer, does (common practice).</Slate>
      )}
    </section>
  )
}
