import { defineConfig } from 'vitest/config'

/** Pure computation: every file in one thread may share what is loaded, which is most of the time a small test takes. */
const SHARED = { pool: 'threads', isolate: false } as const
/** A limit tells a test that hangs from one that works; how busy the machine is, it does not measure. */
const HERE = {
  environment: 'node',
  testTimeout: 240_000,
  hookTimeout: 240_000,
  setupFiles: ['tools/properties.ts'],
}

/** What takes its time: a tier of its own. */
const LONG = ['tools/soak.test.ts', 'tools/fuzz.test.ts']

/** One project a tier of `npm test`, named so. */
export default defineConfig({
  test: {
    projects: [
      {
        test: { ...HERE, ...SHARED, name: 'core', include: ['core/src/**/*.test.ts', 'web/src/**/*.test.ts'] },
      },
      {
        test: {
          ...HERE,
          name: 'server',
          include: ['server/src/**/*.test.ts', 'tools/**/*.test.ts'],
          exclude: LONG,
        },
      },
      { test: { ...HERE, name: 'soak', include: LONG } },
    ],
  },
})
