import { readdirSync } from 'node:fs'
import { join } from 'node:path'

/** Every source in a folder and below it, tests aside: its path from the root. */
export const sourcesIn = (root: string, folder: string): readonly string[] =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file))
    .map((file) => join(folder, file))
