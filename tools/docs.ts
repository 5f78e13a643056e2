import { readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { withTables } from './formats.ts'

/** `npm run docs`: the tables of docs/formats.md written anew from what the house itself says. */
const path = join(dirname(dirname(fileURLToPath(import.meta.url))), 'docs/formats.md')
writeFileSync(path, withTables(readFileSync(path, 'utf8')))
