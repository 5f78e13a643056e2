import { EDGE, padPathsAt } from '@overhaul/core/features/pads/judges'
import { leavesTrack, type PadPath, startHeight } from '@overhaul/core/features/pads/pads'
import { lastReading } from '@overhaul/core/stand/fold'
import { showQuantity } from '@overhaul/core/stand/show'
import { Fragment } from 'react'
import { useMedia } from '../../app/settings.ts'
import { PHONE } from '../../app/theme.ts'
import { Curves } from '../../drawing/Curves.tsx'
import { Press } from '../../ui/Press.tsx'
import { Complaint, Label, Read, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { SchoolChoice } from '../SchoolChoice.tsx'
import { DriftDrawing } from './DriftDrawing.tsx'

type Job = NotesProps['job']

/** The heights measured on the pads of one path. */
const measuredOf = (job: Job, { sides }: PadPath) =>
  sides.flatMap((side) => {
    const edgeMm = lastReading(job.state, EDGE[side])
    return edgeMm === undefined ? [] : [{ side, edgeMm }]
  })

/** Where a path is drawn from: as measured, once where both pads stand alike, or where the school would have it. */
function startsOf(job: Job, path: PadPath): readonly { readonly edgeMm: number; readonly sides: string }[] {
  const [one, other] = measuredOf(job, path)
  const sides = path.sides.join(' and ')
  if (!one) {
    const { lowMm, highMm } = startHeight(path.drift, job.schools.height?.option ?? '')
    return [{ edgeMm: (lowMm + highMm) / 2, sides }]
  }
  if (!other || Math.abs(one.edgeMm - other.edgeMm) < 0.05) return [{ edgeMm: one.edgeMm, sides }]
  return [one, other].map(({ side, edgeMm }) => ({ edgeMm, sides: side }))
}

/** The path of each pad over its life: where to start it, and when it would leave its track. */
export function DriftNotes({ job, length, write, onWorked }: NotesProps) {
  const paths = padPathsAt(job)
  return (
    <section aria-label="Drift">
      <Label>Height, and drift as the pad wears</Label>
      <SchoolChoice id="height" job={job} write={write} />
      {!paths && <Slate>The pads’ path is drawn once pads and track are measured.</Slate>}
      {paths && !paths.ok && <Complaint>{paths.error.message}</Complaint>}
      {paths?.ok && (
        <>
          {paths.value.length > 1 && (
            <p>The two pads swing about different pivots and part ways: each has its own height.</p>
          )}
          {paths.value.map((path) => (
            <Fragment key={path.sides.join()}>
              {paths.value.length > 1 && <Label>{path.sides} pad</Label>}
              <Path {...{ job, length, path }} />
            </Fragment>
          ))}
          <OverWear job={job} length={length} paths={paths.value} />
          <Press
            quiet
            onPress={() =>
              onWorked(
                'drift',
                paths.value.flatMap(({ drift }) => drift.worked),
              )
            }
          >
            Working
          </Press>
        </>
      )}
    </section>
  )
}

function Path({ job, length, path }: Pick<NotesProps, 'job' | 'length'> & { readonly path: PadPath }) {
  const narrow = useMedia(PHONE)
  const { drift } = path
  const mm = (value: number) => showQuantity(value, 'mm', length)
  const { lowMm, highMm, bent } = startHeight(drift, job.schools.height?.option ?? '')
  const { rimWidthMm, tyreWidthMm } = job.dimensions
  const thick = Math.min(lastReading(job.state, 'padLeft') ?? 4, lastReading(job.state, 'padRight') ?? 4)
  return (
    <>
      <DriftDrawing
        narrow={narrow}
        drift={drift}
        edgeMm={startsOf(job, path)[0]?.edgeMm ?? 0}
        padThickMm={thick}
        rim={{ rimWidthMm: rimWidthMm as number, tyreWidthMm: tyreWidthMm as number }}
        show={mm}
      />
      <p>
        {(lowMm !== drift.edgeLeastMm || highMm !== drift.edgeMostMm) && (
          <>
            Start the upper edge of {drift.name}{' '}
            <b>{highMm - lowMm < 0.05 ? mm(lowMm) : `${mm(lowMm)} to ${mm(highMm)}`}</b> below the track’s.{' '}
          </>
        )}
        {bent && 'The school’s own height would leave the track before the pad is worn out.'} <Read>{drift.say}</Read>
      </p>
      {measuredOf(job, path).map(({ side, edgeMm }) => {
        const leaves = leavesTrack(drift, edgeMm)
        if (!leaves) return null
        const over = leaves.over === 'tyre' ? 'meets the tyre' : 'overhangs the track'
        return (
          <Complaint key={side}>
            {leaves.wornMm === 0
              ? `As it stands the ${side} pad ${over}.`
              : `As it stands, after ${mm(leaves.wornMm)} of wear the ${side} pad ${over}: look again before then.`}
          </Complaint>
        )
      })}
    </>
  )
}

/** Upper edges over wear, with the band in which the whole pad is on the track. */
function OverWear({ job, length, paths }: Pick<NotesProps, 'job' | 'length'> & { readonly paths: readonly PadPath[] }) {
  const narrow = useMedia(PHONE)
  const first = paths[0]?.drift
  if (!first || (first.path.at(-1)?.wornMm ?? 0) === 0) return null
  const lines = paths.flatMap((path) => startsOf(job, path).map((start) => ({ ...start, drift: path.drift })))
  return (
    <>
      <Curves
        narrow={narrow}
        label="pad’s upper edge below the track’s, over wear"
        panels={[
          {
            title: 'upper edge below the track’s',
            length,
            lines: lines.map(({ drift, edgeMm, sides }) => ({
              points: drift.path.map((each) => ({ x: each.wornMm, y: edgeMm - each.riseMm })),
              ...(lines.length > 1 && { label: sides }),
            })),
            downward: true,
            band: [first.arcMm, first.trackMm - first.padMm],
          },
        ]}
        xTitle="worn off the pad"
        xLength={length}
        valueText={paths.map(({ drift }) => drift.say).join(' ')}
      />
      <Slate as="p">
        Between the lines the whole pad is on the track; above them it meets the tyre, below them it overhangs.
      </Slate>
    </>
  )
}
