import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../brake/drawings.ts'
import type { DimensionLine, Shape } from '../../brake/frame.ts'
import { as, box, path, round, turnedBy } from '../../brake/shapes.ts'
import type { Point } from '../../calculation/calculation.ts'

/** Half a bar’s grip, and how far the pivot stands off the bar’s middle (from memory; a drawing’s convention). */
const GRIP = 11
const PIVOT: Point = [0, 30]
/** How far past the finger the blade goes on. */
const TIP = 24
/** Half a blade’s thickness, where the outside is taken. */
const BLADE = 4

const limb = ([x0, y0]: Point, [x1, y1]: Point, from: number, to: number): Shape => {
  const span = Math.hypot(x1 - x0, y1 - y0) || 1
  const [nx, ny] = [-(y1 - y0) / span, (x1 - x0) / span]
  return {
    kind: 'polygon',
    role: 'arm',
    points: [
      [x0 + nx * from, y0 + ny * from],
      [x1 + nx * to, y1 + ny * to],
      [x1 - nx * to, y1 - ny * to],
      [x0 - nx * from, y0 - ny * from],
    ],
  }
}

/** A lever from above, the bar below it, its blade out to the reach at the finger; pressed, its ghost at what is left. */
function draw(at: DetailAt): Detail {
  const d = at.dimensions
  const pull = drawnAt(at, 'leverPull', d.leverCableArmMm as number)
  const finger = drawnAt(at, 'leverFinger', d.leverFingerArmMm as number)
  const reach = drawnAt(at, 'leverReach', d.leverReachMm as number)
  const front = GRIP + reach
  const rise = front - PIVOT[1]
  const across = Math.sqrt(Math.max(finger * finger - rise * rise, (finger / 3) ** 2))
  const hand: Point = [across, front]
  const tip: Point = [across + TIP, front + (rise * TIP) / across / 2]
  const cable: Point = [PIVOT[0], PIVOT[1] + pull]
  const blade: readonly Shape[] = [limb(PIVOT, hand, 6, 3.5), limb(hand, tip, 3.5, 4)]
  /** The blade turned until the finger stands this far from the bar. */
  const pressed = (left: number): readonly Shape[] => {
    const down = Math.asin(Math.max(-1, Math.min(1, (GRIP + left - PIVOT[1]) / Math.hypot(across, rise))))
    return as('ghost', turnedBy(blade, PIVOT, ((down - Math.atan2(rise, across)) * 180) / Math.PI))
  }
  const reserve = drawnAt(at, 'reserve', reach / 3)
  const bite = drawnAt(at, 'biteTravel', reach / 3)
  const dimensions: readonly DimensionLine[] = [
    { id: 'leverPull', from: PIVOT, to: cable, beside: 12 },
    { id: 'leverFinger', from: PIVOT, to: hand },
    { id: 'leverReach', from: [across, GRIP], to: hand },
    { id: 'leverOutside', from: [across + TIP / 2, -GRIP], to: [across + TIP / 2, front + BLADE] },
    { id: 'reserve', from: [across, GRIP], to: [across, GRIP + reserve] },
    { id: 'biteTravel', from: hand, to: [across, front - bite] },
    { id: 'leverWeight', from: [across, front + 34], to: [across, front + 6], of: 'force' },
    { id: 'leverBack', from: [across - 16, GRIP + 4], to: [across - 16, front - 8], of: 'force' },
  ]
  return {
    shapes: [
      box('tube', [-46, -GRIP], [tip[0] + 20, GRIP]),
      box('skin', [-46, -GRIP + 2], [tip[0] + 20, GRIP - 2]),
      box('arm', [-16, -GRIP - 3], [14, GRIP + 3]),
      box('arm', [-10, GRIP + 3], [10, PIVOT[1] + 8]),
      path('housing', [-60, cable[1]], [-26, cable[1]]),
      box('cut', [-30, cable[1] - 5], [-18, cable[1] + 5]),
      path('cable', [-18, cable[1]], cable),
      path('arm', PIVOT, cable),
      ...(at.number('reserve') === undefined ? [] : pressed(reserve)),
      ...blade,
      round('boss', PIVOT, 4),
      round('bolt', PIVOT, 1.8),
      round('bolt', cable, 3),
    ],
    dimensions,
    labels: [
      { text: 'bar', at: [-34, -GRIP], side: 'left' },
      { text: 'pivot', at: PIVOT, side: 'left' },
    ],
    bounds: { min: [-62, -26], max: [tip[0] + 28, Math.max(front + 38, cable[1] + 14)] },
  }
}

export const LEVER: DetailSpec = {
  id: 'lever',
  title: 'the lever from above',
  readings: [
    'leverPull',
    'leverFinger',
    'leverReach',
    'leverOutside',
    'reserve',
    'biteTravel',
    'leverWeight',
    'leverBack',
  ],
  draw,
}
