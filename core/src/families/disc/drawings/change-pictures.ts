import type { Picture, Pictures } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arc, box, figure, path, round } from '../../../brake/shapes.ts'
import type { Point } from '../../../calculation/calculation.ts'

/** A ring of points, every other one nearer the middle: a star with so many tips, or a plain figure. */
const star = (radius: number, inner: number, tips: number): readonly Point[] =>
  Array.from({ length: tips * 2 }, (_, index): Point => {
    const angle = (index / (tips * 2)) * 2 * Math.PI + Math.PI / 2
    const r = index % 2 === 0 ? radius : inner
    return [r * Math.cos(angle), r * Math.sin(angle)]
  })

const key = (tip: readonly Point[]): Picture => [round('boss', [0, 0], 16), figure('cut', ...tip)]

const rotor = (marks: readonly Shape[]): Picture => [round('arm', [0, 0], 18), round('void', [0, 0], 12), ...marks]
const hub = (marks: readonly Shape[]): Picture => [...rotor([round('boss', [0, 0], 9)]), ...marks]

const arrow = (way: 1 | -1): readonly Shape[] => [
  path('cable', ...arc([0, 0], 15, 60, 120).map(([x, y]): Point => [x * way, y])),
  path('cable', [-10 * way, 16], [-7.5 * way, 13], [-4 * way, 16]),
]

const bolt = (marks: readonly Shape[]): Picture => [
  box('bolt', [-22, 8], [-12, -8]),
  box('boss', [-12, 5], [20, -5]),
  ...[-8, -2, 4, 10, 16].map((x) => path('skin', [x, -5], [x + 3, 5])),
  ...marks,
]

const twoPads: readonly Shape[] = [box('pad', [-14, 12], [-8, -10]), box('pad', [8, 12], [14, -10])]
const spring = path('screw', [-7, 10], [-4, -2], [4, -2], [7, 10])
const out = (x: number): readonly Shape[] => [
  path('cable', [x, -12], [x, -19]),
  path('cable', [x - 3, -16], [x, -19], [x + 3, -16]),
]
const up = (x: number): readonly Shape[] => [
  path('cable', [x, 14], [x, 19]),
  path('cable', [x - 3, 16], [x, 19], [x + 3, 16]),
]

const gap = (half: number, cable: boolean): Picture => [
  box('pad', [-half - 9, 12], [-half, -12]),
  box('pad', [half, 12], [half + 9, -12]),
  box('cut', [-2, 16], [2, -16]),
  ...(cable ? [path('cable', [-28, 16], [-half - 9, 6])] : [path('ghost', [-28, 16], [-half - 9, 6])]),
]

const face = (marks: readonly Shape[]): Picture => [box('pad', [-16, 13], [16, -13]), ...marks]

/** What is looked at where a rotor or pads are changed, each answer as it is seen. */
export const CHANGE_PICTURES: Pictures = {
  rotorHold: {
    bolted: hub([0, 1, 2, 3, 4, 5].map((each) => round('bolt', [6 * Math.cos(each), 6 * Math.sin(each)], 1.8))),
    ring: hub([round('bolt', [0, 0], 7), round('void', [0, 0], 4)]),
  },
  rotorKey: {
    'hex-4': key(star(9, 7.8, 6)),
    'star-t20': key(star(7, 4.6, 6)),
    'star-t25': key(star(9.5, 6.4, 6)),
    ring: key(star(14, 12, 16)),
  },
  rotorWay: { right: rotor(arrow(1)), wrong: [...rotor(arrow(-1)), path('fault', [-12, -12], [12, 12])] },
  rotorThreads: {
    medium: bolt([round('post', [14, 0], 4)]),
    maker: bolt([]),
    grease: bolt([round('fault', [2, 4], 3), round('fault', [12, -4], 3), round('fault', [-6, -3], 2.4)]),
    permanent: bolt([round('fault', [14, 0], 5)]),
  },
  ringThread: {
    film: bolt([path('skin', [-10, 7], [18, 7])]),
    maker: bolt([]),
    threadlocker: bolt([round('fault', [14, 0], 5)]),
  },
  padKeeper: {
    pin: [...twoPads, spring, path('cable', [-24, 8], [22, 8], [22, 2]), round('bolt', [-24, 8], 3)],
    spring: [...twoPads, spring],
  },
  padOrder: {
    outer: [...twoPads, ...out(-11)],
    lower: [box('pad', [-12, 12], [12, 6]), box('pad', [-12, -4], [12, -10]), ...out(0)],
    together: [...twoPads, ...up(-11), ...up(11)],
  },
  padsWith: {
    new: [box('shoe', [-20, 14], [-14, -14]), box('pad', [-14, 13], [6, -13])],
    cleaned: [box('shoe', [-20, 14], [-14, -14]), box('pad', [-14, 13], [-6, -13]), path('skin', [-2, 12], [-2, -12])],
    'as-they-are': face([path('fault', [-12, -8], [-6, 8]), path('fault', [-2, -8], [4, 8])]),
  },
  padRoom: { 'cable-on': gap(9, true), 'cable-off': gap(9, false), none: gap(3, true) },
}
