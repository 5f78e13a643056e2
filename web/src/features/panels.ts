import type { StationId } from '@overhaul/core/brake/station'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { ComponentType } from 'react'
import { lazily } from '../app/lazily.ts'
import type { Drafts } from '../drafts/use-drafts.ts'
import type { PanelSpec } from './define-panel.ts'
import type { NotesProps } from './notes.ts'

/** Every feature of the Stand is a folder beside this file: `panel.ts` says whom it serves, `Panel.tsx` and `Bench.tsx` come when they are shown. */
const SPECS = import.meta.glob<{ readonly panel: PanelSpec }>('./*/panel.ts', { eager: true })
const PANELS = import.meta.glob<{ readonly Panel: ComponentType<NotesProps> }>('./*/Panel.tsx')
const BENCHES = import.meta.glob<{ readonly Bench: ComponentType<BenchProps> }>('./*/Bench.tsx')

export type BenchProps = Pick<NotesProps, 'job' | 'jobId' | 'length' | 'drafts'>

/** What a feature shows at a station, and the brakes it serves. */
interface Feature extends PanelSpec {
  readonly id: string
  readonly Panel: ComponentType<NotesProps>
  readonly Bench?: ComponentType<BenchProps>
}

const FEATURES: readonly Feature[] = Object.entries(SPECS)
  .map(([path, { panel }]): Feature => {
    const id = path.slice(2, -'/panel.ts'.length)
    const fetchPanel = PANELS[`./${id}/Panel.tsx`]
    const fetchBench = BENCHES[`./${id}/Bench.tsx`]
    if (!fetchPanel || (panel.bench && !fetchBench))
      throw new Error(`the feature “${id}” has no panel or bench to show`)
    return {
      ...panel,
      id,
      Panel: lazily(async () => (await fetchPanel()).Panel),
      ...(fetchBench && { Bench: lazily(async () => (await fetchBench()).Bench) }),
    }
  })
  .sort((a, b) => a.order - b.order)

/** All of them, before the hand asks. */
export const fetchPanels = () =>
  Promise.all([...Object.values(PANELS), ...Object.values(BENCHES)].map((fetch) => fetch()))

/** What is shown at a station of this job, from the top down. */
export const panelsAt = (station: StationId, job: Job): readonly Feature[] =>
  FEATURES.filter((each) => each.stations.includes(station) && each.serves(job))

/** The feature whose own drawing takes the brake’s place at a station, and whether also that of the part that is measured. */
export function benchAt(station: StationId, job: Job, drafts: Drafts) {
  for (const { stations, bench, Bench } of FEATURES)
    if (bench && Bench && stations.includes(station) && bench.claims(job))
      return { Bench, label: bench.label, overDetails: bench.overDetails?.(job, drafts) ?? false }
  return undefined
}
