import { fileURLToPath } from 'node:url'

/** Where the built interface lies. Relative to this file's depth, which the built server keeps. */
export const WEB = fileURLToPath(new URL('../../../web/dist', import.meta.url))
