import type { DetailSpec } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arrow, box, figure, movedBy, path, round } from '../../../brake/shapes.ts'

/** A pad on its plate, its compound towards the rotor in the middle. */
const pad = (side: -1 | 1, y: number): readonly Shape[] => [
  box('pad', [side * 5, y + 14], [side * 11, y - 14]),
  figure(
    'shoe',
    [side * 11, y + 18],
    [side * 15, y + 18],
    [side * 15, y - 18],
    [side * 13, y - 26],
    [side * 11, y - 18],
  ),
]

const body: readonly Shape[] = [
  figure('frame', [-40, 30], [40, 30], [40, -24], [24, -24], [24, 20], [-24, 20], [-24, -24], [-40, -24]),
]

/** The spring that spreads the pads, its ends in their holes. */
const spring = (y: number): Shape =>
  path('screw', [-10, y - 20], [-6, y - 4], [-4, y + 12], [4, y + 12], [6, y - 4], [10, y - 20])

/** Pads on their way out of the caliper: what keeps them pulled first, then the one that comes first. */
export const PADS_OUT: DetailSpec = {
  id: 'pads-out',
  title: 'pads coming out, cut open',
  readings: [],
  steps: ['pads-out'],
  draw: ({ seen }) => {
    const first = -46
    const pinned = seen('padKeeper') !== 'spring'
    return {
      shapes: [
        ...body,
        ...pad(1, 0),
        ...pad(-1, first),
        spring(0),
        path('skin', [4, 10], [56, 10]),
        ...(pinned
          ? [
              path('bolt', [-84, -10], [-48, -10]),
              path('bolt', [-84, -12], [-48, -12]),
              round('bolt', [-88, -11], 4),
              ...arrow([-52, -20], [-78, -20]),
            ]
          : []),
        ...arrow([-28, first + 10], [-28, first - 30]),
      ],
      dimensions: [],
      labels: [
        ...(pinned ? [{ text: 'split pin first', at: [-58, 4] as const, side: 'left' as const }] : []),
        { text: 'spring', at: [58, 8], side: 'right' },
        { text: 'this pad first', at: [-42, first - 4], side: 'left' },
      ],
      bounds: { min: [-120, first - 44], max: [96, 42] },
    }
  },
}

/** Pads going in with the spring between them, compound to the rotor, and what keeps them. */
export const PADS_IN: DetailSpec = {
  id: 'pads-in',
  title: 'pads going in with their spring, cut open',
  readings: [],
  steps: ['pads-in', 'pads-kept'],
  draw: ({ seen }) => ({
    shapes: [
      ...body,
      ...movedBy([...pad(1, 0), ...pad(-1, 0), spring(0)], [0, -6]),
      path('skin', [4, 5], [54, 5]),
      ...(seen('padKeeper') === 'spring'
        ? []
        : [path('bolt', [-46, -20], [46, -20]), path('bolt', [46, -20], [46, -28]), round('bolt', [-48, -20], 3.4)]),
    ],
    dimensions: [],
    labels: [
      { text: 'compound to the rotor', at: [20, -42], side: 'left' },
      { text: 'spring between them', at: [56, 3], side: 'right' },
      ...(seen('padKeeper') === 'spring'
        ? []
        : [{ text: 'pin, its end bent', at: [49, -28] as const, side: 'right' as const }]),
    ],
    bounds: { min: [-110, -54], max: [140, 42] },
  }),
}
