import { leanOverRims, washerStacks } from '@overhaul/core/features/pads/pads'
import { lastReading, lastSeen } from '@overhaul/core/stand/fold'
import { showQuantity } from '@overhaul/core/stand/show'
import { useMedia } from '../../app/settings.ts'
import { PHONE } from '../../app/theme.ts'
import { Curves } from '../../drawing/Curves.tsx'
import { Complaint, Label } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

/** Which pair of washers goes inside, so that the arms of a linear-pull stand parallel on this rim. */
export function WasherNotes({ job, length }: NotesProps) {
  const narrow = useMedia(PHONE)
  const inside = lastSeen(job.state, 'washersNow')
  const step = lastReading(job.state, 'washerStep')
  if (job.family.id !== 'linear-pull' || step === undefined || (inside !== 'thin' && inside !== 'thick')) return null
  const stacks = washerStacks(job.dimensions, inside, step)
  if (!stacks.ok) return <Complaint>{stacks.error.message}</Complaint>
  const [best] = stacks.value
  const say = stacks.value.map(({ inside: pair, leanDeg }) => `${pair} pair inside ${leanDeg.toFixed(1)}°`).join(', ')
  return (
    <section aria-label="Washers">
      <Label>Washers of the threaded post</Label>
      {stacks.value.map(({ inside: pair, leanDeg, standoffMm }) => (
        <p key={pair}>
          {pair} pair inside: arms {Math.abs(leanDeg).toFixed(1)}° {leanDeg >= 0 ? 'outward' : 'inward'} with the brake
          on, pad {showQuantity(standoffMm, 'mm', length)} in{pair === best?.inside && ' — nearer parallel'}.
        </p>
      ))}
      {best && best.inside !== inside && <p>Swap the pairs, keeping their order, then set the pads anew.</p>}
      <Curves
        narrow={narrow}
        label="lean of the arms over rim width"
        panels={[
          {
            title: 'arms outward with the brake on, °',
            lines: leanOverRims(job.dimensions, inside, step).map(({ inside: pair, points }) => ({
              label: `${pair} inside`,
              points: points.map(({ rimWidthMm, leanDeg }) => ({ x: rimWidthMm, y: leanDeg })),
            })),
          },
        ]}
        at={job.dimensions.rimWidthMm}
        xTitle="rim width"
        xLength={length}
        valueText={say}
      />
    </section>
  )
}
