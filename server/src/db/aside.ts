import { Worker } from 'node:worker_threads'

const WORKER = new URL('../../workers/aside.mjs', import.meta.url)

/** Runs one piece of work in a worker; answers with what was found wrong, nothing where all is well. */
function aside(work: object): Promise<readonly string[]> {
  return new Promise((resolve) => {
    const worker = new Worker(WORKER, { workerData: work })
    worker.once('message', ({ wrong }: { wrong: readonly string[] }) => resolve(wrong))
    worker.once('error', (error) => resolve([error.message]))
    worker.once('exit', () => resolve(['it ended without an answer']))
  })
}

/** What SQLite’s quick check finds wrong with a database file. */
export const checkDatabase = (path: string) => aside({ work: 'check', path })

/** A whole copy of a database in use, as it stands; it must not exist yet. */
export const copyDatabase = (path: string, to: string) => aside({ work: 'backup', path, to })

/** Lays the short log of a database in use into its file, as far as nobody stands in the way. */
export const layIn = (path: string) => aside({ work: 'layIn', path })
