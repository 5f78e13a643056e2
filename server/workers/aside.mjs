import { parentPort, workerData } from 'node:worker_threads'
import { createClient } from '@libsql/client'

/** Work on the data beside the workshop, on a connection of its own, so that no hand waits for it. */
const WORK = {
  async layIn(client) {
    await client.execute('PRAGMA wal_checkpoint(PASSIVE)')
    return []
  },
  async fold(client, { epoch }) {
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
    const known = await client.execute("SELECT 1 FROM pragma_table_info('changes') WHERE name = 'epoch'")
    if (epoch && known.rows.length > 0) await client.execute({ sql: 'UPDATE changes SET epoch = ?', args: [epoch] })
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
