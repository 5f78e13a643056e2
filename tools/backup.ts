import { readSettings } from '@overhaul/server/app/settings'
import { backUp } from '@overhaul/server/db/backups'

/** `npm run backup`: the workshop's data copied into its backups folder, running or not. */
const settings = readSettings(process.env, [])
const made = settings.ok ? await backUp(settings.value.data) : settings
if (!made.ok) {
  console.error(made.error.message)
  process.exit(1)
}
console.log(`The workshop is backed up in ${made.value}`)
