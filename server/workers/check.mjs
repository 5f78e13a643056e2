import { constants, setPriority } from 'node:os'
import { createClient } from '@libsql/client'

/** Checks the database it is told, and gives way to whoever has work to do meanwhile. */
setPriority(constants.priority.PRIORITY_LOW)
// Whoever asked may be gone: then nobody waits for it.
process.once('disconnect', () => process.exit())

async function check(path) {
  try {
    const client = createClient({ url: `file:${path}` })
    const { rows } = await client.execute('PRAGMA quick_check(5)')
    client.close()
    return rows.map((row) => String(row.quick_check)).filter((line) => line !== 'ok')
  } catch (error) {
    return [error.message]
  }
}

process.send({ wrong: await check(process.argv[2]) }, () => process.disconnect())
