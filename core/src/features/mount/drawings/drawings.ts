import type { Drawings } from '../../../brake/drawings.ts'
import { CUT_OPEN } from './bolt.ts'
import { BOLT_PICTURES } from './pictures.ts'
import { BOLT_REACH, BOSS_REACH } from './reach.ts'

/** What is measured and looked at where a brake hangs on the frame. */
export const HUNG_DRAWINGS: Readonly<Record<'boss' | 'centre-bolt', Drawings>> = {
  boss: { details: [BOSS_REACH], pictures: {} },
  'centre-bolt': { details: [BOLT_REACH, CUT_OPEN], pictures: BOLT_PICTURES },
}
