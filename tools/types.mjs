import { run } from './install.mjs'

/** The core alone first: no DOM and no Node may leak into it. */
for (const project of ['core', 'core/tsconfig.test.json', 'server', 'web', 'tsconfig.json'])
  run('npx', ['tsc', '-p', project])
