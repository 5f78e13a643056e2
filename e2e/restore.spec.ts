import { expect, test } from '@playwright/test'
import { next, writeOnTape } from './hand.ts'
import { workshop } from './workshop.ts'

let shop: Awaited<ReturnType<typeof workshop>>
test.beforeAll(async () => {
  shop = await workshop(4369)
})
test.afterAll(() => shop.close())

test('a backup put back under an open screen: what is typed on the newer log is kept, and the hand decides', async ({
  page,
}) => {
  const job = await shop.job('Hire 11', 'front')
  await page.goto(`${shop.url}/stand/${job}`)
  await expect(next(page)).toBeVisible()
  const log = page.getByRole('list', { name: 'Log, newest first' })
  await writeOnTape(page, 'note before the backup')
  await expect(log).toContainText('before the backup')
  expect(shop.tool('backup')).toContain('overhaul-')
  await writeOnTape(page, 'note after the backup')
  await expect.poll(async () => (await shop.entries(job)).at(-1)?.text).toBe('after the backup')
  await expect(log).not.toContainText('waiting')

  await shop.stop()
  expect(shop.tool('restore')).toContain('Restored from')
  await writeOnTape(page, 'note typed meanwhile')
  await shop.start()
  const asked = page.getByRole('alert').filter({ hasText: 'typed meanwhile' })
  await expect(asked).toContainText('restored from a backup since')
  expect((await shop.entries(job)).at(-1)?.text).toBe('before the backup')

  await page.reload()
  await asked.getByRole('button', { name: 'Write it on this log' }).click()
  await expect.poll(async () => (await shop.entries(job)).at(-1)?.text).toBe('typed meanwhile')
  await expect(log.getByRole('listitem').first()).toContainText('typed meanwhile')
  await expect(log).not.toContainText('after the backup')
})
