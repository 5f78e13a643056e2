import { fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { Worker } from 'node:worker_threads'

const WORKER = new URL('../../workers/aside.mjs', import.meta.url)
const CHECK = fileURLToPath(new URL('../../workers/check.mjs', import.meta.url))

const UNANSWERED = ['it ended without an answer']

/**
 * Runs one piece of work in a worker; answers, once the worker is gone, with what was found wrong, nothing where all is well. Whoever
 * closes the data waits for it: one that is stopped while it works takes the whole process with it.
 */
function aside(work: object): Promise<readonly string[]> {
  return new Promise((resolve) => {
    let answer: readonly string[] = UNANSWERED
    const worker = new Worker(WORKER, { workerData: work })
    worker.once('message', ({ wrong }: { wrong: readonly string[] }) => {
      answer = wrong
    })
    worker.once('error', (error) => {
      answer = [error.message]
    })
    worker.once('exit', () => resolve(answer))
  })
}

/** A check that is under way. */
export interface Check {
  /** What is wrong with the file; nothing where all is well, and where it was stopped. */
  readonly found: Promise<readonly string[]>
  readonly stop: () => void
}

/**
 * Begins SQLite’s quick check of a database file: ten seconds on a large one. It runs in a process of its own, which gives way to
 * everything else and can be stopped at any moment.
 */
export function beginCheck(path: string): Check {
  let isStopped = false
  const child = fork(CHECK, [path], { execArgv: [] })
  const found = new Promise<readonly string[]>((resolve) => {
    child.once('message', ({ wrong }: { wrong: readonly string[] }) => resolve(wrong))
    child.once('error', (error) => resolve([error.message]))
    child.once('exit', () => resolve(isStopped ? [] : UNANSWERED))
  })
  const stop = () => {
    isStopped = true
    child.kill('SIGKILL')
  }
  return { found, stop }
}

/** What SQLite’s quick check finds wrong with a database file. */
export const checkDatabase = (path: string) => beginCheck(path).found

/** A whole copy of a database in use, as it stands; it must not exist yet. */
export const copyDatabase = (path: string, to: string) => aside({ work: 'backup', path, to })

/** Lays the short log of a database in use into its file, as far as nobody stands in the way. */
export const layIn = (path: string) => aside({ work: 'layIn', path })

/** Makes one whole file of a copy and its log, on a connection of its own; `epoch` marks it as another state of the data. */
export const foldIn = (path: string, epoch?: string) => aside({ work: 'fold', path, ...(epoch && { epoch }) })
