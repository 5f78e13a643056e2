import { randomUUID } from 'node:crypto'
import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { basename, join } from 'node:path'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { checkDatabase, copyDatabase } from './aside.ts'
import { databaseIn, lockedBy, RUN_FILE } from './run.ts'

/** So many days of backups are kept, and so many copies of what a restore replaced. Our choice. */
const KEPT = 14

const NAMED = /^overhaul-\d{8}-\d{6}(-\d+)?\.db$/
const REPLACED = /^replaced-\d{8}-\d{6}(-\d+)?\.db$/

export const backupsIn = (directory: string): string => join(directory, 'backups')

const listed = (directory: string, named: RegExp): readonly string[] => {
  const folder = backupsIn(directory)
  return existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => named.test(name))
        .sort()
        .map((name) => join(folder, name))
    : []
}

/** Backups of a data directory, oldest first. */
export const backupsOf = (directory: string): readonly string[] => listed(directory, NAMED)

/** The newest backup, as a sentence that offers it. */
export function offerBackup(directory: string): string {
  const newest = backupsOf(directory).at(-1)
  return newest
    ? `The newest backup is ${basename(newest)}: “npm run restore” puts it in its place.`
    : 'There is no backup in its backups folder.'
}

/** A name by the moment it was made, told apart from others of the same second. */
function freeName(directory: string, kind: 'overhaul' | 'replaced', now: Date): string {
  const moment = now.toISOString().replace(/[-:]/g, '').replace('T', '-').slice(0, 15)
  const folder = backupsIn(directory)
  mkdirSync(folder, { recursive: true })
  for (let more = 0; ; more += 1) {
    const path = join(folder, `${kind}-${moment}${more ? `-${more}` : ''}.db`)
    if (!existsSync(path)) return path
  }
}

const thinOut = (directory: string, named: RegExp) => {
  for (const old of listed(directory, named).slice(0, -KEPT)) rmSync(old, { force: true })
}

/** Copies the workshop’s data as it stands, whole or not at all; the oldest make room. Works while the workshop runs. */
export async function backUp(directory: string, now = new Date()): Promise<Outcome<string>> {
  const from = databaseIn(directory)
  if (!existsSync(from)) return refuse('no-data', 'OVERHAUL_DATA', `There is no workshop in ${directory} to back up.`)
  // The daily one and one by hand may be made at once: each has a file of its own, and takes its name when it is whole.
  mkdirSync(backupsIn(directory), { recursive: true })
  const made = join(backupsIn(directory), `${randomUUID()}.part`)
  const wrong = await copyDatabase(from, made)
  if (wrong.length > 0) {
    rmSync(made, { force: true })
    return refuse('not-backed-up', 'OVERHAUL_DATA', `The backup could not be made: ${wrong.join('; ')}.`)
  }
  const path = freeName(directory, 'overhaul', now)
  renameSync(made, path)
  thinOut(directory, NAMED)
  return ok(path)
}

/** Puts a backup in the place of the data, which is copied first. Refuses while the workshop runs, and a damaged backup. */
export async function restore(
  directory: string,
  chosen?: string,
  now = new Date(),
): Promise<Outcome<{ readonly from: string; readonly replaced?: string }>> {
  const pid = lockedBy(directory)
  if (pid)
    return refuse(
      'data-in-use',
      'OVERHAUL_DATA',
      `Overhaul is running on ${directory} (process ${pid}). Stop it first.`,
    )
  const from = chosen ?? backupsOf(directory).at(-1)
  if (!from || !existsSync(from)) {
    const known = backupsOf(directory).map((each) => basename(each))
    return refuse(
      'no-backup',
      'backup',
      `There is no backup ${chosen ?? `in ${backupsIn(directory)}`}. Accepted: ${known.join(', ') || 'the path of one'}.`,
    )
  }
  const wrong = await checkDatabase(from)
  if (wrong.length > 0)
    return refuse(
      'data-damaged',
      'backup',
      `${basename(from)} is damaged: ${wrong.join('; ')}. Choose another; nothing was changed.`,
    )
  const data = databaseIn(directory)
  const keep = existsSync(data) ? freeName(directory, 'replaced', now) : undefined
  if (keep) for (const tail of ['', '-wal']) if (existsSync(data + tail)) copyFileSync(data + tail, keep + tail)
  const part = `${data}.part`
  copyFileSync(from, part)
  for (const tail of ['-wal', '-shm']) rmSync(data + tail, { force: true })
  renameSync(part, data)
  rmSync(join(directory, RUN_FILE), { force: true })
  thinOut(directory, REPLACED)
  return ok({ from, ...(keep && { replaced: keep }) })
}

/** How long ago the newest backup was made; infinite where there is none. */
export function sinceBackupMs(directory: string, now = Date.now()): number {
  const newest = backupsOf(directory).at(-1)
  return newest ? now - statSync(newest).mtimeMs : Number.POSITIVE_INFINITY
}

const DAY_MS = 86_400_000
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
