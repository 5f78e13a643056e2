import { expect, test } from '@playwright/test'
import { next, release, until, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4361)
})
test.afterAll(() => shop.close())

// Trade: battery out first; bracket written down before it is apart; star in two rounds; new pads and rotor bed in.
test('a larger rotor on an assisted bicycle, from battery out to bedding-in', async ({ page }) => {
  const brake = await shop.newBrake('Assisted 2', 'disc-both-move', 'rear', 7)
  await page.goto(`${shop.url}/stand/${await shop.newJob(brake)}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'work new-rotor motorat this')
  await expect(next(page)).toContainText('take the battery out')
  const drawing = page.getByLabel(/Bench drawing/)
  await until(page, 'Measure the old rotor')
  // How it is held and which key fits is pointed at.
  await expect(next(page).getByRole('radio', { name: 'a centre lock ring' })).toBeVisible()
  await until(page, 'Before it is taken apart')
  for (const reading of ['stackTop', 'padEdge', 'mountSpacing'])
    await expect(drawing.locator(`[data-dimension="${reading}"]`)).toBeVisible()
  await until(page, 'start each bolt by fingers')

  // While the rotor is out, a fluid caliper is not squeezed: the tape says what to do where it was.
  await writeOnTape(page, 'sq 10')
  await expect(page.getByRole('alert')).toContainText('pry them apart gently with a flat wedge')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await writeOnTape(page, 'arrow right rlock grease')
  await expect(next(page)).toContainText('Heat carries grease to the rotor')
  await expect(next(page).getByRole('button', { name: 'Skip' })).toBeHidden()
  await writeOnTape(page, 'rlock medium')
  await expect(next(page)).toContainText('tighten in a star')
  await expect(next(page)).toContainText('1–4–2–5–3–6')
  await page.getByLabel('length of key, mm').fill('80')
  await expect(page.getByText(/4–6 N·m is a pull of 50 to 75 N there/)).toBeVisible()
  await drawing.focus()

  await until(page, 'Choose bracket and spacers')
  await expect(drawing).toHaveAccessibleName(/bracket and spacers as planned/)
  const plans = page.getByRole('region', { name: 'Bracket and spacers' })
  await expect(plans.getByRole('button', { name: 'ready Bracket 74 mm, rise 10 mm ready', exact: true })).toBeVisible()
  await next(page).getByRole('button', { name: 'Choose these' }).click()
  await expect(page.getByText(/Read and acknowledge first/)).toBeVisible()
  await page.getByRole('button', { name: 'Understood' }).click()
  for (const caution of await next(page).getByRole('checkbox').all()) await caution.check({ force: true })
  await next(page).getByRole('button', { name: 'Choose these' }).click()
  await expect(next(page)).toContainText('tick them off against its list')
  await writeOnTape(page, 'partsthere all')
  await expect(next(page)).toContainText('Fit bracket and spacers')
  await plans.getByRole('button', { name: /^Take from the drawer: 1 × Bracket 74 mm/ }).click()
  await expect(plans.getByText(/Taken for this job: .*Bracket 74 mm/)).toBeVisible()

  await until(page, 'pull it; then the outer pad first')
  await until(page, 'Tighten both bracket bolts', 60)
  await until(page, 'Make 20–30 firm stops')
  const bedding = page.getByRole('region', { name: 'Bedding-in' })
  for (const made of [5, 10, 15]) {
    await bedding.getByRole('button', { name: '5 more stops' }).click()
    await expect(bedding).toContainText(`${made} of 20–30 firm stops made`)
  }
  await expect(next(page)).toContainText('Not enough yet')
  await bedding.getByRole('button', { name: '5 more stops' }).click()
  await until(page, 'Sign the job')
  await release(page, '3')
  await page.getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByText('Done: 20 firm stops.')).toBeVisible()
  await expect(page.getByText(/Now: on a bracket; bracket 10.0 mm, spacers 0.0 mm/)).toBeVisible()
  await expect(page.getByText(/battery out before a hand goes near/)).toBeVisible()
})

// Trade: oil does not come out by riding; a caliper’s own order of pads is asked once.
test('new pads where oil got on the old ones; what is not bedded in stands open on the sheet', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Cargo 1', 'rear')}`)
  await expect(next(page)).toContainText('Straighten the split pin and pull it; then the outer pad first.')
  await page
    .getByRole('region', { name: 'Pads in the drawer' })
    .getByRole('button', { name: /^Put on Disc pads, round/ })
    .click()
  await until(page, 'Measure how thick both pads still are')
  await writeOnTape(page, 'pfix 2.5 pmov 2.5 dface oily')
  await expect(next(page)).toContainText('Oil on a pad does not come out by riding')
  await writeOnTape(page, 'dface clean')
  await until(page, 'Make 20–30 firm stops', 60)
  await writeOnTape(page, 'bed 12')
  await expect(next(page)).toContainText('Not enough yet')
  await writeOnTape(page, 'skip bedding-in the rider makes the rest')
  await expect(next(page)).toContainText('go over the bolts once more')
  await writeOnTape(page, 'bedlook ok')
  await expect(next(page)).toContainText('Sign the job')
  await release(page, '5')
  await page.getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByText(/Open: 12 of 20–30 firm stops made/)).toBeVisible()
})

// Trade: pads that were out to be looked at stand anew; nothing is squeezed while the wheel is out.
test('pads out past the wheel, cleaned, and back in: wheel home before a gap is measured', async ({ page }) => {
  const brake = await shop.newBrake('Cargo 3', 'disc-both-move', 'front', 1)
  await page.goto(`${shop.url}/stand/${await shop.newJob(brake)}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'work pads-look')
  await until(page, 'Choose how the pads are reached')
  await next(page).getByRole('radio', { name: 'with the wheel out' }).check({ force: true })
  await next(page).getByRole('button', { name: 'Save' }).click()
  await expect(next(page)).toContainText('the outer pad first')
  await expect(next(page)).toContainText('Wheel out first')
  await until(page, 'dull them flat on clean abrasive paper')
  await until(page, 'Rotor between the pads, wheel fully home')
  await expect(next(page)).toContainText('clean flat wedge')
  await until(page, 'Look at the wheel’s fastening again')
  await until(page, 'Sign the job')
  await release(page, '3')
})
