import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'

setFlagsFromString('--expose-gc')
/** What the machine does by itself only when it is short of room. */
const collect = runInNewContext('gc') as () => void

const REST_MS = 20_000

/** Gives back what is no longer held once nobody asked for anything for a while. Answers with what is to be called whenever somebody does. */
export function atRest(): () => void {
  let resting: NodeJS.Timeout | undefined
  return () => {
    clearTimeout(resting)
    resting = setTimeout(collect, REST_MS)
    resting.unref()
  }
}
