import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))

/** What the tape takes for a sound rim, parts that belong together, pads set and a cable laid: up to the readings of the brake itself. */
export const SOUND = [
  'rim alloy wall 1.4 line none step smooth tface clean',
  'lp 30 lf 75 reach 60 mass 95 kind coil house 5 cover sound ends right ia whole ih whole abolt own pipe hooked boot there pad alloy bolts ok arms ok',
  'pl 4 pr 3.8 face clean sl forward sr forward tt 14 ptall 10 el 1 er 1.1 arc follow tl 0.5 tr 0.6 set applied pads ok',
  'run ok feel smooth lining lined barat 1 clamp ok squeeze ok',
].join(' ')

/** A workshop served by the real program in a process of its own, on data of its own; it can be stopped and started. */
export async function workshop(port: number, ...flags: readonly string[]) {
  const data = mkdtempSync(join(tmpdir(), 'overhaul-e2e-'))
  let server: ChildProcess
  process.once('exit', () => server.kill())

  const start = () =>
    new Promise<void>((resolve, reject) => {
      server = spawn(process.execPath, ['server/dist/bundle/main.js', ...flags], {
        cwd: ROOT,
        env: { ...process.env, OVERHAUL_DATA: data, OVERHAUL_PORT: String(port) },
        stdio: ['ignore', 'pipe', 'inherit'],
      })
      server.stdout?.on('data', (chunk: Buffer) => {
        if (chunk.toString().includes('Overhaul is open')) resolve()
      })
      server.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
    })

  const stop = () =>
    new Promise<void>((resolve) => {
      server.removeAllListeners('exit')
      server.once('exit', () => resolve())
      server.kill('SIGTERM')
    })

  await start()
  const url = `http://127.0.0.1:${port}`
  return {
    url,
    start,
    stop,
    /** Runs one of the shop's tools on its data: `backup`, `restore`. */
    tool(name: string): string {
      return execFileSync(process.execPath, ['--import', 'tsx', `tools/${name}.ts`], {
        cwd: ROOT,
        env: { ...process.env, OVERHAUL_DATA: data },
        encoding: 'utf8',
      })
    },
    async close() {
      await stop()
      rmSync(data, { recursive: true, force: true })
    },
    /** The newest job on one brake. */
    async job(bicycle: string, end: 'front' | 'rear'): Promise<string> {
      const rack = (await (await fetch(`${url}/api/bicycles`)).json()) as {
        name: string
        brakes: { end: string; job: { id: string } }[]
      }[]
      const found = rack.find((each) => each.name === bicycle)?.brakes.find((each) => each.end === end)
      if (!found) throw new Error(`no ${bicycle} ${end}`)
      return found.job.id
    },
    /** A bicycle with one brake of this family, as a practice gauge reads it, and its id. */
    async newBrake(
      name: string,
      family: string,
      end: 'front' | 'rear',
      practiceSeed = 5,
      dimensions = {},
    ): Promise<string> {
      const made = async (path: string, body: unknown) => {
        const answer = await fetch(`${url}/api/${path}`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(body),
        })
        return ((await answer.json()) as { id: string }).id
      }
      const bicycleId = await made('bicycles', { name })
      return made('brakes', {
        bicycleId,
        hardware: { family, end, dimensions, practiceSeed, traits: { motorAt: 'none' } },
      })
    },
    /** A job on a new bicycle whose rear brake a hand sets by the tape alone. */
    async jobOn(name: string, family = 'linear-pull'): Promise<string> {
      return this.newJob(await this.newBrake(name, family, 'rear'))
    },
    async newJob(brakeId: string): Promise<string> {
      const answer = await fetch(`${url}/api/jobs`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ brakeId }),
      })
      return ((await answer.json()) as { id: string }).id
    },
    async entries(jobId: string): Promise<{ kind: string; seq: number; text?: string; value?: unknown; id: string }[]> {
      return (await fetch(`${url}/api/jobs/${jobId}/entries`)).json() as never
    },
  }
}
