import { spawn } from 'node:child_process'
import { build, SERVER } from './build.mjs'
import { install, ROOT } from './install.mjs'

install()
build()
const server = spawn(process.execPath, [SERVER, ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit',
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code) => process.exit(code ?? 0))
