import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../brake/drawings.ts'
import type { Shape } from '../../brake/frame.ts'
import { arc, as, box, figure, movedBy, path, round, turnedBy } from '../../brake/shapes.ts'
import type { Point } from '../../calculation/calculation.ts'
import { leverPlaceAt } from '../../features/lever-fit/fit.ts'
import { type Hand, handAt } from '../../features/lever-fit/hands.ts'

/** Half a bar with its grip, and how far a lever’s pivot stands off the bar’s middle (from memory; a drawing’s convention). */
const GRIP = 16
const BAR = 11
const PIVOT_Y = 30
const BEYOND = 34
/** So much of the bar is drawn inboard of the clamp at most. */
const MOST_ROOM = 60
const MEDIUM: Hand = { breadthMm: 83, fingerMm: 18, creaseMm: 68 }

/** A finger across the bar from behind it to where it ends in front. */
const finger = (x: number, wide: number, toY: number): Shape =>
  figure('skin', [x - wide / 2, -GRIP - 8], ...arc([x, toY - wide / 2], wide / 2, 180, 0, 8), [x + wide / 2, -GRIP - 8])

/** Bar, grip, hand and blade from above, to scale, the bar’s outer end on the left; the ghost is the lever where it belongs. */
function draw(at: DetailAt): Detail {
  const hand = handAt(at) ?? MEDIUM
  const offset = drawnAt(at, 'handOffset', 12)
  const clamp = drawnAt(at, 'clampAt', 120)
  const hook = clamp - drawnAt(at, 'clampToHook', 78)
  const tip = clamp - drawnAt(at, 'clampToTip', 86)
  const reach = drawnAt(at, 'leverReach', at.dimensions.leverReachMm as number)
  const front = BAR + reach
  const room = Math.min(drawnAt(at, 'roomInboard', 20), MOST_ROOM)
  const inner = offset + hand.breadthMm
  const pitch = hand.breadthMm / 4
  const index = inner - hand.fingerMm / 2
  const lever: readonly Shape[] = [
    box('arm', [clamp - 9, -BAR - 4], [clamp + 9, BAR + 4]),
    figure('arm', [clamp + 6, BAR + 4], [clamp - 8, BAR + 4], [clamp - 12, PIVOT_Y + 8], [clamp + 2, PIVOT_Y + 8]),
    figure(
      'arm',
      [clamp - 4, PIVOT_Y + 7],
      [hook + 12, front + 7],
      [hook, front + 5],
      [tip, front + 9],
      [tip, front + 3],
      [hook, front - 1],
      [hook + 12, front],
      [clamp - 6, PIVOT_Y - 5],
    ),
    round('bolt', [clamp - 5, PIVOT_Y], 3),
  ]
  const place = leverPlaceAt(at)
  const shift = place?.ok && Math.abs(place.value.shiftMm) > 1 ? place.value.shiftMm : undefined
  const crease = hand.creaseMm
  return {
    shapes: [
      box('tube', [0, -BAR], [Math.max(clamp, inner) + BEYOND, BAR]),
      box('cut', [0, -GRIP], [Math.max(inner + 4, 40), GRIP]),
      ...[3, 2, 1].map((from) => finger(inner - hand.fingerMm / 2 - pitch * from, hand.fingerMm * 0.94, GRIP + 8)),
      finger(index, hand.fingerMm, Math.max(BAR + crease + 12, GRIP + 12)),
      path('axis', [index, -GRIP - 16], [index, BAR + crease + 26]),
      path('limit', [index - 12, BAR + crease], [index + 12, BAR + crease]),
      ...(shift === undefined ? [] : as('ghost', movedBy(lever, [shift, 0]))),
      ...lever,
    ],
    dimensions: [
      { id: 'handOffset', from: [0, -GRIP], to: [offset, -GRIP], beside: -16 },
      { id: 'handBreadth', from: [offset, -GRIP - 8], to: [inner, -GRIP - 8], beside: -26 },
      {
        id: 'fingerBreadth',
        from: [index - hand.fingerMm / 2, BAR + crease + 8],
        to: [index + hand.fingerMm / 2, BAR + crease + 8],
        beside: 16,
      },
      {
        id: 'creaseReach',
        from: [index + hand.fingerMm / 2 + 6, BAR],
        to: [index + hand.fingerMm / 2 + 6, BAR + crease],
      },
      { id: 'leverReach', from: [hook + 26, BAR], to: [hook + 26, front] },
      { id: 'clampAt', from: [0, -BAR], to: [clamp, -BAR], beside: -46 },
      { id: 'roomInboard', from: [clamp + 9, -BAR - 6], to: [clamp + 9 + room, -BAR - 6], beside: -20 },
      { id: 'clampToHook', from: [clamp, front + 10], to: [hook, front + 10], beside: -22 },
      { id: 'clampToTip', from: [clamp, front + 10], to: [tip, front + 10], beside: -38 },
    ],
    labels: [
      { text: 'bar’s outer end', at: [0, 0], side: 'left' },
      { text: 'hook', at: [hook, front + 2], side: 'left' },
    ],
    bounds: {
      min: [-26, -BAR - 54],
      max: [Math.max(clamp + room, inner) + BEYOND + 8, Math.max(front + 54, BAR + crease + 32)],
    },
  }
}

export const LEVER_HAND: DetailSpec = {
  id: 'lever-hand',
  title: 'bar, hand and blade from above, as it lies on the bar',
  readings: [
    'leverReach',
    'handOffset',
    'clampAt',
    'clampToHook',
    'clampToTip',
    'roomInboard',
    'handBreadth',
    'fingerBreadth',
    'creaseReach',
  ],
  draw,
}

/** Drawn a tenth of its size beside the hand’s: shoulder, arm, grip and blade from the side. */
function drawArm(at: DetailAt): Detail {
  const shoulder = drawnAt(at, 'shoulderHeight', 1340)
  const bar = drawnAt(at, 'barHeight', 1010)
  const arm = Math.max(drawnAt(at, 'armLength', 620), Math.abs(shoulder - bar) + 10)
  const blade = drawnAt(at, 'bladeAngle', 30)
  const across = Math.sqrt(arm ** 2 - (shoulder - bar) ** 2)
  const joint: Point = [-across, shoulder]
  const grip: Point = [0, bar]
  const long = 170
  return {
    shapes: [
      path('axis', [-across - 120, 0], [260, 0]),
      path('skin', joint, grip),
      round('skin', joint, 45),
      round('tube', grip, 16),
      ...turnedBy([figure('arm', [0, bar - 9], [long, bar - 6], [long, bar + 6], [0, bar + 9])], grip, -blade),
    ],
    dimensions: [
      { id: 'shoulderHeight', from: [-across, 0], to: joint, beside: 90 },
      { id: 'barHeight', from: [0, 0], to: grip, beside: 60 },
      { id: 'armLength', from: joint, to: grip, beside: 70 },
      {
        id: 'bladeAngle',
        from: grip,
        to: [long * Math.cos((blade * Math.PI) / 180), bar - long * Math.sin((blade * Math.PI) / 180)],
        beside: 60,
      },
    ],
    labels: [{ text: 'shoulder', at: joint, side: 'left' }],
    bounds: { min: [-across - 180, -40], max: [330, shoulder + 130] },
  }
}

export const RIDER_ARM: DetailSpec = {
  id: 'rider-arm',
  title: 'shoulder, grip and blade from the side',
  readings: ['shoulderHeight', 'barHeight', 'armLength', 'bladeAngle'],
  draw: drawArm,
}
