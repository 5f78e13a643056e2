import { expect, test } from '@playwright/test'
import { alongRack, choose, next } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4368)
})
test.afterAll(() => shop.close())

test('what is the matter and what was done last stands on the line; by keyboard to the search, along the rail and onto the bench', async ({
  page,
}) => {
  await page.goto(shop.url)
  const rail = page.getByRole('grid', { name: 'Bicycles' })
  await expect(rail).toBeVisible()
  await page.keyboard.press('/')
  await page.keyboard.type('cargo long')
  await expect(page).toHaveURL(/\?q=cargo\+long$/)
  const line = rail.getByRole('row')
  await expect(line).toHaveCount(1)
  const front = line.getByRole('group', { name: 'front: Centre' })
  await expect(front).toContainText('gap, fixed pad')
  await expect(front).toContainText('“Drags after the wheel was out”')
  await expect(front).toContainText(/\d\d:\d\d · bite \d+ mm/)
  await rail.focus()
  await expect(line).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(next(page)).toBeVisible()
  await expect(page).toHaveURL(/\/stand\//)
  // Back again it is as it was left.
  await page.goBack()
  await expect(page.getByRole('searchbox', { name: 'Search the rack' })).toHaveValue('cargo long')
  await expect(line).toHaveCount(1)
})

test('by part, by brake and by station, together; what is asked for stands in the address', async ({ page }) => {
  await page.goto(shop.url)
  const lines = page.getByRole('grid', { name: 'Bicycles' }).getByRole('heading')
  await page.getByRole('radio', { name: /^not to be ridden 1/ }).click()
  await expect(lines).toHaveCount(1)
  await page.getByRole('radio', { name: /^job open/ }).click()
  await choose(page, /Brake/, /^drum/)
  await expect(page).toHaveURL(/part=open&brake=drum/)
  await expect(lines).toHaveText(['Roadster 2'])
  await choose(page, /Station/, /^Mount/)
  await expect(page.getByText('No bicycle fits all of what is chosen here.')).toBeVisible()
  await page.getByRole('button', { name: 'Show all' }).click()
  await expect(page).toHaveURL(/\/$/)
  await expect(lines.first()).toHaveText('Assisted 1')
})

test('another screen’s work is seen without reading the rack again, and a job is asked for where no scrolling takes it away', async ({
  page,
}) => {
  await page.goto(shop.url)
  const line = await alongRack(page, 'Hire 12')
  await line
    .getByRole('button', { name: /^New job, Hire 12/ })
    .first()
    .click()
  const asked = page.getByRole('form', { name: /^New job, Hire 12/ })
  await asked.getByLabel('What is wrong?').fill('squeals')
  await page.getByRole('grid', { name: 'Bicycles' }).evaluate((each) => each.scrollTo(0, 0))
  await expect(asked.getByLabel('What is wrong?')).toHaveValue('squeals')
  await page.keyboard.press('Escape')
  await expect(asked).toBeHidden()
  await fetch(`${shop.url}/api/bicycles`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: 'Abroad 1' }),
  })
  await expect(page.getByRole('heading', { name: 'Abroad 1' })).toBeVisible()
})

test('with the server away, what the screen has read is looked through, and it says so', async ({ page }) => {
  await page.goto(shop.url)
  const rail = page.getByRole('grid', { name: 'Bicycles' })
  await expect(rail.getByRole('heading').first()).toBeVisible()
  await shop.stop()
  await page.getByRole('searchbox', { name: 'Search the rack' }).fill('cargo long')
  await expect(page.getByText('Looked for among the bicycles that this screen has read')).toBeVisible({
    timeout: 30_000,
  })
  await expect(rail.getByRole('heading')).toHaveText(['Cargo 1'])
  await expect(page.getByText('one bicycle found')).toBeVisible()
  await page.getByRole('searchbox', { name: 'Search the rack' }).fill('nothing like it')
  await expect(page.getByText('Nothing on the rail matches “nothing like it”')).toBeVisible()
  await shop.start()
  await page.getByRole('searchbox', { name: 'Search the rack' }).fill('hire 04')
  await expect(page.getByText('one bicycle found')).toBeVisible()
  await expect(page.getByText('Looked for among the bicycles')).toBeHidden()
})
