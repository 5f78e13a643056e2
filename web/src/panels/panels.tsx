import type { StationId } from '@overhaul/core/brake/station'
import { hasStraddle } from '@overhaul/core/cable/straddle'
import type { Job } from '@overhaul/core/run-sheet/job'
import { stepsOn } from '@overhaul/core/run-sheet/status'
import type { ComponentType } from 'react'
import { lazily } from '../app/lazily.ts'
import { bitesOnRim } from './bite/bites-on-rim.ts'
import { isPlanned } from './mount/is-planned.ts'
import type { NotesProps } from './notes.ts'
import { isStacked } from './stack/is-stacked.ts'

/** What a capability shows at a station, and the brakes it serves. */
interface StationPanel {
  readonly id: string
  readonly stations: readonly StationId[]
  readonly serves: (job: Job) => boolean
  readonly Panel: ComponentType<NotesProps>
}

/** Each comes when its station is first opened. */
const FETCH = {
  MatchNotes: async () => (await import('./match/MatchNotes.tsx')).MatchNotes,
  PadNotes: async () => (await import('./pads/PadNotes.tsx')).PadNotes,
  CableNotes: async () => (await import('./cable/CableNotes.tsx')).CableNotes,
  StraddleNotes: async () => (await import('./cable/StraddleNotes.tsx')).StraddleNotes,
  MountPlans: async () => (await import('./mount/MountPlans.tsx')).MountPlans,
  ReachNotes: async () => (await import('./mount/ReachLine.tsx')).ReachNotes,
  LeverWeightNotes: async () => (await import('./cable/LeverWeightNotes.tsx')).LeverWeightNotes,
  BiteNotes: async () => (await import('./bite/BiteNotes.tsx')).BiteNotes,
  StackPlans: async () => (await import('./stack/StackPlans.tsx')).StackPlans,
  RotorNotes: async () => (await import('./disc/RotorNotes.tsx')).RotorNotes,
  DiscPadNotes: async () => (await import('./disc/DiscPadNotes.tsx')).DiscPadNotes,
  BeddingNotes: async () => (await import('./disc/BeddingNotes.tsx')).BeddingNotes,
  DrumNotes: async () => (await import('./drum/DrumNotes.tsx')).DrumNotes,
  LiningNotes: async () => (await import('./drum/LiningNotes.tsx')).LiningNotes,
  TightenNotes: async () => (await import('./tighten/TightenNotes.tsx')).TightenNotes,
  LeverNotes: async () => (await import('./lever/LeverNotes.tsx')).LeverNotes,
  ReleaseNotes: async () => (await import('./release/ReleaseNotes.tsx')).ReleaseNotes,
  StopNotes: async () => (await import('./stops/StopNotes.tsx')).StopNotes,
  OtherEnd: async () => (await import('./OtherEnd.tsx')).OtherEnd,
}
const MatchNotes = lazily(FETCH.MatchNotes)
const PadNotes = lazily(FETCH.PadNotes)
const CableNotes = lazily(FETCH.CableNotes)
const StraddleNotes = lazily(FETCH.StraddleNotes)
const MountPlans = lazily(FETCH.MountPlans)
const ReachNotes = lazily(FETCH.ReachNotes)
const LeverWeightNotes = lazily(FETCH.LeverWeightNotes)
const BiteNotes = lazily(FETCH.BiteNotes)
const StackPlans = lazily(FETCH.StackPlans)
const RotorNotes = lazily(FETCH.RotorNotes)
const DiscPadNotes = lazily(FETCH.DiscPadNotes)
const BeddingNotes = lazily(FETCH.BeddingNotes)
const DrumNotes = lazily(FETCH.DrumNotes)
const LiningNotes = lazily(FETCH.LiningNotes)
const TightenNotes = lazily(FETCH.TightenNotes)
const LeverNotes = lazily(FETCH.LeverNotes)
const ReleaseNotes = lazily(FETCH.ReleaseNotes)
const StopNotes = lazily(FETCH.StopNotes)
const OtherEnd = lazily(FETCH.OtherEnd)

/** All of them, before the hand asks. */
export const fetchPanels = () => Promise.all(Object.values(FETCH).map((fetch) => fetch()))

const always = () => true
const reads =
  (reading: string) =>
  ({ kit }: Job): boolean =>
    kit.reading(reading) !== undefined
/** A step stands on this job’s sheet. */
const asks =
  (step: string) =>
  (job: Job): boolean =>
    stepsOn(job).some(({ id }) => id === step)
const straddled = ({ family }: Job): boolean => hasStraddle(family)
const onArms = ({ model }: Job): boolean => model.padArm !== undefined

const OtherCable = ({ jobId }: NotesProps) => <OtherEnd jobId={jobId} of="cable" />
const OtherReach = ({ jobId }: NotesProps) => <OtherEnd jobId={jobId} of="reach" />

/** Every panel of every station, from the top down. */
const STATION_PANELS: readonly StationPanel[] = [
  { id: 'match', stations: ['match'], serves: always, Panel: MatchNotes },
  { id: 'pads', stations: ['pads'], serves: onArms, Panel: PadNotes },
  { id: 'cable', stations: ['cable'], serves: always, Panel: CableNotes },
  { id: 'other-cable', stations: ['cable'], serves: always, Panel: OtherCable },
  { id: 'straddle', stations: ['match', 'bite'], serves: straddled, Panel: StraddleNotes },
  { id: 'mount', stations: ['mount'], serves: isPlanned, Panel: MountPlans },
  { id: 'stack', stations: ['mount'], serves: isStacked, Panel: StackPlans },
  { id: 'rotor', stations: ['wheel'], serves: asks('rotor-star'), Panel: RotorNotes },
  { id: 'disc-pads', stations: ['pads'], serves: reads('padFixed'), Panel: DiscPadNotes },
  { id: 'bedding', stations: ['prove'], serves: asks('bedding-in'), Panel: BeddingNotes },
  { id: 'drum', stations: ['match'], serves: reads('armApplied'), Panel: DrumNotes },
  { id: 'linings', stations: ['pads'], serves: reads('armApplied'), Panel: LiningNotes },
  { id: 'reach', stations: ['mount'], serves: reads('trackReach'), Panel: ReachNotes },
  { id: 'other-reach', stations: ['mount'], serves: reads('trackReach'), Panel: OtherReach },
  { id: 'lever-weight', stations: ['centre'], serves: reads('leverWeight'), Panel: LeverWeightNotes },
  { id: 'tighten', stations: ['tighten'], serves: always, Panel: TightenNotes },
  { id: 'lever', stations: ['lever'], serves: always, Panel: LeverNotes },
  { id: 'release', stations: ['release'], serves: always, Panel: ReleaseNotes },
  { id: 'stops', stations: ['prove'], serves: always, Panel: StopNotes },
  { id: 'bite', stations: ['bite', 'centre'], serves: bitesOnRim, Panel: BiteNotes },
]

/** What is shown at a station of this job, from the top down. */
export const panelsAt = (station: StationId, job: Job): readonly StationPanel[] =>
  STATION_PANELS.filter((each) => each.stations.includes(station) && each.serves(job))
