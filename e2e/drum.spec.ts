import { expect, test } from '@playwright/test'
import { follow, next, release, until, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4362)
})
test.afterAll(() => shop.close())

// Trade: marked before it is loosened, wet-cleaned, shoes centred with the brake held on, play measured before and after the nuts.
test('a squealing roadster’s drum goes from complaint to release', async ({ page }) => {
  const brake = await shop.newBrake('Roadster 3', 'drum', 'front', 3)
  await page.goto(`${shop.url}/stand/${await shop.newJob(brake)}`)
  await expect(next(page)).toContainText('both nuts tight')
  await writeOnTape(page, 'work service')
  await expect(next(page)).toContainText('Mark the brake arm against the axle’s flats with a felt pen')
  await until(page, 'Wet-clean drum and plate')
  await expect(next(page)).toContainText('never blow or brush it dry')
  // Solvent is seen, and asks for new linings: it cannot be skipped.
  await writeOnTape(page, 'washed solvent')
  await expect(next(page)).toContainText('Replace the plate assembly')
  await expect(next(page).getByRole('button', { name: 'Skip' })).toBeHidden()
  await writeOnTape(page, 'washed water')
  await until(page, 'Adjust the cone until the play')
  await writeOnTape(page, 'hplay 0.6')
  await expect(next(page)).toContainText('A little more on the cone')
  await expect(next(page).getByRole('button', { name: 'Skip' })).toBeHidden()
  await writeOnTape(page, 'hplay 0')

  // What a stop takes, beside the common drums and a rim brake; how the linings press.
  await until(page, 'Measure the lever')
  await follow(page)
  const force = page.getByRole('region', { name: 'What a stop takes' })
  await expect(force.getByRole('row', { name: /70 mm drum .*0\.5 g.* N .*at the bar before/ })).toBeVisible()
  await expect(force.getByRole('row', { name: /a rim brake here/ })).toBeVisible()
  await expect(force.getByLabel('Pressure along each lining')).toBeVisible()

  await until(page, 'See that the reaction arm is strapped')
  await until(page, 'Measure the arm from the ridge')
  await follow(page)
  await until(page, 'Squeeze ten times, then measure')
  const linings = page.getByRole('region', { name: 'How long' }).or(page.getByRole('region', { name: 'Linings' }))
  await page.getByRole('button', { name: /^Pads/ }).click()
  await expect(linings).toContainText('of lining until they are parallel')
  await expect(linings).toContainText('2 more visits that measure the arm')
  await until(page, 'Sign the job', 60)
  await release(page, '3')
  await page.getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByText(/Arm from the ridge: 24° applied/)).toBeVisible()
  await expect(page.getByText(/Drum dust: wet-clean/)).toBeVisible()
})

// Trade: the arm’s angle over the visits says until when, with its band.
test('after three visits the linings have a forecast', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Roadster 2', 'front')}`)
  await expect(next(page)).toContainText('Measure the arm from the ridge')
  await follow(page)
  await page.getByRole('button', { name: /^Pads/ }).click()
  const linings = page.getByRole('region', { name: 'Linings' })
  await expect(linings).toContainText(/Parallel about .* 20\d\d; not before .*, nine times in ten/)
})
