import { randomUUID } from 'node:crypto'
import { closeSync, existsSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs'
import { basename, join } from 'node:path'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { checkDatabase, foldIn } from './aside.ts'
import { backupsIn, backupsOf, copyWhole, freeName, partIn, removeWhole, thinOut } from './backups.ts'
import { COUNT_FILE, databaseIn, lastRun, lockedBy, RUN_FILE, writeRun } from './run.ts'

/** What takes the data’s place, until it has. */
const partOf = (directory: string) => `${databaseIn(directory)}.part`

/**
 * Finishes a restore that was cut short once all it needs was there; one cut short before that changed nothing and is forgotten.
 * Whoever opens the data does this first.
 */
export function finishRestore(directory: string): void {
  const part = partOf(directory)
  if (lastRun(directory) !== 'restoring') {
    removeWhole(part)
    return
  }
  const data = databaseIn(directory)
  if (existsSync(part)) {
    for (const tail of ['-wal', '-shm']) rmSync(data + tail, { force: true })
    renameSync(part, data)
  }
  rmSync(join(directory, COUNT_FILE), { force: true })
  rmSync(join(directory, RUN_FILE), { force: true })
}

/** Keeps the data as it stands under a name of its own, as one whole file where it can still be read. */
async function keep(directory: string, now: Date): Promise<string> {
  const part = partIn(directory)
  try {
    copyWhole(databaseIn(directory), part)
    await foldIn(part)
    const path = freeName(directory, 'replaced', now)
    for (const tail of ['-wal', '']) if (existsSync(part + tail)) renameSync(part + tail, path + tail)
    thinOut(directory, 'replaced')
    return path
  } finally {
    removeWhole(part)
  }
}

function flush(path: string): void {
  const file = openSync(path, 'r+')
  fsyncSync(file)
  closeSync(file)
}

/**
 * Puts a backup in the place of the data, which is copied first: wherever it is cut short, the data is the one or the other, whole.
 * Refuses while the workshop runs, a damaged backup, and a disk with no room for both.
 */
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
  finishRestore(directory)
  const from = chosen ?? backupsOf(directory).at(-1)
  if (!from || !existsSync(from)) {
    const known = backupsOf(directory).map((each) => basename(each))
    return refuse(
      'no-backup',
      'backup',
      `There is no backup ${chosen ?? `in ${backupsIn(directory)}`}. Accepted: ${known.join(', ') || 'the path of one'}.`,
    )
  }
  const part = partOf(directory)
  try {
    copyWhole(from, part)
    // It is another state of the data from here on: what a screen read before is not taken for what is there now.
    const wrong = [...(await checkDatabase(part)), ...(await foldIn(part, randomUUID().slice(0, 8)))]
    if (wrong.length > 0) {
      removeWhole(part)
      return refuse(
        'data-damaged',
        'backup',
        `${basename(from)} is damaged: ${wrong.join('; ')}. Choose another; nothing was changed.`,
      )
    }
    flush(part)
    const replaced = existsSync(databaseIn(directory)) ? await keep(directory, now) : undefined
    writeRun(directory, 'restoring')
    finishRestore(directory)
    return ok({ from, ...(replaced && { replaced }) })
  } catch (error) {
    if (lastRun(directory) !== 'restoring') removeWhole(part)
    if (!['ENOSPC', 'EDQUOT'].includes(String((error as NodeJS.ErrnoException).code))) throw error
    const message = `There is no room on the disk for ${basename(from)} beside what it replaces. Make room and restore again; nothing was changed.`
    return refuse('disk-full', 'OVERHAUL_DATA', message)
  }
}
