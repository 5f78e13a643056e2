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
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    trace: 'off',
    locale: 'en-GB',
    timezoneId: 'UTC',
  },
})
