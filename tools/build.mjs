import { existsSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT, run } from './install.mjs'

/** What `npm start` runs. */
export const SERVER = 'server/dist/bundle/main.js'

const PARTS = [
  {
    title: 'interface',
    made: 'web/dist/index.html',
    from: ['web/src', 'web/public', 'web/index.html', 'web/vite.config.ts'],
    config: 'web/vite.config.ts',
  },
  { title: 'server', made: SERVER, from: ['server/src', 'server/vite.config.ts'], config: 'server/vite.config.ts' },
]
const SHARED = ['core/src', 'package-lock.json']

function newest(path) {
  const stat = statSync(path)
  if (!stat.isDirectory()) return stat.mtimeMs
  return Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))))
}

/** Builds the interface and the server where any of their sources is newer than what was built. */
export function build() {
  for (const { title, made, from, config } of PARTS) {
    const built = join(ROOT, made)
    const sources = [...from, ...SHARED].map((each) => newest(join(ROOT, each)))
    if (existsSync(built) && Math.max(...sources) < statSync(built).mtimeMs) continue
    console.log(`Building the ${title}…`)
    run('npx', ['vite', 'build', '--config', config, '--logLevel', 'error'])
  }
}
