import { expect, test } from '@playwright/test'
import { choose, next, release, until, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4347)
})
test.afterAll(() => shop.close())

// Trade: on a dual-pivot the centring screw's direction differs by design; probe a quarter turn and see.
test('a caliper whose screw nobody knows: probed, learnt, brought in and released', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Folder 1', 'front')}`)
  await expect(next(page)).toContainText('Next turn')
  const said = await until(page, 'Squeeze, let go at once')
  const turns = said.filter((each) => each.includes('Next turn'))
  expect(turns.length).toBeLessThanOrEqual(6)
  expect(turns.some((each) => each.includes('differs by design'))).toBe(true)
  await expect(page.getByRole('button', { name: /^Bite: in its window/ })).toBeVisible()

  // The lever's weight both ways tells springs and cable apart: √(9·4) × 75/20.
  await writeOnTape(page, 'back both lw 9 lr 4')
  await expect(page.getByRole('button', { name: /^Centre: in its window/ })).toBeVisible()
  await page.getByRole('button', { name: /^Centre/ }).click()
  await expect(page.getByRole('region', { name: 'Lever weight' })).toContainText('Springs pull 23 N at the brake; 67 %')
  await until(page, 'Sign the job')
  await release(page, '3')

  await page.getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByText('Housing 1: 480 mm, into the barrel to ferrule')).toBeVisible()
  await expect(page.getByText('Inner: 600 mm')).toBeVisible()
})

// Trade: the lower the yoke, the more leverage and the more lever travel.
test('a cantilever: straddle planned, pads drawn as they wear, brought in and released', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Cross 1', 'front')}`)
  await page.getByRole('button', { name: /^Match/ }).click()
  const planner = page.getByRole('region', { name: 'Straddle cable' })
  await expect(planner).toContainText('Cut the straddle to 136.0 mm')
  const ratio = async () =>
    Number(/([\d.]+) at/.exec((await planner.getByRole('img').getAttribute('aria-label')) ?? '')?.[1])
  const before = await ratio()
  const yoke = planner.getByRole('slider')
  for (let step = 0; step < 10; step += 1) await yoke.press('ArrowLeft')
  expect(await ratio()).toBeGreaterThan(before)
  await expect(planner).not.toContainText('Cut the straddle to 136.0 mm')
  for (let step = 0; step < 60; step += 1) await yoke.press('ArrowRight')
  await expect(planner).toContainText('Too weak: lower the yoke')

  await page.getByRole('button', { name: /^Pads/ }).click()
  await expect(page.getByRole('img', { name: /Pad on the track in section, to scale/ })).toBeVisible()
  await choose(page, /School: pad height/, /middle/)
  await expect(page.getByRole('list', { name: 'Log, newest first' })).toContainText('pad height: middle of the track')
  await choose(page, /School: pad height/, /long/)

  const said = await until(page, 'Spin the wheel')
  expect(said.filter((each) => each.includes('Next turn')).length).toBeLessThanOrEqual(6)
  await writeOnTape(page, 'spin left')
  await expect(next(page)).toContainText('The gauge does not explain that rub')
  await until(page, 'Sign the job')
  await release(page, '5')
})

test('a cable’s way: cut list as it is typed, a tight bend warned of, housing shorter than its bend refused', async ({
  page,
}) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Roadster 1', 'rear')}`)
  await page.getByRole('button', { name: /^Cable/ }).click()
  const way = page.getByRole('region', { name: 'Cable’s way' })
  await expect(way).toContainText('Inner: 1400 mm')
  await way.getByLabel('piece 1, radius, mm').fill('40')
  await expect(way.getByRole('alert')).toContainText('bends at 40 mm')
  await way.getByLabel('piece 1, length, mm').fill('60')
  await expect(way.getByRole('alert')).toContainText('Accepted: at least 77 mm')
  await expect(way.getByRole('button', { name: 'Save this way' })).toBeVisible()
  await way.getByLabel('piece 1, length, mm').fill('460')
  await way.getByLabel('piece 1, radius, mm').fill('90')
  await expect(way).toContainText('Inner: 1440 mm')
  await way.getByRole('button', { name: 'Save this way' }).click()
  await expect(page.getByRole('list', { name: 'Log, newest first' })).toContainText('cable’s way: 3 pieces, 1320.0 mm')
  await page.keyboard.press('u')
  await page.getByRole('button', { name: 'Strike it' }).click()
  await expect(way).toContainText('Inner: 1400 mm')
})

test('a dead brake begins with what is only unhooked', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 07', 'rear')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'work dead')
  await expect(next(page)).toContainText('First hook the guide pipe')
})

// Handbook: pads are matched by shape and size; pads changed means pads looked at again before the bite.
test('pads from the drawer: taken, written down, and everything that stood on the old ones asked again', async ({
  page,
}) => {
  const job = await shop.job('Roadster 1', 'rear')
  await page.goto(`${shop.url}/stand/${job}`)
  await expect(next(page)).toContainText('Next turn')
  await page.getByRole('button', { name: /^Pads: in its window/ }).click()
  const spares = page.getByRole('region', { name: 'Pads in the drawer' })
  await writeOnTape(page, 'plen 55')
  await expect(spares).toContainText('the same size, 3 at hand')
  await spares.getByRole('button', { name: 'Put on Pads, cartridge' }).click()
  await expect(spares).toContainText('2 at hand')
  await expect(page.getByRole('list', { name: 'Log, newest first' })).toContainText('Pads, cartridge')
  await expect(next(page)).toContainText('Measure how thick both pads still are')
})
