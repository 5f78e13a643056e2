import type { StationId } from '@overhaul/core/brake/station'
import { hasStraddle } from '@overhaul/core/cable/straddle'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { ComponentType } from 'react'
import { BiteNotes, bitesOnRim } from './bite/BiteNotes.tsx'
import { CableNotes } from './cable/CableNotes.tsx'
import { LeverWeightNotes } from './cable/LeverWeightNotes.tsx'
import { StraddleNotes } from './cable/StraddleNotes.tsx'
import { MatchNotes } from './match/MatchNotes.tsx'
import { isPlanned, MountPlans } from './mount/MountPlans.tsx'
import { ReachNotes } from './mount/ReachLine.tsx'
import type { NotesProps } from './notes.ts'
import { OtherEnd } from './OtherEnd.tsx'
import { PadNotes } from './pads/PadNotes.tsx'

/** What a capability shows at a station, and the brakes it serves. */
interface StationPanel {
  readonly id: string
  readonly stations: readonly StationId[]
  readonly serves: (job: Job) => boolean
  readonly Panel: ComponentType<NotesProps>
}

const always = () => true
const reads =
  (reading: string) =>
  ({ kit }: Job): boolean =>
    kit.reading(reading) !== undefined
const straddled = ({ family }: Job): boolean => hasStraddle(family)
const onArms = ({ model }: Job): boolean => model.padArm !== undefined

const OtherCable = ({ jobId }: NotesProps) => <OtherEnd jobId={jobId} of="cable" />
const OtherReach = ({ jobId }: NotesProps) => <OtherEnd jobId={jobId} of="reach" />

/** Every panel of every station, from the top down. */
export const STATION_PANELS: readonly StationPanel[] = [
  { id: 'match', stations: ['match'], serves: always, Panel: MatchNotes },
  { id: 'pads', stations: ['pads'], serves: onArms, Panel: PadNotes },
  { id: 'cable', stations: ['cable'], serves: always, Panel: CableNotes },
  { id: 'other-cable', stations: ['cable'], serves: always, Panel: OtherCable },
  { id: 'straddle', stations: ['match', 'bite'], serves: straddled, Panel: StraddleNotes },
  { id: 'mount', stations: ['mount'], serves: isPlanned, Panel: MountPlans },
  { id: 'reach', stations: ['mount'], serves: reads('trackReach'), Panel: ReachNotes },
  { id: 'other-reach', stations: ['mount'], serves: reads('trackReach'), Panel: OtherReach },
  { id: 'lever-weight', stations: ['centre'], serves: reads('leverWeight'), Panel: LeverWeightNotes },
  { id: 'bite', stations: ['bite', 'centre'], serves: bitesOnRim, Panel: BiteNotes },
]

/** What is shown at a station of this job, from the top down. */
export const panelsAt = (station: StationId, job: Job): readonly StationPanel[] =>
  STATION_PANELS.filter((each) => each.stations.includes(station) && each.serves(job))
