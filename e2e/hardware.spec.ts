import { expect, test } from '@playwright/test'
import { choose, next, onRack } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4353)
})
test.afterAll(() => shop.close())

test('what is measured later is written down with when and by whom, shown on the drawing, and taken back', async ({
  page,
}) => {
  await page.goto(shop.url)
  await (await onRack(page, 'Hire 07')).getByRole('link', { name: 'Hardware of Hire 07' }).click()
  const arm = page.getByRole('textbox', { name: 'boss to cable point' })
  await arm.fill('98')
  await expect(page.locator('[data-dimension="armMm"]')).toBeAttached()
  await expect(page.getByText('instead of 105.0 mm')).toBeVisible()

  await arm.fill('980')
  await page.getByRole('button', { name: 'Write down' }).click()
  await expect(page.getByRole('alert')).toContainText('boss to cable point is 980. Accepted: 70 to 140 mm')
  await arm.fill('98')
  await arm.press('Enter')
  await expect(page.getByText(/^measured, .* by 1$/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/^measured, .* by 1$/)).toBeVisible()
  await expect(arm).toHaveAttribute('placeholder', '98.0')

  await page.getByRole('button', { name: 'take back boss to cable point' }).click()
  await expect(arm).toHaveAttribute('placeholder', '105.0')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(arm).toHaveAttribute('placeholder', '98.0')
})

test('a bicycle is renamed and retired, and brought back', async ({ page }) => {
  await page.goto(shop.url)
  await (await onRack(page, 'Hire 05')).getByRole('link', { name: 'Hardware of Hire 05' }).click()
  await page.getByRole('button', { name: 'Rename' }).click()
  await page.getByLabel('name or number').fill('Lent 05')
  await page.getByLabel('name or number').press('Enter')
  await expect(page.getByRole('heading', { name: 'Lent 05' })).toBeVisible()
  await page.getByRole('button', { name: 'Retire from the rack' }).click()
  await expect(page.getByText('Written: Lent 05 is off the rack')).toBeVisible()

  await page.getByRole('link', { name: 'Rack' }).click()
  await page.getByRole('searchbox').fill('lent')
  await expect(page.getByText('Nothing on the rail matches')).toBeVisible()
  await page.getByRole('radio', { name: /^off the rack 1/ }).click()
  await page.getByRole('link', { name: 'Hardware of Lent 05' }).click()
  await page.getByRole('button', { name: 'Bring back to the rack' }).click()
  await expect(page.getByRole('button', { name: 'Retire from the rack' })).toBeVisible()
})

test('a brake is replaced by one of another family, worked on, and hung back with its jobs', async ({ page }) => {
  await page.goto(shop.url)
  await (await onRack(page, 'Hire 03')).getByRole('link', { name: 'Hardware of Hire 03' }).click()
  await page.getByRole('radiogroup', { name: 'end' }).getByText('rear').click()
  await choose(page, /New brake, rear/, 'cantilever')
  await page.getByRole('button', { name: 'Hang a new one' }).click()
  await expect(page.getByText(/Written: Hire 03 rear: a cantilever brake, the linear-pull is retired/)).toBeVisible()
  await expect(page.getByLabel('boss to straddle end, up')).toBeVisible()
  await expect(page.getByText(/^linear-pull, hung here before, jobs \d+/)).toBeVisible()

  // However late the rack is told, the brake that was taken off is not offered any more.
  await page.route(/\/api\/bicycles\?/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500))
    await route.continue()
  })
  await page.getByRole('link', { name: 'Rack' }).click()
  await (await onRack(page, 'Hire 03')).getByRole('button', { name: 'New job, Hire 03 rear' }).click()
  await page.unrouteAll({ behavior: 'wait' })
  await page.getByRole('button', { name: 'Open job' }).click()
  await expect(next(page)).toContainText('Look whether a motor drives this bicycle')
  await page.getByRole('link', { name: 'Hardware of Hire 03' }).click()
  await page.getByRole('radiogroup', { name: 'end' }).getByText('rear').click()
  await page.getByRole('button', { name: 'Hang it back' }).click()
  await expect(page.getByLabel('boss to pad face, square to the arm')).toBeVisible()
  await expect(page.getByText(/^cantilever, hung here before, jobs \d+/)).toBeVisible()
})

test('with the server away it waits in the outbox through a reload, and is written once', async ({ page }) => {
  await page.goto(shop.url)
  await page.getByRole('button', { name: 'New bicycle' }).click()
  await expect(page.getByLabel('name or number')).toBeVisible()
  const changes = (url: URL) => url.pathname.startsWith('/api/bicycles')
  await page.route(changes, (route) => (route.request().method() === 'GET' ? route.continue() : route.abort()))
  await page.getByLabel('name or number').fill('Away 1')
  await choose(page, /rear brake/, 'none')
  await page.getByRole('button', { name: 'Hang it up' }).click()
  await expect(page.getByText('Waits for the server: Away 1 hangs on the rack')).toBeVisible()
  await page.reload()
  await expect(page.getByText('Waits for the server: Away 1 front: a linear-pull brake')).toBeVisible()
  await page.unroute(changes)
  await expect(page.getByRole('link', { name: 'Hardware of Away 1' })).toBeVisible()
  const away = async () => {
    const rack = await (await fetch(`${shop.url}/api/bicycles`)).json()
    return rack.filter((each: { name: string }) => each.name === 'Away 1')
  }
  // Its brakes are sent after the bicycle.
  await expect.poll(away).toMatchObject([{ brakes: [{ end: 'front', family: 'linear-pull' }] }])
})
