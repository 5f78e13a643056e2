import type { StationId } from '@overhaul/core/brake/station'
import { hasStraddle } from '@overhaul/core/cable/straddle'
import type { Job } from '@overhaul/core/run-sheet/job'
import { type ComponentType, lazy } from 'react'
import { bitesOnRim } from './bite/bites-on-rim.ts'
import { isPlanned } from './mount/is-planned.ts'
import type { NotesProps } from './notes.ts'

const OtherEnd = lazy(async () => ({ default: (await import('./OtherEnd.tsx')).OtherEnd }))

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

/** Each comes when its station is first opened. */
const MatchNotes = lazy(async () => ({ default: (await import('./match/MatchNotes.tsx')).MatchNotes }))
const PadNotes = lazy(async () => ({ default: (await import('./pads/PadNotes.tsx')).PadNotes }))
const CableNotes = lazy(async () => ({ default: (await import('./cable/CableNotes.tsx')).CableNotes }))
const StraddleNotes = lazy(async () => ({ default: (await import('./cable/StraddleNotes.tsx')).StraddleNotes }))
const MountPlans = lazy(async () => ({ default: (await import('./mount/MountPlans.tsx')).MountPlans }))
const ReachNotes = lazy(async () => ({ default: (await import('./mount/ReachLine.tsx')).ReachNotes }))
const LeverWeightNotes = lazy(async () => ({
  default: (await import('./cable/LeverWeightNotes.tsx')).LeverWeightNotes,
}))
const BiteNotes = lazy(async () => ({ default: (await import('./bite/BiteNotes.tsx')).BiteNotes }))

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
