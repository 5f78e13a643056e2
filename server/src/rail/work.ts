import { answering } from '../workers/answering.ts'
import { Rail } from './rail.ts'

/** Looks along the rail in a worker. */
export default await answering((db) => new Rail(db))
