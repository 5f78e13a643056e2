import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { build, SERVER } from './build.mjs'
import { inTurn } from './in-turn.mjs'
import { install, ROOT } from './install.mjs'

inTurn(() => {
  install()
  build()
})
process.chdir(ROOT)
await import(pathToFileURL(join(ROOT, SERVER)).href)
