import { shortFigure } from '@overhaul/core/bench/fasteners'
import type { Frame } from '@overhaul/core/brake/frame'
import { standingWalk } from '@overhaul/core/dial-in/belief'
import { type FastenerStatus, fastenersOf } from '@overhaul/core/run-sheet/fasteners'
import { showQuantity } from '@overhaul/core/stand/show'
import { useMemo } from 'react'
import { changeSettings, useMedia, useSettings } from '../../app/settings.ts'
import { PHONE } from '../../app/theme.ts'
import type { HandleNote } from '../../drawing/annotations.tsx'
import { BrakeDrawing } from '../../drawing/BrakeDrawing.tsx'
import { STEP_SHAPES } from '../../drawing/Mark.tsx'
import { scaleBar } from '../../drawing/ScaleBar.tsx'
import type { BenchProps } from '../panels.ts'

/** The brake with what holds it together called out in place of what is measured at it. */
const heldBy = (frame: Frame): Frame => ({
  ...frame,
  leaders: [],
  dimensions: [],
  insets: [],
  labels: [],
  handles: frame.fasteners.map(({ fastener, ...place }) => ({ adjuster: fastener, ...place })),
})

const noteOf = ({ spec, state, torqueNm, maker }: FastenerStatus): HandleNote => ({
  adjuster: spec.id,
  text: `${spec.id} · ${torqueNm === undefined ? '' : `${showQuantity(torqueNm, 'Nm')}; `}${shortFigure(spec, maker)}`,
  mark: STEP_SHAPES[state],
})

const nothing = () => undefined

/** Every fastener of this brake where it sits, with its figure and whether it is tight. */
export function Bench({ job, length }: BenchProps) {
  const { flipped } = useSettings()
  const narrow = useMedia(PHONE)
  const frame = useMemo(() => heldBy(job.model.frame(standingWalk(job.belief).q, { travelMm: 0, wheelDeg: 0 })), [job])
  const notes = useMemo(() => fastenersOf(job).map(noteOf), [job])
  return (
    <BrakeDrawing
      frame={frame}
      ghosts={[]}
      leaders={[]}
      notes={notes}
      flipped={flipped}
      narrow={narrow}
      scaleBar={scaleBar(length)}
      caption={undefined}
      onFlip={() => changeSettings({ flipped: !flipped })}
      nameOf={job.kit.title}
      onPick={nothing}
    />
  )
}
