import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../../brake/drawings.ts'
import { arc, box, figure, path, round } from '../../../brake/shapes.ts'
import type { Point } from '../../../calculation/calculation.ts'
import { starOrder } from '../../../features/rotor/star.ts'

/** Middle of the rotor to its bolts, mm; drawn so, whatever the hub. */
const CIRCLE_MM = 22
const circle = (radius: number) => arc([0, 0], radius, 0, 360, 60)

/** Where each bolt stands, the first above, then clockwise as it is looked at from outside. */
export function boltsAt(bolts: number): readonly Point[] {
  return Array.from({ length: bolts }, (_, index): Point => {
    const angle = Math.PI / 2 - (index / bolts) * 2 * Math.PI
    return [CIRCLE_MM * Math.cos(angle), CIRCLE_MM * Math.sin(angle)]
  })
}

/** Old and new rotor one over the other, and the bolts that hold them. */
function rotors(at: DetailAt): Detail {
  const old = drawnAt(at, 'stackRotor', at.dimensions.rotorDiameterMm as number) / 2
  const now = drawnAt(at, 'rotorWide', at.dimensions.rotorDiameterMm as number) / 2
  const oldTrack = drawnAt(at, 'trackDeep', 16)
  const track = drawnAt(at, 'trackNew', 16)
  const bolts = boltsAt(drawnAt(at, 'rotorBolts', 6))
  const [first, second] = bolts as [Point, Point]
  const most = Math.max(old, now)
  return {
    shapes: [
      figure('arm', ...circle(now)),
      figure('void', ...circle(now - track)),
      path('ghost', ...circle(old)),
      path('ghost', ...circle(old - oldTrack)),
      round('boss', [0, 0], CIRCLE_MM + 8),
      round('void', [0, 0], 10),
      ...bolts.map((each) => round('bolt', each, 3)),
    ],
    dimensions: [
      { id: 'rotorWide', from: [-now, 0], to: [now, 0], beside: -(most + 8), of: 'diameter' },
      { id: 'stackRotor', from: [-old, 0], to: [old, 0], beside: most + 8, of: 'diameter' },
      { id: 'trackDeep', from: [-old, -14], to: [-old + oldTrack, -14] },
      { id: 'trackNew', from: [now - track, 14], to: [now, 14] },
      { id: 'rotorBolts', from: first, to: second },
    ],
    labels: [],
    bounds: { min: [-most - 40, -most - 20], max: [most + 40, most + 20] },
  }
}

export const ROTORS: DetailSpec = {
  id: 'rotors',
  title: 'old rotor dashed, new one drawn through, from outside',
  readings: ['stackRotor', 'rotorWide', 'trackDeep', 'trackNew', 'rotorBolts'],
  draw: rotors,
}

/** A bolt’s number stands so much further out than the bolt. */
const OUT = 1.22

/** The star its bolts are tightened in: numbered clockwise, the way from one to the next drawn. */
export function starDetail(bolts: number): Detail {
  const at = boltsAt(bolts)
  const way = starOrder(bolts).map((each) => at[each - 1] as Point)
  return {
    shapes: [
      round('boss', [0, 0], CIRCLE_MM + 9),
      round('void', [0, 0], 9),
      path('axis', ...way),
      ...at.map((each) => round('bolt', each, 3.4)),
      box('cut', [-1, CIRCLE_MM + 16], [1, CIRCLE_MM + 9]),
    ],
    dimensions: [],
    labels: at.map(([x, y], index) => ({
      text: `${index + 1}`,
      at: [x * OUT, y * OUT + 2],
      side: x < -1 ? 'left' : 'right',
    })),
    bounds: { min: [-CIRCLE_MM - 18, -CIRCLE_MM - 14], max: [CIRCLE_MM + 18, CIRCLE_MM + 18] },
  }
}
