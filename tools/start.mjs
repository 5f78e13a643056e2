import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { build, SERVER } from './build.mjs'
import { install, ROOT } from './install.mjs'

install()
build()
process.chdir(ROOT)
await import(pathToFileURL(join(ROOT, SERVER)).href)
