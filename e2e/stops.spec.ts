import { join } from 'node:path'
import { expect, type Page, test } from '@playwright/test'
import { wordsInTheWay } from './drawn-words.ts'
import { next, until, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4365)
})
test.afterAll(() => shop.close())

const SAMPLES = join(import.meta.dirname, '../web/public/samples')

/** What a ride hangs on, looked at on this visit. */
const RIDEABLE = 'res 25 fastened ok walk ok'

const stops = (page: Page) => page.getByRole('region', { name: 'Stop tests' })

async function trace(page: Page, file: string | { name: string; mimeType: string; buffer: Buffer }) {
  const chooser = page.waitForEvent('filechooser')
  await stops(page).getByRole('button', { name: 'A trace from a file' }).click()
  await (await chooser).setFiles(typeof file === 'string' ? join(SAMPLES, file) : file)
}

const csv = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })

test('two traces that ship come to a sentence on the job sheet', async ({ page }) => {
  const id = await shop.job('Hire 02', 'rear')
  await page.goto(`${shop.url}/stand/${id}`)
  await page.getByRole('button', { name: /^Prove/ }).click()
  await expect(stops(page)).toContainText('No run yet: 3 before the work and 3 after it')
  await writeOnTape(page, RIDEABLE)

  await stops(page).getByRole('radio', { name: 'Before the work' }).click()
  await trace(page, 'stops-before.csv')
  const fitted = page.getByRole('region', { name: 'Trace' })
  await expect(fitted).toContainText('4 stops, speeds in km/h')
  await expect(fitted).toContainText(/3\.\d\d m\/s² \(3\.\d\d to 3\.\d\d, 9 in 10\)/)

  // The begin moved by hand, and what that does.
  await fitted.getByLabel('begin, s').fill('5.2')
  await fitted.getByRole('button', { name: 'Put it there' }).click()
  await expect(fitted).toContainText(/Begin moved 0\.\d\d s later: .* m\/s², .* m → .* m/)
  await fitted.getByRole('button', { name: 'As it was found' }).click()
  await expect(fitted.getByText(/Begin moved/)).toBeHidden()
  await fitted.getByRole('button', { name: 'Log all 4, out and back' }).click()
  await expect(stops(page).getByRole('row')).toHaveCount(5)
  await expect(stops(page)).toContainText('nothing after')

  // What was turned since is looked at and walked anew before it is ridden.
  await writeOnTape(page, 'bar +1/4')
  await page.getByRole('button', { name: /^Prove/ }).click()
  await stops(page).getByRole('radio', { name: 'After it' }).click()
  await trace(page, 'stops-after.csv')
  await fitted.getByRole('button', { name: 'Log all 4, out and back' }).click()
  await expect(page.getByText(/Before it is ridden hard, look at: .*walk test/).first()).toBeVisible()
  await until(page, 'Sign the job')
  await page.getByRole('button', { name: /^Prove/ }).click()
  await trace(page, 'stops-after.csv')
  await fitted.getByRole('button', { name: 'Log all 4, out and back' }).click()
  await expect(stops(page)).toContainText(
    /Shorter by 2\.\d m, give or take 0\.\d m, from 25\.0 km\/h \(9 in 10\)\. Enough\./,
  )
  const drawn = stops(page).getByRole('img', {
    name: /^before: 4 stops, .* on average, give or take .*; after: 4 stops,/,
  })
  await expect(drawn.locator('circle')).toHaveCount(8)
  expect(await wordsInTheWay(page)).toEqual([])
  await stops(page).getByText('Limits of this bicycle, and public rules').click()
  await expect(stops(page)).toContainText('25 km/h in 7 m, dry')
  await expect(stops(page)).toContainText(/At 0\.56 g, 5\.5 m\/s², the rear wheel lifts/)

  await page.goto(`${shop.url}/jobs/${id}/sheet`)
  await expect(page.getByText(/^Shorter by 2\.\d m, give or take 0\.\d m/)).toBeVisible()
})

test('by a mark on the ground: miles and feet, another load said, what cannot have been refused', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 20', 'rear')}`)
  await page.getByRole('button', { name: /^Prove/ }).click()
  const run = stops(page).getByRole('form', { name: 'A run' })
  const ride = async (speed: string, distance: string) => {
    await run.getByLabel('speed, km/h').fill(speed)
    await run.getByLabel('distance, m').fill(distance)
    await run.getByRole('button', { name: 'Log this run' }).click()
  }
  await stops(page).getByRole('radio', { name: 'Before the work' }).click()
  await ride('15.5 mph', '23 ft')
  await expect(page.getByText(/Before it is ridden hard, look at/).first()).toBeVisible()
  await writeOnTape(page, RIDEABLE)
  await ride('15.5 mph', '23 ft')
  await expect(stops(page).getByRole('row')).toHaveCount(2)
  await expect(stops(page)).toContainText('before, out')
  await ride('25', '1')
  await expect(page.getByText(/no bicycle stops so hard/).first()).toBeVisible()
  // What was typed is not lost with the refusal.
  await expect(stops(page).getByRole('row')).toHaveCount(2)
  await writeOnTape(page, 'stop before back 25 7.2')
  await expect(stops(page).getByRole('row')).toHaveCount(3)
  await writeOnTape(page, 'cover split')
  await expect(next(page)).toContainText('Split housing')
  await page.getByRole('button', { name: /^Prove/ }).click()
  await ride('25', '7')
  await expect(page.getByText(/Not to be ridden: housing along its way: split/).first()).toBeVisible()
})

test('a trace in the wrong unit, without a stop or with time running backwards says so; the logger’s wheel is asked', async ({
  page,
}) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 04', 'front')}`)
  await page.getByRole('button', { name: /^Prove/ }).click()
  const rows = (speed: (t: number) => number) =>
    Array.from({ length: 200 }, (_, index) => `${(index / 20).toFixed(2)},${speed(index / 20).toFixed(2)}`).join('\n')
  const braked = (t: number) => Math.max(0, t < 4 ? 24 : 24 - 13 * (t - 4))
  await trace(page, csv('bare.csv', rows(braked)))
  const fitted = page.getByRole('region', { name: 'Trace' })
  await expect(fitted).toContainText('km/h is a guess. Which is it?')
  await expect(fitted.getByRole('button', { name: 'Log this stop' })).toBeDisabled()
  await expect(fitted.getByRole('button', { name: 'Yes, km/h' })).toBeVisible()
  await fitted.getByRole('button', { name: 'mph' }).click()
  await expect(fitted).toContainText('speeds in mph')
  await expect(fitted.getByRole('button', { name: 'Log this stop' })).toBeEnabled()
  await fitted.getByRole('button', { name: 'Let the trace go' }).click()

  await trace(page, csv('rolls.csv', `time s,speed km/h\n${rows(() => 20)}`))
  await expect(stops(page)).toContainText('This trace has no stop in it')
  await trace(page, csv('back.csv', `time s,speed km/h\n${rows(braked)}\n1,0`))
  await expect(stops(page)).toContainText(/Time runs backwards on line 202/)
  await trace(page, csv('fast.csv', `time s,speed m/s\n${rows((t) => 3 * braked(t))}`))
  await expect(stops(page)).toContainText('no bicycle goes so fast')
  await trace(page, { name: 'ride.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(track()) })
  await expect(fitted).toContainText('1 stop')
  await fitted.getByRole('button', { name: 'Let the trace go' }).click()

  // Three rides of the practice logger: one of them was told another wheel.
  for (let ride = 0; ride < 3; ride += 1) {
    await stops(page).getByRole('button', { name: 'Ride with the practice logger' }).click()
    await expect(fitted).toContainText('practice logger')
    const asked = fitted.getByRole('button', { name: /^Read it with \d+ mm/ })
    if (await asked.isVisible()) {
      await asked.click()
      await expect(asked).toBeHidden()
    }
    await expect(fitted).toContainText(/m\/s² \(/)
    await fitted.getByRole('button', { name: 'Let the trace go' }).click()
  }
})

/** Ten places a second: 7 m/s, then 4 m/s² to a standstill, northwards. */
function track(): string {
  let lat = 50
  const places = Array.from({ length: 100 }, (_, index) => {
    const t = index / 10
    const speed = Math.max(0, t < 4 ? 7 : 7 - 4 * (t - 4))
    lat += (speed * 0.1) / 111_195
    return `<trkpt lat="${lat.toFixed(8)}" lon="8"><time>${new Date(1_760_000_000_000 + t * 1000).toISOString()}</time></trkpt>`
  })
  return `<?xml version="1.0"?><gpx version="1.1"><trk><trkseg>${places.join('')}</trkseg></trk></gpx>`
}
