import { expect, test } from '@playwright/test'
import { next, scan, writeOnTape } from './hand.ts'
import { SOUND, workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4367)
})
test.afterAll(() => shop.close())

test('a gauge that types walks the fields and saves at the last; its digits lead to no station', async ({ page }) => {
  const job = await shop.jobOn('Led 1')
  await page.goto(`${shop.url}/stand/${job}`)
  // Opened, the act has the focus, and no control of it.
  await expect(page.locator('[data-act]').first()).toBeFocused()
  await writeOnTape(page, 'wheel ok hub ok')
  await expect(next(page)).toContainText('Spin the wheel')
  await page.keyboard.press('m')
  // The wheel’s three, and what else is gauged with the feelers: both pads’ toe-in.
  for (const reading of ['0.4', '0.3', '1', '0.5', '0.6']) {
    await page.keyboard.type(reading)
    await page.keyboard.press('Enter')
  }
  await expect
    .poll(async () => (await shop.entries(job)).filter(({ kind }) => kind === 'reading').map(({ value }) => value))
    .toEqual([0.4, 0.3, 1, 0.5, 0.6])
  // Nowhere to type it: what comes at once is no station.
  await expect(next(page)).not.toContainText('Spin the wheel')
  await page.locator('[data-act]').first().focus()
  await page.keyboard.type('12.3', { delay: 5 })
  await page.waitForTimeout(300)
  await expect(page.locator('[aria-current="step"]')).toHaveAccessibleName(/^Wheel/)
  await page.keyboard.press('7')
  await expect(page.locator('[aria-current="step"]')).toHaveAccessibleName(/^Bite/)
})

test('the tape takes bare numbers in the order they are asked for', async ({ page }) => {
  const job = await shop.jobOn('Led 2')
  await page.goto(`${shop.url}/stand/${job}`)
  await expect(next(page)).toBeVisible()
  await writeOnTape(page, 'wheel ok hub ok')
  await expect(next(page)).toContainText('Spin the wheel')
  await writeOnTape(page, '0.4 0.3')
  await expect(next(page)).toContainText('Only wheel offset: the rest stands.')
  await expect(next(page)).toContainText('Spin the wheel')
})

test('after each act the hand is led to the next and hears it; what another screen writes is said', async ({
  page,
  browser,
}) => {
  const job = await shop.jobOn('Led 3')
  const url = `${shop.url}/stand/${job}`
  await page.goto(url)
  await expect(next(page)).toBeVisible()
  await writeOnTape(page, `wheel ok hub ok lat 0.3 rad 0.3 off 0 ${SOUND}`)
  await expect(next(page)).toContainText('Measure both gaps')
  await page.keyboard.press('m')
  for (const reading of ['0.4', '2.4', '11']) {
    await page.keyboard.type(reading)
    await page.keyboard.press('Enter')
  }
  await expect(next(page)).toContainText('NEXT TURN', { ignoreCase: true })
  await expect(page.locator('[data-act]').first()).toBeFocused()
  await page.keyboard.press('d')
  // A number is asked for: its field has the focus, and the act is said beside.
  await expect(page.getByLabel('measured gap left')).toBeFocused()
  await expect(page.locator('[aria-live="polite"]').first()).toContainText('Squeeze ten times')
  const other = await (await browser.newContext()).newPage()
  await other.goto(url)
  await expect(next(other)).toBeVisible()
  await writeOnTape(other, 'note from the other bench')
  await expect(page.locator('[aria-live="polite"]').first()).toContainText('Written elsewhere')
  await expect(page.getByLabel('measured gap left')).toBeFocused()
  // Letters are keys in a number not begun; begun, they are its unit.
  await page.keyboard.press('w')
  await expect(page.getByRole('dialog', { name: /^Working/ })).toBeVisible()
  // Back takes the cover away, not the job.
  await page.goBack()
  await expect(page.getByRole('dialog', { name: /^Working/ })).toBeHidden()
  await expect(page).toHaveURL(url)
})

test('arrows write nothing; what a job is for is chosen by hand, and asked where it is opened', async ({ page }) => {
  const brake = await shop.newBrake('Led 4', 'linear-pull', 'rear')
  const job = await shop.newJob(brake)
  await page.goto(`${shop.url}/stand/${job}`)
  await page.getByRole('radio', { name: 'adjusting' }).focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await page.waitForTimeout(300)
  expect(await shop.entries(job)).toEqual([])
  await page.keyboard.press('Space')
  await expect.poll(async () => (await shop.entries(job)).at(-1)?.value).toBe('rub')

  await page.goto(shop.url)
  await page.getByRole('button', { name: /^New job, Cross 1 rear/ }).click()
  await page.getByLabel('What is wrong?').fill('rubs since yesterday')
  await expect(page.getByRole('radio', { name: 'a sudden rub' })).toBeChecked()
  await page.getByRole('button', { name: 'Open job' }).click()
  await expect(next(page)).toContainText('Loosen the wheel')
  const opened = page.url().split('/').at(-1) as string
  await expect.poll(async () => (await shop.entries(opened)).at(0)?.value).toBe('rub')
})

test('from the search along the rail by arrows and Enter; a scanned tag opens its bicycle; an old job is found by its number', async ({
  page,
}) => {
  await page.goto(shop.url)
  const search = page.getByRole('searchbox', { name: 'Search the rack' })
  await search.fill('hire 07')
  await expect(page.getByText('one bicycle found')).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('row', { name: /Hire 07/ })).toBeFocused()
  await search.focus()
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/stand\//)
  const rack = (await (await fetch(`${shop.url}/api/bicycles`)).json()) as { id: string; name: string; code: string }[]
  const scanned = rack.find(({ name }) => name === 'Hire 11')
  await page.goto(shop.url)
  await expect(page.getByRole('heading', { name: 'Assisted 1' })).toBeVisible()
  await scan(page, String(scanned?.code))
  await expect(page).toHaveURL(new RegExp(`/bicycles/${scanned?.id}$`))
  await expect(page.getByRole('region', { name: 'Jobs' })).toContainText('front')
  await page.goto(shop.url)
  await search.fill('103')
  await page.getByRole('link', { name: 'Job 103' }).click()
  await expect(next(page)).toContainText('Released by')
})

test('a bicycle’s page tells what each job found, left and took, and the Stand goes along them', async ({ page }) => {
  const jobs = (await (await fetch(`${shop.url}/api/jobs`)).json()) as { id: string; number: number; brakeId: string }[]
  const [first, second] = jobs
    .map((job) => jobs.filter(({ brakeId }) => brakeId === job.brakeId).sort((a, b) => a.number - b.number))
    .find((ofBrake) => ofBrake.length > 1 && ofBrake[0]?.number === 103) as [(typeof jobs)[0], (typeof jobs)[0]]
  await page.goto(`${shop.url}/stand/${first.id}`)
  await page.getByRole('link', { name: /^Hardware of/ }).click()
  const told = page
    .getByRole('region', { name: 'Jobs' })
    .getByRole('row')
    .filter({ hasText: String(first.number) })
  await expect(told).toContainText(/bite ([\d.]+ → )?\d+ mm/)
  await told.getByRole('link', { name: `Job ${first.number} on the Stand` }).click()
  await page.getByRole('link', { name: `Later job ${second.number} of this brake` }).click()
  await expect(page).toHaveURL(new RegExp(second.id))
  await page.getByRole('link', { name: `Earlier job ${first.number} of this brake` }).click()
  await expect(page).toHaveURL(new RegExp(first.id))
})

test('a name that another bicycle has is said', async ({ page }) => {
  await page.goto(`${shop.url}/bicycles/new`)
  await page.getByLabel('name or number').fill('hire  07')
  await expect(page.getByText('Another bicycle is called Hire 07')).toBeVisible()
  await page.getByLabel('name or number').fill('hire 07b')
  await expect(page.getByText('Another bicycle is called')).toBeHidden()
})
