import type { Picture, Pictures } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arc, box, figure, mirrored, path, round, turnedBy } from '../../../brake/shapes.ts'

/** A pad’s face, upright before the eye. */
const face = (marks: readonly Shape[], grooves = true): Picture => [
  box('void', [-28, 11], [28, -11]),
  ...(grooves ? [-14, 0, 14].map((x) => box('pad', [x - 1.5, 11], [x + 1.5, -11])) : []),
  ...marks,
]
const grains = [
  [-20, 3],
  [-7, -5],
  [4, 5],
  [11, -2],
  [22, 4],
] as const

/** A rim’s side, a piece of it: the track between its two edges, and a pad along it. */
const TRACK = { out: 64, inside: 46, middle: -55 } as const
const track: readonly Shape[] = [
  path('skin', ...arc([0, -45], TRACK.out, 65, 115)),
  path('skin', ...arc([0, -45], TRACK.inside, 58, 122)),
]
const alongTrack = (deg: number, up = 0): Picture => [
  ...track,
  ...turnedBy([box(deg === 0 ? 'pad' : 'fault', [-19, 15 + up], [19, 5 + up])], [0, 10], deg),
]

/** A shoe from its own side, the front of the bicycle where the arrow points. */
const shoe = (closed: 'front' | 'rear' | 'none'): readonly Shape[] => [
  path('axis', [-28, 17], [24, 17]),
  figure('bolt', [29, 17], [23, 20], [23, 14]),
  box('pad', [-24, 8], [24, -6]),
  path('shoe', [-24, -6], [24, -6]),
  box('shoe', [-24, -6], [24, -11]),
  ...(closed === 'front'
    ? [box('bolt', [24, 8], [28, -11])]
    : closed === 'rear'
      ? [box('fault', [-28, 8], [-24, -11]), path('fault', [30, 1], [38, 1])]
      : [box('shoe', [-28, 8], [-24, -11]), box('shoe', [24, 8], [28, -11])]),
]
const shoesOf = (side: 'left' | 'right') => {
  const seen = (shapes: readonly Shape[]) => (side === 'left' ? mirrored(shapes) : shapes)
  return {
    forward: seen(shoe('front')),
    moulded: seen(shoe('none')),
    backward: seen(shoe('rear').filter(({ role, kind }) => !(role === 'fault' && kind === 'line'))),
  }
}

/** Both pads and the rim between them, each this far off. */
const pads = (left: number, right: number, more: readonly Shape[] = []): Picture => [
  box('cut', [-6, 14], [6, -14]),
  box(left === 0 ? 'fault' : 'pad', [-6 - left - 10, 8], [-6 - left, -8]),
  box(right === 0 ? 'fault' : 'pad', [6 + right, 8], [6 + right + 10, -8]),
  ...more,
]
/** The rim beside where it should run. */
const leaning: Picture = [
  ...pads(6, 6).slice(1),
  box('void', [-6, 14], [6, -14]),
  ...turnedBy([box('fault', [-6, 14], [6, -14])], [0, -14], 9),
]
const touching = (left: number, right: number): Picture =>
  pads(left, right).map((shape) => (shape.role === 'fault' ? { ...shape, role: 'pad' } : shape))

const rim = (body: readonly Shape[]): Picture => body
const step = (worn: boolean): Picture => [
  figure(
    'cut',
    [-6, 18],
    [6, 18],
    [6, 10],
    ...(worn
      ? ([
          [2, 8],
          [2, -6],
        ] as const)
      : []),
    [6, -9],
    [6, -18],
    [-6, -18],
  ),
  ...(worn ? [path('fault', [6, 10], [2, 8], [2, -6], [6, -9])] : []),
]
const wearLine = (there: 'there' | 'none' | 'gone'): Picture => [
  box('arm', [-28, 13], [28, -13]),
  ...(there === 'there' ? [path('limit', [-28, 0], [28, 0])] : []),
  ...(there === 'gone' ? [-24, -8, 10, 22].map((x) => path('fault', [x, 0], [x + 4, 0])) : []),
]

/** A linear-pull’s guide pipe in its slot, or beside it. */
const guide = (hooked: boolean, boot: boolean): Picture => [
  box('arm', [-26, 14], [-16, -18]),
  box('arm', [16, 14], [26, -18]),
  path('cable', [hooked ? -16 : -8, hooked ? 10 : 16], [21, 8]),
  path('housing', ...arc(hooked ? [-26, 20] : [-18, 26], 10, 270, 180), hooked ? [-36, 22] : [-28, 28]),
  ...(hooked ? [] : [path('fault', [-21, 10], [-12, 10])]),
  ...(boot ? [figure('boss', [-15, 13], [-4, 12], [-4, 7], [-15, 7])] : []),
]
/** A caliper’s small quick-release, shut or open. */
const cam = (open: boolean): Picture => [
  box('arm', [-26, 14], [-16, -18]),
  box('arm', [16, 14], [26, -18]),
  round('boss', [21, 6], 6),
  ...turnedBy([box('bolt', [19, 6], [23, -12])], [21, 6], open ? 105 : 0),
  path('cable', [21, 12], [21, 20]),
  box('cut', [-4, -4], [4, -20]),
  box(open ? 'fault' : 'pad', [-16, -8], [open ? -12 : -5, -16]),
  box(open ? 'fault' : 'pad', [open ? 12 : 5, -8], [16, -16]),
]

const washers = (inside: number, outside: number): Picture => [
  box('pad', [-28, 12], [-22, -12]),
  box('shoe', [-22, 11], [-18, -11]),
  box('bolt', [-18, 3], [28, -3]),
  figure('boss', [-18, 7], [-18 + inside, 9], [-18 + inside, -9], [-18, -7]),
  box('arm', [-18 + inside, 18], [-10 + inside, -18]),
  figure('boss', [-10 + inside, 9], [-10 + inside + outside, 7], [-10 + inside + outside, -7], [-10 + inside, -9]),
]

export const RIM_PICTURES: Pictures = {
  rimMaterial: {
    alloy: rim([
      figure(
        'cut',
        [-13, 18],
        [-9, 18],
        [-10, 6],
        [10, 6],
        [9, 18],
        [13, 18],
        [13, -6],
        [6, -16],
        [-6, -16],
        [-13, -6],
      ),
      figure('void', [-10, 3], [10, 3], [10, -5], [5, -13], [-5, -13], [-10, -5]),
    ]),
    carbon: rim([
      figure('pad', [-12, 18], [-7, 18], [-8, 8], [8, 8], [7, 18], [12, 18], [10, -4], [3, -19], [-3, -19], [-10, -4]),
      figure('void', [-8, 5], [8, 5], [6, -4], [2, -14], [-2, -14], [-6, -4]),
    ]),
    steel: rim([
      figure(
        'bolt',
        [-14, 16],
        [-10, 18],
        [-11, 2],
        [-6, -8],
        [6, -8],
        [11, 2],
        [10, 18],
        [14, 16],
        [14, 0],
        [8, -12],
        [-8, -12],
        [-14, 0],
      ),
    ]),
  },
  wearLine: { there: wearLine('there'), none: wearLine('none'), gone: wearLine('gone') },
  trackStep: { smooth: step(false), stepped: step(true) },
  trackFace: {
    clean: track,
    dirty: [...track, ...[-14, -2, 9].map((x) => path('skin', [x, 9], [x + 5, 12]))],
    oily: [...track, round('fault', [-12, 9], 3), round('fault', [3, 10], 4), round('fault', [15, 7], 2.4)],
  },
  padFace: {
    clean: face([]),
    grit: face(grains.map(([x, y]) => figure('fault', [x - 2, y], [x, y + 2.4], [x + 2.4, y - 1.4]))),
    oily: face([round('fault', [-16, 2], 4), round('fault', [2, -3], 5), round('fault', [18, 3], 3)]),
    glazed: face(
      [-24, -16, -4, 8, 18].map((x) => path('fault', [x, -7], [x + 7, 7])),
      false,
    ),
    grooved: face([box('fault', [-28, 1], [28, -3]), path('fault', [-28, 7], [28, 7])]),
  },
  padShape: {
    curved: [...track, figure('pad', ...arc([0, -45], 60, 73, 107), ...arc([0, -45], 50, 107, 73))],
    straight: [...track, box('pad', [-19, 14], [19, 5])],
  },
  padArc: {
    follow: [...track, figure('pad', ...arc([0, -45], 60, 73, 107), ...arc([0, -45], 50, 107, 73))],
    hang: alongTrack(-16, -3),
    tyre: alongTrack(16, 4),
  },
  shoeLeft: shoesOf('left'),
  shoeRight: shoesOf('right'),
  padsSet: {
    applied: touching(0, 0).concat([
      path('cable', [-22, 16], [22, 16]),
      path('skin', [-11, 8], [-11, 16]),
      path('skin', [11, 8], [11, 16]),
    ]),
    'by-hand': touching(0, 8).concat([
      path('cable', [-29, 0], [-18, 0]),
      figure('bolt', [-16, 0], [-21, 4], [-21, -4]),
    ]),
  },
  washersNow: { thin: washers(6, 14), thick: washers(14, 6) },
  padsBack: {
    both: pads(9, 9),
    slow: pads(9, 9, [box('ghost', [-18, 8], [-8, -8]), box('ghost', [8, 8], [18, -8])]),
    one: pads(0, 9),
    neither: pads(0, 0),
  },
  spin: { free: pads(6, 6), left: pads(0, 8), right: pads(8, 0), untrue: leaning },
  firstTouch: { left: touching(0, 6), both: touching(0, 0), right: touching(6, 0) },
  'pads-tight': {
    well: [...track, figure('pad', ...arc([0, -45], 60, 73, 107), ...arc([0, -45], 50, 107, 73))],
    ill: alongTrack(24),
  },
}

/** Linear-pull brakes are dead while their guide pipe is out of its slot. */
export const GUIDE_PICTURES: Pictures = {
  guidePipe: {
    hooked: guide(true, true),
    out: guide(false, true),
    worn: [...guide(true, true), path('fault', [-22, 15], [-16, 15], [-16, 5])],
  },
  guideBoot: { there: guide(true, true), missing: guide(true, false) },
  'dead-first': { well: guide(true, true), ill: guide(false, true) },
}
/** Others while their quick-release is open. */
export const CAM_PICTURES: Pictures = { 'dead-first': { well: cam(false), ill: cam(true) } }
