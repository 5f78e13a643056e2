import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))

/** Runs a command in the project's root; exits with its code where it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options })
  if (error) console.error(`${command}: ${error.message}`)
  if (status !== 0) process.exit(status ?? 1)
}

/** Installs the packages of the lock file unless these very ones are there already. */
export function install() {
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex')
  const stamp = join(ROOT, 'node_modules', '.overhaul-lock')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  console.log('Installing packages…')
  run('npm', ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'])
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, lock)
}
