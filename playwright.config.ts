import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './tools/chromium.mjs'

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  outputDir: '.cache/browser',
  timeout: 120_000,
  expect: { timeout: 10_000 },
  fullyParallel: false,
  workers: 2,
  // On a busy machine a browser is now and then late; what passes only the second time is printed as flaky.
  retries: 1,
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    trace: 'off',
    locale: 'en-GB',
    timezoneId: 'UTC',
  },
})
