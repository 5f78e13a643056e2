import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { choose, leaveTape, next, typeOnTape, writeOnTape } from './hand.ts'
import { SOUND, workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4311)
})
test.afterAll(() => shop.close())

test('keyboard alone: tape, strike, turn back, working, stations', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 07', 'rear')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')

  // The echo says what was understood before Enter; an unknown word names the nearest and nothing is lost.
  await typeOnTape(page, 'wheel ok hub ok lat 0.4 rad 1/64in')
  await expect(page.locator('#tape-echo')).toContainText('runout, up and down 0.4 mm')
  await page.keyboard.type(' offf 0')
  await expect(page.locator('#tape-echo')).toContainText('Nearest: off')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Tape')).toHaveValue('wheel ok hub ok lat 0.4 rad 1/64in offf 0')
  for (let letter = 0; letter < 6; letter += 1) await page.keyboard.press('Backspace')
  await page.keyboard.type('off 0')
  await page.keyboard.press('Enter')
  await expect(next(page)).toContainText(/Look: .*wear line/)

  // What is seen is chosen with the arrow keys, what is measured is typed.
  await page.keyboard.press('m')
  await page.keyboard.press('Space')
  await page.keyboard.press('Tab')
  await page.keyboard.type('1.4')
  await page.keyboard.press('Tab')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Space')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Space')
  await page.keyboard.press('Enter')
  await expect(next(page)).toContainText('Measure the lever')
  await writeOnTape(page, SOUND.slice(SOUND.indexOf('lp')))
  await expect(next(page)).toContainText('Measure both gaps')

  // m goes to the first reading asked for; Enter saves.
  await page.keyboard.press('m')
  await page.keyboard.type('0.4')
  await page.keyboard.press('Tab')
  await page.keyboard.type('2,4')
  await page.keyboard.press('Tab')
  await page.keyboard.type('11')
  // Known from earlier visits, it is squeezed hard once more with the rule in the hand.
  await page.keyboard.press('Enter')
  await page.keyboard.type('24')
  await page.keyboard.press('Enter')
  await expect(next(page)).toContainText('NEXT TURN', { ignoreCase: true })

  // A gap no brake has is refused with its range, and the tape keeps the text.
  await writeOnTape(page, 'gl 40')
  await expect(page.getByRole('alert')).toContainText('0.0 mm to 10.0 mm')
  await leaveTape(page)

  // Working opens and closes.
  await page.keyboard.press('w')
  await expect(page.getByRole('dialog', { name: /^Working/ })).toContainText('Expected after the turn')
  await expect(page.getByRole('dialog', { name: /^Working/ })).toContainText('from memory')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog', { name: /^Working/ })).toBeHidden()

  // Undo of a turn asks which it was.
  await page.keyboard.press('d')
  await expect(next(page)).toContainText('Squeeze ten times')
  await page.keyboard.press('u')
  await expect(page.getByRole('button', { name: 'I turned it back' })).toBeVisible()
  await page.getByRole('button', { name: 'It never happened' }).click()
  await expect(page.getByRole('button', { name: /, struck$/ })).toHaveCount(1)

  // The list first, then out of the number that is asked for: a digit would begin it.
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'I turned it back' })).toBeHidden()
  await page.keyboard.press('Escape')
  await page.keyboard.press('1')
  await expect(page.getByRole('button', { name: /^Wheel:/ })).toHaveAttribute('aria-current', 'step')
})

test('Space squeezes: the pads close on the rim and spring back', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 04', 'front')}`)
  const drawing = page.getByLabel(/Bench drawing/)
  await drawing.focus()
  const pads = () =>
    drawing
      .locator('svg')
      .first()
      .locator('path')
      .evaluateAll((paths) => paths.map((path) => path.getAttribute('d')).join())
  const atRest = await pads()
  await page.keyboard.down(' ')
  await expect.poll(pads).not.toBe(atRest)
  await page.waitForTimeout(1200)
  await expect(drawing.locator('text', { hasText: /^0\.0$/ }).first()).toBeVisible()
  await page.keyboard.up(' ')
  await expect.poll(pads).toBe(atRest)
})

test('did something else, a screw at its end, the school, inches and the night sheet', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 04', 'front')}`)
  await next(page).getByRole('button', { name: 'Did something else' }).click()
  await next(page).getByRole('button', { name: 'left screw more' }).click()
  // Typed before the turn, a reading was not measured after it.
  await page.locator('[data-reading="gapLeft"]').fill('1.4')
  await next(page).getByRole('button', { name: 'Log what was turned' }).click()
  await expect(next(page)).toContainText('Squeeze ten times')
  await expect(page.getByLabel('measured gap left')).toHaveValue('')
  // What the act asks for has its field there and nowhere else; what is typed shows on its gauge.
  await expect(page.locator('[data-reading="gapLeft"]')).toHaveCount(0)
  await expect(page.getByRole('list', { name: 'Log, newest first' })).toContainText(/left screw (in|out)/)

  await writeOnTape(page, 'rsat 5.5 rs +1')
  await expect(page.getByRole('alert')).toContainText('only ½ turn to go that way')
  await leaveTape(page)

  await page.getByText('Write something else').click()
  await page.getByLabel('note', { exact: true }).fill('pad posts greased')
  await page.getByLabel('note', { exact: true }).press('Enter')
  await page.getByLabel('torque, Nm').fill('6')
  await page.getByLabel('torque, Nm').press('Enter')
  const log = page.getByRole('list', { name: 'Log, newest first' })
  await expect(log).toContainText('pad posts greased')
  await expect(log).toContainText('anchor tightened to 6.0 N·m')

  await choose(page, /Bite school/, /^Give back/i)
  await expect(page.getByText(/4\.0 mm of cable,/)).toBeVisible()
  await page.getByRole('button', { name: /lengths in millimetres/ }).click()
  await expect(page.getByText(/0\.157 in of cable,/)).toBeVisible()
  await page.getByRole('button', { name: 'night sheet' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-sheet', 'night')
})

test('a new bicycle, its job, and a search that finds nothing', async ({ page }) => {
  await page.goto(shop.url)
  await page.getByRole('button', { name: 'New bicycle' }).click()
  await page.getByRole('button', { name: 'Hang it up' }).click()
  await expect(page.getByText('needs a name')).toBeVisible()
  await page.getByLabel('name or number').fill('Tourer 1')
  await page.getByRole('button', { name: /^Figures of the front brake/ }).click()
  await page.getByRole('textbox', { name: 'rim width' }).fill('900')
  await page.getByRole('button', { name: 'Hang it up' }).click()
  await expect(page.getByRole('alert')).toContainText('front: rim width is 900. Accepted: 10 to 60 mm')
  await page.getByRole('textbox', { name: 'rim width' }).fill('7/8in')
  await expect(page.locator('[data-dimension="rimWidthMm"]')).toBeAttached()
  await choose(page, /rear brake/, /dual-pivot/)
  await expect(page.getByLabel('mounting bolt to second pivot')).toBeVisible()
  await page.getByRole('button', { name: 'Hang it up' }).click()
  await page.getByRole('searchbox', { name: 'Search the rack' }).fill('tourer')
  await page.getByRole('button', { name: 'New job, Tourer 1 front' }).click()
  await page.getByLabel('What is wrong?').fill('squeals')
  await page.getByRole('button', { name: 'Open job' }).click()
  await expect(next(page)).toContainText('Look whether a motor drives this bicycle')
  await page.getByRole('link', { name: 'Rack' }).click()
  await page.getByRole('searchbox', { name: 'Search the rack' }).fill('no such bicycle')
  await expect(page.getByText('Nothing on the rail matches')).toBeVisible()
})

test('a job that is not there says so', async ({ page }) => {
  await page.goto(`${shop.url}/stand/none`)
  await expect(page.getByText('There is no job “none”.')).toBeVisible()
  await page.goto(`${shop.url}/nowhere`)
  await expect(page.getByText('There is no such page')).toBeVisible()
})

const ROOMS: readonly (readonly [what: string, path: () => string | Promise<string>, key?: string])[] = [
  ['the rack', () => '/'],
  ['a linear-pull', async () => `/stand/${await shop.job('Hire 06', 'rear')}`],
  ['a caliper to be mounted', async () => `/stand/${await shop.job('Tourer 1', 'front')}`],
  ['an assisted bicycle', async () => `/stand/${await shop.job('Assisted 1', 'rear')}`],
  ['a drum, its lever', async () => `/stand/${await shop.job('Roadster 2', 'rear')}`, '2'],
  ['a cantilever, its match', async () => `/stand/${await shop.job('Cross 1', 'front')}`, '2'],
  ['a cantilever, its cable', async () => `/stand/${await shop.job('Cross 1', 'front')}`, '6'],
  ['the drawer', () => '/drawer'],
  ['the handbook', () => '/handbook'],
  ['a job sheet', async () => `/jobs/${await shop.job('Hire 01', 'rear')}/sheet`],
]
for (const [what, path, key] of ROOMS)
  test(`axe finds nothing serious: ${what}, by day and by night`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light' })
    await page.goto(`${shop.url}${await path()}`)
    await expect(page.getByRole('main')).toBeVisible()
    await page.waitForTimeout(600)
    if (key) await page.keyboard.press(key)
    await page.waitForTimeout(600)
    const serious = async (runOnly?: string[]) => {
      const options: Parameters<AxeBuilder['options']>[0] = { resultTypes: ['violations'], ...(runOnly && { runOnly }) }
      const { violations } = await new AxeBuilder({ page }).options(options).analyze()
      return violations
        .filter(({ impact }) => impact === 'serious' || impact === 'critical')
        .map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`)
    }
    expect(await serious()).toEqual([])
    // The night sheet is the same page in other inks: only those can differ.
    await page.emulateMedia({ colorScheme: 'dark' })
    await page.waitForTimeout(300)
    expect(await serious(['color-contrast'])).toEqual([])
  })
