/** What is laid over the readings when it is asked for: it comes then. */

export { LogList } from '../tape/LogList.tsx'
export { KeyList } from './KeyList.tsx'
export { Margin } from './Margin.tsx'
export { WordList } from './WordList.tsx'
