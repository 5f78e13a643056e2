import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    environment: 'node',
    testTimeout: 60_000,
    projects: [
      {
        extends: true,
        test: {
          name: 'core and tools',
          include: ['core/src/**/*.test.ts', 'web/src/**/*.test.ts', 'tools/**/*.test.ts'],
        },
      },
      // These wait for a disk, a clock and a network that others use too: one that fails is run once more, as a browser test is.
      { extends: true, test: { name: 'server', include: ['server/src/**/*.test.ts'], retry: 1 } },
    ],
  },
})
