import { expect, it } from 'vitest'
import { runTool } from './run-tool.ts'

it('in short: killed while it is written to, and its disk full for a while, nothing acknowledged is lost, doubled or out of place', () => {
  const { status, json: counts } = runTool(
    'soak.ts',
    '--seconds',
    '9',
    '--kills',
    '1',
    '--writers',
    '2',
    '--port',
    '4391',
  )
  expect(counts).toMatchObject({
    lost: 0,
    doubled: 0,
    gaps: 0,
    misheard: 0,
    failed500: 0,
    damaged: 0,
    wrong: 0,
    kills: 2,
    backups: 2,
    hasFigure: true,
  })
  expect(counts.restored + counts.restoresKilled).toBe(1)
  expect(counts.full).toBeGreaterThan(0)
  expect(counts.heard).toBeGreaterThan(20)
  expect(counts.acknowledged).toBeGreaterThan(20)
  expect(counts.fuzz).toBeGreaterThan(20)
  expect(status).toBe(0)
})
