import { expect, type Locator, type Page } from '@playwright/test'
import { SOUND, type workshop } from './workshop.ts'

type Workshop = Awaited<ReturnType<typeof workshop>>

export const next = (page: Page) => page.getByTestId('next')

/** Acts, and waits until the log has it. */
export async function written(page: Page, act: () => Promise<void>): Promise<void> {
  const log = page.getByRole('list', { name: 'Log, newest first' }).getByRole('listitem')
  const before = await log.count()
  await act()
  await expect.poll(() => log.count(), { intervals: [40, 60, 100] }).toBeGreaterThan(before)
}

/** Does what Next says once: confirms, reads the gauge and saves, or makes the turn. Gives what it said. */
export async function follow(page: Page): Promise<string> {
  const panel = next(page)
  const said = (await panel.textContent()) ?? ''
  const gauge = panel.getByRole('button', { name: 'Read the practice gauge' })
  await written(page, async () => {
    if (await gauge.isVisible()) {
      await gauge.click()
      await panel.getByRole('button', { name: 'Save' }).click()
    } else await page.keyboard.press('d')
  })
  return said
}

/** Writes bench shorthand on the tape, without entering it: all at once, as it is pasted. Key by key it is typed where keys are tested. */
export async function typeOnTape(page: Page, text: string) {
  await page.keyboard.press('t')
  await expect(page.getByLabel('Tape')).toBeFocused()
  await page.keyboard.insertText(text)
}

export async function writeOnTape(page: Page, text: string) {
  await typeOnTape(page, text)
  await page.keyboard.press('Enter')
}

/** Follows the sheet until Next says something. */
export async function until(page: Page, words: string | RegExp, most = 40): Promise<readonly string[]> {
  const said: string[] = []
  for (let act = 0; act < most; act += 1) {
    const now = (await next(page).textContent()) ?? ''
    if (typeof words === 'string' ? now.includes(words) : words.test(now)) return said
    said.push(await follow(page))
  }
  throw new Error(`${words} never came up`)
}

/** Signs the job. */
export async function release(page: Page, initials: string) {
  await next(page).getByLabel('initials or number').fill(initials)
  await next(page).getByRole('button', { name: 'Release', exact: true }).click()
  await expect(next(page)).toContainText(`Released by ${initials}`)
}

/** Chooses from a list by its name, as a finger does. */
export async function choose(page: Page, list: string | RegExp, option: string | RegExp) {
  await page.getByRole('button', { name: list }).click()
  await page.getByRole('option', { name: option }).click()
}

/** Esc lets go of the line, then of the tape. */
export async function leaveTape(page: Page) {
  await page.keyboard.press('Escape')
  await expect(page.getByLabel('Tape')).toHaveValue('')
  await page.keyboard.press('Escape')
}

/** A bicycle's line on the rack, sought by its name. */
export async function onRack(page: Page, bicycle: string): Promise<Locator> {
  await page.getByRole('searchbox', { name: 'Search the rack' }).fill(bicycle)
  const line = lineOf(page, bicycle)
  await expect(line).toBeVisible()
  return line
}

const lineOf = (page: Page, bicycle: string): Locator =>
  page
    .getByRole('grid', { name: 'Bicycles' })
    .getByRole('row')
    .filter({ has: page.getByRole('heading', { name: bicycle }) })

/** A bicycle's line, by walking along the rail, where only those in sight are drawn. */
export async function alongRack(page: Page, bicycle: string): Promise<Locator> {
  const rail = page.getByRole('grid', { name: 'Bicycles' })
  const line = lineOf(page, bicycle)
  for (let steps = 0; steps < 100 && !(await line.isVisible()); steps += 1) {
    await rail.evaluate((each) => each.scrollBy(0, 250))
    await page.waitForTimeout(50)
  }
  await line.evaluate((each) => each.scrollIntoView({ block: 'center' }))
  // A press in the very frame of a scroll would be taken where the line was before: no hand is that quick.
  await page.waitForTimeout(500)
  return line
}

/** As a scanner types: all keys within a few milliseconds, which no driver of a busy browser keeps to key by key. */
export const scan = (page: Page, code: string): Promise<void> =>
  page.evaluate(
    (keys) => {
      for (const key of keys)
        (document.activeElement ?? document.body).dispatchEvent(
          new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
        )
    },
    [...code, 'Enter'],
  )

/** A job on a sound brake, written on the tape up to where it is signed. */
export async function toSignature(page: Page, shop: Workshop, job: string): Promise<void> {
  await page.goto(`${shop.url}/stand/${job}`)
  await expect(next(page)).toContainText('wheel straight in its dropouts')
  await writeOnTape(page, `fast ok hub ok lat 0.2 rad 0.2 off 0 ${SOUND} gl 1 gr 1 bite 20`)
  await writeOnTape(page, 'back both tight ok res 25 spin free walk ok')
  await expect(next(page)).toContainText('Sign the job')
}

/** A sound brake, looked at, measured and signed on its first visit. */
export async function visited(page: Page, shop: Workshop, name: string): Promise<string> {
  const brakeId = await shop.newBrake(name, 'linear-pull', 'rear')
  const job = await shop.newJob(brakeId)
  await toSignature(page, shop, job)
  await writeOnTape(page, 'release 7')
  await expect(next(page)).toContainText('Released by 7')
  // The house has it before the next job is opened.
  await expect.poll(async () => (await shop.entries(job)).some(({ kind }) => kind === 'release')).toBe(true)
  return brakeId
}
