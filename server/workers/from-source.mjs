import { workerData } from 'node:worker_threads'
import { register } from 'tsx/esm/api'

/** A worker of the server run from its sources, as in tests: they are read as TypeScript from here on. */
register()
const { default: work } = await import(workerData.source)
export default work
