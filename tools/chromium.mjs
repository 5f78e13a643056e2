import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

export const CHROMIUM = {
  executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}

/** Installs Debian's Chromium where it is missing and that is allowed; says what to do where it is not. */
export function ensureChromium() {
  if (existsSync(CHROMIUM.executablePath)) return
  const isRoot = process.getuid?.() === 0
  if (!isRoot || !existsSync('/usr/bin/apt-get')) {
    console.error(
      'The browser tests need Chromium: install it (on Debian: apt-get install chromium), or set CHROMIUM_PATH.',
    )
    process.exit(1)
  }
  console.log('Installing Chromium…')
  const quiet = { stdio: ['ignore', 'ignore', 'inherit'] }
  spawnSync('apt-get', ['update', '-qq'], quiet)
  spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    ...quiet,
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  })
  if (!existsSync(CHROMIUM.executablePath)) {
    console.error('Chromium could not be installed. Install it by hand, or set CHROMIUM_PATH.')
    process.exit(1)
  }
}
