import { parentPort, workerData } from 'node:worker_threads'
import { createClient } from '@libsql/client'

/** Work on the data beside the workshop, on a connection of its own, so that no hand waits for it. */
const WORK = {
  async layIn(client) {
    await client.execute('PRAGMA wal_checkpoint(PASSIVE)')
    return []
  },
  async backup(client, { to }) {
    await client.execute({ sql: 'VACUUM INTO ?', args: [to] })
    return []
  },
}

const { path, work, ...more } = workerData
const client = createClient({ url: `file:${path}` })
try {
  parentPort.postMessage({ wrong: await WORK[work](client, more) })
} catch (error) {
  parentPort.postMessage({ wrong: [error.message] })
} finally {
  client.close()
}
