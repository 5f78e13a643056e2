import { answering } from '../workers/answering.ts'
import { Bench } from './bench.ts'

/** Judges and tells in a worker. */
export default await answering((db) => new Bench(db))
