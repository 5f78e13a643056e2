import { spawnSync } from 'node:child_process'
import { rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))

/** An import written into a folder, and whether the house allows it. */
const ARROWS = [
  ['core/src/quantity', '../mechanics/lever.ts', false],
  ['core/src/quantity', 'express', false],
  ['core/src/mechanics', '../stand/fold.ts', false],
  ['core/src/families', '../stand/fold.ts', false],
  ['core/src/stand', '../dial-in/belief.ts', false],
  ['core/src/dial-in', '../families/linear-pull/family.ts', false],
  ['core/src/dial-in', '../families/registry.ts', false],
  ['core/src/dial-in', '../run-sheet/job.ts', false],
  ['core/src/dial-in', '../families/family.ts', true],
  ['core/src/simulate', '../dial-in/belief.ts', false],
  ['core/src/simulate', '../families/linear-pull/geometry.ts', true],
  ['core/src/calculations', 'node:fs', false],
  ['core/src/run-sheet', '../dial-in/belief.ts', true],
  ['core/src/mount', '../drawer/part.ts', true],
  ['core/src/mount', '../run-sheet/stand.ts', false],
  ['core/src/drawer', '../mount/plan.ts', false],
  ['core/src/match', '../dial-in/belief.ts', false],
  ['web/src/app', '@overhaul/server/app/app', false],
  ['web/src/app', 'joi', false],
  ['web/src/app', '@overhaul/core/stand/fold', true],
  ['server/src/app', '@overhaul/web/main', false],
  ['server/src/app', '@overhaul/core/stand/fold', true],
] as const

const pathOf = (index: number) => join(ROOT, ARROWS[index]?.[0] ?? '', `arrow-under-test-${index}.ts`)
const paths = ARROWS.map((_, index) => pathOf(index))
let said: string

beforeAll(() => {
  ARROWS.forEach(([, imported], index) => {
    writeFileSync(pathOf(index), `import * as it from '${imported}'\n\nexport const used = it\n`)
  })
  const { stdout, stderr } = spawnSync('npx', ['biome', 'lint', '--max-diagnostics=none', ...paths], {
    cwd: ROOT,
    encoding: 'utf8',
  })
  said = stdout + stderr
})
afterAll(() => {
  for (const path of paths) rmSync(path, { force: true })
})

describe('imports run one way', () => {
  it.each(ARROWS.map((arrow, index) => [...arrow, index] as const))(
    '%s importing %s is allowed: %s',
    (_, __, allowed, index) => {
      const refused = new RegExp(
        `arrow-under-test-${index}\\.ts:\\d+:\\d+ lint/\\S*(noRestrictedImports|noUndeclaredDependencies)`,
      )
      if (allowed) expect(said).not.toMatch(refused)
      else expect(said).toMatch(refused)
    },
  )
})
