import type { DetailSpec } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arc, box, figure, path, round, turnedBy } from '../../../brake/shapes.ts'

/** An arm on its boss from the front: foot, post and tip, and its spring, unhooked. */
const ARM: readonly Shape[] = [
  figure('arm', [-6, -6], [6, -6], [7, 6], [5, 40], [4, 92], [-4, 92], [-5, 40], [-7, 6]),
  box('pad', [-24, 34], [-15, 24]),
  box('post', [-15, 31], [-5, 27]),
  round('boss', [0, 0], 5),
  round('bolt', [0, 0], 2.4),
  path('screw', [2, -8], [12, 0], [20, 28], [26, 40]),
]
const GHOST = figure('ghost', [-5, 6], [-5, 40], [-4, 92], [4, 92], [5, 40], [6, 6])

/** An arm swung by hand with its spring unhooked: nothing presses, nothing binds. */
export const ARM_FREE: DetailSpec = {
  id: 'arm-free',
  title: 'arm on its boss, spring unhooked',
  readings: [],
  steps: ['arms-free', 'boss-ready'],
  draw: () => ({
    shapes: [
      ...[16, -16].flatMap((deg) => turnedBy([GHOST], [0, 0], deg)),
      ...ARM,
      path('cable', ...arc([0, 0], 104, 76, 104)),
      path('cable', [21, 104], [25.2, 100.9], [23, 96]),
      path('cable', [-21, 104], [-25.2, 100.9], [-23, 96]),
    ],
    dimensions: [],
    labels: [
      { text: 'spring unhooked', at: [26, 40], side: 'right' },
      { text: 'swings both ways', at: [-30, 116], side: 'right' },
      { text: 'boss', at: [6, -4], side: 'right' },
    ],
    bounds: { min: [-62, -18], max: [84, 122] },
  }),
}

/** The guide pipe hooked in its slot in the arm, the cable led on to the anchor. */
export const PIPE_HOOKED: DetailSpec = {
  id: 'pipe-hooked',
  title: 'guide pipe in its slot, from the front',
  readings: [],
  steps: ['dead-first'],
  draw: () => ({
    shapes: [
      // The slotted holder on one arm’s tip, the pipe seated in it.
      figure('cut', [18, 8], [30, 8], [30, 3], [22, 3], [22, -3], [30, -3], [30, -8], [18, -8]),
      figure('shoe', [22, 3], [32, 3], [32, -3], [22, -3]),
      path('housing', [32, 0], [42, 0], ...arc([42, 14], 14, -90, 0, 10), [56, 30]),
      path('cable', [32, 0], [-34, 0]),
      // The boot over the cable, and the anchor on the other arm.
      ...[-2, 2, 6, 10].map((x): Shape => box('pad', [x - 1.4, 4], [x + 1.4, -4])),
      round('bolt', [-34, 0], 6),
      box('arm', [-42, -8], [-26, -40]),
      box('arm', [18, -8], [28, -40]),
    ],
    dimensions: [],
    labels: [
      { text: 'pipe’s end home in the slot', at: [33, -14], side: 'right' },
      { text: 'boot', at: [12, 18], side: 'left' },
      { text: 'anchor', at: [-48, 12], side: 'left' },
    ],
    bounds: { min: [-84, -46], max: [104, 44] },
  }),
}
