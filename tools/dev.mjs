import { spawn } from 'node:child_process'
import { install, ROOT } from './install.mjs'

install()
const start = (command, args) => spawn(command, args, { cwd: ROOT, stdio: 'inherit' })
const running = [
  start(process.execPath, ['--watch', '--import', 'tsx', 'server/src/main.ts', ...process.argv.slice(2)]),
  start('npx', ['vite', 'web']),
]
const stop = () => {
  for (const each of running) each.kill('SIGTERM')
}
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
for (const each of running) each.on('exit', stop)
console.log('Interface with reload on http://127.0.0.1:4118, server on its usual port.')
