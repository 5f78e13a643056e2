import { expect, test } from '@playwright/test'
import { next, writeOnTape } from './hand.ts'
import { SOUND, workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4356)
})
test.afterAll(() => shop.close())

test('what is measured is dimensioned: the field in hand strongest, a dimension leads to its field, its value stands there', async ({
  page,
}) => {
  await page.goto(`${shop.url}/stand/${await shop.jobOn('Drawn 1')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'wheel ok hub ok')
  await expect(next(page)).toContainText('Spin the wheel')
  const drawing = page.getByLabel(/Bench drawing/)
  for (const reading of ['lateralRunout', 'radialRunout', 'wheelOffset'])
    await expect(drawing.locator(`[data-dimension="${reading}"]`)).toBeVisible()

  await page.getByLabel('measured runout, up and down').focus()
  await expect(drawing.locator('[data-dimension="radialRunout"]')).toHaveAttribute('data-strong', '')
  await drawing.getByRole('button', { name: 'enter runout, side to side, not measured' }).press('Enter')
  await expect(page.getByLabel('measured runout, side to side')).toBeFocused()
  await expect(drawing.locator('[data-dimension="lateralRunout"]')).toHaveAttribute('data-strong', '')

  // Half of it saved: what was measured stands on the drawing, and only what is still wanted is asked for.
  await page.keyboard.type('0.4')
  await next(page).getByRole('button', { name: 'Save' }).click()
  await expect(next(page)).toContainText('Only runout, up and down, wheel offset: the rest stands.')
  await page.getByRole('button', { name: 'Show the brake' }).click()
  await expect(drawing.locator('[data-dimension="radialRunout"]')).toBeHidden()
  await page.getByRole('button', { name: 'Show what is measured' }).click()
  await expect(drawing.locator('[data-dimension="radialRunout"]')).toBeVisible()
})

test('on a phone the drawing has the same dimensions, in its fold', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${shop.url}/stand/${await shop.jobOn('Drawn 2', 'dual-pivot')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'wheel ok hub ok')
  await expect(next(page)).toContainText('Spin the wheel')
  await page.getByRole('button', { name: 'Drawing of the brake and the lever' }).click()
  await page.getByRole('button', { name: 'enter wheel offset, not measured' }).press('Enter')
  await expect(page.getByLabel('measured wheel offset')).toBeFocused()
})

test('right and wrong stand side by side to be pointed at', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.jobOn('Drawn 3')}`)
  // Quick-release, axle: each answer under what it looks like.
  await expect(next(page).getByRole('button', { name: 'Loose or cocked' }).locator('svg')).toBeVisible()
  await writeOnTape(page, `wheel ok hub ok lat 0.3 rad 0.3 off 0 ${SOUND.slice(0, SOUND.indexOf('pl 4'))}`)
  await writeOnTape(page, 'pl 4 pr 4 face clean')
  await expect(next(page)).toContainText('closed end must face forward')
  const left = next(page).getByRole('radiogroup', { name: 'left shoe' })
  await expect(left.locator('svg')).toHaveCount(3)
  await left.getByText('closed end backward').click()
  await next(page).getByText('closed end forward').last().click()
  await next(page).getByRole('button', { name: 'Save' }).click()
  await expect(next(page)).toContainText('can throw its pad')
})

test('the log as a list, by time and by station; struck and restored in three keys', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.jobOn('Drawn 4')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'wheel ok hub ok lat 0.4')
  const strip = page.getByRole('list', { name: 'Log, newest first' })
  await expect(strip).toContainText('runout, side to side 0.4 mm')
  await page.getByLabel(/Bench drawing/).focus()

  await page.keyboard.press('l')
  const list = page.getByRole('listbox', { name: 'Log' })
  await expect(list.getByRole('option').first()).toBeFocused()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('x')
  await expect(strip.getByRole('button', { name: /hub without play: yes, struck$/ })).toHaveCount(1)
  // The correction is now the newest: the struck one stands under it.
  await list.getByRole('option', { name: /hub without play: yes, struck/ }).click()
  await page.keyboard.press('x')
  await expect(strip.getByRole('button', { name: /, struck$/ })).toHaveCount(1)
  await expect(strip.getByRole('button', { name: /\d hub without play: yes$/ })).toHaveCount(1)

  await page.getByRole('radio', { name: 'by station' }).click()
  await expect(page.getByRole('dialog', { name: 'Log' }).getByRole('group', { name: 'Wheel' })).toContainText(
    'wheel seated: yes',
  )
  await page.keyboard.press('Escape')
  await expect(list).toBeHidden()
})

test('inches everywhere: drift, toe-in, cuts and working', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.jobOn('Drawn 5')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, `wheel ok hub ok lat 0.3 rad 0.3 off 0 ${SOUND}`)
  await expect(next(page)).toContainText('Measure both gaps')
  await page.getByRole('button', { name: /lengths in millimetres/ }).click()
  await page.getByRole('button', { name: /^Pads:/ }).click()
  await expect(page.getByRole('region', { name: 'Toe-in' })).toContainText('0.0')
  const room = page.getByRole('main')
  await expect(room).not.toContainText(/\d mm\b(?! (hex|star|key|spanner))/)
  await page.getByRole('button', { name: /^Cable:/ }).click()
  await expect(page.getByRole('region', { name: 'Cable’s way' })).toContainText(' in')
  await expect(room).not.toContainText(/\d mm\b(?! (hex|star|key|spanner))/)
})

test('the handbook is worked in: index, search, a live form with its plot, and found from Why', async ({ page }) => {
  await page.goto(`${shop.url}/handbook`)
  await page.getByRole('searchbox', { name: 'Search the handbook' }).fill('first touch')
  await expect(page.getByRole('list', { name: 'Found' })).toContainText('bite')
  await page.getByRole('searchbox', { name: 'Search the handbook' }).fill('bead seat')
  await page.getByRole('searchbox', { name: 'Search the handbook' }).press('Enter')
  await page.goto(`${shop.url}/handbook/calculation/torque-from-pull`)
  // 11 lbf at 4 in is 4.97 N·m: exact unit definitions.
  await page.getByRole('textbox', { name: 'pull of the hand, N' }).fill('48.93')
  await page.getByRole('textbox', { name: /middle of the hand/ }).fill('101.6')
  await expect(page.getByRole('region', { name: 'Comes out' })).toContainText('4.971')
  await expect(page.getByRole('region', { name: 'Plot' }).getByRole('img')).toBeVisible()
  await page.getByRole('textbox', { name: 'pull of the hand, N' }).fill('abc')
  await expect(page.getByRole('alert').first()).toContainText('abc')
  await page.getByRole('link', { name: 'Pads', exact: true }).click()
  await expect(page.getByRole('heading', { name: /^Pads, linear-pull/ })).toBeVisible()
  await expect(page.getByRole('main')).toContainText('A pad that touches the tyre can burst it')

  await page.goto(`${shop.url}/stand/${await shop.jobOn('Drawn 6')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await page.keyboard.press('w')
  await page
    .getByRole('link', { name: /^In the handbook/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: 'Wheel, linear-pull' })).toBeVisible()
})
