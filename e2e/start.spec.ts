import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { networkInterfaces, tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from '@playwright/test'
import { until, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))

/** What a test started, so that nothing of it outlives the test, failed or not. */
const started: ChildProcess[] = []

const stop = (child: ChildProcess) =>
  new Promise((resolve) => {
    if (child.exitCode !== null) return resolve(undefined)
    child.once('exit', resolve)
    child.kill('SIGTERM')
  })

test.afterEach(() => Promise.all(started.splice(0).map(stop)))

/** `npm start` until it ends by itself or says it is open. */
function start(environment: Record<string, string>, ...flags: readonly string[]) {
  const child = spawn(process.execPath, ['tools/start.mjs', ...flags], {
    cwd: ROOT,
    env: { ...process.env, ...environment },
    stdio: 'pipe',
  })
  started.push(child)
  let said = ''
  const done = new Promise<{ code: number | null; said: string }>((resolve) => {
    const hear = (chunk: Buffer) => {
      said += chunk.toString()
      if (said.includes('is open at')) resolve({ code: null, said })
    }
    child.stdout.on('data', hear)
    child.stderr.on('data', hear)
    child.once('exit', (code) => resolve({ code, said }))
  })
  return done
}

const fresh = () => mkdtempSync(join(tmpdir(), 'overhaul-start-'))

test.describe('starting', () => {
  test('says in one line where it is open, and begins empty when asked', async ({ page }) => {
    const { said } = await start({ OVERHAUL_DATA: fresh(), OVERHAUL_PORT: '4341' }, '--empty')
    expect(said.trim()).toBe('Overhaul is open at http://127.0.0.1:4341')
    await page.goto('http://127.0.0.1:4341')
    await expect(page.getByText('The rail is empty')).toBeVisible()
  })

  test('a port already taken, data that cannot be written and a flag nobody knows are each said in a sentence', async () => {
    const shop = await workshop(4342, '--empty')
    const taken = await start({ OVERHAUL_DATA: fresh(), OVERHAUL_PORT: '4342' }, '--empty')
    expect(taken).toMatchObject({ code: 1, said: expect.stringContaining('Port 4342 is taken') })
    await shop.close()

    const file = join(fresh(), 'file')
    writeFileSync(file, '')
    const unwritable = await start({ OVERHAUL_DATA: join(file, 'data'), OVERHAUL_PORT: '4343' })
    expect(unwritable).toMatchObject({ code: 1, said: expect.stringContaining('cannot be written') })

    const unknown = await start({ OVERHAUL_DATA: fresh(), OVERHAUL_PORT: '4343' }, '--quickly')
    expect(unknown).toMatchObject({ code: 1, said: expect.stringContaining('“--quickly” is not understood') })
  })

  test('shared, it answers on the workshop’s network too', async () => {
    const address = Object.values(networkInterfaces())
      .flat()
      .find((each) => each?.family === 'IPv4' && !each.internal)?.address
    test.skip(address === undefined, 'this machine has no network')
    const { said } = await start({ OVERHAUL_DATA: fresh(), OVERHAUL_PORT: '4344' }, '--empty', '--share')
    expect(said).toContain(`http://${address}:4344`)
    const answer = await fetch(`http://${address}:4344/api/health`)
    expect(answer.status).toBe(200)
  })

  test('another screen comes in by the code on the workshop’s own, is named there, and shown out', async ({
    browser,
  }) => {
    const address = Object.values(networkInterfaces())
      .flat()
      .find((each) => each?.family === 'IPv4' && !each.internal)?.address
    test.skip(address === undefined, 'this machine has no network')
    await start({ OVERHAUL_DATA: fresh(), OVERHAUL_PORT: '4345' }, '--empty', '--share')
    const host = await browser.newPage()
    await host.goto('http://127.0.0.1:4345/share')
    const code =
      (await host
        .getByText(/^[A-Z2-9]{4} [A-Z2-9]{4}$/)
        .first()
        .textContent()) ?? ''
    await expect(host.getByAltText(/for the other screen’s camera/)).toBeVisible()

    const phone = await (await browser.newContext()).newPage()
    await phone.goto(`http://${address}:4345/`)
    await expect(phone.getByText('The rail is empty')).toBeHidden()
    await phone.getByLabel(/^Code/).fill('WRONG234')
    await phone.getByLabel(/^What this screen is called/).fill('Phone')
    await phone.getByRole('button', { name: 'Come in' }).click()
    await expect(phone.getByText(/not the code of this workshop/)).toBeVisible()
    await phone.getByLabel(/^Code/).fill(code)
    await phone.keyboard.press('Enter')
    await expect(phone.getByText('The rail is empty')).toBeVisible()

    await host.reload()
    await expect(host.getByText('Phone reads and writes')).toBeVisible()
    await host.getByRole('button', { name: 'Show out' }).click()
    await expect(host.getByText('None yet.')).toBeVisible()
    await phone.reload()
    await expect(phone.getByLabel(/^Code/)).toBeVisible()
  })
})

test.describe('two screens on one job', () => {
  test('a reading taken before somebody else’s turn was seen is looked at again; a release elsewhere refuses what comes late', async ({
    page,
    browser,
  }) => {
    const shop = await workshop(4345)
    const job = await shop.job('Hire 06', 'rear')
    const url = `${shop.url}/stand/${job}`
    await page.goto(url)
    await until(page, 'Next turn')
    const other = await (await browser.newContext()).newPage()
    await other.goto(url)
    await expect(other.getByTestId('next')).toContainText('Next turn')

    // The other screen loses the stream and the log, and measures on; meanwhile a turn is made here.
    await other.route('**/api/jobs/*/**', (route) => route.abort())
    await writeOnTape(other, 'gl 1.1')
    await expect(other.getByRole('button', { name: /gap left 1\.1 mm/ })).toContainText('waiting')
    await page.keyboard.press('d')
    await expect(page.getByTestId('next')).toContainText(/Squeeze ten times|Clamp the inner straight/)
    await expect
      .poll(async () => (await shop.entries(job)).filter((entry) => entry.kind === 'turn').length)
      .toBeGreaterThan(0)
    await other.unroute('**/api/jobs/*/**')
    await expect(page.getByRole('button', { name: /gap left 1\.1 mm/ })).toContainText('overtaken')

    // What is refused stays on the screen that wrote it, with the reason, until somebody drops it.
    await other.route('**/api/jobs/*/entries*', (route) =>
      route.fulfill({
        status: 409,
        json: { error: { code: 'job-released', field: 'kind', message: 'This job was released by 3.' } },
      }),
    )
    await writeOnTape(other, 'note too late')
    await expect(other.getByRole('alert')).toContainText('Not taken: too late')
    await expect(other.getByRole('alert')).toContainText('released by 3')
    await other.getByRole('button', { name: 'Drop it' }).click()
    await expect(other.getByRole('alert')).toBeHidden()
    await shop.close()
  })
})
