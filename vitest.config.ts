import { defineConfig } from 'vitest/config'

/** Pure computation: every file in one thread may share what is loaded, which is most of the time a small test takes. */
const SHARED = { pool: 'threads', isolate: false } as const
const HERE = {
  environment: 'node',
  testTimeout: 120_000,
  hookTimeout: 120_000,
  setupFiles: ['tools/properties.ts'],
} as const

export default defineConfig({
  test: {
    projects: [
      { test: { ...HERE, ...SHARED, name: 'core', include: ['core/src/**/*.test.ts'] } },
      { test: { ...HERE, ...SHARED, name: 'web', include: ['web/src/**/*.test.ts'] } },
      { test: { ...HERE, name: 'tools', include: ['tools/**/*.test.ts'] } },
      { test: { ...HERE, name: 'server', include: ['server/src/**/*.test.ts'] } },
    ],
  },
})
