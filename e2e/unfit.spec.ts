import { expect, test } from '@playwright/test'
import { leaveTape, next, until, writeOnTape } from './hand.ts'
import { SOUND, workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4349)
})
test.afterAll(() => shop.close())

test('a brake that cannot be put right is closed, hangs on the rack as not to be ridden, and opens the next job', async ({
  page,
}) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 07', 'rear')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'wheel ok hub ok lat 0.4 rad 0.3 off 0 rim alloy wall 0.5')
  await expect(next(page)).toContainText('Do not ride')
  await writeOnTape(page, 'skip rim-sound x')
  await expect(page.getByRole('alert')).toContainText('is not skipped')
  await leaveTape(page)

  await next(page).getByRole('button', { name: 'Cannot be put right' }).click()
  await next(page).getByLabel('why is it not to be ridden?').fill('rim worn through')
  await page.keyboard.press('Enter')
  await expect(next(page)).toContainText('Not to be ridden')
  await expect(next(page)).toContainText('bursts under the tyre')
  await page.getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByText(/Not to be ridden\. Closed unreleased by/)).toBeVisible()
  await expect(page.getByRole('columnheader', { name: 'as left', exact: true })).toBeVisible()

  await page.goto(shop.url)
  await page.getByRole('radio', { name: /^not to be ridden/ }).click()
  const tag = page.getByRole('row').filter({ has: page.getByRole('heading', { name: 'Hire 07' }) })
  await expect(tag).toContainText('rim wall: under 0.7 mm')
  await tag.getByRole('button', { name: 'New job, Hire 07 rear' }).click()
  await page.getByLabel('What is wrong?').fill('new wheel fitted')
  await page.keyboard.press('Enter')
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await page.goto(shop.url)
  await page.getByRole('searchbox').fill('hire 07')
  await expect(page.getByText(/new wheel fitted Not to be ridden since job \d+: rim wall/)).toBeVisible()
})

test('a confirmation has two answers, by touch, key and tape, and a release is taken back', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 04', 'front')}`)
  await expect(next(page)).toContainText('Next turn')
  await until(page, 'Go over every fastener')
  await next(page).getByRole('button', { name: 'One does not tighten' }).click()
  await expect(next(page)).toContainText('does not come up to its figure')
  await expect(next(page).getByRole('button', { name: 'Skip' })).toBeHidden()
  await page.keyboard.press('d')
  await expect(next(page)).not.toContainText('does not come up to its figure')

  await until(page, 'Walk beside the bicycle')
  await page.keyboard.press('n')
  await expect(next(page)).toContainText('Judder, mostly in front')
  await writeOnTape(page, 'walk ok release 3')
  await expect(next(page)).toContainText('Released by 3')
  await next(page).getByRole('button', { name: 'Take the release back' }).click()
  await expect(next(page)).toContainText('Sign the job')
})

test('loosening a shoe asks for everything that stood on it', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 11', 'front')}`)
  await expect(next(page)).toContainText('Measure the rim’s wall')
  await writeOnTape(page, `wheel ok hub ok lat 0.4 rad 0.3 off 0 ${SOUND}`)
  await expect(next(page)).toContainText('Measure both gaps')
  await writeOnTape(page, 'loose shoes')
  await expect(next(page)).toContainText('a shoe was loosened')
})
