import type { AdjusterSpec } from '../../brake/adjuster.ts'
import { BOOK_SCREW, LEVER_ALONG, REACH_SCREW } from './screw.ts'

/** What is moved at the lever: it fits the hand and does nothing that the dial-in steers by. */
export const LEVER_ADJUSTERS: readonly AdjusterSpec[] = [
  {
    id: REACH_SCREW,
    title: 'reach screw',
    shorthand: 'rscrew',
    unit: 'turn',
    step: 0.25,
    plus: 'Reach screw in',
    minus: 'Reach screw out',
    input: 'reach',
    book: -BOOK_SCREW.mean,
    effectSpread: BOOK_SCREW.sd / BOOK_SCREW.mean,
    settingSd: 0,
    price: 0.01,
  },
  {
    id: LEVER_ALONG,
    title: 'lever along the bar',
    shorthand: 'along',
    unit: 'mm',
    step: 1,
    plus: 'Lever inboard',
    minus: 'Lever outboard',
    input: 'clamp',
    book: 1,
    effectSpread: 0,
    settingSd: 1,
    price: 0.05,
  },
]
