import { fileURLToPath } from 'node:url'
import type { Outcome } from '@overhaul/core/outcome/outcome'
import { Piscina } from 'piscina'
import type { Order } from '../print/press.ts'
import type { Bench } from './bench.ts'

/** What a bench can be asked. */
type Method = { [K in keyof Bench]: Bench[K] extends (...args: never[]) => Promise<unknown> ? K : never }[keyof Bench]

/** A question on its way to the bench. */
export interface Asked {
  readonly method: Method
  readonly args: readonly unknown[]
}

/** What the bench is given: where the workshop’s data lies. */
export interface BenchData {
  readonly directory: string
}

/** After so long without anything to print, the type is put away. */
const PRESS_REST_MS = 30_000

const HERE = import.meta.url

/** One worker; as it was built, or from its source, which then needs reading as TypeScript. */
function worker(built: string, source: string, rest: number, data: object): Piscina {
  const isSource = HERE.endsWith('.ts')
  const at = (path: string) => new URL(path, HERE)
  return new Piscina({
    filename: fileURLToPath(at(isSource ? '../../workers/from-source.mjs' : built)),
    workerData: isSource ? { ...data, source: at(source).href } : data,
    minThreads: rest === Infinity ? 1 : 0,
    maxThreads: 1,
    idleTimeout: rest,
  })
}

/**
 * A bench and a press beside the one thread that answers the network, so that nobody waits for another's arithmetic. The bench
 * judges and tells, in the order asked, and holds jobs open; the press is there only while it is needed, and may be stopped in the
 * middle of a sheet.
 */
export class Benches {
  private readonly bench: Piscina
  private readonly press: Piscina

  constructor(directory: string) {
    const data: BenchData = { directory }
    this.bench = worker('./work.js', './work.ts', Infinity, data)
    this.press = worker('./press.js', '../print/press.ts', PRESS_REST_MS, {})
  }

  ask<M extends Method>(method: M, ...args: Parameters<Bench[M]>): ReturnType<Bench[M]> {
    const asked: Asked = { method, args }
    return this.bench.run(asked) as ReturnType<Bench[M]>
  }

  print(order: Order): Promise<Outcome<Uint8Array>> {
    return this.press.run(order)
  }

  async close(): Promise<void> {
    await Promise.all([this.bench.destroy(), this.press.destroy()])
  }
}
