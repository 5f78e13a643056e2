import { expect, test } from '@playwright/test'
import { follow, next, release, until, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4357)
})
test.afterAll(() => shop.close())

// Trade: do not centre a rotor between a fixed and a moving pad; it runs as close to the fixed one as it can without touching.
test('a disc with one fixed pad goes from the wheel to release, its sheet printed', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.newJob(await shop.newBrake('Disc 1', 'disc-fixed-pad', 'front'))}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await until(page, 'Measure the rotor’s thickness')
  const drawing = page.getByLabel(/Bench drawing/)
  for (const reading of ['rotorThickness', 'rotorRunout'])
    await expect(drawing.locator(`[data-dimension="${reading}"]`)).toBeVisible()
  await until(page, 'Look through the caliper against a light')
  await until(page, 'Measure both gaps, arm and bite')
  await follow(page)
  const said = await until(page, /Squeeze, let go at once|Go over every fastener|Tighten both caliper bolts/)
  expect(said.filter((each) => each.includes('Next turn')).length).toBeLessThanOrEqual(6)
  await expect(page.getByRole('button', { name: /^Bite: in its window/ })).toBeVisible()

  // The wheel turned, the rotor swings between its pads.
  await page.getByRole('button', { name: /^Bite/ }).click()
  const rotor = () =>
    drawing
      .locator('svg')
      .first()
      .locator('path')
      .evaluateAll((all) => all.map((each) => each.getAttribute('d')).join())
  const still = await rotor()
  await page.getByRole('button', { name: 'turn the wheel' }).click()
  await expect.poll(rotor).not.toBe(still)
  await expect.poll(rotor).toBe(still)

  await until(page, 'Sign the job')
  await release(page, '5')
  await page.getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByText(/Gaps 0\.\d\d mm at the fixed pad, 0\.\d\d mm at the moving pad/)).toBeVisible()
  await expect(page.getByText(/Rotors are hot after use/)).toBeVisible()
})

// Trade: a caliper that was off, even for a look at the pads, is aligned and spun again.
test('an assisted bicycle: battery first; a caliper that was off is looked at again throughout', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Assisted 1', 'front')}`)
  await expect(next(page)).toContainText('Measure the rotor’s thickness')
  await writeOnTape(page, 'rotor 1.8 rrun 0.1 rface oily')
  await expect(next(page)).toContainText('Wipe it with isopropyl alcohol')
  await expect(next(page).getByRole('button', { name: 'Skip' })).toBeHidden()
  await writeOnTape(page, 'rface clean')
  await until(page, 'Measure both gaps')
  await follow(page)
  await page.getByText('Write something else').click()
  await page.getByRole('button', { name: 'Brake loosened on its mount' }).click()
  // Set along the rotor first; its height and its light are looked at after that.
  await expect(next(page)).toContainText(/Float the caliper, squeeze and hold|Tighten the caliper along the rotor/)
  await follow(page)
  await expect(next(page)).toContainText('Squeeze hard ten times')
  await follow(page)
  await expect(next(page)).toContainText('Measure how the rotor clears the body')
})

// Trade: a disc that rubs is floated and squeezed before anything is shifted by tenths.
test('a caliper both of whose pads move stands unequal: it is floated, and the log says so', async ({ page }) => {
  const brake = await shop.newBrake('Disc 2', 'disc-both-move', 'front', 1)
  await page.goto(`${shop.url}/stand/${await shop.newJob(brake)}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'work rub')
  await until(page, /Next turn.*Float the caliper/)
  await expect(next(page)).toContainText('Both bolts loose until the body slides by itself')
  await expect(next(page)).toContainText('Rotors are hot after use')
  // What was done otherwise keeps that it was floated.
  await page.keyboard.press('e')
  await expect(next(page).getByRole('checkbox', { name: 'floated and squeezed' })).toBeChecked()
  await next(page).getByRole('button', { name: 'Log what was turned' }).click()
  const log = page.getByRole('list', { name: 'Log, newest first' })
  await expect(log).toContainText('float the caliper, squeeze and hold, tighten by turns')
  await until(page, 'Tighten both caliper bolts')
  await until(page, 'Sign the job')
  await release(page, '5')
})
