import {
  closeSync,
  existsSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs'
import { join } from 'node:path'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'

export const databaseIn = (directory: string): string => join(directory, 'overhaul.db')

/** How the last run ended, beside the data: what is missing afterwards was there before. */
export const RUN_FILE = 'overhaul.run'

/** `restoring`: a restore has all it needs beside the data, and is to be finished before anything else. */
type Ended = 'clean' | 'open' | 'restoring'

export function writeRun(directory: string, ended: Ended): void {
  const path = join(directory, RUN_FILE)
  writeFileSync(`${path}.part`, `${ended}\n`)
  renameSync(`${path}.part`, path)
}

/** How the last run on this data ended; undefined where none was ever seen. */
export function lastRun(directory: string): Ended | undefined {
  const path = join(directory, RUN_FILE)
  if (!existsSync(path)) return undefined
  const said = readFileSync(path, 'utf8').trim()
  return said === 'clean' || said === 'restoring' ? said : 'open'
}

/** How many writes were acknowledged, beside the data: what the data itself counts less of was lost. */
export const COUNT_FILE = 'overhaul.count'
const DIGITS = 16

/** The writes acknowledged on this data; undefined where nobody counted. */
export function counted(directory: string): number | undefined {
  const path = join(directory, COUNT_FILE)
  const text = existsSync(path) ? readFileSync(path, 'utf8').trim() : ''
  return /^\d+$/.test(text) ? Number(text) : undefined
}

/** Counts writes beside the data. It is not waited for: after a power cut it may be behind the data, never ahead of it. */
export class Count {
  private readonly file: number

  constructor(
    directory: string,
    private count: number,
  ) {
    this.file = openSync(join(directory, COUNT_FILE), 'w')
    this.say()
  }

  goOn(): void {
    this.count += 1
    this.say()
  }

  close(): void {
    closeSync(this.file)
  }

  private say(): void {
    writeSync(this.file, `${String(this.count).padStart(DIGITS, '0')}\n`, 0)
  }
}

const LOCK = 'overhaul.lock'

/** What the lock says: the process that holds it, and when that process began, so that a pid used again is not taken for it. */
interface Holder {
  readonly pid: number
  readonly began?: string
}

/** When a process began, in the machine’s own count; undefined where the machine does not tell. */
function beganAt(pid: number): string | undefined {
  try {
    // The command’s name stands in brackets and may have spaces: the count starts after it (proc(5), field 22).
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ')[19]
  } catch {
    return undefined
  }
}

function isAlive({ pid, began }: Holder): boolean {
  if (!Number.isInteger(pid) || pid <= 0) return false
  try {
    process.kill(pid, 0)
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EPERM') return false
  }
  const now = beganAt(pid)
  return began === undefined || now === undefined || began === now
}

function readLock(path: string): Holder | undefined {
  if (!existsSync(path)) return undefined
  const [pid, began] = readFileSync(path, 'utf8').trim().split(' ')
  return { pid: Number(pid), ...(began && { began }) }
}

/** Lays down that this very process holds the data. */
const writeLock = (path: string) => writeFileSync(path, [process.pid, beganAt(process.pid)].filter(Boolean).join(' '))

/** Whether a process of this number runs. */
export const isRunning = (pid: number): boolean => isAlive({ pid })

/** Whether a living process, this one or another, holds the data. */
export const isHeld = (directory: string): boolean => {
  const holder = readLock(join(directory, LOCK))
  return holder !== undefined && isAlive(holder)
}

/** The living process that holds this data, if another one does. */
export function lockedBy(directory: string): number | undefined {
  const holder = readLock(join(directory, LOCK))
  return holder && holder.pid !== process.pid && isAlive(holder) ? holder.pid : undefined
}

/** One process owns the data: a second one would meet a busy database in the middle of somebody's job. */
export function lock(directory: string): Outcome<() => void> {
  const pid = lockedBy(directory)
  if (pid) {
    return refuse(
      'data-in-use',
      'OVERHAUL_DATA',
      `${directory} is in use by another Overhaul (process ${pid}). Stop it first, or choose another data directory.`,
    )
  }
  const path = join(directory, LOCK)
  writeLock(path)
  return ok(() => {
    if (existsSync(path) && readFileSync(path, 'utf8').startsWith(`${process.pid}`)) rmSync(path, { force: true })
  })
}

/** Whether this process still holds the data. A lock somebody removed is laid down again; one of another's is not touched. */
function holds(directory: string): boolean {
  const path = join(directory, LOCK)
  const holder = readLock(path)
  if (holder?.pid === process.pid) return true
  if (holder && isAlive(holder)) return false
  if (existsSync(directory)) writeLock(path)
  return true
}

/** What the machine knows of a file; undefined where it is gone. */
const stateOf = (path: string) => statSync(path, { throwIfNoEntry: false })

/** The very file, as the machine tells files apart. */
const identity = (path: string): string | undefined => {
  const file = stateOf(path)
  return file && `${file.dev}:${file.ino}`
}

/** The very file as it was last written to. */
export const version = (path: string): string | undefined => {
  const file = stateOf(path)
  return file && `${file.dev}:${file.ino}:${file.mtimeMs}:${file.size}`
}

/** Watches that this process still holds the data. It is asked at every write: the lock is read only where somebody wrote to it. */
export function watchLock(directory: string): () => boolean {
  const path = join(directory, LOCK)
  let seen: string | undefined
  return () => {
    const now = version(path)
    if (now !== undefined && now === seen) return true
    const isOurs = holds(directory)
    seen = isOurs ? version(path) : undefined
    return isOurs
  }
}

/** Watches that the database and its log are still the files that were opened. */
export function watchFiles(path: string): () => string | undefined {
  const files = [path, `${path}-wal`].map((each) => ({ each, was: identity(each) }))
  return () => files.find(({ each, was }) => identity(each) !== was)?.each
}
