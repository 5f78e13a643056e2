import { expect, test } from '@playwright/test'
import { follow, next, release, until, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4310)
})
test.afterAll(() => shop.close())

/** The anchor is looked at again where it was loosened; then come the squeezes. */
const AFTER_A_TURN = /Squeeze ten times, then measure|Clamp the inner straight/

test('a brake that rubs left goes from the rack to release, and its sheet can be printed', async ({
  page,
  browser,
}) => {
  await page.goto(shop.url)
  await page.getByRole('searchbox', { name: 'Search the rack' }).fill('hire 07')
  await expect(page.getByRole('grid', { name: 'Bicycles' }).getByRole('heading')).toHaveText(['Hire 07'])
  await page.getByRole('link', { name: /Open job .* Hire 07 rear/ }).click()
  await expect(next(page)).toContainText('wheel straight in its dropouts')

  // The wheel comes first, then whether the parts belong together, then pads and cable, then the readings.
  await follow(page)
  await follow(page)
  await expect(next(page)).toContainText('Spin the wheel')
  await follow(page)
  await expect(next(page)).toContainText(/Look: .*wear line/)
  // Looked at as last time; its wall is measured with the caliper, and what else is.
  await follow(page)
  await expect(next(page)).toContainText('With the caliper')
  await follow(page)
  await expect(page.getByRole('button', { name: /^Wheel: in its window/ })).toBeVisible()
  await expect(next(page)).toContainText('Measure the lever')
  await follow(page)
  await expect(page.getByRole('region', { name: 'Lever and brake' })).toContainText('Lever and brake belong together')
  await until(page, 'Look at what nobody has touched')
  await expect(page.getByRole('button', { name: /^Match: in its window/ })).toBeVisible()
  // Mount, the pads one thing after another, the cable.
  await until(page, 'Look: pads’ faces')
  await follow(page)
  await expect(next(page)).toContainText('its closed end must face forward')
  await follow(page)
  await follow(page)
  await expect(page.getByRole('img', { name: /Pad on the track in section, to scale: new .* worn out/ })).toBeVisible()
  await until(page, 'Measure both gaps and the bite')

  // A second tablet, open on the same job, hears of every entry.
  const tablet = await (await browser.newContext()).newPage()
  await tablet.goto(page.url())
  await expect(next(tablet)).toContainText('Measure both gaps and the bite')

  await follow(page)
  await expect(next(page)).toContainText('Next turn')
  await expect(next(page)).toContainText(/\d in 10 that all comes right/)
  await expect(tablet.getByTestId('next')).toContainText('Next turn')

  // The server is stopped in the middle: what is written waits, visibly, and is sent when it is back.
  await shop.stop()
  await page.keyboard.press('d')
  await expect(page.getByText('does not answer')).toBeVisible()
  await expect(page.getByText(/entr(y waits|ies wait) on this screen/)).toBeVisible()
  await expect(next(page)).toContainText(AFTER_A_TURN)
  await shop.start()
  await expect(page.getByText('does not answer')).toBeHidden()
  await page.reload()
  await expect(next(page)).toContainText(AFTER_A_TURN)
  await expect(next(tablet)).toContainText(AFTER_A_TURN)

  // Follow the advice to the end.
  let turns = 1
  for (
    let act = 0;
    act < 40 && !(await next(page).getByRole('button', { name: 'Release', exact: true }).isVisible());
    act += 1
  ) {
    if ((await follow(page)).includes('Next turn')) turns += 1
  }
  expect(turns).toBeLessThanOrEqual(6)
  await expect(page.getByRole('button', { name: /^Prove: in its window/ })).toBeVisible()
  await release(page, '3')
  await expect(next(tablet)).toContainText('Released by 3')

  const pdf = await page.request.get(
    await page.getByRole('link', { name: 'Job sheet, PDF' }).evaluate((link: HTMLAnchorElement) => link.href),
  )
  expect(pdf.headers()['content-type']).toBe('application/pdf')
  await page.getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Hire 07 · rear')
  await expect(page.getByRole('row', { name: /gap left .* mm .* mm/ })).toBeVisible()
  await expect(page.getByText('Brakes are safety parts')).toBeVisible()
})

test('what is typed while the log cannot be reached survives a reload', async ({ page }) => {
  const job = await shop.job('Hire 11', 'front')
  await page.goto(`${shop.url}/stand/${job}`)
  await expect(next(page)).toBeVisible()
  await page.route('**/api/jobs/*/entries*', (route) => route.abort())
  await writeOnTape(page, 'note written in the dark')
  await expect(page.getByRole('button', { name: /written in the dark/ })).toContainText('waiting')
  await page.keyboard.press('t')
  await page.keyboard.type('gl 1.2 gr')
  await page
    .getByLabel('runout, side to side', { exact: true })
    .or(page.getByLabel('gap left', { exact: true }))
    .first()
    .fill('0.7')
  await page.reload()
  await expect(page.getByLabel('Tape')).toHaveValue('gl 1.2 gr')
  await expect(page.locator('input[data-draft=true]')).toHaveValue('0.7')
  await expect(page.getByRole('button', { name: /written in the dark/ })).toContainText('waiting')
  expect((await shop.entries(job)).some((entry) => entry.text === 'written in the dark')).toBe(false)
  await page.unroute('**/api/jobs/*/entries*')
  await expect
    .poll(async () => (await shop.entries(job)).filter((entry) => entry.text === 'written in the dark').length)
    .toBe(1)
  await expect(page.getByRole('button', { name: /written in the dark/ })).not.toContainText('waiting')
})
