import { detailsFor } from '@overhaul/core/brake/drawings'
import type { StationId } from '@overhaul/core/brake/station'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { Card } from '@overhaul/core/stand/card'
import { type Ref, Suspense, useMemo, useState } from 'react'
import { lazily } from '../app/lazily.ts'
import { useDrawings } from '../data/drawings.ts'
import type { Drafts } from '../drafts/use-drafts.ts'
import { benchAt } from '../features/panels.ts'
import { Press } from '../ui/Press.tsx'
import { BrakeBench, Drawing, Front } from './BrakeBench.tsx'
import { useFieldInHand } from './use-field-in-hand.ts'
import { askedAt } from './view.ts'

const DetailBench = lazily(async () => (await import('./DetailBench.tsx')).DetailBench)

interface Props {
  readonly job: Job
  readonly jobId: string
  /** The station that is shown, and whether it is the one of the card in hand. */
  readonly station: StationId
  readonly inHand: boolean
  /** What is done in the posture of the act in hand. */
  readonly card: Card | undefined
  readonly drafts: Drafts
  readonly length: LengthUnit
  readonly ref: Ref<HTMLElement>
}

/** What lies on the bench: the parts the card in hand is about, the mount in section, or the brake and its lever. */
export function OnBench({ job, jobId, station, inHand, card, drafts, length, ref }: Props) {
  const focus = useFieldInHand()
  const drawings = useDrawings(job.family)
  const act = `${job.next.kind} ${job.next.step.id} ${station}`
  const [brakeFor, setBrakeFor] = useState<string>()
  const { wanted, beside } = useMemo(
    () => askedAt(job, station, inHand, card, focus),
    [job, station, inHand, card, focus],
  )
  const details = useMemo(() => {
    const all = drawings?.details ?? []
    const asked = detailsFor(all, wanted)
    // What may be measured beside is drawn with the rest, or by itself while its field is in hand.
    const apart =
      focus !== undefined && beside.includes(focus) && !asked.some(({ readings }) => readings.includes(focus))
    return apart ? detailsFor(all, [focus]) : asked
  }, [drawings, wanted, beside, focus])

  const brake = <BrakeBench ref={ref} job={job} length={length} focus={focus} />
  const claim = benchAt(station, job, drafts)
  if (details.length > 0 && brakeFor !== act && !claim?.overDetails)
    return (
      <Suspense fallback={brake}>
        <DetailBench
          ref={ref}
          job={job}
          details={details}
          readings={[...wanted, ...beside]}
          length={length}
          focus={focus}
          onBrake={() => setBrakeFor(act)}
        />
      </Suspense>
    )
  if (claim && brakeFor !== act)
    return (
      <Drawing ref={ref} tabIndex={0} aria-label={`Bench drawing: ${claim.label}.`}>
        <Front>
          <Suspense fallback={null}>
            <claim.Bench job={job} jobId={jobId} length={length} drafts={drafts} />
          </Suspense>
        </Front>
      </Drawing>
    )
  return (
    <>
      {details.length > 0 ? (
        <div style={{ minHeight: 0, display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
          <div style={{ justifySelf: 'end' }}>
            <Press quiet onPress={() => setBrakeFor(undefined)}>
              {wanted.some(job.kit.reading) ? 'Show what is measured' : 'Show what is done'}
            </Press>
          </div>
          {brake}
        </div>
      ) : (
        brake
      )}
    </>
  )
}
