import type { StationId } from '@overhaul/core/brake/station'
import { hasStraddle } from '@overhaul/core/cable/straddle'
import type { Job } from '@overhaul/core/run-sheet/job'
import { type ComponentType, lazy } from 'react'
import { bitesOnRim } from './bite/bites-on-rim.ts'
import { isPlanned } from './mount/is-planned.ts'
import type { NotesProps } from './notes.ts'

/** What a capability shows at a station, and the brakes it serves. */
interface StationPanel {
  readonly id: string
  readonly stations: readonly StationId[]
  readonly serves: (job: Job) => boolean
  readonly Panel: ComponentType<NotesProps>
}

/** Each comes when its station is first opened. */
const FETCH = {
  MatchNotes: async () => ({ default: (await import('./match/MatchNotes.tsx')).MatchNotes }),
  PadNotes: async () => ({ default: (await import('./pads/PadNotes.tsx')).PadNotes }),
  CableNotes: async () => ({ default: (await import('./cable/CableNotes.tsx')).CableNotes }),
  StraddleNotes: async () => ({ default: (await import('./cable/StraddleNotes.tsx')).StraddleNotes }),
  MountPlans: async () => ({ default: (await import('./mount/MountPlans.tsx')).MountPlans }),
  ReachNotes: async () => ({ default: (await import('./mount/ReachLine.tsx')).ReachNotes }),
  LeverWeightNotes: async () => ({ default: (await import('./cable/LeverWeightNotes.tsx')).LeverWeightNotes }),
  BiteNotes: async () => ({ default: (await import('./bite/BiteNotes.tsx')).BiteNotes }),
  OtherEnd: async () => ({ default: (await import('./OtherEnd.tsx')).OtherEnd }),
}
const MatchNotes = lazy(FETCH.MatchNotes)
const PadNotes = lazy(FETCH.PadNotes)
const CableNotes = lazy(FETCH.CableNotes)
const StraddleNotes = lazy(FETCH.StraddleNotes)
const MountPlans = lazy(FETCH.MountPlans)
const ReachNotes = lazy(FETCH.ReachNotes)
const LeverWeightNotes = lazy(FETCH.LeverWeightNotes)
const BiteNotes = lazy(FETCH.BiteNotes)
const OtherEnd = lazy(FETCH.OtherEnd)

/** All of them, before the hand asks. */
export const fetchPanels = () => Promise.all(Object.values(FETCH).map((fetch) => fetch()))

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
