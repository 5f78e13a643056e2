import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arc, box, figure, path, round } from '../../../brake/shapes.ts'
import type { DiscKind } from '../../../features/disc-caliper/kind.ts'

const SWING_TIMES = 12
const THICK_TIMES = 6

/** A rotor from its edge, and how it swings. */
function rotor(at: DetailAt): Detail {
  const thick = THICK_TIMES * drawnAt(at, 'rotorThickness', 1.8)
  const least = THICK_TIMES * drawnAt(at, 'rotorMark', 1.5)
  const most = THICK_TIMES * drawnAt(at, 'rotorMost', 2)
  const swing = SWING_TIMES * Math.max(0.1, drawnAt(at, 'rotorRunout', 0.15))
  const wide = drawnAt(at, 'rotorWide', at.dimensions.rotorDiameterMm as number) / 2
  const blade = (x: number): readonly (readonly [number, number])[] => [
    [x - thick / 2, 34],
    [x + thick / 2, 34],
    [thick / 2, -34],
    [-thick / 2, -34],
  ]
  const middle = 70
  const ring = (radius: number) => arc([middle, 0], radius * 0.42, 0, 360, 40)
  return {
    shapes: [
      figure('cut', ...blade(0)),
      figure('ghost', ...blade(swing / 2)),
      figure('ghost', ...blade(-swing / 2)),
      path('limit', [-least / 2, 20], [-least / 2, -34]),
      path('limit', [least / 2, 20], [least / 2, -34]),
      figure('arm', ...ring(wide)),
      figure('void', ...ring(wide - 18)),
      round('boss', [middle, 0], 9),
    ],
    dimensions: [
      { id: 'rotorThickness', from: [-thick / 2, -20], to: [thick / 2, -20] },
      { id: 'rotorMark', from: [-least / 2, -28], to: [least / 2, -28] },
      { id: 'rotorMost', from: [-most / 2, -34], to: [most / 2, -34], beside: -6 },
      { id: 'rotorRunout', from: [-swing / 2, 34], to: [swing / 2, 34], beside: 5 },
      { id: 'rotorWide', from: [middle - wide * 0.42, 0], to: [middle + wide * 0.42, 0], of: 'diameter' },
    ],
    labels: [{ text: 'edge on', at: [-12, -36], side: 'left' }],
    bounds: { min: [-44, -46], max: [middle + wide * 0.42 + 20, 46] },
    enlarged: `thickness ${THICK_TIMES}, runout ${SWING_TIMES} times larger`,
  }
}

export const ROTOR: DetailSpec = {
  id: 'rotor',
  title: 'rotor on edge and from the side',
  readings: ['rotorThickness', 'rotorMark', 'rotorMost', 'rotorRunout', 'rotorWide'],
  draw: rotor,
}

/** The caliper over the rotor, from the side: what clears and what covers. */
function height(at: DetailAt): Detail {
  const top = drawnAt(at, 'bodyClearTop', 1.5)
  const low = drawnAt(at, 'bodyClearBottom', 1.5)
  const cover = drawnAt(at, 'padCover', 16)
  const hung = drawnAt(at, 'padHung', 0)
  const track = 16
  const edge = 0
  const inside = edge - track
  const padTop = inside + cover
  return {
    shapes: [
      box('cut', [-40, edge], [40, inside]),
      ...[-30, -10, 10, 30].map((x): Shape => box('void', [x - 3, edge - 4], [x + 3, inside + 4])),
      ...[-24, 0, 24].map(
        (x): Shape => figure('arm', [x - 4, inside], [x + 4, inside], [x + 2, inside - 22], [x - 6, inside - 22]),
      ),
      figure('frame', [-26, edge + top], [26, edge + top], [26, edge + top + 9], [-26, edge + top + 9]),
      box('frame', [-26, edge + top], [-18, inside + low]),
      box('frame', [18, edge + top], [26, inside + low]),
      box('pad', [-14, padTop], [14, padTop - cover - hung]),
      path('limit', [-44, inside], [44, inside]),
    ],
    dimensions: [
      { id: 'bodyClearTop', from: [-20, edge], to: [-20, edge + top] },
      { id: 'bodyClearBottom', from: [22, inside], to: [22, inside + low] },
      { id: 'padCover', from: [14, inside], to: [14, padTop], beside: -16 },
      { id: 'padHung', from: [-14, inside - hung], to: [-14, inside], beside: 16 },
    ],
    labels: [
      { text: 'body', at: [-26, edge + top + 6], side: 'left' },
      { text: 'rotor', at: [40, -4], side: 'right' },
    ],
    bounds: { min: [-62, inside - 28], max: [66, edge + 18] },
  }
}

export const HEIGHT: DetailSpec = {
  id: 'height',
  title: 'caliper over the rotor, from the side',
  readings: ['bodyClearTop', 'bodyClearBottom', 'padCover', 'padHung'],
  draw: height,
}

const GAP_TIMES = 20

/** Both pads beside the rotor, cut open: compound, and the knob’s thread where one has it. */
function pads(at: DetailAt): Detail {
  const inner = 4 * drawnAt(at, 'padFixed', 2.5)
  const outer = 4 * drawnAt(at, 'padMoving', 2.5)
  const pitch = 6 * drawnAt(at, 'knobPitch', at.dimensions.knobPitchMm as number)
  const pad = (side: -1 | 1, thick: number): readonly Shape[] => [
    box('pad', [side * 10, 16], [side * (10 + thick), -16]),
    box('shoe', [side * (10 + thick), 18], [side * (16 + thick), -18]),
  ]
  const knob = 16 + inner
  return {
    shapes: [
      box('cut', [-4, 24], [4, -30]),
      ...pad(-1, outer),
      ...pad(1, inner),
      box('bolt', [knob, 6], [knob + 22, -6]),
      ...[0, 1, 2].map((each): Shape => path('skin', [knob + 3 + each * pitch, -6], [knob + 3 + each * pitch + 2, 6])),
      box('boss', [knob + 22, 10], [knob + 28, -10]),
    ],
    dimensions: [
      { id: 'padFixed', from: [10, -16], to: [10 + inner, -16], beside: -8 },
      { id: 'padMoving', from: [-10 - outer, -16], to: [-10, -16], beside: -8 },
      { id: 'knobPitch', from: [knob + 3, 6], to: [knob + 3 + pitch, 6], beside: 6 },
      { id: 'knobClicksATurn', from: [knob + 25, -10], to: [knob + 25, 10], beside: -8 },
      { id: 'armRest', from: [-40 - outer, 20], to: [-34 - outer, 20] },
      { id: 'armStarts', from: [-40 - outer, 10], to: [-34 - outer, 10] },
    ],
    labels: [
      { text: 'rotor', at: [4, -26], side: 'right' },
      { text: 'wheel', at: [knob + 22, -30], side: 'left' },
    ],
    bounds: { min: [-62 - outer, -38], max: [knob + 50, 34] },
    enlarged: `thickness 4 times larger, gaps ${GAP_TIMES} times`,
  }
}

export const discPads = (_kind: DiscKind): DetailSpec => ({
  id: 'disc-pads',
  title: 'pads and rotor, cut open',
  readings: ['padFixed', 'padMoving', 'knobPitch', 'knobClicksATurn'],
  draw: pads,
})
