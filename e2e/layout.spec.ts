import { expect, type Page, test } from '@playwright/test'
import { writeOnTape } from './hand.ts'
import { SOUND, workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4312)
})
test.afterAll(() => shop.close())

const SIZES = [
  ['laptop', 1280, 800],
  ['small laptop', 1024, 768],
  ['upright tablet', 820, 1180],
  ['phone', 390, 844],
] as const

/** Buttons and links a gloved finger would miss, and text wider than the sheet. */
const faults = (page: Page) =>
  page.evaluate(() => {
    const seen = (element: Element) => {
      const box = element.getBoundingClientRect()
      return box.width > 0 && box.height > 0 ? box : undefined
    }
    const small = [
      ...document.querySelectorAll(
        'button, nav a, label[data-rac], input:not([type=checkbox]):not([type=radio]):not([type=file]):not([type=range])',
      ),
    ].flatMap((each) => {
      const box = seen(each)
      return box && (box.height < 43.5 || box.width < 43.5)
        ? [`${each.tagName} ${each.textContent?.slice(0, 20)} ${Math.round(box.width)}×${Math.round(box.height)}`]
        : []
    })
    const wide =
      document.documentElement.scrollWidth > window.innerWidth + 1
        ? [`page is ${document.documentElement.scrollWidth} wide`]
        : []
    return [...small, ...wide]
  })

/** Looks at the page in hand at every size, from the widest down. */
async function atEverySize(page: Page, what: string) {
  for (const [name, width, height] of SIZES) {
    await page.setViewportSize({ width, height })
    await expect.poll(() => faults(page), { message: `${what}, ${name}` }).toEqual([])
  }
  await page.setViewportSize({ width: 1280, height: 800 })
}

test('at every size nothing runs off the sheet and every target can be hit', async ({ page }) => {
  for (const path of [
    '/',
    `/stand/${await shop.job('Hire 04', 'front')}`,
    `/stand/${await shop.job('Hire 07', 'rear')}`,
    `/stand/${await shop.job('Tourer 1', 'front')}`,
    `/stand/${await shop.job('Tourer 1', 'rear')}`,
    `/stand/${await shop.job('Folder 1', 'front')}`,
    `/stand/${await shop.job('Cargo 1', 'front')}`,
    `/stand/${await shop.job('Assisted 1', 'rear')}`,
    `/stand/${await shop.job('Roadster 2', 'front')}`,
    '/drawer',
    '/handbook',
    '/bicycles/new',
    `/jobs/${await shop.job('Hire 01', 'rear')}/sheet`,
  ]) {
    await page.goto(`${shop.url}${path}`)
    await expect(page.getByRole('main').first()).toBeVisible()
    await page.waitForTimeout(500)
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1)
    expect(await page.title(), path).toMatch(/.+ · Overhaul$/)
    await atEverySize(page, path)
  }
  await page.goto(`${shop.url}/stand/${await shop.job('Cross 1', 'front')}`)
  for (const [station, region] of [
    ['Match', 'Straddle cable'],
    ['Pads', 'Drift'],
    ['Cable', 'Cable’s way'],
    ['Centre', 'Lever weight'],
  ] as const) {
    await page.getByRole('button', { name: new RegExp(`^${station}`) }).click()
    await expect(page.getByRole('region', { name: region })).toBeVisible()
    await atEverySize(page, station)
  }
})

test('with letters twice as large on a laptop, head, stations and tape scroll away and the act can be reached', async ({
  page,
}) => {
  // A window of 1280×800 whose letters are doubled has the room of this one.
  await page.setViewportSize({ width: 640, height: 400 })
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 04', 'front')}`)
  const did = page.getByTestId('next').getByRole('button', { name: 'Did it' })
  await did.evaluate((each) => each.scrollIntoView({ block: 'center' }))
  await expect(page.getByRole('banner')).not.toBeInViewport()
  await expect(page.getByLabel('Tape')).not.toBeInViewport()
  const isOnTop = await did.evaluate((each) => {
    const { left, top, width, height } = each.getBoundingClientRect()
    const hit = document.elementFromPoint(left + width / 2, top + height / 2)
    return hit !== null && each.contains(hit)
  })
  expect(isOnTop).toBe(true)
  await page.getByLabel('Tape').scrollIntoViewIfNeeded()
  await expect(page.getByLabel('Tape')).toBeInViewport()
  expect(await faults(page)).toEqual([])
})

test('on a phone the next act comes first and the tape stays at the foot', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 04', 'front')}`)
  const next = await page.getByTestId('next').boundingBox()
  const fold = page.getByText('Drawing of the brake and the lever')
  expect(next?.y).toBeLessThan((await fold.boundingBox())?.y ?? 0)
  await expect(page.getByLabel(/Bench drawing/)).toBeHidden()
  await fold.click()
  await expect(page.getByLabel(/Bench drawing/)).toBeVisible()
  await page.mouse.wheel(0, 900)
  const tape = await page.getByLabel('Tape').boundingBox()
  expect((tape?.y ?? 0) + (tape?.height ?? 0)).toBeLessThanOrEqual(844)
})

test('a gauge can be dragged, nudged and dropped; nothing is logged until it is saved', async ({ page }) => {
  const job = await shop.job('Hire 04', 'front')
  await page.goto(`${shop.url}/stand/${job}`)
  const before = (await shop.entries(job)).length
  const measured = await page.getByLabel('gap left', { exact: true }).inputValue()
  const gauge = page.getByRole('img', { name: /^gap left:/ })
  const box = await gauge.boundingBox()
  if (!box) throw new Error('no gauge')
  await page.mouse.move(box.x + box.width * 0.3, box.y + 20)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.5, box.y + 20, { steps: 4 })
  await page.mouse.up()
  const input = page.getByLabel('gap left', { exact: true })
  const dragged = Number(await input.inputValue())
  expect(dragged).toBeGreaterThan(0.8)
  expect(dragged).toBeLessThan(1.6)
  await input.focus()
  await page.keyboard.press('ArrowUp')
  expect(Number(await input.inputValue())).toBeCloseTo(dragged + 0.1, 5)
  await page.keyboard.press('Escape')
  expect(await input.inputValue()).toBe(measured)
  expect((await shop.entries(job)).length).toBe(before)
  await input.fill('1.2')
  await page.keyboard.press('Enter')
  await expect.poll(async () => (await shop.entries(job)).length).toBe(before + 1)
})

test('the drawing can be flipped, and left stays the rider’s left', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 04', 'front')}`)
  const place = (text: string) =>
    page
      .getByLabel(/front view/)
      .getByText(text, { exact: true })
      .boundingBox()
  expect((await place('LEFT'))?.x).toBeLessThan((await place('RIGHT'))?.x ?? 0)
  await page.getByRole('button', { name: 'see from the front' }).click()
  expect((await place('LEFT'))?.x).toBeGreaterThan((await place('RIGHT'))?.x ?? 0)
})

test('a wheel out of true stops everything before a screw is touched', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 07', 'rear')}`)
  await expect(page.getByTestId('next')).toBeVisible()
  await writeOnTape(page, `wheel ok hub ok lat 2.6 rad 0.3 off 0 ${SOUND} gl 0.4 gr 2.4 bite 10`)
  await expect(page.getByTestId('next')).toContainText('Seat the wheel again; if it stays so, true or dish it')
  await writeOnTape(page, 'skip wheel-true no truing stand here')
  await expect(page.getByRole('alert')).toContainText('is not skipped: a bicycle is not ridden like this')
})

/** Words in drawings too small to read at arm's length, and drawn buttons a finger would miss. */
const tinyDrawings = (page: Page) =>
  page.evaluate(() => {
    const shown = (each: Element) => each.getBoundingClientRect().width > 0
    const words = [...document.querySelectorAll('svg text')].filter(shown).flatMap((each) => {
      const scale = (each as SVGTextElement).getScreenCTM()?.a ?? 1
      const px = Number.parseFloat(getComputedStyle(each).fontSize) * Math.abs(scale)
      return px < 13.9 ? [`${each.textContent} ${px.toFixed(1)} px`] : []
    })
    const buttons = [...document.querySelectorAll('.drawn-button > rect:last-child')].filter(shown).flatMap((each) => {
      const { width, height } = each.getBoundingClientRect()
      return width < 43.5 || height < 43.5 ? [`button ${Math.round(width)}×${Math.round(height)}`] : []
    })
    return [...words, ...buttons]
  })

test('on a phone every word of a drawing can be read and every drawn button hit', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const [bicycle, end, stations] of [
    ['Cross 1', 'front', ['Match', 'Pads', 'Centre']],
    ['Hire 04', 'front', ['Pads', 'Bite']],
    ['Tourer 1', 'front', ['Mount', 'Pads']],
    ['Roadster 1', 'rear', ['Bite']],
  ] as const) {
    await page.goto(`${shop.url}/stand/${await shop.job(bicycle, end)}`)
    await page.getByRole('button', { name: 'Drawing of the brake and the lever' }).click()
    for (const station of stations) {
      await page.getByRole('button', { name: new RegExp(`^${station}:`) }).click()
      await page.waitForTimeout(400)
      expect(await tinyDrawings(page), `${bicycle} ${station}`).toEqual([])
      expect(await faults(page), `${bicycle} ${station}`).toEqual([])
    }
  }
  await page.goto(`${shop.url}/bicycles/new`)
  await page.getByRole('button', { name: /^Figures of the front brake/ }).click()
  await expect(page.getByRole('group', { name: /front view/ })).toBeVisible()
  expect(await tinyDrawings(page)).toEqual([])
})
