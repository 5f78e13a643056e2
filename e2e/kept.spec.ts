import { expect, test } from '@playwright/test'
import { next, visited, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4322)
})
test.afterAll(() => shop.close())

// Handbook: what stays known from visit to visit; looks for safety are taken on every one.
test('a second visit asks for what must be looked at, shows what is kept, and takes it anew by one key', async ({
  page,
}) => {
  const brakeId = await visited(page, shop, 'Kept 1')
  await page.goto(`${shop.url}/stand/${await shop.newJob(brakeId)}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'fast ok hub ok')
  // The rim’s wall, how true it runs and the lever’s lengths are kept: the rim’s faces are looked at.
  await expect(next(page)).toContainText('Look: wear line')
  await expect(next(page).getByLabel('rim wall', { exact: true })).toBeHidden()
  await page.getByRole('button', { name: /^Match:/ }).click()
  const kept = page.getByRole('region', { name: 'Kept from earlier visits' })
  await expect(kept).toContainText(/lever pivot to cable end 30\.0 mm .*, by .*, kept/)
  await kept.getByRole('button', { name: 'lever pivot to cable end, anew' }).click()
  await expect(kept).not.toContainText('lever pivot to cable end')
  await page.getByRole('button', { name: /^Match:/ }).click()
  await page.keyboard.press('k')
  await expect(kept).toBeHidden()
  // What the rim is made of is asked for at the wheel too: taken anew here, it is there.
  await writeOnTape(page, 'rim alloy line none step smooth tface clean')
  await expect(next(page)).toContainText('Measure the lever')
})

test('after a fall nothing is kept', async ({ page }) => {
  const brakeId = await visited(page, shop, 'Kept 2')
  await page.goto(`${shop.url}/stand/${await shop.newJob(brakeId)}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  const kept = page.getByRole('region', { name: 'Kept from earlier visits' })
  await page.getByRole('button', { name: /^Match:/ }).click()
  await expect(kept).toBeVisible()
  await writeOnTape(page, 'complaint fell over at the lock')
  await page.getByRole('button', { name: /^Match:/ }).click()
  await expect(kept).toBeHidden()
})
