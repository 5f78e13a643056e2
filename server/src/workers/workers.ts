import { fileURLToPath } from 'node:url'
import type { Outcome } from '@overhaul/core/outcome/outcome'
import { Piscina } from 'piscina'
import type { Bench } from '../bench/bench.ts'
import type { Order } from '../print/press.ts'
import type { Rail } from '../rail/rail.ts'
import type { Askable, Asked, Data } from './answering.ts'

/** After so long without anything to print, the type is put away. */
const PRESS_REST_MS = 30_000

/** After so long without a question the bench lets go of the jobs it holds: the next one waits some tenths of a second. */
const BENCH_REST_MS = 600_000

/** After so long without anybody looking along it, what the rail holds is let go. */
const RAIL_REST_MS = 45_000

/** What a worker has just made and soon lets go of, at most: by itself it would take as much as all it keeps. */
const YOUNG_MB = 12

const NOTHING = () => undefined

const HERE = import.meta.url

/** One worker; as it was built, or from its source, which then needs reading as TypeScript. */
function worker(built: string, source: string, data: object, idleTimeout = Number.POSITIVE_INFINITY): Piscina {
  const isSource = HERE.endsWith('.ts')
  const at = (path: string) => new URL(path, HERE)
  const pool = new Piscina({
    filename: fileURLToPath(at(isSource ? '../../workers/from-source.mjs' : built)),
    workerData: isSource ? { ...data, source: at(source).href } : data,
    minThreads: idleTimeout === Number.POSITIVE_INFINITY ? 1 : 0,
    maxThreads: 1,
    idleTimeout,
    resourceLimits: { maxYoungGenerationSizeMb: YOUNG_MB },
    // Between two questions its event loop turns: the database lets go of a statement only there, and blocked until it is asked
    // again a worker would keep every statement it ever made, some 5 kB each.
    atomics: 'disabled',
  })
  // What was asked is refused by itself; unheard, an error of the pool would end the process, as where there are no more files to open.
  return pool.on('error', (error) => console.error(error))
}

type Answer<T, M extends keyof T> = T[M] extends (...args: never[]) => infer R ? R : never
type Question<T, M extends keyof T> = T[M] extends (...args: infer A) => unknown ? A : never

/**
 * Three workers beside the one thread that answers the network and writes, so that nobody waits for another's arithmetic. The bench
 * judges and tells, and holds jobs open; the rail is looked along for lists and counts; the press is there only
 * while it is needed, and may be stopped in the middle of a sheet.
 */
export class Workers {
  private readonly bench: Piscina
  private readonly rail: Piscina
  private readonly press: Piscina
  /** Asked of those that read the data, and not answered yet. */
  private readonly asked = new Set<Promise<unknown>>()

  constructor(directory: string) {
    const data: Data = { directory }
    this.bench = worker('./bench.js', '../bench/work.ts', data, BENCH_REST_MS)
    this.rail = worker('./rail.js', '../rail/work.ts', data, RAIL_REST_MS)
    this.press = worker('./press.js', '../print/press.ts', {}, PRESS_REST_MS)
  }

  ask<M extends Askable<Bench>>(method: M, ...args: Question<Bench, M>): Answer<Bench, M> {
    return this.put(this.bench, { method, args }) as Answer<Bench, M>
  }

  look<M extends Askable<Rail>>(method: M, ...args: Question<Rail, M>): Answer<Rail, M> {
    return this.put(this.rail, { method, args }) as Answer<Rail, M>
  }

  private put(reads: Piscina, asked: Asked): Promise<unknown> {
    const answer = reads.run(asked)
    const answered: Promise<unknown> = answer.then(NOTHING, NOTHING).then(() => this.asked.delete(answered))
    this.asked.add(answered)
    return answer
  }

  print(order: Order): Promise<Outcome<Uint8Array>> {
    return this.press.run(order)
  }

  /** What was asked is answered first: stopped while it reads the data, or opens it, a worker takes the whole process with it. */
  async close(): Promise<void> {
    await Promise.allSettled([this.ask('forget', []), this.look('countJobs', { sort: 'newest' })])
    while (this.asked.size > 0) await Promise.all(this.asked)
    await Promise.all([this.bench.destroy(), this.rail.destroy(), this.press.destroy()])
  }
}
