import { spawnSync } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const HERE = dirname(fileURLToPath(import.meta.url))

/** Runs a tool as a hand does, for its tests: how it ended, what it printed, and that as JSON where it is. */
export function runTool(tool: string, ...args: readonly string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', join(HERE, tool), ...args], {
    encoding: 'utf8',
    cwd: dirname(HERE),
  })
  return { status, stdout, stderr, json: stdout.startsWith('{') ? JSON.parse(stdout) : undefined }
}
