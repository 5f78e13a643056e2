import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../brake/drawings.ts'
import { box, figure, path } from '../../brake/shapes.ts'

/** A housing’s end seated in its stop, cut open. */
function housing(at: DetailAt): Detail {
  const half = drawnAt(at, 'housingOuter', 5) / 2
  const liner = 1.1
  const coil = Array.from({ length: 9 }, (_, index) =>
    [1, -1].map((sign) => box('cut', [-22 + index * 2.4, sign * liner], [-20.2 + index * 2.4, sign * (half - 0.5)])),
  ).flat()
  return {
    shapes: [
      figure('cut', [4, half + 3], [14, half + 3], [14, 1.4], [11, 1.4], [11, half + 0.9], [4, half + 0.9]),
      figure('cut', [4, -half - 3], [14, -half - 3], [14, -1.4], [11, -1.4], [11, -half - 0.9], [4, -half - 0.9]),
      ...[1, -1].map((sign) => box('skin', [-24, sign * half], [0, sign * (half - 0.5)])),
      ...coil,
      ...[1, -1].map((sign) => box('shoe', [0, sign * 1.2], [11, sign * (half + 0.8)])),
      path('cable', [-30, 0], [26, 0]),
    ],
    dimensions: [{ id: 'housingOuter', from: [-14, -half], to: [-14, half], beside: 0, of: 'diameter' }],
    labels: [
      { text: 'stop', at: [9, half + 3], side: 'right' },
      { text: 'ferrule', at: [4, -half - 0.8], side: 'left' },
      { text: 'inner', at: [22, 0], side: 'right' },
    ],
    bounds: { min: [-32, -11], max: [28, 11] },
  }
}

/** A barrel in its stop: what of its thread stands out. */
function barrel(at: DetailAt): Detail {
  const pitch = at.dimensions.barrelPitchMm as number
  const out = drawnAt(at, 'barrelOut', 2) * pitch
  const thread = Array.from({ length: Math.max(0, Math.floor(out / pitch)) }, (_, index) =>
    path('skin', [index * pitch, -3], [index * pitch + pitch / 2, 3]),
  )
  return {
    shapes: [
      figure('cut', [-14, 7], [0, 7], [0, 3], [-14, 3]),
      figure('cut', [-14, -7], [0, -7], [0, -3], [-14, -3]),
      box('bolt', [-10, -3], [out, 3]),
      ...thread,
      box('arm', [out, -5.5], [out + 9, 5.5]),
      path('skin', [out + 3, -5.5], [out + 3, 5.5]),
      path('skin', [out + 6, -5.5], [out + 6, 5.5]),
      path('housing', [out + 9, 0], [out + 26, 0]),
      path('cable', [-26, 0], [-10, 0]),
    ],
    dimensions: [{ id: 'barrelOut', from: [0, 3], to: [out, 3], beside: 8 }],
    labels: [{ text: 'stop', at: [-8, -7], side: 'left' }],
    bounds: { min: [-28, -15], max: [Math.max(16, out) + 28, 20] },
  }
}

export const HOUSING: DetailSpec = {
  id: 'housing',
  title: 'housing in its stop, cut open',
  readings: ['housingOuter'],
  draw: housing,
}
export const BARREL: DetailSpec = {
  id: 'barrel',
  title: 'barrel, out of its stop',
  readings: ['barrelOut'],
  draw: barrel,
}
