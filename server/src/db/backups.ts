import { randomUUID } from 'node:crypto'
import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { basename, join } from 'node:path'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { checkDatabase, copyDatabase } from './aside.ts'
import { databaseIn, isHeld, isRunning, version } from './run.ts'

/** So many days of backups are kept, and so many copies of what a restore replaced. Our choice. */
const KEPT = 14

/** Of the data as it stood, and of what a restore replaced. */
type Kind = 'overhaul' | 'replaced'

/** They are put in order by their number: a clock may be wrong. Older ones, which have none, come first. */
const NAMED = /^(overhaul|replaced)-(?:(\d{6,})-)?\d{8}-\d{6}(?:-\d+)?\.db$/
/** Being made, by this process. */
const PART = /^(\d+)\.[0-9a-f-]{36}\.part/

export const backupsIn = (directory: string): string => join(directory, 'backups')

interface Named {
  readonly kind: Kind
  readonly number: number
  readonly path: string
}

const named = (directory: string): readonly Named[] => {
  const folder = backupsIn(directory)
  return (existsSync(folder) ? readdirSync(folder).sort() : [])
    .flatMap((name): readonly Named[] => {
      const [, kind, number = '0'] = NAMED.exec(name) ?? []
      return kind ? [{ kind: kind as Kind, number: Number(number), path: join(folder, name) }] : []
    })
    .sort((a, b) => a.number - b.number)
}

const ofKind = (directory: string, wanted: Kind): readonly string[] =>
  named(directory).flatMap(({ kind, path }) => (kind === wanted ? [path] : []))

/** Backups of a data directory, oldest first. */
export const backupsOf = (directory: string): readonly string[] => ofKind(directory, 'overhaul')

const NO_BACKUP = 'There is no backup in its backups folder.'
const offered = (path: string) => `The newest backup is ${basename(path)}: “npm run restore” puts it in its place.`

/** The newest backup, as a sentence that offers it. */
export function offerBackup(directory: string): string {
  const newest = backupsOf(directory).at(-1)
  return newest ? offered(newest) : NO_BACKUP
}

/** The newest backup that is sound, as a sentence that offers it. */
export async function offerSound(directory: string): Promise<string> {
  const newestFirst = backupsOf(directory).toReversed()
  for (const path of newestFirst) {
    if ((await checkDatabase(path)).length > 0) continue
    return path === newestFirst[0]
      ? offered(path)
      : `The newest sound backup is ${basename(path)}: “npm run restore -- ${path}” puts it in its place.`
  }
  return newestFirst.length > 0 ? 'None of its backups is sound.' : NO_BACKUP
}

/** The next name of its kind, by its number and the moment it is made. */
export function freeName(directory: string, kind: Kind, now: Date): string {
  const moment = now.toISOString().replace(/[-:]/g, '').replace('T', '-').slice(0, 15)
  const folder = backupsIn(directory)
  mkdirSync(folder, { recursive: true })
  for (let number = (named(directory).at(-1)?.number ?? 0) + 1; ; number += 1) {
    const path = join(folder, `${kind}-${String(number).padStart(6, '0')}-${moment}.db`)
    if (!existsSync(path)) return path
  }
}

/** Where something is made until it is whole and takes its name. */
export function partIn(directory: string): string {
  mkdirSync(backupsIn(directory), { recursive: true })
  return join(backupsIn(directory), `${process.pid}.${randomUUID()}.part`)
}

const TAILS = ['', '-wal', '-shm', '-journal'] as const

/** Removes a database with what belongs to it. */
export const removeWhole = (path: string): void => {
  for (const tail of TAILS) rmSync(path + tail, { force: true })
}

/** Copies a database nobody holds, with the log beside it. */
export function copyWhole(from: string, to: string): void {
  for (const tail of ['', '-wal']) if (existsSync(from + tail)) copyFileSync(from + tail, to + tail)
}

const DAY_MS = 86_400_000

/** Lets go of the oldest of a kind, and of what a process that is gone was making. */
export function thinOut(directory: string, kind: Kind): void {
  for (const old of ofKind(directory, kind).slice(0, -KEPT)) removeWhole(old)
  for (const name of readdirSync(backupsIn(directory))) {
    const path = join(backupsIn(directory), name)
    const pid = PART.exec(name)?.[1]
    const isLeft = pid
      ? !isRunning(Number(pid))
      : name.includes('.part') && Date.now() - (statSync(path, { throwIfNoEntry: false })?.mtimeMs ?? 0) > DAY_MS
    if (isLeft) rmSync(path, { force: true })
  }
}

/**
 * A file to back up from. Data that nobody holds is copied first: the last connection to close would lay its log in, and a backup
 * changes nothing of what it copies.
 */
function source(directory: string, copy: string): string {
  const data = databaseIn(directory)
  const states = () => ['', '-wal'].map((tail) => version(data + tail)).join()
  const before = states()
  if (isHeld(directory)) return data
  copyWhole(data, copy)
  return isHeld(directory) || states() !== before ? data : copy
}

/** Copies the workshop’s data as it stands, whole or not at all; the oldest make room. Works while the workshop runs. */
export async function backUp(directory: string, now = new Date()): Promise<Outcome<string>> {
  if (!existsSync(databaseIn(directory)))
    return refuse('no-data', 'OVERHAUL_DATA', `There is no workshop in ${directory} to back up.`)
  // The daily one and one by hand may be made at once: each has a file of its own, and takes its name when it is whole.
  const made = partIn(directory)
  const copy = partIn(directory)
  try {
    const wrong = await copyDatabase(source(directory, copy), made)
    if (wrong.length > 0) return notBackedUp(wrong.join('; '))
    const path = freeName(directory, 'overhaul', now)
    renameSync(made, path)
    thinOut(directory, 'overhaul')
    return ok(path)
  } catch (error) {
    return notBackedUp((error as Error).message)
  } finally {
    removeWhole(made)
    removeWhole(copy)
  }
}

const notBackedUp = (why: string) =>
  refuse('not-backed-up', 'OVERHAUL_DATA', `The backup could not be made: ${why}. What was there is as it was.`)

/** How long ago the newest backup was made; infinite where there is none, and where it is dated in the future. */
export function sinceBackupMs(directory: string, now = Date.now()): number {
  const newest = backupsOf(directory).at(-1)
  const age = newest ? now - statSync(newest).mtimeMs : Number.POSITIVE_INFINITY
  return age < 0 ? Number.POSITIVE_INFINITY : age
}

const LOOK_MS = 3_600_000

/** Backs up once a day while the workshop runs. Answers with what ends it, once the one being made is whole. */
export function backUpDaily(directory: string): () => Promise<void> {
  const look = async () => {
    if (sinceBackupMs(directory) < DAY_MS) return
    const made = await backUp(directory)
    if (!made.ok) console.error(made.error.message)
  }
  let making = Promise.resolve()
  const begin = () => {
    making = look().catch((error) => console.error(error))
  }
  const timer = setInterval(begin, LOOK_MS)
  timer.unref()
  begin()
  return async () => {
    clearInterval(timer)
    await making
  }
}
