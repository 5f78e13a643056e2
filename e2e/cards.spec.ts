import { expect, type Page, test } from '@playwright/test'
import { leaveTape, next, release, visited, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4370)
})
test.afterAll(() => shop.close())

const card = (page: Page, name: string) => next(page).getByRole('list', { name })
const allSound = (page: Page) => next(page).getByRole('button', { name: /^All sound/ })

/** The card is read: a second a row. */
async function readThrough(page: Page): Promise<void> {
  await expect(allSound(page)).toBeDisabled()
  await expect(allSound(page)).toBeEnabled({ timeout: 20_000 })
}

// Trade: a known, sound brake takes about seven acts (common practice, no source).
test('the weekly check of a known brake, by keys: five acts, two figures', async ({ page }) => {
  const brakeId = await visited(page, shop, 'Weekly 1')
  const job = await shop.newJob(brakeId)
  await page.goto(`${shop.url}/stand/${job}`)
  await expect(card(page, 'Walk round, from the front').getByRole('listitem')).toHaveCount(12)
  await expect(card(page, 'Walk round, from the front')).toContainText('inner at the anchor whole')
  await readThrough(page)
  await page.keyboard.press('a')
  await expect(card(page, 'At the lever')).toContainText('ten hard squeezes, no slip')
  await readThrough(page)
  await page.keyboard.press('a')
  // Bite and reserve, one after the other, with the rule in the hand.
  await expect(page.getByLabel('measured bite')).toBeVisible()
  await page.keyboard.press('m')
  for (const figure of ['20', '25']) {
    await page.keyboard.type(figure)
    await page.keyboard.press('Enter')
  }
  await expect(next(page)).toContainText('Walk beside the bicycle')
  await page.keyboard.press('d')
  await expect(next(page)).toContainText('Sign the job')
  await release(page, '7')
  const entries = (await shop.entries(job)) as { kind: string; tookS?: number }[]
  const looked = entries.filter(({ tookS }) => tookS !== undefined)
  expect(looked.length).toBeGreaterThan(15)
  for (const { tookS } of looked) expect(tookS).toBeGreaterThanOrEqual(4)
})

test('the same by the tape: it waits until the card can have been read; what is otherwise stands behind but', async ({
  page,
}) => {
  const brakeId = await visited(page, shop, 'Weekly 2')
  const job = await shop.newJob(brakeId)
  await page.goto(`${shop.url}/stand/${job}`)
  await expect(card(page, 'Walk round, from the front')).toBeVisible()
  await writeOnTape(page, 'allsound')
  await expect(page.locator('#tape-echo')).toContainText('nobody has looked at them yet')
  await expect(page.getByLabel('Tape')).toHaveValue('allsound')
  await readThrough(page)
  await page.keyboard.type(' but hub no')
  await page.keyboard.press('Enter')
  // Put right first; the rest of the walk round stands.
  await expect(next(page)).toContainText('Hub bearings are work of the wheel bench')
  await writeOnTape(page, 'allsound')
  await expect(page.locator('#tape-echo')).toContainText('do what Next says')
  await leaveTape(page)
  await writeOnTape(page, 'hub ok')
  await expect(card(page, 'At the lever')).toBeVisible()
})

test('by touch: a row that is otherwise is told by itself, and all sound is refused beside it', async ({ browser }) => {
  const page = await (await browser.newContext({ hasTouch: true, viewport: { width: 820, height: 1180 } })).newPage()
  const brakeId = await visited(page, shop, 'Weekly 3')
  await page.goto(`${shop.url}/stand/${await shop.newJob(brakeId)}`)
  const rows = card(page, 'Walk round, from the front')
  await rows.getByRole('button', { name: /housing and inner fit for a brake/ }).tap()
  await expect(next(page)).toContainText('Look at the housing, its ends')
  await next(page).getByText('a strand is broken').first().tap()
  await readThrough(page)
  await allSound(page).tap()
  await expect(next(page)).toContainText(/Not all sound: inner at .* Save that first/)
  await next(page).getByRole('button', { name: 'Save' }).tap()
  // The rest of the walk round is looked at as well; then it is put right.
  await expect(rows).not.toContainText('housing and inner fit for a brake')
  await expect(rows.getByRole('listitem')).toHaveCount(11)
  await allSound(page).tap()
  await expect(next(page)).toContainText('do not ride')
})

test('a drum never seen: what nobody ever answered is chosen, the rest is sound; then tool by tool', async ({
  page,
}) => {
  const brakeId = await shop.newBrake('New here', 'drum', 'front', 5)
  await page.goto(`${shop.url}/stand/${await shop.newJob(brakeId)}`)
  await expect(card(page, 'Walk round, from the front')).toContainText('housing: choose')
  await expect(next(page)).toContainText('1 to choose')
  await readThrough(page)
  await writeOnTape(page, 'allsound but kind coil cover sound ends right ia whole ih whole')
  await expect(next(page)).toContainText('With the caliper')
  await expect(page.getByLabel('measured lever pivot to cable end')).toBeVisible()
  await expect(page.getByLabel('measured housing, outside')).toBeVisible()
  await next(page).getByRole('button', { name: 'Read the practice gauge' }).click()
  await next(page).getByRole('button', { name: 'Save' }).click()
  await expect(next(page)).toContainText('Measure the arm from the ridge')
})

test('a bicycle that fell is looked over as if never seen', async ({ page }) => {
  const brakeId = await visited(page, shop, 'Fell over')
  await page.goto(`${shop.url}/stand/${await shop.newJob(brakeId)}`)
  await expect(card(page, 'Walk round, from the front')).toContainText('as last time')
  await writeOnTape(page, 'complaint fell over at the lock')
  const rows = card(page, 'Walk round, from the front')
  await expect(rows).not.toContainText('as last time')
  await expect(rows).toContainText('pads made for: choose')
})
