import {
  type Detail,
  type DetailAt,
  type DetailSpec,
  type Drawings,
  drawnAt,
  type Picture,
} from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arc, box, figure, path, round, turnedBy } from '../../../brake/shapes.ts'
import type { Point } from '../../../calculation/calculation.ts'
import { CABLE_BACK, PLATE_OFF } from './acts.ts'

const circle = (radius: number) => arc([0, 0], radius, 0, 360, 60)

/** The drum cut across, a lining against it. */
function inside(at: DetailAt): Detail {
  const radius = drawnAt(at, 'drumRadius', at.dimensions.drumRadiusMm as number)
  const wide = drawnAt(at, 'drumInside', 2 * radius) / 2
  const most = drawnAt(at, 'drumStamped', 2 * radius + 2) / 2
  const lining = 4 * drawnAt(at, 'liningThick', 2.5)
  const aside = wide + 46
  return {
    shapes: [
      figure('cut', ...circle(wide + 6)),
      figure('void', ...circle(wide)),
      path('limit', ...circle(most)),
      round('boss', [0, 0], 7),
      box('cut', [aside, -20], [aside + 40, -14]),
      box('pad', [aside, -14], [aside + 40, -14 + lining]),
      ...[8, 20, 32].map((x) => box('bolt', [aside + x - 2, -18], [aside + x + 2, -14 + lining * 0.4])),
    ],
    dimensions: [
      { id: 'drumInside', from: [-wide, 0], to: [wide, 0], beside: -(wide + 12), of: 'diameter' },
      { id: 'drumStamped', from: [-most, 0], to: [most, 0], beside: wide + 16, of: 'diameter' },
      { id: 'drumRadius', from: [0, 0], to: [radius * 0.8, radius * 0.6], of: 'radius' },
      { id: 'liningThick', from: [aside + 40, -14], to: [aside + 40, -14 + lining], beside: -8 },
    ],
    labels: [{ text: 'drum', at: [-wide, -wide + 8], side: 'left' }],
    bounds: { min: [-wide - 34, -wide - 26], max: [aside + 72, wide + 26] },
    enlarged: 'lining 4 times larger',
  }
}

/** Brake arm and ridge on the plate, at rest and applied. */
function armAngles(at: DetailAt): Detail {
  const rest = drawnAt(at, 'armAtRest', 60)
  const applied = drawnAt(at, 'armApplied', 25)
  const long = at.dimensions.armMm as number
  const armAt = (deg: number, role: Shape['role']): readonly Shape[] =>
    turnedBy([figure(role, [-4, 0], [-3, long], [3, long], [4, 0])], [0, 0], deg)
  const tip = (deg: number, share: number): Point => [
    -long * share * Math.sin((deg * Math.PI) / 180),
    long * share * Math.cos((deg * Math.PI) / 180),
  ]
  return {
    shapes: [
      round('frame', [0, -10], 40),
      path('limit', [0, -30], [0, long + 14]),
      ...armAt(rest, 'ghost'),
      ...armAt(applied, 'arm'),
      round('boss', [0, 0], 6),
    ],
    dimensions: [
      { id: 'armAtRest', from: [0, long * 0.9], to: tip(rest, 0.9) },
      { id: 'armApplied', from: [0, long * 0.6], to: tip(applied, 0.6) },
    ],
    labels: [
      { text: 'ridge', at: [0, long + 8], side: 'right' },
      { text: 'at rest', at: tip(rest, 1.04), side: 'left' },
      { text: 'applied', at: tip(applied, 1.04), side: 'left' },
    ],
    bounds: { min: [-long - 24, -56], max: [62, long + 22] },
  }
}

/** The rim pushed from side to side. */
function rimPlay(at: DetailAt): Detail {
  const play = 6 * Math.max(0.2, drawnAt(at, 'hubPlay', 0))
  const nuts = 6 * Math.max(0.2, drawnAt(at, 'hubPlayNuts', 0))
  const wheel = (x: number, role: Shape['role']): Shape => box(role, [x - 5, 50], [x + 5, -50])
  const set = (middle: number, swing: number): readonly Shape[] => [
    wheel(middle - swing / 2, 'ghost'),
    wheel(middle + swing / 2, 'ghost'),
    wheel(middle, 'arm'),
    box('bolt', [middle - 20, 3], [middle + 20, -3]),
  ]
  return {
    shapes: [...set(-50, play), ...set(50, nuts), box('post', [26, 8], [31, -8]), box('post', [69, 8], [74, -8])],
    dimensions: [
      { id: 'hubPlay', from: [-50 - play / 2, 50], to: [-50 + play / 2, 50], beside: 8 },
      { id: 'hubPlayNuts', from: [50 - nuts / 2, 50], to: [50 + nuts / 2, 50], beside: 8 },
    ],
    labels: [{ text: 'nuts tight', at: [74, -8], side: 'right' }],
    bounds: { min: [-100, -60], max: [120, 78] },
    enlarged: 'play 6 times larger',
  }
}

const DETAILS: readonly DetailSpec[] = [
  { id: 'play', title: 'play at the rim', readings: ['hubPlay', 'hubPlayNuts'], draw: rimPlay },
  {
    id: 'inside',
    title: 'drum and lining, cut open',
    readings: ['drumInside', 'drumStamped', 'drumRadius', 'liningThick'],
    draw: inside,
  },
  { id: 'arm', title: 'brake arm from the ridge', readings: ['armAtRest', 'armApplied'], draw: armAngles },
  PLATE_OFF,
  CABLE_BACK,
]

const lining = (marks: readonly Shape[]): Picture => [
  box('cut', [-22, -6], [22, -12]),
  box('pad', [-22, 8], [22, -6]),
  ...marks,
]
const rivet = (x: number, top: number, role: Shape['role'] = 'bolt'): Shape => box(role, [x - 2.5, top], [x + 2.5, -10])
const wheelSpun = (marks: readonly Shape[]): Picture => [
  round('frame', [0, 0], 18),
  round('void', [0, 0], 15),
  path('pad', ...arc([0, 0], 13, 100, 260)),
  path('pad', ...arc([0, 0], 13, -80, 80)),
  ...marks,
]
const bucket = (marks: readonly Shape[]): Picture => [
  figure('frame', [-12, 8], [12, 8], [9, -14], [-9, -14]),
  path('cable', ...arc([0, 8], 12, 0, 180)),
  ...marks,
]
const camAt = (marks: readonly Shape[]): Picture => [
  box('cut', [-4, 8], [4, -8]),
  box('shoe', [-22, 6], [-5, -6]),
  box('shoe', [5, 6], [22, -6]),
  ...marks,
]
const wave = (y: number): Shape => path('fault', [-10, y], [-5, y + 4], [0, y], [5, y + 4], [10, y])
const bell = (marks: readonly Shape[]): Picture => [round('frame', [0, -2], 12), round('void', [0, -2], 8), ...marks]

/** An axle’s nut on its dropout, home or off it. */
const nutOn = (off: number): Picture => [
  box('frame', [-16, 20], [-6, -20]),
  box('bolt', [-24, 4], [22, -4]),
  box(off === 0 ? 'boss' : 'fault', [-4 + off, 10], [6 + off, -10]),
]

/** A hub drum’s parts by themselves, and what is looked at. */
export const DRUM_DRAWINGS: Drawings = {
  details: DETAILS,
  pictures: {
    drag: {
      none: wheelSpun([]),
      once: wheelSpun([round('fault', [13, 6], 2)]),
      lightly: wheelSpun([path('fault', ...arc([0, 0], 14.4, -30, 30))]),
      hard: wheelSpun([path('fault', ...arc([0, 0], 14.4, -80, 80)), path('fault', ...arc([0, 0], 14.4, 100, 260))]),
    },
    cleanedWith: {
      water: bucket([path('skin', [-8, 2], [8, 2])]),
      nothing: [round('frame', [0, 0], 14), round('void', [0, 0], 10)],
      solvent: bucket([path('fault', [-7, -10], [7, 4]), path('fault', [7, -10], [-7, 4])]),
    },
    liningFace: {
      dull: lining([]),
      glazed: lining([-14, -4, 6].map((x) => path('fault', [x, -4], [x + 6, 6]))),
      oily: lining([round('fault', [-8, 2], 3), round('fault', [6, 0], 4), round('fault', [15, 4], 2)]),
    },
    rivets: {
      firm: lining([rivet(-12, 1), rivet(12, 1)]),
      flush: lining([rivet(-12, 8, 'fault'), rivet(12, 8, 'fault')]),
      loose: lining([rivet(-12, 1), ...turnedBy([rivet(12, 1, 'fault')], [12, -6], 24)]),
    },
    'wheel-fastened': { well: nutOn(0), ill: nutOn(8) },
    squeals: { quiet: bell([]), squeals: bell([wave(12)]) },
    squealsAfter: { gone: bell([]), stays: bell([wave(12)]) },
    camKind: {
      floating: camAt([path('cable', [-8, 14], [8, 14])]),
      fixed: camAt([round('bolt', [0, 0], 2.4)]),
    },
  },
}
