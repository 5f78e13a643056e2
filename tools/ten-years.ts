import { existsSync } from 'node:fs'
import { parseArgs } from 'node:util'
import type { JobSummary } from '@overhaul/core/http/contract'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { NOTHING_KNOWN } from '@overhaul/core/run-sheet/known'
import type { Entry, EntryBody } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { summaryOf } from '@overhaul/server/bench/summary'
import { databaseIn } from '@overhaul/server/db/run'
import { bicycles, brakes, jobs, moves, parts } from '@overhaul/server/db/schema'
import { openStore, type Statement, type Store } from '@overhaul/server/db/store'
import { DRAWER } from '@overhaul/server/demo/drawer'
import { workedLog } from '@overhaul/server/demo/mechanic'
import { sql } from 'drizzle-orm'

/**
 * Writes what a busy workshop has after ten years, to see how Overhaul goes with it: `npm run ten-years -- --data DIR`. Brakes of
 * every family, each worked on twice on its simulated stand-in; all of it is made up. A workshop that is there already is left alone.
 */
const DAY_MS = 86_400_000
const YEARS = 10
const A_BATCH = 200
const JOBS_AT_ONCE = 2000
const BEGUN = Date.UTC(2016, 0, 4, 9)

const NAMES = ['Hire', 'Cargo', 'Tourer', 'Folder', 'Roadster', 'Child’s', 'Trailer bike', 'Post']
const LOOKS = [
  'blue, 622 wheels',
  'green, 559 wheels',
  'step-through, 28 mm tyres',
  'two baskets',
  'older frame, 630 wheels',
]
const WRONG = [
  'squeals',
  'rubs left',
  'rubs right',
  'lever comes to the bar',
  'weak in the wet',
  'season check',
  'new cable',
]

/** A log to be written many times over, and what is told of it. */
interface Template {
  readonly log: readonly Entry[]
  readonly summary: JobSummary
  readonly ends: 'releasedAt' | 'closedAt' | undefined
}

const templateOf = (hardware: Hardware, log: readonly Entry[]): Template => {
  const entries = log.map((entry, index) => ({ ...entry, seq: index + 1 }))
  const last = log.at(-1)?.kind
  return {
    log,
    summary: summaryOf({ hardware, entries, known: NOTHING_KNOWN }),
    ends: last === 'release' ? 'releasedAt' : last === 'close' ? 'closedAt' : undefined,
  }
}

/** What is made of one family: a brake, worked through, laid down on its way, hardly begun, and given up. */
function templatesOf(family: string, end: Hardware['end']) {
  const hardware: Hardware = { family, end, practiceSeed: 7, dimensions: {} }
  const begun = new Date(BEGUN)
  const worked = (...how: Parameters<typeof workedLog> extends [unknown, unknown, unknown, ...infer R] ? R : never) =>
    templateOf(hardware, workedLog(hardware, '4', begun, ...how))
  const done = worked()
  const early = templateOf(hardware, done.log.slice(0, 6))
  const givenUp: EntryBody = { kind: 'close', initials: '4', why: 'worn out, new one ordered' }
  return {
    hardware,
    done,
    open: [worked({ step: 'dial-in', turns: 1 }), worked({ step: 'dial-in', measuring: true }), early],
    closed: templateOf(hardware, [
      ...early.log,
      { ...givenUp, id: '', at: new Date(BEGUN + 6 * 40_000).toISOString(), by: '4' } as Entry,
    ]),
  }
}

const idOf = (kind: number, index: number): string =>
  `${kind.toString(16).padStart(8, '0')}-0000-4000-8000-${index.toString(16).padStart(12, '0')}`

async function written(store: Store, statements: readonly Statement[]): Promise<void> {
  for (let at = 0; at < statements.length; at += A_BATCH) await store.write(statements.slice(at, at + A_BATCH))
}

const moved = (at: string, byMs: number): string => new Date(Date.parse(at) + byMs).toISOString()

/** What is told of a job, as if it had been begun then. */
const summaryAt = ({ summary, log }: Template, begun: number): JobSummary => {
  const byMs = begun - Date.parse(log[0]?.at ?? '')
  return {
    ...summary,
    ...(summary.last && { last: { ...summary.last, at: moved(summary.last.at, byMs) } }),
    ...(summary.lookAgain && { lookAgain: moved(`${summary.lookAgain}T00:00:00.000Z`, byMs).slice(0, 10) }),
  }
}

export interface TenYears {
  readonly bicycles: number
  readonly parts: number
}

/** Fills a directory that has no workshop yet; answers with how many entries were written. */
export async function writeTenYears(directory: string, most: TenYears): Promise<number> {
  const store = expectOk(await openStore(directory))
  const { db } = store
  const of = {
    front: FAMILIES.map(({ id }) => templatesOf(id, 'front')),
    rear: FAMILIES.map(({ id }) => templatesOf(id, 'rear')),
  }
  const templates: Template[] = [...of.front, ...of.rear].flatMap(({ done, open, closed }) => [done, ...open, closed])
  await db.run(sql`PRAGMA synchronous = OFF`)
  await db.run(
    sql`CREATE TEMP TABLE logs (template INTEGER, seq INTEGER, afterS REAL, entry TEXT, PRIMARY KEY (template, seq))`,
  )
  await db.run(sql`CREATE TEMP TABLE work (number INTEGER PRIMARY KEY, jobId TEXT, template INTEGER, begunS REAL)`)
  for (const [index, { log }] of templates.entries())
    for (const [place, entry] of log.entries())
      await db.run(
        sql`INSERT INTO logs VALUES (${index}, ${place + 1}, ${(Date.parse(entry.at) - BEGUN) / 1000}, ${JSON.stringify(entry)})`,
      )

  const now = Date.now()
  const rows: Statement[] = []
  let number = 100
  for (let index = 0; index < most.bicycles; index += 1) {
    const bicycleId = idOf(0xb, index)
    const name = `${NAMES[index % NAMES.length]} ${String(Math.floor(index / NAMES.length) + 1).padStart(4, '0')}`
    const createdAt = new Date(now - YEARS * 365 * DAY_MS + index * 60_000).toISOString()
    rows.push(
      db.insert(bicycles).values({
        id: bicycleId,
        name,
        code: `T${index.toString(36).toUpperCase().padStart(4, '0')}`,
        description: LOOKS[index % LOOKS.length] ?? '',
        createdAt,
        retiredAt: index % 25 === 24 ? new Date(now - 40 * DAY_MS).toISOString() : null,
      }),
    )
    for (const [side, end] of (['front', 'rear'] as const).entries()) {
      const at = index * 2 + side
      const family = of[end][(index + side * 3) % of[end].length] as (typeof of)['rear'][number]
      const brakeId = idOf(0xc, at)
      rows.push(db.insert(brakes).values({ id: brakeId, bicycleId, end, hardware: family.hardware, createdAt }))
      // Half of the earlier jobs were given up; of the newest two in five are on the bench.
      const open = family.open[at % family.open.length] as Template
      const newest = at % 5 < 2 ? open : at % 20 === 19 ? family.closed : family.done
      for (const [visit, template] of [at % 2 ? family.done : family.closed, newest].entries()) {
        number += 1
        const days = visit === 0 ? 400 + (at % 3000) : at % 380
        const begun = now - days * DAY_MS - (at % 8) * 3_600_000
        const ended = template.ends && moved(template.log.at(-1)?.at ?? '', begun - BEGUN)
        const jobId = idOf(0xd, number)
        rows.push(
          db.insert(jobs).values({
            id: jobId,
            number,
            brakeId,
            complaint: WRONG[(at + visit) % WRONG.length] ?? '',
            openedAt: new Date(begun).toISOString(),
            releasedAt: template.ends === 'releasedAt' ? (ended ?? null) : null,
            closedAt: template.ends === 'closedAt' ? (ended ?? null) : null,
            summary: summaryAt(template, begun),
          }),
          db.run(
            sql`INSERT INTO work VALUES (${number}, ${jobId}, ${templates.indexOf(template)}, ${begun / 1000})`,
          ) as Statement,
        )
      }
    }
    if (rows.length >= A_BATCH * 10) await written(store, rows.splice(0))
  }
  await written(store, rows)

  for (let from = 100; from <= number; from += JOBS_AT_ONCE)
    await db.run(sql`
      INSERT INTO entries (id, jobId, seq, entry)
      SELECT id, jobId, seq,
        CASE WHEN json_extract(entry, '$.lookAgain') IS NULL THEN json_set(entry, '$.id', id, '$.at', at)
        ELSE json_set(entry, '$.id', id, '$.at', at, '$.lookAgain', date(at, '+14 days')) END
      FROM (
        SELECT
          printf('%08x-0000-4000-8000-%012x', work.number, logs.seq) AS id, work.jobId, logs.seq, logs.entry,
          strftime('%Y-%m-%dT%H:%M:%fZ', work.begunS + logs.afterS, 'unixepoch') AS at
        FROM work JOIN logs ON logs.template = work.template
        WHERE work.number > ${from} AND work.number <= ${from + JOBS_AT_ONCE}
        ORDER BY work.number, logs.seq
      )`)

  const stock = Array.from({ length: most.parts }, (_, index): readonly Statement[] => {
    const { count, ...shape } = DRAWER[index % DRAWER.length] as (typeof DRAWER)[number]
    const lot = Math.floor(index / DRAWER.length) + 1
    const id = idOf(0xe, index)
    return [
      db.insert(parts).values({ ...shape, id, code: `${shape.code}-${lot}`, name: `${shape.name}, lot ${lot}` }),
      db.insert(moves).values({
        id: idOf(0xf, index),
        partId: id,
        delta: count,
        why: 'stock count',
        by: '5',
        at: new Date(now - (index % 900) * DAY_MS).toISOString(),
      }),
    ]
  }).flat()
  await written(store, stock)
  const [row] = await db.all<{ count: number }>(sql`SELECT count(*) AS count FROM entries`)
  await db.run(sql`PRAGMA synchronous = FULL`)
  await store.close()
  return row?.count ?? 0
}

if (import.meta.url === `file://${process.argv[1]}`) {
  const { values } = parseArgs({
    options: {
      data: { type: 'string' },
      bicycles: { type: 'string', default: '10000' },
      parts: { type: 'string', default: '10000' },
    },
  })
  if (!values.data) throw new Error('Say where: --data DIR.')
  if (existsSync(databaseIn(values.data)))
    throw new Error(`There is a workshop in ${values.data} already: it is left alone.`)
  const count = await writeTenYears(values.data, { bicycles: Number(values.bicycles), parts: Number(values.parts) })
  console.log(`Ten years of a workshop in ${values.data}: ${values.bicycles} bicycles, ${count} entries.`)
}
