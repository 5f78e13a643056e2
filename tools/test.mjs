import { spawn } from 'node:child_process'
import { closeSync, mkdirSync, openSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { build } from './build.mjs'
import { ensureChromium } from './chromium.mjs'
import { inTurn } from './in-turn.mjs'
import { install, ROOT } from './install.mjs'
import { failedInBrowser, failedUnits } from './what-failed.mjs'

/**
 * Everything, from a clean clone: lint, types and what nobody uses, what computes, the server, the browser, a short soak; closes with what
 * failed, by name, and one line of counts. `--tier core|server|browser|soak`, more than once if wanted, runs only those; words after it are passed on to
 * the runner: `npm test -- --tier browser stand` runs one spec.
 */
const TIERS = ['core', 'server', 'soak', 'browser']
const { values, positionals } = parseArgs({
  options: { tier: { type: 'string', multiple: true } },
  allowPositionals: true,
})
const wanted = values.tier ?? TIERS
const unknown = wanted.find((each) => !TIERS.includes(each))
if (unknown !== undefined) {
  console.error(`There is no tier “${unknown}”. Accepted: ${TIERS.join(', ')}.`)
  process.exit(2)
}

const CACHE = join(ROOT, '.cache')
const counts = { passed: 0, failed: 0 }
/** What failed, a line each: the end of a long print is what is read, and often all that is kept of it. */
const failures = []

/** Runs a command and says whether it ended well; what it prints goes to a file where something else is on the screen. */
function ran(command, args, { env = {}, log } = {}) {
  return new Promise((resolve) => {
    const out = log ? openSync(log, 'w') : 'inherit'
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', out, out],
      env: { ...process.env, ...env },
    })
    if (log) closeSync(out)
    child.once('error', () => resolve(false))
    child.once('close', (code) => resolve(code === 0))
  })
}

/** A step that is right or wrong as a whole counts as one test. */
async function check(name, command, args, where) {
  if (!where.log) console.log(`\n— ${name}`)
  if (await ran(command, args, where)) counts.passed += 1
  else {
    counts.failed += 1
    failures.push(`${name}: ${[command, ...args].join(' ')}`)
  }
}

/** Adds what a runner's report counted; a runner that broke before it could count is one failure. */
function tally(report, ended, read) {
  let failed = 0
  try {
    const found = read(JSON.parse(readFileSync(report, 'utf8')))
    counts.passed += found.passed
    failed = found.failed
    failures.push(...found.names)
    if (!ended && failed === 0) failures.push(`${report}: the runner ended badly, though no test of its own failed`)
  } catch (error) {
    failed = 1
    failures.push(`${report}: the runner left no report that can be read (${error.message})`)
  }
  counts.failed += ended ? failed : Math.max(1, failed)
}

async function units(tier, where) {
  if (!where.log) console.log(`\n— ${tier} tests`)
  const report = join(CACHE, `${tier}.json`)
  const flags = ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`]
  const ended = await ran('npx', ['vitest', 'run', '--project', tier, ...flags, ...positionals], where)
  tally(report, ended, (found) => ({
    passed: found.numPassedTests,
    failed: found.numFailedTests,
    names: failedUnits(found),
  }))
}

async function browser() {
  console.log('\n— browser tests')
  const report = join(CACHE, 'browser.json')
  const env = { PLAYWRIGHT_JSON_OUTPUT_NAME: report }
  const ended = await ran('npx', ['playwright', 'test', '--reporter=list,json', ...positionals], { env })
  tally(report, ended, (found) => ({
    passed: found.stats.expected,
    failed: found.stats.unexpected + found.stats.flaky,
    names: failedInBrowser(found),
  }))
}

/** Everything that needs no browser, one after the other. */
async function withoutBrowser(where) {
  if (wanted.includes('core')) {
    await check('lint', 'npx', ['biome', 'check', '--error-on-warnings', '.'], where('lint'))
    await check('types', process.execPath, ['tools/types.mjs'], where('types'))
    await check('unused', 'npx', ['knip'], where('unused'))
  }
  for (const tier of ['core', 'server', 'soak']) if (wanted.includes(tier)) await units(tier, where(tier))
}

inTurn(install)
mkdirSync(CACHE, { recursive: true })
for (const name of readdirSync(CACHE))
  if (name !== 'making.lock') rmSync(join(CACHE, name), { recursive: true, force: true })
if (wanted.includes('browser')) {
  ensureChromium()
  inTurn(build)
  const logs = []
  const beside = wanted.length > 1
  const others = withoutBrowser((name) => {
    const log = join(CACHE, `${name}.log`)
    logs.push([name, log])
    return { log }
  })
  if (beside) console.log('Beside the browser run the others; what they print follows.')
  await browser()
  await others
  for (const [name, log] of logs) console.log(`\n— ${name}\n${readFileSync(log, 'utf8').trimEnd()}`)
} else await withoutBrowser(() => ({}))

if (failures.length > 0) console.log(`\nFailed:\n${failures.map((line) => `  ${line}`).join('\n')}`)
console.log(`\n${counts.passed} passed, ${counts.failed} failed`)
process.exit(counts.failed === 0 ? 0 : 1)
