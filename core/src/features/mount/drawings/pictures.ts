import type { Picture, Pictures } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arc, box, figure, path, round, turnedBy } from '../../../brake/shapes.ts'

const wheel: readonly Shape[] = [box('tyre', [-6, -2], [6, -20])]
const caliper = (deg: number): Picture => [
  ...wheel,
  ...turnedBy(
    [
      path('skin', ...arc([0, -2], 18, -50, 230)),
      path('skin', ...arc([0, -2], 13, -40, 220)),
      box('pad', [-14, -8], [-8, -16]),
      box('pad', [8, -8], [14, -16]),
      round('bolt', [0, 13], 4),
    ],
    [0, 13],
    deg,
  ),
]
/** A bridge from the front, its hole in the middle. */
const bridge = (marks: readonly Shape[]): Picture => [
  box('arm', [-28, 10], [28, -10]),
  round('void', [0, 0], 5),
  ...marks,
]
const bolt = (long: number, sleeve: boolean): Picture => [
  box('arm', [-28, 12], [-18, -12]),
  box('bolt', [-18, 3], [-18 + long, -3]),
  ...(sleeve
    ? [box('boss', [4, 6], [24, -6]), box('boss', [20, 9], [26, -9])]
    : [
        figure('boss', [18, 9], [25, 9], [25, -9], [18, -9]),
        path('skin', [18, 3], [25, 3]),
        path('skin', [18, -3], [25, -3]),
      ]),
]
const side = (sign: 1 | -1): Picture => [
  ...caliper(0),
  path('cable', [sign * 14, 8], [sign * 22, 20]),
  round('bolt', [sign * 14, 8], 3),
]

/** What is looked at on a centre-bolt mount. */
export const BOLT_PICTURES: Pictures = {
  caliperSits: { square: caliper(0), askew: caliper(14) },
  cracks: {
    none: bridge([]),
    seen: bridge([path('fault', [5, 2], [10, 5], [13, 3], [19, 8]), path('fault', [-5, -2], [-9, -6], [-14, -5])]),
  },
  rust: {
    none: bridge([]),
    surface: bridge([-20, -12, 12, 18].map((x, index) => round('skin', [x, index % 2 === 0 ? 4 : -4], 2.2))),
    pitted: bridge([-22, -14, -9, 10, 15, 21].map((x, index) => round('fault', [x, index % 2 === 0 ? 4 : -5], 2.4))),
  },
  mountBody: {
    hollow: [round('cut', [0, 0], 16), round('void', [0, 0], 12), box('void', [-17, 3], [17, -3])],
    solid: [round('cut', [0, 0], 16), box('void', [-17, 3], [17, -3])],
  },
  boltKind: { recessed: bolt(20, true), nutted: bolt(48, false) },
  cableSide: { left: side(-1), right: side(1) },
}
