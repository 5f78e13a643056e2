import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './tools/chromium.mjs'

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  outputDir: '.cache/browser',
  // Limits tell what hangs from what works; how busy the machine is they do not measure.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  fullyParallel: false,
  workers: 2,
  // What fails once is mended, and its cause said.
  retries: 0,
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    trace: 'off',
    locale: 'en-GB',
    timezoneId: 'UTC',
  },
})
