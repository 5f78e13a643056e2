import type { Picture, Pictures } from '../../brake/drawings.ts'
import type { Shape } from '../../brake/frame.ts'
import { arc, box, figure, path, round, turnedBy } from '../../brake/shapes.ts'
import type { Point } from '../../calculation/calculation.ts'

/** Points of a curve that goes up and down, for what is torn or worn. */
const jagged = (from: Point, to: Point, by: number, times: number): readonly Point[] =>
  Array.from({ length: times + 1 }, (_, index): Point => {
    const share = index / times
    const off = index === 0 || index === times ? 0 : index % 2 === 0 ? by : -by
    return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share + off]
  })

/** A housing with its sheath cut back: what carries the load is seen. */
const housing = (inside: readonly Shape[]): Picture => [
  box('arm', [-28, 8], [-4, -8]),
  box('skin', [-4, 6.5], [20, -6.5]),
  ...inside,
  path('cable', [20, 0], [29, 0]),
]
const coil = Array.from({ length: 8 }, (_, index) => path('skin', [-3 + index * 3, -6.5], [-1 + index * 3, 6.5]))
const strands = [-4, -2, 0, 2, 4].map((y) => path('skin', [-4, y], [20, y]))

/** A whole housing from the side. */
const sheath = (marks: readonly Shape[]): Picture => [box('arm', [-28, 7], [28, -7]), ...marks]

/** A stop cut open, and whatever is in it. */
const stop = (inside: readonly Shape[]): Picture => [
  figure('cut', [2, 14], [24, 14], [24, 3], [20, 3], [20, 9], [2, 9]),
  figure('cut', [2, -14], [24, -14], [24, -3], [20, -3], [20, -9], [2, -9]),
  ...inside,
]
const ferrule: readonly Shape[] = [box('boss', [-2, 8.4], [20, -8.4]), box('arm', [-28, 6], [2, -6])]

const torn = (x: number, y: number): readonly Shape[] => [
  path('fault', [x, y], [x + 6, y + 7], [x + 13, y + 8]),
  path('fault', [x + 2, y], [x + 7, y - 8], [x + 15, y - 11]),
]
/** The inner under its anchor’s bolt, from the front. */
const anchor = (more: readonly Shape[]): Picture => [
  path('cable', [0, 20], [0, -20]),
  round('arm', [0, 2], 11),
  figure('bolt', ...arc([0, 2], 7, 0, 300, 5)),
  ...more,
]
/** The inner’s head in the lever’s pocket. */
const head = (off: number, more: readonly Shape[]): Picture => [
  figure('cut', [-18, 14], [2, 14], [2, 9], [-13, 9], [-13, -9], [2, -9], [2, -14], [-18, -14]),
  round('boss', [-4 + off, 0], 8),
  path('cable', [4 + off, 0], [29, 0]),
  ...more,
]

/** A bolt clamping the inner on its arm, cut open: what lies between head and arm. */
const clamp = (washer: readonly Shape[], cable: readonly Shape[]): Picture => [
  box('cut', [-26, -4], [-4, -14]),
  box('cut', [4, -4], [26, -14]),
  box('bolt', [-4, 12], [4, -18]),
  figure('bolt', [-9, 19], [9, 19], [9, 12], [-9, 12]),
  ...washer,
  ...cable,
]
const shaped = [figure('boss', [-15, 12], [15, 12], [15, 4], [13, 4], [13, -4], [4, -4], [4, 4], [-15, 4])]
const flat = [box('boss', [-13, 12], [13, 8])]

/** A wheel’s axle in its dropouts, from behind. */
const axle = (deg: number): Picture => [
  ...[-1, 1].map((side) => figure('frame', [side * 20, 18], [side * 25, 18], [side * 25, -10], [side * 20, -10])),
  ...turnedBy(
    [box('bolt', [-29, 2], [29, -2]), box('arm', [-12, 6], [12, -6]), box('tyre', [-4, 20], [4, -20])],
    [0, 0],
    deg,
  ),
]

/** A quick-release on its axle: its lever lying along the leg, or standing out. */
const release = (deg: number): Picture => [
  box('frame', [-16, 20], [-4, -20]),
  box('bolt', [-22, 3], [22, -3]),
  round('boss', [6, 0], 7),
  ...turnedBy([figure('arm', [3, 0], [9, 0], [10, -18], [6, -20], [3, -16])], [6, 0], deg),
]

const run = (kinked: boolean): Picture =>
  kinked
    ? [path('housing', [-28, -14], [-8, -12], [-2, 12], [4, -4], [28, 12]), path('fault', [-8, 17], [4, 17])]
    : [path('housing', ...arc([-28, 16], 30, -90, -10), [3, 16])]

const barrel = (thread: readonly Shape[]): Picture => [
  figure('cut', [-28, 12], [-6, 12], [-6, 5], [-28, 5]),
  figure('cut', [-28, -12], [-6, -12], [-6, -5], [-28, -5]),
  ...thread,
]

/** A bicycle from the side, this wheel at the left, and where its motor sits. */
const bicycle = (motor?: Point): Picture => [
  round('tyre', [-16, -4], 11),
  round('void', [-16, -4], 9.5),
  round('tyre', [16, -4], 11),
  round('void', [16, -4], 9.5),
  path('tube', [-16, -4], [0, -8], [9, 10], [-8, 10], [0, -8]),
  path('tube', [16, -4], [9, 13]),
  ...(motor ? [round('bolt', motor, 4)] : []),
]
/** A wheel lifted, its lever squeezed. */
const spun = (marks: readonly Shape[]): Picture => [
  round('tyre', [0, 0], 15),
  round('void', [0, 0], 13),
  round('bolt', [0, 0], 4),
  ...marks,
]
/** Bolt, washer and nut beside one another, the nut as it is. */
const laidOut = (nut: Shape['role']): Picture => [
  figure('bolt', [-28, 8], [-22, 8], [-22, -8], [-28, -8]),
  box('bolt', [-22, 3], [-4, -3]),
  round('boss', [4, 0], 6),
  round('void', [4, 0], 3),
  round(nut, [20, 0], 7),
  round('void', [20, 0], 3),
]

/** What is looked at on every cable-pulled brake, each answer as it is seen. */
export const COMMON_PICTURES: Pictures = {
  housingKind: {
    coil: housing(coil),
    marked: housing([
      ...strands,
      box('void', [-24, 4], [-8, -4]),
      path('skin', [-22, 1.5], [-10, 1.5]),
      path('skin', [-22, -1.5], [-10, -1.5]),
    ]),
    gear: housing(strands),
  },
  housingState: {
    sound: sheath([]),
    split: sheath([figure('fault', ...jagged([-14, 2], [14, 2], 3, 6), ...jagged([14, -1], [-14, -1], 2, 6))]),
    rusty: sheath(
      [-20, -9, 0, 8, 17].map((x, index) => round('fault', [x, index % 2 === 0 ? 2 : -3], 1.6 + (index % 3) * 0.6)),
    ),
  },
  housingEnds: {
    right: stop(ferrule),
    jammed: stop(turnedBy([box('fault', [-8, 8.4], [14, -8.4]), box('arm', [-28, 6], [-8, -6])], [2, 0], 9)),
    missing: stop([box('arm', [-28, 6], [13, -6]), path('fault', [20, 9], [20, -9])]),
  },
  innerAnchor: { whole: anchor([]), broken: anchor(torn(0, -12)) },
  innerHead: {
    whole: head(0, []),
    loose: head(15, [path('fault', [-12, 0], [-2, 0])]),
    broken: head(0, torn(8, 0)),
  },
  anchorBolt: {
    own: clamp(shaped, [round('skin', [-8, 0], 3.4)]),
    plain: clamp(flat, [round('skin', [-8, 0], 3.4), path('fault', [-15, 4], [-20, 10])]),
  },
  cableLined: {
    lined: [
      round('cut', [0, 0], 17),
      round('void', [0, 0], 11),
      round('boss', [0, 0], 10),
      round('void', [0, 0], 7),
      round('bolt', [0, 0], 4.5),
    ],
    unlined: [round('cut', [0, 0], 17), round('void', [0, 0], 8), round('bolt', [0, -2], 5)],
  },
  'wheel-fast': { well: axle(0), ill: axle(9) },
  'wheel-seated': { well: axle(0), ill: axle(9) },
  'hub-play': {
    well: axle(0),
    ill: [
      ...axle(0),
      ...turnedBy([box('ghost', [-4, 20], [4, -20])], [0, 0], 7),
      ...turnedBy([box('ghost', [-4, 20], [4, -20])], [0, 0], -7),
    ],
  },
  'wheel-fastened': { well: release(0), ill: release(100) },
  'cable-run': { well: run(false), ill: run(true) },
  'barrel-in': {
    well: barrel([box('bolt', [-20, 5], [-6, -5]), box('arm', [-6, 9], [10, -9]), path('housing', [10, 0], [28, 0])]),
    ill: barrel([
      box('bolt', [-16, 5], [6, -5]),
      path('fault', ...jagged([-6, 5], [6, 5], 1.6, 6)),
      box('arm', [6, 9], [18, -9]),
      path('housing', [18, 0], [29, 0]),
    ]),
  },
  'cable-clamped': {
    well: clamp(shaped, [round('skin', [-8, 0], 3.4)]),
    ill: clamp(shaped, [figure('fault', [-13, 1.2], [-4.6, 1.2], [-4.6, -3], [-13, -3])]),
  },
  motorAt: {
    none: bicycle(),
    this: bicycle([-16, -4]),
    other: bicycle([16, -4]),
    cranks: bicycle([0, -8]),
  },
  cutOff: {
    'cuts-off': spun([]),
    'runs-on': spun([path('fault', ...arc([0, 0], 19, 20, 110), [-10, 12])]),
    none: spun([path('ghost', ...arc([0, 0], 19, 20, 110))]),
  },
  partsThere: {
    all: laidOut('bolt'),
    'to-buy': laidOut('ghost'),
  },
  barShape: {
    flat: [path('tube', [-28, 2], [28, 2])],
    dropped: [path('tube', [-28, 12], [4, 12], ...arc([4, 0], 12, 90, -90), [-12, -12])],
  },
}
