import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['core/src/**/*.test.ts', 'server/src/**/*.test.ts', 'web/src/**/*.test.ts', 'tools/**/*.test.ts'],
    environment: 'node',
    testTimeout: 60_000,
  },
})
