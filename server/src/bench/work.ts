import { workerData } from 'node:worker_threads'
import { reader } from '../db/store.ts'
import { Bench } from './bench.ts'
import type { Asked, BenchData } from './benches.ts'

const { directory } = workerData as BenchData
const bench = new Bench(await reader(directory))

/** Answers in a worker. */
export default ({ method, args }: Asked): unknown => (bench[method] as (...args: unknown[]) => unknown)(...args)
