import { readSettings } from '@overhaul/server/app/settings'
import { restore } from '@overhaul/server/db/restore'

/** `npm run restore [-- file]`: a backup, the newest if none is named, put in the place of the data. */
const settings = readSettings(process.env, [])
const done = settings.ok ? await restore(settings.value.data, process.argv[2]) : settings
if (!done.ok) {
  console.error(done.error.message)
  process.exit(1)
}
const { from, replaced } = done.value
console.log(`Restored from ${from}.${replaced ? ` What stood there before is kept as ${replaced}.` : ''}`)
