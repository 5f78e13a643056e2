import type { DetailSpec } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arrow, box, figure, path, round, turnedBy } from '../../../brake/shapes.ts'

/** The brake plate lifted off along the axle, and what held it, in the order it comes off. */
export const PLATE_OFF: DetailSpec = {
  id: 'plate-off',
  title: 'plate lifted off the axle, from the side',
  readings: [],
  steps: ['plate-off', 'plate-on', 'shoes-centred', 'lock-nut'],
  draw: () => ({
    shapes: [
      // The drum, cut open, on its hub.
      figure('cut', [-60, 46], [-22, 46], [-22, 40], [-54, 40], [-54, -40], [-22, -40], [-22, -46], [-60, -46]),
      box('arm', [-66, 12], [-54, -12]),
      path('axis', [-74, 0], [96, 0]),
      box('bolt', [-70, 4], [92, -4]),
      ...[40, 48, 56, 64, 72, 80].map((x): Shape => path('skin', [x, -4], [x + 3, 4])),
      // The plate with a shoe above and below.
      box('shoe', [-8, 36], [12, 28]),
      box('pad', [-8, 39], [12, 36]),
      box('shoe', [-8, -28], [12, -36]),
      box('pad', [-8, -36], [12, -39]),
      box('frame', [12, 44], [17, -44]),
      box('boss', [38, 11], [46, -11]),
      box('boss', [62, 13], [70, -13]),
      ...arrow([-6, -58], [8, -58]),
    ],
    dimensions: [],
    labels: [
      { text: 'drum', at: [-70, 44], side: 'left' },
      { text: 'plate, shoes on it', at: [21, 44], side: 'right' },
      { text: 'cone adjuster', at: [42, -14], side: 'right' },
      { text: 'lock nut', at: [62, 26], side: 'right' },
    ],
    bounds: { min: [-92, -64], max: [132, 66] },
  }),
}

/** The cable hooked back on the brake arm, its housing in the stop. */
export const CABLE_BACK: DetailSpec = {
  id: 'cable-back',
  title: 'cable on the brake arm',
  readings: [],
  steps: ['cable-back', 'arm-marked'],
  draw: ({ dimensions }) => {
    const long = dimensions.armMm as number
    const tip = turnedBy([round('bolt', [0, long], 3)], [0, 0], -28)
    const [end] = tip
    const at = end?.kind === 'circle' ? end.centre : ([0, long] as const)
    return {
      shapes: [
        round('arm', [0, -14], 42),
        ...turnedBy([figure('arm', [-5, 0], [-3.5, long], [3.5, long], [5, 0])], [0, 0], -28),
        round('boss', [0, 0], 6),
        // The felt-pen mark: arm and axle’s flats as they stood.
        ...turnedBy([path('skin', [-9, long * 0.16], [9, long * 0.16])], [0, 0], -28),
        ...tip,
        box('cut', [at[0] - 66, at[1] + 8], [at[0] - 58, at[1] - 8]),
        path('housing', [at[0] - 92, at[1]], [at[0] - 62, at[1]]),
        path('cable', [at[0] - 62, at[1]], [at[0], at[1]]),
      ],
      dimensions: [],
      labels: [
        { text: 'stop', at: [at[0] - 54, at[1] - 12], side: 'left' },
        { text: 'brake arm', at: [at[0] * 0.6 + 12, at[1] * 0.6], side: 'right' },
        { text: 'axle', at: [9, -6], side: 'right' },
      ],
      bounds: { min: [Math.min(-52, at[0] - 98), -62], max: [Math.max(70, at[0] + 40), long + 14] },
    }
  },
}
