import type { StationId } from '@overhaul/core/brake/station'
import type { Job } from '@overhaul/core/run-sheet/job'
import { stepsOn } from '@overhaul/core/run-sheet/status'
import type { Drafts } from '../drafts/use-drafts.ts'

/** What a feature shows at its stations: small, and there before its panel is fetched. */
export interface PanelSpec {
  /** From the top of a station down: the lower stands first. */
  readonly order: number
  readonly stations: readonly StationId[]
  readonly serves: (job: Job) => boolean
  /** Where its own `Bench.tsx` takes the drawing's place, what that is called; `overDetails` also where a part is measured. */
  readonly bench?: {
    readonly label: string
    readonly claims: (job: Job) => boolean
    readonly overDetails?: (job: Job, drafts: Drafts) => boolean
  }
}

export const definePanel = (spec: PanelSpec): PanelSpec => spec

export const always = () => true

/** A reading is of this brake. */
export const reads =
  (reading: string) =>
  ({ kit }: Job): boolean =>
    kit.reading(reading) !== undefined

/** A step stands on this job’s sheet. */
export const asks =
  (step: string) =>
  (job: Job): boolean =>
    stepsOn(job).some(({ id }) => id === step)
