import { expect, test } from '@playwright/test'
import { next, release, toSignature, until, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4371)
})
test.afterAll(() => shop.close())

/** A drum that has both force and travel for its load. */
const STOPS = {
  drumRadiusMm: { value: 45, provenance: 'measured' },
  loadedMassKg: { value: 60, provenance: 'measured' },
}

// Handbook: a drum’s wheel first, its strap, its lever; what whoever rides it is handed.
test('a drum goes from its wheel to the slip', async ({ page }) => {
  const brakeId = await shop.newBrake('Drum to slip', 'drum', 'rear', 5, STOPS)
  await page.goto(`${shop.url}/stand/${await shop.newJob(brakeId)}`)
  await expect(next(page)).toContainText('both nuts tight')
  await until(page, 'Sign the job', 60)
  await release(page, '4')
  await next(page).getByRole('link', { name: 'Slip and tag' }).click()
  await expect(page.getByText('Released by 4').first()).toBeVisible()
  await expect(page.getByText(/Out: cable off the brake arm, strap off the reaction arm, then both nuts/)).toBeVisible()
  await expect(page.getByText(/On a long descent a drum gets hot and fades/)).toBeVisible()
  await expect(page.getByText(/Rear: released, next look by/)).toBeVisible()
  await expect(page.getByText(/quick-release|rim|guide pipe/)).toHaveCount(0)
})

// Handbook: barrel in, clamped under its own bolt, squeezed hard ten times before anything is measured.
test('a new cable is run, clamped, settled, and printed as done', async ({ page }) => {
  const job = await shop.jobOn('New cable')
  await page.goto(`${shop.url}/stand/${job}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, 'work new-cable')
  await until(page, 'Screw the barrel fully in')
  await until(page, 'Clamp the inner straight under the anchor’s own bolt')
  const asked = await until(page, 'Measure both gaps')
  expect(asked.some((each) => each.includes('Squeeze hard ten times'))).toBe(true)
  await until(page, 'Sign the job', 60)
  await release(page, '4')
  await next(page).getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByText('Barrel screwed fully in before the cable was clamped')).toBeVisible()
  await expect(page.getByText(/Cable clamped anew under the anchor’s own bolt and washer/)).toBeVisible()
})

// Handbook: hard ride, little trims, ride again; the rider says yes to the throw.
test('a hard ride, a trim, and the rider’s yes', async ({ page }) => {
  await toSignature(page, shop, await shop.jobOn('Ridden hard'))
  await writeOnTape(page, 'rode ok throwok shorter')
  await expect(next(page)).toContainText('Barrel out a quarter turn within its window')
  await writeOnTape(page, 'bar +1/4 sq 10 gl 0.9 gr 0.9 bite 19')
  await writeOnTape(page, 'squeeze ok back both res 26 spin free walk ok')
  await until(page, 'Let it be ridden hard')
  await writeOnTape(page, 'rode ok throwok yes')
  await expect(next(page)).toContainText('Sign the job')
  await release(page, '4')
  await next(page).getByRole('link', { name: 'Job sheet, to print' }).click()
  await expect(page.getByText(/Barrel out ¼ turn/)).toBeVisible()
  await expect(page.getByText(/rider to the throw/i).first()).toBeVisible()
})
