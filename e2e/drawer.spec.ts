import { expect, test } from '@playwright/test'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4366)
})
test.afterAll(() => shop.close())

test('the drawer is a table one walks by arrow keys and sorts by its heads; a file may be dropped on it', async ({
  page,
}) => {
  await page.goto(`${shop.url}/drawer`)
  const table = page.getByRole('grid', { name: 'Parts in the drawer' })
  const first = table.getByRole('row').nth(1)
  await page.getByRole('columnheader', { name: 'on hand' }).click()
  await expect(first).toContainText(/−0\+/)
  await page.getByRole('columnheader', { name: 'on hand' }).click()
  await expect(first).toContainText('200')
  await page.getByRole('button', { name: 'Read a CSV' }).click()
  await expect(page.getByText('or drop a CSV file here')).toBeVisible()
})

test('the drawer is filled from a file, its bad rows named, and nothing taken that is not there', async ({ page }) => {
  await page.goto(`${shop.url}/drawer`)
  await page.getByRole('button', { name: 'Read a CSV' }).click()
  await page.locator('input[type=file]').setInputFiles({
    name: 'drawer.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'code,kind,name,count,thicknessMm\nSH-X,shim,Brass strip,2,0.2\nSH-Y,shim,Brass strip,two,0.2\n',
    ),
  })
  await expect(page.getByRole('status')).toContainText('would add 1, change 0')
  await expect(page.getByRole('row', { name: /3 count count is “two”/ })).toBeVisible()
  await page.getByRole('button', { name: 'Write the good rows' }).click()
  await expect(page.getByRole('status')).toContainText('did add 1')
  await page.getByRole('searchbox').fill('brass')
  await page.getByRole('button', { name: 'take one Brass strip' }).click()
  await page.getByRole('button', { name: 'take one Brass strip' }).click()
  await page.getByRole('button', { name: 'take one Brass strip' }).click()
  await expect(page.getByRole('alert')).toContainText('0 in the drawer')
  await page.getByRole('button', { name: 'Drop it' }).click()
  await page.getByRole('button', { name: 'change Brass strip' }).click()
  await page.getByLabel('thickness, mm').fill('9')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('Accepted: 0.02 to 5 mm')
})

test('of a large drawer only what one comes to is drawn; what is taken far down leaves one there', async ({ page }) => {
  const lines = Array.from({ length: 500 }, (_, index) => `ZZ-${index},shim,Zinc strip ${index} wide,5,0.2`)
  const written = await page.request.post(`${shop.url}/api/drawer/drawer.csv?by=5`, {
    headers: { 'Content-Type': 'text/csv' },
    data: ['code,kind,name,count,thicknessMm', ...lines].join('\n'),
  })
  expect((await written.json()).added).toHaveLength(500)
  await page.goto(`${shop.url}/drawer`)
  const rows = page.getByRole('grid', { name: 'Parts in the drawer' }).getByRole('row')
  await expect(rows.nth(1)).toBeVisible()
  expect(await rows.count()).toBeLessThan(100)

  await page.getByRole('searchbox').fill('zinc')
  await expect(rows.nth(1)).toContainText('Zinc strip 0 wide')
  await expect(rows.nth(11)).toContainText('Zinc strip 10 wide')
  const hundredth = rows.filter({ hasText: 'Zinc strip 99 wide' })
  for (let turn = 0; turn < 20 && !(await hundredth.isVisible()); turn += 1) {
    await page.mouse.move(640, 500)
    await page.mouse.wheel(0, 1500)
    await page.waitForTimeout(100)
  }
  await page.getByRole('button', { name: 'take one Zinc strip 99 wide' }).click()
  await expect(hundredth).toContainText(/−4\+/)
  await expect(hundredth).toBeInViewport()

  await page.getByRole('searchbox').fill('zinc 499')
  await expect(rows).toHaveCount(2)
})
