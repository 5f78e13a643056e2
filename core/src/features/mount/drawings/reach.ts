import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { box, figure, path, round } from '../../../brake/shapes.ts'

/** A rim with its tyre in section, the middle of its track at a height, `up` towards its tyre. */
function rim(half: number, tyre: number, track: number, up: 1 | -1): readonly Shape[] {
  const y = (off: number) => track + up * off
  return [
    round('tyre', [0, y(8 + tyre * 0.42)], tyre / 2),
    round('tube', [0, y(8 + tyre * 0.42)], tyre / 2 - 3),
    figure(
      'cut',
      [-half, y(8)],
      [-half + 2, y(8)],
      [-half + 2, y(0)],
      [half - 2, y(0)],
      [half - 2, y(8)],
      [half, y(8)],
      [half, y(-9)],
      [half / 3, y(-16)],
      [-half / 3, y(-16)],
      [-half, y(-9)],
    ),
  ]
}

/** From where the brake hangs to the middle of the track, and what its slot can reach. */
const reachFrom =
  (mount: 'boss' | 'centre-bolt') =>
  (at: DetailAt): Detail => {
    const d = at.dimensions
    const half = (d.rimWidthMm as number) / 2
    const tyre = d.tyreWidthMm as number
    const bosses = mount === 'boss'
    // Bosses stand nearer the hub than the track, a bridge or crown beyond the tyre.
    const away = bosses ? 1 : -1
    const book = bosses ? (d.padHeightMm as number) : (d.caliperReachMm as number)
    const reach = drawnAt(at, 'trackReach', book)
    const [low, high] = [drawnAt(at, 'slotLow', book - 5), drawnAt(at, 'slotHigh', book + 5)]
    const apart = drawnAt(at, 'bossSpacing', (d.pivotSpacingMm as number | undefined) ?? 80)
    const [from, slotAt] = bosses ? [-apart / 2, apart / 2] : [0, half + 22]
    const track = away * reach
    const hub = bosses ? -8 : track - 30
    const mountAt = (x: number): readonly Shape[] => [round('boss', [x, 0], 6), round('bolt', [x, 0], 3)]
    return {
      shapes: [
        ...rim(half, tyre, track, 1),
        ...(bosses
          ? [-1, 1].flatMap((side) => [
              box('frame', [side * (apart / 2 - 8), -14], [side * (apart / 2 + 8), 8]),
              ...mountAt((side * apart) / 2),
            ])
          : [box('frame', [-26, -7], [26, 7]), ...mountAt(0)]),
        box('arm', [slotAt - 5, away * -4], [slotAt + 5, away * (high + 6)]),
        box('void', [slotAt - 2.4, away * low], [slotAt + 2.4, away * high]),
        path('axis', [-half - 20, track], [half + 34, track]),
        path('axis', [0, track], [0, hub]),
      ],
      dimensions: [
        { id: 'trackReach', from: [from, 0], to: [from, track], beside: bosses ? 14 * away : -(half + 26) },
        { id: 'slotLow', from: [slotAt, 0], to: [slotAt, away * low], beside: bosses ? -14 : 14 },
        { id: 'slotHigh', from: [slotAt, 0], to: [slotAt, away * high], beside: bosses ? -32 : 32 },
        { id: 'bossSpacing', from: [-apart / 2, 0], to: [apart / 2, 0], beside: -18 },
        { id: 'beadFitted', from: [0, track], to: [0, hub], of: 'diameter' },
      ],
      labels: [{ text: 'middle of the track', at: [-half, track], side: 'left' }],
      bounds: bosses
        ? { min: [-apart / 2 - 50, -30], max: [apart / 2 + 60, Math.max(track + 34, high + 10)] }
        : { min: [-half - 60, Math.min(hub, -high - 10)], max: [half + 80, 14] },
    }
  }

const reachDetail = (mount: 'boss' | 'centre-bolt'): DetailSpec => ({
  id: 'reach',
  title: mount === 'boss' ? 'bosses, rim and arm, from the saddle' : 'mounting hole, rim and arm, from the saddle',
  readings: ['trackReach', 'slotLow', 'slotHigh', 'beadFitted', ...(mount === 'boss' ? ['bossSpacing'] : [])],
  draw: reachFrom(mount),
})

export const BOSS_REACH = reachDetail('boss')
export const BOLT_REACH = reachDetail('centre-bolt')
