import { type ChildProcess, spawn } from 'node:child_process'

export interface Served {
  readonly data: string
  readonly port: number
  /** Beside the settings: what the server is to be told by its environment. */
  readonly env?: Readonly<Record<string, string>>
  /** Arguments of Node itself, before the program. */
  readonly node?: readonly string[]
  readonly args?: readonly string[]
}

/** A server of its own on these data, once it is open. Rejects where it ends before. */
export const served = ({ data, port, env = {}, node = [], args = ['--empty'] }: Served): Promise<ChildProcess> =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [...node, '--import', 'tsx', 'server/src/main.ts', ...args], {
      env: { ...process.env, OVERHAUL_DATA: data, OVERHAUL_PORT: String(port), ...env },
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    child.stdout?.on('data', (chunk: Buffer) => {
      if (chunk.toString().includes('is open')) resolve(child)
    })
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
  })

/** Resolves when the process has ended; what it ends with is nobody's fault any more. */
export async function ended(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  child.removeAllListeners('exit')
  if (child.exitCode !== null || child.signalCode !== null) return
  const gone = new Promise((resolve) => child.once('exit', resolve))
  child.kill(signal)
  await gone
}

export const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))
