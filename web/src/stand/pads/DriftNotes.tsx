import { leavesTrack, startHeight } from '@overhaul/core/pads/pads'
import { driftAt } from '@overhaul/core/run-sheet/judges'
import { showQuantity } from '@overhaul/core/stand/describe'
import { lastReading } from '@overhaul/core/stand/fold'
import { Curves } from '../../drawing/Curves.tsx'
import { DriftDrawing } from '../../drawing/DriftDrawing.tsx'
import { Complaint, Label, Press, Slate } from '../../ui/parts.tsx'
import type { NotesProps } from '../notes.ts'
import { SchoolChoice } from '../SchoolChoice.tsx'

/** The path of the pad over its life: where to start it, and when it would leave its track. */
export function DriftNotes({ job, length, write, onWorked }: NotesProps) {
  const drift = driftAt(job)
  const { state, dimensions } = job
  return (
    <section aria-label="Drift">
      <Label>Height, and drift as the pad wears</Label>
      <SchoolChoice id="height" state={state} write={write} />
      {!drift && <Slate>The pad’s path is drawn once pads and track are measured.</Slate>}
      {drift && !drift.ok && <Complaint>{drift.error.message}</Complaint>}
      {drift?.ok && <Path {...{ job, length, onWorked }} drift={drift.value} dimensions={dimensions} />}
    </section>
  )
}

type PathProps = Pick<NotesProps, 'job' | 'length' | 'onWorked'> & {
  readonly drift: Extract<NonNullable<ReturnType<typeof driftAt>>, { ok: true }>['value']
  readonly dimensions: NotesProps['job']['dimensions']
}

function Path({ job, length, onWorked, drift, dimensions }: PathProps) {
  const mm = (value: number) => showQuantity(value, 'mm', length)
  const { lowMm, highMm, bent } = startHeight(drift, job.state.chosen.height)
  const measured = lastReading(job.state, 'padEdge')
  const edgeMm = measured ?? (lowMm + highMm) / 2
  const leaves = leavesTrack(drift, edgeMm)
  const thick = Math.min(lastReading(job.state, 'padLeft') ?? 4, lastReading(job.state, 'padRight') ?? 4)
  const wears = (drift.path.at(-1)?.wornMm ?? 0) > 0
  return (
    <>
      <DriftDrawing
        drift={drift}
        edgeMm={edgeMm}
        padThickMm={thick}
        rim={{ rimWidthMm: dimensions.rimWidthMm as number, tyreWidthMm: dimensions.tyreWidthMm as number }}
        show={mm}
      />
      <p>
        Start the pad’s upper edge <b>{highMm - lowMm < 0.05 ? mm(lowMm) : `${mm(lowMm)} to ${mm(highMm)}`}</b> below
        the track’s. {bent && 'The school’s own height would leave the track before the pad is worn out.'} {drift.say}
      </p>
      {leaves && measured !== undefined && (
        <Complaint>
          {leaves.wornMm === 0
            ? leaves.over === 'tyre'
              ? 'As it stands the pad is above the track: it meets the tyre.'
              : 'As it stands the pad overhangs the track.'
            : `As it stands, after ${mm(leaves.wornMm)} of wear the pad ${leaves.over === 'tyre' ? 'meets the tyre' : 'overhangs the track'}: look again before then.`}
        </Complaint>
      )}
      {wears && (
        <Curves
          label="pad’s upper edge below the track’s, over wear"
          panels={[
            {
              title: 'upper edge below the track’s, mm',
              lines: [{ points: drift.path.map((each) => ({ x: each.wornMm, y: edgeMm - each.riseMm })) }],
              band: [drift.arcMm, drift.trackMm - drift.padMm],
            },
          ]}
          xTitle="worn off the pad, mm"
          valueText={drift.say}
        />
      )}
      <Slate>
        Between the lines the whole pad is on the track; above them it overhangs, below them it meets the tyre.
      </Slate>
      <Press quiet onPress={() => onWorked('drift', drift.worked)}>
        Working
      </Press>
    </>
  )
}
