import type { Picture, Pictures } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arc, box, figure, path, round, turnedBy } from '../../../brake/shapes.ts'

const rotorRing = (marks: readonly Shape[]): Picture => [
  round('arm', [0, 0], 18),
  round('void', [0, 0], 11),
  round('boss', [0, 0], 5),
  ...marks,
]
const face = (marks: readonly Shape[]): Picture => [box('pad', [-16, 14], [16, -14]), ...marks]
const drops: readonly Shape[] = [round('fault', [-6, 3], 3), round('fault', [5, -4], 4), round('fault', [8, 7], 2)]
const through = (inner: number, outer: number, deg = 0): Picture => [
  box('cut', [-2, 18], [2, -18]),
  ...turnedBy(
    [
      box('pad', [-2 - outer - 8, 10], [-2 - outer, -10]),
      box('pad', [2 + inner, 10], [2 + inner + 8, -10]),
      path('frame', [-22, 18], [22, 18]),
    ],
    [0, 0],
    deg,
  ),
]
const spun = (marks: readonly Shape[]): Picture => [
  ...through(5, 5),
  path('skin', ...arc([0, 0], 24, 60, 120)),
  ...marks,
]

/** What is looked at on a mechanical disc, each answer as it is seen. */
export const DISC_PICTURES: Pictures = {
  rotorFace: {
    clean: rotorRing([]),
    dirty: rotorRing([
      path('skin', [-16, 4], [-11, 2]),
      path('skin', [12, -9], [15, -5]),
      path('skin', [2, 14], [6, 17]),
    ]),
    oily: rotorRing([round('fault', [-14, 3], 3), round('fault', [11, 10], 3), round('fault', [4, -15], 2.4)]),
  },
  discPads: {
    clean: face([]),
    glazed: face([-10, -2, 6].map((x) => path('fault', [x, -10], [x + 6, 10]))),
    oily: face(drops),
  },
  light: {
    both: through(5, 5),
    inner: through(0, 8),
    outer: through(8, 0),
    askew: through(5, 5, 12),
  },
  rub: {
    none: spun([]),
    once: spun([path('limit', [6, 14], [6, 6])]),
    fixed: [...through(0, 8), path('fault', [2, 12], [2, -12])],
    moving: [...through(8, 0), path('fault', [-2, 12], [-2, -12])],
    shell: [...through(5, 5), figure('fault', [-10, 20], [10, 20], [10, 17], [-10, 17])],
  },
  rotorTouch: { inner: through(0, 6), both: through(0, 0), outer: through(6, 0) },
  'battery-out': {
    well: [box('arm', [-26, 10], [26, 2]), box('bolt', [-10, -4], [14, -16])],
    ill: [box('arm', [-26, 10], [26, 2]), box('fault', [-10, 2], [14, -10])],
  },
  'pads-kept': {
    well: [
      box('shoe', [-14, 10], [-8, -14]),
      box('shoe', [8, 10], [14, -14]),
      path('cable', [-24, 4], [22, 4], [22, -4]),
      round('bolt', [-24, 4], 3),
    ],
    ill: [
      box('shoe', [-14, 10], [-8, -14]),
      box('fault', [8, 0], [14, -20]),
      path('cable', [-24, 4], [4, 4]),
      round('bolt', [-24, 4], 3),
    ],
  },
  'caliper-set': { well: through(3, 3), ill: through(3, 3, 10) },
}
