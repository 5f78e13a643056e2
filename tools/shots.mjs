import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { build, SERVER } from './build.mjs'
import { CHROMIUM, ensureChromium } from './chromium.mjs'
import { install, ROOT } from './install.mjs'

/** One current picture of each main view, from the demo workshop: `npm run shots`. */
const PORT = 4329
const BASE = `http://127.0.0.1:${PORT}`
const OUT = join(ROOT, 'docs/screenshots')

const VIEWS = [
  { name: 'rack', at: '/' },
  { name: 'stand', job: ['Hire 04', 'front'] },
  { name: 'stand-night', job: ['Hire 06', 'rear'], night: true },
  { name: 'stand-drum', job: ['Roadster 2', 'rear'] },
  { name: 'stand-stops', job: ['Hire 04', 'rear'], act: (page) => bring(page, 'Prove', 'Stop tests') },
  { name: 'stand-squeezed', job: ['Hire 04', 'front'], act: squeeze },
  { name: 'stand-working', job: ['Hire 04', 'front'], act: (page) => page.keyboard.press('w') },
  { name: 'stand-upright', job: ['Hire 07', 'rear'], size: [820, 1180] },
  { name: 'stand-phone', job: ['Hire 04', 'front'], size: [390, 844] },
  {
    name: 'stand-mount',
    job: ['Tourer 1', 'front'],
    act: (page) => page.getByRole('region', { name: 'Ways of mounting' }).evaluate((ways) => ways.scrollIntoView()),
  },
  { name: 'stand-disc', job: ['Cargo 1', 'front'] },
  { name: 'stand-pads', job: ['Hire 16', 'rear'], act: (page) => bring(page, 'Pads', 'Drift') },
  { name: 'stand-stack', job: ['Assisted 1', 'rear'] },
  { name: 'stand-lever', job: ['Hire 22', 'front'] },
  { name: 'stand-cable', job: ['Cross 1', 'front'], act: (page) => bring(page, 'Cable', 'Cable’s way') },
  { name: 'hardware', bicycle: 'Cross 1', act: (page) => page.getByLabel('boss to straddle end, up').click() },
  { name: 'drawer', at: '/drawer' },
  { name: 'handbook', at: '/handbook/station/pads' },
  { name: 'job-sheet', sheet: ['Hire 04', 'rear'] },
]

/** Goes to a station and brings one of its notes to the top. */
async function bring(page, station, region) {
  await page.getByRole('button', { name: new RegExp(`^${station}`) }).click()
  await page.getByRole('region', { name: region }).evaluate((each) => each.scrollIntoView())
}

async function squeeze(page) {
  await page.getByLabel(/Bench drawing/).focus()
  await page.keyboard.down(' ')
  await page.waitForTimeout(1300)
}

async function pathOf({ at, bicycle, job, sheet }) {
  if (at) return at
  const rack = await (await fetch(`${BASE}/api/bicycles`)).json()
  if (bicycle) return `/bicycles/${rack.find((each) => each.name === bicycle).id}`
  const [name, end] = job ?? sheet
  const { id } = rack.find((each) => each.name === name).brakes.find((each) => each.end === end).job
  return job ? `/stand/${id}` : `/jobs/${id}/sheet`
}

function startServer(data) {
  const env = { ...process.env, OVERHAUL_DATA: data, OVERHAUL_PORT: String(PORT) }
  const server = spawn(process.execPath, [SERVER], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  return new Promise((resolve) =>
    server.stdout.on('data', (text) => String(text).includes('is open') && resolve(server)),
  )
}

install()
ensureChromium()
build()
mkdirSync(OUT, { recursive: true })
const data = mkdtempSync(join(tmpdir(), 'overhaul-shots-'))
const server = await startServer(data)
try {
  const browser = await chromium.launch(CHROMIUM)
  for (const view of VIEWS) {
    const [width, height] = view.size ?? [1280, 800]
    const context = await browser.newContext({
      viewport: { width, height },
      colorScheme: view.night ? 'dark' : 'light',
      locale: 'en-GB',
      timezoneId: 'UTC',
    })
    const page = await context.newPage()
    await page.goto(BASE + (await pathOf(view)))
    // A page is there once it says something: how long that takes is the machine’s affair.
    await page.waitForFunction(() => (document.querySelector('main')?.textContent ?? '').length > 80)
    await page.waitForTimeout(900)
    await view.act?.(page)
    await page.waitForFunction(
      () => ![...document.querySelectorAll('main *')].some(({ textContent }) => textContent === '…'),
    )
    await page.waitForTimeout(300)
    await page.screenshot({ path: join(OUT, `${view.name}.png`) })
    await context.close()
    console.log(`docs/screenshots/${view.name}.png`)
  }
  await browser.close()
} finally {
  server.kill('SIGTERM')
  // Its data is taken away only when it is closed.
  await new Promise((resolve) => server.once('exit', resolve))
  rmSync(data, { recursive: true, force: true })
}
