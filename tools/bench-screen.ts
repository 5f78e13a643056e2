import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { type Line, quantile } from './bench-lines.ts'
import { CHROMIUM } from './chromium.mjs'

const PORT = 4398
const BASE = `http://127.0.0.1:${PORT}`
const SQUEEZES = 6
const HELD_MS = 1100

/** Run in the page: the moments of its frames, for as long as the lever is held. */
const LOOK = `
  window.seen = []
  requestAnimationFrame(function look(now) {
    window.seen.push(now)
    if (now < window.seen[0] + ${HELD_MS}) requestAnimationFrame(look)
  })
`

/** The demo workshop, as it is served. */
async function shop() {
  const data = mkdtempSync(join(tmpdir(), 'overhaul-screen-'))
  const server = spawn(process.execPath, ['server/dist/bundle/main.js'], {
    env: { ...process.env, OVERHAUL_DATA: data, OVERHAUL_PORT: String(PORT) },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise<void>((resolve) => {
    server.stdout.on('data', (chunk: Buffer) => chunk.toString().includes('is open') && resolve())
  })
  return async () => {
    server.kill('SIGTERM')
    await new Promise((resolve) => server.once('exit', resolve))
    rmSync(data, { recursive: true, force: true })
  }
}

/** From one frame to the next while the lever is squeezed, the whole Stand on the screen. */
export async function benchScreen(): Promise<readonly Line[]> {
  const close = await shop()
  const browser = await chromium.launch(CHROMIUM)
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const rack = (await (await fetch(`${BASE}/api/bicycles`)).json()) as {
      brakes: { job: { id: string; releasedAt: string | null } | null }[]
    }[]
    const job = rack.flatMap(({ brakes }) => brakes).find((each) => each.job && !each.job.releasedAt)?.job
    await page.goto(`${BASE}/stand/${job?.id}`)
    await page.getByLabel(/Bench drawing/).focus()
    const frames: number[] = []
    for (let squeeze = 0; squeeze < SQUEEZES; squeeze += 1) {
      await page.evaluate(LOOK)
      await page.keyboard.down(' ')
      await page.waitForTimeout(HELD_MS)
      const seen: readonly number[] = await page.evaluate('window.seen')
      await page.keyboard.up(' ')
      await page.waitForTimeout(500)
      frames.push(...seen.slice(1).map((at, index) => at - (seen[index] as number)))
    }
    return [
      {
        what: 'from frame to frame of a squeeze, the whole Stand on screen, p95',
        value: quantile(frames, 0.95),
        unit: 'ms',
        limit: 20,
      },
    ]
  } finally {
    await browser.close()
    await close()
  }
}
