import { expect, type Page, test } from '@playwright/test'
import { wordsInTheWay } from './drawn-words.ts'
import { alongRack, next, onRack, writeOnTape, written } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4354)
})
test.afterAll(() => shop.close())

const SIZES = [
  [1280, 800],
  [1024, 768],
  [820, 1180],
  [390, 844],
] as const

/** What of the act in hand is not wholly in sight, or lies under something else. */
const hidden = (page: Page, gauges: boolean) =>
  page.evaluate((everyGauge) => {
    const inSight = (element: Element): boolean => {
      const box = element.getBoundingClientRect()
      if (box.top < 0 || box.left < 0 || box.bottom > window.innerHeight || box.right > window.innerWidth) return false
      return [box.top + 3, box.bottom - 3].every((y) => {
        const hit = document.elementFromPoint(box.left + box.width / 2, y)
        return hit !== null && (element.contains(hit) || hit.contains(element))
      })
    }
    const first = (selector: string) => [...document.querySelectorAll(selector)].slice(0, 1)
    const asked = [
      ...first('[data-act]'),
      ...first('[data-measure="0"]').map((each) => each.querySelector('label[data-rac]') ?? each),
      ...first('[data-ends]'),
      ...(everyGauge ? document.querySelectorAll('[data-reading]') : []),
    ]
    return asked.filter((each) => !inSight(each)).map((each) => each.outerHTML.slice(0, 120))
  }, gauges)

/** Does what Next says once, by keyboard alone. */
const byKeys = (page: Page): Promise<void> =>
  written(page, async () => {
    if (await next(page).getByRole('button', { name: 'Read the practice gauge' }).isVisible()) {
      await page.keyboard.press('g')
      await expect(next(page).getByRole('button', { name: 'Save' })).toBeEnabled()
      await page.keyboard.press('m')
      await page.keyboard.press('Enter')
    } else await page.keyboard.press('d')
  })

/** One of each kind is driven at every size, the others where a bench tablet shows least. */
const AT_EVERY_SIZE = ['linear-pull', 'disc-two-adjusters', 'drum'] as const
const AT_ONE_SIZE = ['cantilever', 'centre-pull', 'single-pivot', 'dual-pivot', 'disc-fixed-pad'] as const
const DRIVEN = [
  ...AT_EVERY_SIZE.map((family) => ({ family, sizes: SIZES })),
  ...AT_ONE_SIZE.map((family) => ({ family, sizes: SIZES.slice(1, 2) })),
]

/** A drum that has both force and travel for its load: the book’s small one comes to the bar, and its sheet says so first. */
const STOPS = {
  drumRadiusMm: { value: 45, provenance: 'measured' },
  loadedMassKg: { value: 60, provenance: 'measured' },
}

for (const { family, sizes } of DRIVEN) {
  test(`${family}: at every act, on ${sizes.length === 1 ? 'a small screen' : 'every size'}, what to do, its first field and the button that ends it are in sight, and no words of a drawing lie over others`, async ({
    page,
  }) => {
    const brakeId = await shop.newBrake(`In hand, ${family}`, family, 'rear', 5, family === 'drum' ? STOPS : {})
    const jobId = await shop.newJob(brakeId)
    await page.goto(`${shop.url}/stand/${jobId}`)
    await expect(next(page)).toBeVisible()
    for (let act = 0; act < 60; act += 1) {
      const said = (await next(page).textContent()) ?? ''
      for (const [width, height] of sizes) {
        if (sizes.length > 1 || act === 0) await page.setViewportSize({ width, height })
        // A disc has six gauges: under a long turn the last of them are scrolled to.
        const turn = width === 1280 && said.toUpperCase().includes('NEXT TURN') && !family.startsWith('disc')
        await expect
          .poll(() => hidden(page, turn), { message: `${said.slice(0, 80)} at ${width}×${height}` })
          .toEqual([])
        await expect
          .poll(() => wordsInTheWay(page), { message: `${said.slice(0, 80)} at ${width}×${height}` })
          .toEqual([])
      }
      if (sizes.length > 1) await page.setViewportSize({ width: 1280, height: 800 })
      if (await next(page).getByRole('button', { name: 'Release', exact: true }).isVisible()) return
      await byKeys(page)
    }
    throw new Error('it was never signed')
  })
}

/** Walks with Tab through what can be reached, and says what the focus landed on that lies under something. */
async function covered(page: Page, steps: number): Promise<readonly string[]> {
  const under: string[] = []
  for (let step = 0; step < steps; step += 1) {
    await page.keyboard.press('Tab')
    const found = await page.evaluate(() => {
      const at = document.activeElement
      if (!(at instanceof HTMLElement) || at === document.body) return undefined
      const shown = at.closest('label') ?? at
      const box = shown.getBoundingClientRect()
      const hit = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2)
      return hit !== null && (shown.contains(hit) || hit.contains(shown)) ? undefined : shown.outerHTML.slice(0, 140)
    })
    if (found) under.push(found)
  }
  return under
}

for (const [width, height] of SIZES) {
  test(`${width}×${height}: the focus is never under the tape or the buttons that stay in sight`, async ({ page }) => {
    await page.setViewportSize({ width, height })
    await page.goto(`${shop.url}/stand/${await shop.job('Hire 09', 'front')}`)
    await expect(next(page)).toBeVisible()
    await page.getByRole('button', { name: /^Pads/ }).click()
    await expect(page.getByRole('region', { name: 'Drift' })).toBeVisible()
    expect(await covered(page, 40)).toEqual([])
  })

  test(`${width}×${height}: what is opened takes the focus, covers what it lies on, and gives the focus back`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height })
    await page.goto(`${shop.url}/stand/${await shop.job('Hire 09', 'front')}`)
    const why = next(page).getByRole('button', { name: 'Why' })
    await why.focus()
    for (const [key, name] of [
      ['w', /^Working/],
      ['?', /^Keys/],
    ] as const) {
      await page.keyboard.press(key)
      const cover = page.getByRole('dialog', { name })
      await expect(cover).toBeInViewport()
      await expect(cover.getByRole('button', { name: 'Close' })).toBeFocused()
      await page.keyboard.press('Escape')
      await expect(cover).toBeHidden()
      await expect(why).toBeFocused()
      await page.keyboard.press(key)
      for (let step = 0; step < 12; step += 1) {
        await page.keyboard.press('Tab')
        expect(await page.evaluate(() => document.activeElement?.closest('[inert]') === null)).toBe(true)
      }
      await cover.getByRole('button', { name: 'Close' }).click()
      await expect(cover).toBeHidden()
      await why.focus()
    }
  })
}

test('Esc lets go of the one field in hand, which can be brought back; the others stay', async ({ page }) => {
  const job = await shop.job('Hire 20', 'rear')
  await page.goto(`${shop.url}/stand/${job}`)
  const field = (name: string) => next(page).getByLabel(`measured ${name}`)
  await field('gap left').fill('1.0')
  await field('gap right').fill('1.2')
  await field('bite').fill('20')
  // The working opens and closes over what is typed.
  await next(page).getByRole('button', { name: 'Why' }).click()
  await page.keyboard.press('Escape')
  await expect(field('gap left')).toHaveValue('1.0')
  await field('gap right').focus()
  await page.keyboard.press('Escape')
  await expect(field('gap right')).toHaveValue('')
  await expect(field('gap left')).toHaveValue('1.0')
  await expect(field('bite')).toHaveValue('20')
  await page.getByRole('button', { name: 'Bring back' }).click()
  await expect(field('gap right')).toHaveValue('1.2')
})

test('a bad draft is named with its station, and holds up only itself', async ({ page }) => {
  const job = await shop.job('Hire 20', 'rear')
  await page.goto(`${shop.url}/stand/${job}`)
  const before = (await shop.entries(job)).length
  const field = (name: string) => next(page).getByLabel(`measured ${name}`)
  await field('gap left').fill('1.0')
  await field('gap right').fill('wide')
  await field('bite').fill('400')
  await page.keyboard.press('Enter')
  const alert = page.getByRole('alert').filter({ hasText: 'Gap right (Bite)' })
  await expect(alert).toContainText('“wide”')
  await expect(alert).toContainText(/Bite \(Bite\): .*Accepted/)
  await expect.poll(async () => (await shop.entries(job)).length).toBeGreaterThan(before)
  await expect(field('gap right')).toHaveValue('wide')
  await expect(field('gap right')).toBeFocused()
})

test('a skip’s reason and a note outlive a reload and another screen’s entry', async ({ page, context }) => {
  const job = await shop.job('Hire 16', 'rear')
  await page.goto(`${shop.url}/stand/${job}`)
  await expect(next(page)).toContainText('front of each pad')
  await writeOnTape(page, 'tl 1.4 tr 0.6 set applied')
  await next(page).getByRole('button', { name: 'Leave it' }).click()
  await next(page).getByLabel('why is it left?').fill('no card at hand')
  await page.getByRole('button', { name: 'Write something else' }).click()
  await page.getByLabel('note', { exact: true }).fill('left pad squeaks')
  const other = await context.newPage()
  await other.goto(`${shop.url}/stand/${job}`)
  await expect(next(other)).toBeVisible()
  await writeOnTape(other, 'note from the other screen')
  await expect(page.getByRole('list', { name: 'Log, newest first' })).toContainText('from the other screen')
  await expect(next(page).getByLabel('why is it left?')).toHaveValue('no card at hand')
  await page.reload()
  await expect(next(page).getByLabel('why is it left?')).toHaveValue('no card at hand')
  await expect(page.getByLabel('note', { exact: true })).toHaveValue('left pad squeaks')
})

test('t pressed before the tape has come leads the hand to it when it does', async ({ page }) => {
  let come = () => {}
  const held = new Promise<void>((resolve) => {
    come = resolve
  })
  await page.route(/\/Tape-[^/]*\.js$/, async (route) => {
    await held
    await route.continue()
  })
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 07', 'rear')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await expect(page.getByLabel('Tape')).toBeHidden()
  await page.keyboard.press('t')
  come()
  await expect(page.getByLabel('Tape')).toBeFocused()
})

test('the tape: titles, what Enter would refuse, earlier lines, the words of this brake', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 07', 'rear')}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  const line = page.getByLabel('Tape')
  await expect(line).toHaveAttribute('placeholder', 'fast ok')
  await page.keyboard.press('t')
  await page.keyboard.type('gap left 40')
  await expect(page.locator('#tape-echo')).toContainText('Accepted: 0.0 mm to 10.0 mm')
  await page.keyboard.press('Escape')
  await expect(line).toHaveValue('')
  await page.keyboard.press('u')
  await expect(line).toHaveValue('u')
  await page.keyboard.press('Backspace')
  await page.keyboard.type('fast ok')
  await page.keyboard.press('Enter')
  await expect(next(page)).not.toContainText('wheel straight in its dropouts')
  await page.keyboard.press('t')
  await page.keyboard.press('ArrowUp')
  await expect(line).toHaveValue('fast ok')
  await page.keyboard.press('ArrowDown')
  await expect(line).toHaveValue('')
  await page.keyboard.press('?')
  const words = page.getByRole('dialog', { name: /words on this brake/ })
  await expect(words.getByRole('region', { name: 'Bite' })).toContainText('gap left')
  await page.keyboard.press('Escape')
  await expect(line).toBeFocused()
})

test('written by is on the screen, asked once a day and never before the act', async ({ page }) => {
  await page.goto(`${shop.url}/stand/${await shop.job('Hire 02', 'rear')}`)
  await expect(page.getByRole('button', { name: 'written by 1, change' })).toBeVisible()
  await writeOnTape(page, 'note first of the day')
  const asked = page.getByRole('group', { name: 'Written by' })
  await expect(asked).toContainText('Written by 1 today?')
  await asked.getByRole('button', { name: 'Another' }).click()
  await page.getByLabel('written by', { exact: true }).fill('7')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'written by 7, change' })).toBeVisible()
  await writeOnTape(page, 'note second of the day')
  await expect(asked).toBeHidden()
})

test('rooms not opened yet open while the server is away, an idle page says so, and a bicycle and a job are sent once', async ({
  page,
}) => {
  const own = await workshop(4355)
  await page.goto(own.url)
  await expect(page.getByRole('grid', { name: 'Bicycles' })).toContainText('Hire 01')
  await page.waitForTimeout(6000)
  await own.stop()
  await expect(page.getByText('does not answer')).toBeVisible()
  await page.getByRole('link', { name: 'Drawer' }).click()
  await expect(page.getByRole('grid', { name: 'Parts in the drawer' })).toContainText('Sleeve nut')
  await page.getByRole('link', { name: 'Handbook' }).click()
  await expect(page.getByRole('region', { name: 'What is the matter' })).toBeVisible()
  await page.getByRole('link', { name: 'Cautions' }).click()
  await expect(page.getByRole('region', { name: 'Cautions' })).toBeVisible()
  await page.getByRole('link', { name: 'Rack', exact: true }).click()
  await page.getByRole('button', { name: 'New bicycle' }).click()
  await page.getByLabel('name or number').fill('Away 9')
  await page.getByRole('button', { name: 'Hang it up' }).click()
  await expect(page.getByText(/Waits for the server: Away 9 hangs/)).toBeVisible()
  await (await alongRack(page, 'Hire 22')).getByRole('button', { name: 'New job, Hire 22 rear' }).click()
  await page.getByLabel('What is wrong?').fill('rubs')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Waits for the server: a job on Hire 22 rear/)).toBeVisible()
  await own.start()
  await page.getByRole('searchbox', { name: 'Search the rack' }).fill('away 9')
  await expect(page.getByRole('heading', { name: 'Away 9' })).toBeVisible()
  await page.getByRole('searchbox', { name: 'Search the rack' }).fill('hire 22')
  await expect(page.getByRole('link', { name: /Open job \d+, Hire 22 rear/ })).toBeVisible()
  const jobs = (await (await fetch(`${own.url}/api/jobs`)).json()) as { complaint: string }[]
  expect(jobs.filter(({ complaint }) => complaint === 'rubs')).toHaveLength(1)
  await own.close()
})

test('what is typed of a new bicycle outlives a reload, and is gone once it hangs', async ({ page }) => {
  await page.goto(`${shop.url}/bicycles/new`)
  await page.getByLabel('name or number').fill('Kept 1')
  await page.getByRole('button', { name: /^Figures of the front brake/ }).click()
  await page.getByRole('textbox', { name: 'rim width' }).fill('22')
  await page.reload()
  await expect(page.getByLabel('name or number')).toHaveValue('Kept 1')
  await page.getByRole('button', { name: /^Figures of the front brake/ }).click()
  await expect(page.getByRole('textbox', { name: 'rim width' })).toHaveValue('22')
  // The line that shows what is measured is a button, and leads back to its field.
  await page.getByRole('textbox', { name: 'rim width' }).focus()
  const line = page.getByRole('button', { name: 'enter rim width' })
  await line.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'rim width' })).toBeFocused()
  await page.getByRole('button', { name: 'Hang it up' }).click()
  await onRack(page, 'Kept 1')
  await page.getByRole('button', { name: 'New bicycle' }).click()
  await expect(page.getByLabel('name or number')).toHaveValue('')
})
