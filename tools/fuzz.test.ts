import { expect, it } from 'vitest'
import { runTool } from './run-tool.ts'

it('in short: requests that nobody would send, over every route, are refused or answered, none with 500, and memory stays', () => {
  const { status, json: counts } = runTool('fuzz.ts', '--requests', '1500', '--seed', '11', '--port', '4393')
  expect(counts).toMatchObject({ requests: 1500, health: 'ok', wrong: [] })
  expect(counts.counts['400']).toBeGreaterThan(300)
  expect(counts.counts['200']).toBeGreaterThan(300)
  expect(status).toBe(0)
  // Two thousand questions to the bench left some 60 MB behind while its worker stood blocked between them.
  expect(counts.leftMb).toBeLessThan(35)
})
