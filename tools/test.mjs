import { spawnSync } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { build } from './build.mjs'
import { ensureChromium } from './chromium.mjs'
import { install, ROOT } from './install.mjs'

/** Everything, from a clean clone: lint, types, unit and server tests, browser tests; closes with one line of counts. */
const CACHE = join(ROOT, '.cache')
const counts = { passed: 0, failed: 0 }

function step(name, command, args, env = {}) {
  console.log(`\n— ${name}`)
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } })
  return status === 0
}

/** A step that is right or wrong as a whole counts as one test. */
function check(name, command, args) {
  if (step(name, command, args)) counts.passed += 1
  else counts.failed += 1
}

/** Adds what a runner's report counted; a runner that broke before it could count is one failure. */
function tally(path, ran, read) {
  let failed = 0
  try {
    const report = read(JSON.parse(readFileSync(path, 'utf8')))
    counts.passed += report.passed
    failed = report.failed
  } catch {
    failed = 1
  }
  counts.failed += ran ? failed : Math.max(1, failed)
}

install()
rmSync(CACHE, { recursive: true, force: true })
mkdirSync(CACHE, { recursive: true })
check('lint', 'npx', ['biome', 'check', '--error-on-warnings', '.'])
check('types', process.execPath, ['tools/types.mjs'])

const unit = join(CACHE, 'unit.json')
const unitRan = step('unit and server tests', 'npx', [
  'vitest',
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${unit}`,
])
tally(unit, unitRan, (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }))

ensureChromium()
build()
const browser = join(CACHE, 'browser.json')
const browserRan = step('browser tests', 'npx', ['playwright', 'test', '--reporter=list,json'], {
  PLAYWRIGHT_JSON_OUTPUT_NAME: browser,
})
tally(browser, browserRan, ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }))

console.log(`\n${counts.passed} passed, ${counts.failed} failed`)
process.exit(counts.failed === 0 ? 0 : 1)
