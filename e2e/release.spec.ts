import { expect, test } from '@playwright/test'
import { follow, next, until, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4364)
})
test.afterAll(() => shop.close())

// Handbook, 4 Lever: one straight finger in the hook, no knuckle under the blade at a full squeeze.
test('a lever that traps a finger is moved until it fits, and cannot be called done before', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 22', 'front')}`)
  await expect(next(page)).toContainText('traps its knuckle')
  await expect(next(page)).toContainText('Not to be ridden like this')
  await expect(next(page).getByRole('button', { name: 'Skip' })).toBeHidden()
  await page.getByLabel('Tape').fill('skip lever-place no time')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/is not skipped/).first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')

  // Bar, hand and blade from above, each measured thing in its place.
  const drawing = page.getByLabel(/bar, hand and blade from above/)
  for (const reading of ['handOffset', 'clampAt', 'clampToHook', 'clampToTip', 'leverReach'])
    await expect(page.locator(`[data-dimension="${reading}"]`).first()).toBeVisible()
  await expect(drawing.first()).toBeVisible()

  const hand = page.getByRole('region', { name: 'Lever and hand' })
  await expect(hand).toContainText('11 mm further inboard')
  await expect(hand).toContainText(/Leverage at the finger 2\.5 → 2\.9/)
  await hand.getByRole('button', { name: 'lever along the bar: log it' }).click()
  // The finger lies elsewhere on the blade, the housing has shifted: it is measured again from there.
  await expect(page.getByRole('button', { name: /^Match: look again/ })).toBeVisible()
  await until(page, 'Clamp snug: hands off and back')
  await expect(hand).toContainText('The hook lies under the finger')
  await expect(hand).toContainText('no knuckle is met')
  await writeOnTape(page, 'tried knuckle')
  await expect(next(page)).toContainText('traps a finger at a full squeeze')
  await writeOnTape(page, 'tried right otherlever alike barof carbon clampby crash')
  await expect(next(page)).toContainText('no exception')
  await writeOnTape(page, 'clampby figure')
  await expect(page.getByRole('button', { name: /^Lever: in its window/ })).toBeVisible()
})

test('a fastener loosened comes back unticked; release waits for it; sheet, slip and tag follow', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 20', 'rear')}`)
  await until(page, 'Go over every fastener')
  const list = page.getByRole('region', { name: 'Fasteners' })
  await expect(list).toContainText('Fasteners · 3 of 7 tight')
  await follow(page)
  await until(page, 'Sign the job')
  // The Stand goes on to what is next after an act: the list is looked at where it stands.
  const listed = (words: string) =>
    expect(async () => {
      await page.getByRole('button', { name: /^Tighten/ }).click()
      await expect(list).toContainText(words, { timeout: 2000 })
    }).toPass()
  await listed('Fasteners · 7 of 7 tight')

  // Loosened: it alone is open again, and the job cannot be signed.
  await list.getByRole('button', { name: /^lever clamp: torque/ }).click()
  await list.getByRole('button', { name: 'lever clamp loosened' }).click()
  await listed('Fasteners · 6 of 7 tight')
  await writeOnTape(page, 'release 7')
  await expect(page.getByText(/Not ready for release/).first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await writeOnTape(page, 'barof metal clampby figure')
  await expect(next(page)).toContainText('It was loosened: tighten the lever clamp to its figure')

  // A pull on a key instead of a wrench: 50 N at 100 mm is 5 N·m.
  await page.getByRole('button', { name: /^Tighten/ }).click()
  await list.getByText('Pull on a key').click()
  await expect(list).toContainText('a pull of 40–60 N at 100 mm of key')
  await list.getByLabel('lever clamp, N').fill('50')
  await list.getByRole('button', { name: 'lever clamp tight' }).click()
  await listed('Fasteners · 7 of 7 tight')
  await listed('a pull of 50 N at 100.0 mm of key')

  // The maker’s figure goes before ours: 5 N·m is then not tight.
  await writeOnTape(page, 'maker lever clamp 6 7')
  await expect(next(page)).toContainText('lever clamp at 5.0 N·m, the maker says 6–7 N·m')
  await writeOnTape(page, 'torque lever clamp 6.5')
  await until(page, 'Sign the job')

  await writeOnTape(page, 'estimate 30 24 EUR spent 35 28 EUR')
  await expect(page.getByText(/write minutes, money and currency/).first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await writeOnTape(page, 'estimate 30 24 EUR')
  const cost = page.getByRole('region', { name: 'Cost and papers' })
  await expect(cost).toContainText('Estimate: 30 min, 24.00 EUR')
  await cost.getByLabel('Spent, minutes').fill('35')
  await cost.getByRole('button', { name: 'Log spent' }).click()
  await expect(cost).toContainText('Spent: 35 min, 28.00 EUR work')
  await next(page).getByLabel('initials or number').fill('7')
  await next(page).getByLabel('look again by').fill('2031-02-30x')
  await next(page).getByRole('button', { name: 'Release', exact: true }).click()
  await expect(page.getByText(/Accepted: a day as year-month-day/).first()).toBeVisible()
  await next(page).getByLabel('look again by').fill('2031-05-26')
  await next(page).getByRole('button', { name: 'Release', exact: true }).click()
  await expect(next(page)).toContainText('Released by 7')

  await next(page).getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByRole('heading', { name: /Hire 20 · rear/ })).toBeVisible()
  const said = (await page.locator('main').textContent()) ?? ''
  // Result and readings first, cautions after.
  const order = ['Released by 7', 'Readings, as found and as left', 'Fasteners', 'Cautions'].map((each) =>
    said.indexOf(each),
  )
  expect(order.every((at) => at >= 0)).toBe(true)
  expect(order).toEqual([...order].sort((a, b) => a - b))
  expect(said).toContain('Look again by Mon 26 May 2031')
  expect(said).toContain('4.00 EUR over')
  await expect(page.getByRole('img', { name: /This brake at rest/ })).toBeVisible()

  await page.getByRole('link', { name: 'Slip and tag' }).click()
  await expect(page.getByText('unhook the guide pipe')).toBeVisible()
  await expect(page.getByText(/By Mon 26 May 2031/)).toBeVisible()
  const code = (await page.getByRole('region', { name: 'Tag' }).locator('p').first().textContent())?.trim() ?? ''
  expect(code).toMatch(/^[2-9B-Z]{5}$/)

  // The code finds the bicycle: in the rack’s search, and as an address.
  await page.goto(shop.url)
  await page.getByLabel('Search the rack').fill(code.toLowerCase())
  await expect(page.getByRole('heading', { name: 'Hardware of Hire 20' })).toBeVisible()
  await expect(page.getByRole('grid', { name: 'Bicycles' }).getByRole('heading')).toHaveCount(1)
  await page.goto(`${shop.url}/b/${code}`)
  await expect(page).toHaveURL(/\/bicycles\//)
  await page.goto(`${shop.url}/b/XXXXX`)
  await expect(page.getByText(/No bicycle of this workshop has the code/)).toBeVisible()
})

test('sheet and slip as PDF, on paper there is', async ({ request }) => {
  const job = await shop.job('Hire 04', 'rear')
  for (const path of ['sheet.pdf?paper=letter', 'sheet.pdf?whole=true', 'handover.pdf']) {
    const answer = await request.get(`${shop.url}/api/jobs/${job}/${path}`)
    expect(answer.status(), path).toBe(200)
    expect(answer.headers()['content-type']).toContain('application/pdf')
  }
  expect((await request.get(`${shop.url}/api/jobs/${job}/sheet.pdf?paper=napkin`)).status()).toBe(400)
})
