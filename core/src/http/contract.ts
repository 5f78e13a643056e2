import type { End } from '../brake/dimension.ts'
import type { StationId } from '../brake/station.ts'
import type { Part } from '../drawer/part.ts'
import type { BadRow } from '../drawer/rows.ts'
import type { Visit } from '../run-sheet/known.ts'
import type { StationStatus } from '../run-sheet/line.ts'
import type { Told } from '../run-sheet/told.ts'
import type { Before } from '../sheet/found.ts'
import type { EndsStand } from '../sheet/tag.ts'
import type { Workshop } from '../sheet/workshop.ts'
import type { Entry } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'

/** How this screen stands at the door of the workshop; what only the host's own screen is told is missing elsewhere. */
export interface DoorState {
  readonly shared: boolean
  readonly may: 'host' | 'write' | 'read' | 'none'
  readonly codes?: { readonly write: string; readonly read: string }
  readonly places?: readonly string[]
  /** The first place with the code in it, as a picture for another screen's camera: SVG. */
  readonly qr?: string
  readonly devices?: readonly {
    readonly id: string
    readonly name: string
    readonly may: 'write' | 'read'
    readonly since: string
  }[]
}

/** What the rack shows of a job without folding its log: kept beside it, always derivable from it. */
export interface JobSummary {
  readonly stations: readonly StationStatus[]
  readonly nextSay: string
  /** Last entry it was made of; missing on one written before this was kept. */
  readonly seq?: number
  /** Where the work is; missing on one written before this was kept. */
  readonly station?: StationId
  /** What the brake is set by, as found and as left, and the minutes it took; missing on one written before this was kept. */
  readonly readings?: readonly Before[]
  readonly minutes?: number
  /** The last thing that was written of it, in the words of the bench. */
  readonly last?: { readonly at: string; readonly by: string; readonly say: string }
  /** The day by which a released brake should be looked at again, ISO 8601. */
  readonly lookAgain?: string
  /** Why the bicycle is not to be ridden, of a job that was closed unreleased. */
  readonly unfit?: readonly string[]
}

export interface JobRow {
  readonly id: string
  readonly number: number
  readonly brakeId: string
  readonly complaint: string
  readonly openedAt: string
  readonly releasedAt: string | null
  /** Ended without a release: not to be ridden. */
  readonly closedAt: string | null
  readonly summary: JobSummary
}

/** Parts of the rail, as the server names them. */
export type RackPart = 'hanging' | 'open' | 'out' | 'unfit' | 'released' | 'due' | 'retired'

/** Which bicycles are wanted, and in what order. */
export interface RackWish {
  readonly part: RackPart
  readonly q: string
  readonly family?: string
  readonly station?: string
  readonly sort: 'name' | 'recent'
}

/** How many bicycles are in each part of the rail, have a brake of each family, and a job at each station. */
export interface RackCounts {
  /** The same while nothing changed. */
  readonly changes: number
  /** Of the workshop’s data: another after a restore. */
  readonly epoch: string
  readonly parts: Readonly<Record<RackPart, number>>
  readonly families: readonly Counted[]
  readonly stations: readonly Counted[]
}

export interface Counted {
  readonly id: string
  readonly title: string
  readonly count: number
}

export interface RackBicycle {
  readonly id: string
  /** On its tag; null on one not opened since there are codes. */
  readonly code: string | null
  readonly name: string
  readonly description: string
  /** Taken off the rack; null while it hangs there. */
  readonly retiredAt: string | null
  readonly brakes: readonly {
    readonly id: string
    readonly end: End
    readonly family: string
    readonly job: JobRow | null
  }[]
}

/** Whose tag a code is; where the workshop is shared, its address as a picture too. */
export interface TagRecord {
  readonly code: string
  readonly bicycleId: string
  readonly name: string
  /** Both ends, as the tag says them. */
  readonly ends: readonly string[]
  /** The same, for a program. */
  readonly standing: EndsStand
  readonly address?: string
  readonly qr?: string
}

/** A brake that hangs on a bicycle, or hung there before, with its jobs. */
export interface BrakeRecord {
  readonly id: string
  readonly end: End
  readonly hardware: Hardware
  /** Another brake hangs there since; null while this one does. */
  readonly retiredAt: string | null
  readonly jobs: readonly (Pick<JobRow, 'id' | 'number' | 'openedAt' | 'releasedAt' | 'closedAt' | 'complaint'> & {
    /** How it stands, in a line. */
    readonly says: string
    /** What the brake is set by, as found and as left, and the minutes it took, where they were told. */
    readonly readings: readonly Before[]
    readonly minutes: number
  })[]
}

export interface BicycleRecord {
  readonly id: string
  readonly name: string
  readonly description: string
  readonly retiredAt: string | null
  readonly brakes: readonly BrakeRecord[]
}

export interface HeldPart {
  readonly partId: string
  readonly name: string
  readonly count: number
}

export interface PartMove {
  readonly id: string
  readonly partId: string
  readonly delta: number
  readonly jobId: string | null
  readonly why: string
  readonly by: string
  readonly at: string
  readonly name: string
}

/** What a file would do, or did. */
export interface FileReport {
  readonly dryRun: boolean
  readonly added: readonly string[]
  readonly changed: readonly string[]
  readonly unchanged: readonly string[]
  readonly bad: readonly BadRow[]
}

export interface JobRecord {
  /** Of the workshop’s data: another after a restore. */
  readonly epoch: string
  readonly job: JobRow
  readonly bicycle: {
    readonly id: string
    readonly name: string
    readonly description: string
    readonly code: string | null
  }
  readonly hardware: Hardware
  readonly visits: readonly Visit[]
  readonly entries: readonly Entry[]
  /** The jobs just before and after it on the same brake. */
  readonly beside?: { readonly before?: JobNumber; readonly after?: JobNumber }
}

type JobNumber = Pick<JobRow, 'id' | 'number'>

/** What was asked for, and what of it was known already. */
export interface Appended {
  readonly accepted: readonly string[]
  readonly known: readonly string[]
}

/** What each route answers, once, for whoever asks and whoever answers. docs/formats.md says it in words. */
export interface Answers {
  'GET health': {
    readonly status: string
    readonly version: string
    readonly schemaVersion: number
    readonly trouble?: string
  }
  'GET door': DoorState
  'POST door': { readonly may: 'write' | 'read' }
  'GET workshop': Workshop
  'PUT workshop': Workshop
  'GET rack': RackCounts
  'GET bicycles': readonly RackBicycle[]
  'GET bicycles/:id': BicycleRecord
  'GET jobs': readonly JobRow[]
  'GET jobs/:id': JobRecord
  'GET jobs/:id/next': Told
  'GET jobs/:id/entries': readonly Entry[]
  'POST jobs/:id/entries': Appended
  'GET tags/:code': TagRecord
  'GET drawer': readonly Part[]
  'POST drawer': Part
  'PATCH drawer/:id': Part
  'GET drawer/moves': readonly PartMove[]
  'GET drawer/progress': { readonly done: number; readonly of: number }
  'POST drawer/drawer.csv': FileReport
}
