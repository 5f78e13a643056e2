import type { RowsRead } from '@overhaul/core/drawer/rows'
import type { Outcome } from '@overhaul/core/outcome/outcome'
import { isStale, type JobAt } from '../bench/summary.ts'
import type { Db } from '../db/store.ts'
import { partsOf } from '../drawer/drawer.ts'
import { readFile } from '../drawer/file.ts'
import { type Counts, countRack, countWanted, type Hung, type RackWish, rackPage } from './bicycles.ts'
import { countJobs, type JobWish, jobsPage, openJobs } from './jobs.ts'

/** A page of a list, as it is sent. */
export interface Looked {
  /** An array, as JSON. */
  readonly body: string
  readonly rows: number
  /** The last of them. */
  readonly last?: string
  /** Jobs of which more was written than is told of them here. */
  readonly stale: readonly string[]
}

const looked = <T extends { readonly id: string }>(rows: readonly T[], jobs: readonly JobAt[]): Looked => {
  const last = rows.at(-1)?.id
  return {
    body: JSON.stringify(rows),
    rows: rows.length,
    ...(last !== undefined && { last }),
    stale: jobs.filter(isStale).map(({ job }) => job.id),
  }
}

/** A bicycle as the rack shows it. */
const tagOf = ({ bicycle, brakes }: Hung) => ({
  ...bicycle,
  brakes: brakes.map(({ newest, ...brake }) => ({ ...brake, job: newest?.job ?? null })),
})

/** Looks along the rail, and into the drawer: everything that lists. It reads the workshop’s data and writes nothing. */
export class Rail {
  constructor(private readonly db: Db) {}

  async bicycles(wish: RackWish, limit: number, after?: string): Promise<Looked> {
    const page = await rackPage(this.db, wish, limit, after)
    return looked(
      page.map(tagOf),
      page.flatMap(({ brakes }) => brakes.flatMap(({ newest }) => newest ?? [])),
    )
  }

  countBicycles(wish: RackWish): Promise<number> {
    return countWanted(this.db, wish)
  }

  async jobs(wish: JobWish, limit: number, after?: string): Promise<Looked> {
    const page = await jobsPage(this.db, wish, limit, after)
    return looked(
      page.map(({ job }) => job),
      page,
    )
  }

  /** A file for the drawer, read row by row. */
  async drawerFile(text: unknown): Promise<Outcome<RowsRead>> {
    return readFile(text)
  }

  countJobs(wish: JobWish): Promise<number> {
    return countJobs(this.db, wish)
  }

  /** Open jobs of which more was written than is told of them. */
  async staleJobs(): Promise<readonly string[]> {
    return (await openJobs(this.db)).filter(isStale).map(({ job }) => job.id)
  }

  /** Everything in the drawer, as JSON. */
  async parts(): Promise<string> {
    return JSON.stringify(await partsOf(this.db))
  }

  counts(today: string): Promise<Counts> {
    return countRack(this.db, today)
  }
}
