import type { SeenSpec } from '../../brake/reading.ts'

/** What whoever rides it says of the throw, after a ride. */
export const THROW_SAID: SeenSpec = {
  id: 'throwSaid',
  title: 'rider to the throw',
  shorthand: 'throwok',
  practice: null,
  how: 'After a hard ride on a clear level place: is the lever’s way as the hand wants it?',
  options: [
    { id: 'yes', title: 'yes' },
    { id: 'shorter', title: 'wants it shorter', remedy: 'Choose a school that bites earlier, then ride again.' },
    { id: 'longer', title: 'wants it longer', remedy: 'Choose a school that bites later, then ride again.' },
  ],
}
