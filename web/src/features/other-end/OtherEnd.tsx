import { routeOf } from '@overhaul/core/features/cable/route'
import { reachAt } from '@overhaul/core/features/mount/judge'
import type { Stand } from '@overhaul/core/run-sheet/stand'
import { useOtherEnd } from '../../data/other-end.ts'
import { Label, Read, Slate } from '../../ui/words.tsx'

const reachLines = (stand: Stand): readonly string[] => {
  const reach = reachAt(stand)
  return reach?.ok ? [reach.value.say] : []
}

const cutLines = ({ state, dimensions, model }: Stand): readonly string[] => {
  const route = routeOf(state.route, dimensions, model.throw.squeezeTensionN)
  return state.route.length > 0 && route.ok ? route.value.cuts : []
}

/** What was found at the other end of the bicycle, beside this one: both are cut and fitted in one go. */
export function OtherEnd({ jobId, of }: { jobId: string; of: 'reach' | 'cable' }) {
  const other = useOtherEnd(jobId)
  if (!other) return null
  const lines = of === 'reach' ? reachLines(other) : cutLines(other)
  return (
    <section aria-label="The other end">
      <Label>The other end: {other.hardware.end}</Label>
      {lines.length === 0 && (
        <Slate>{of === 'reach' ? 'Not measured yet.' : 'Its cable’s way is not written yet.'}</Slate>
      )}
      {lines.map((each) => (
        <p key={each}>
          <Read>{each}</Read>
        </p>
      ))}
    </section>
  )
}
