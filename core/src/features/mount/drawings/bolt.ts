import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { arc, box, figure, path } from '../../../brake/shapes.ts'
import type { Point } from '../../../calculation/calculation.ts'

/** More room than this behind a mount is drawn broken off. */
const NEAR = 44
const BOLT_HALF = 3

/** A mount cut open along its hole, and the caliper’s bolt beside it, with everything measured there. */
function cutOpen(at: DetailAt): Detail {
  const depth = drawnAt(at, 'frameDepth', 20)
  const half = drawnAt(at, 'mountTube', 18) / 2
  const hollow = at.seen('mountBody') !== 'solid'
  const wall = drawnAt(at, 'mountWall', 1.2)
  const front = drawnAt(at, 'holeFront', 6)
  const back = drawnAt(at, 'holeBack', 6)
  const room = Math.min(NEAR, drawnAt(at, 'roomBehind', 30))
  const out = drawnAt(at, 'boltOut', 30)
  const threaded = drawnAt(at, 'boltThreaded', 15)
  const body = drawnAt(at, 'caliperDepth', 14)
  const head = drawnAt(at, 'drillHead', 30)
  const [curveFront, curveBack] = [drawnAt(at, 'curveFront', 9), drawnAt(at, 'curveBack', 9)]
  const bolt = -half - 20
  const block = (up: 1 | -1): readonly Shape[] =>
    hollow
      ? [
          box('frame', [0, (up * front) / 2], [wall, up * half]),
          box('frame', [depth - wall, (up * back) / 2], [depth, up * half]),
          box('frame', [0, up * (half - wall)], [depth, up * half]),
        ]
      : [figure('frame', [0, (up * front) / 2], [0, up * half], [depth, up * half], [depth, (up * back) / 2])]
  /** A curved face is told by its radius: a short arc at the face, from its own middle. */
  const curve = (x: number, radius: number, towards: 1 | -1): readonly Shape[] => {
    if (radius <= 0) return []
    const turn = Math.min(40, (Math.asin(Math.min(1, half / radius)) * 180) / Math.PI)
    const centre: Point = [x + towards * radius, 0]
    return [path('axis', ...arc(centre, radius, towards > 0 ? 180 - turn : -turn, towards > 0 ? 180 + turn : turn))]
  }
  const onCurve = (x: number, radius: number, towards: 1 | -1): readonly [Point, Point] => {
    const angle = (25 * Math.PI) / 180
    const centre: Point = [x + towards * radius, 0]
    return [centre, [centre[0] - towards * radius * Math.cos(angle), radius * Math.sin(angle)]]
  }
  const [frontFrom, frontTo] = onCurve(0, Math.max(2, curveFront), 1)
  const [backFrom, backTo] = onCurve(depth, Math.max(2, curveBack), -1)
  return {
    shapes: [
      ...block(1),
      ...block(-1),
      ...curve(0, curveFront, 1),
      ...curve(depth, curveBack, -1),
      box('frame', [depth + room, -half - 6], [depth + room + 9, half + 12]),
      box('arm', [-body, bolt + 8], [0, bolt - 8]),
      box('bolt', [0, bolt + BOLT_HALF], [out, bolt - BOLT_HALF]),
      ...Array.from({ length: Math.max(0, Math.floor(threaded / 1.5)) }, (_, index) =>
        path('skin', [out - index * 1.5, bolt + BOLT_HALF], [out - index * 1.5 - 0.7, bolt - BOLT_HALF]),
      ),
      ...(at.number('drillHead') === undefined
        ? []
        : [box('ghost', [depth + 1, -half - 3], [depth + 1 + Math.min(head, NEAR), -half - 13])]),
      path('axis', [-8, 0], [depth + room, 0]),
    ],
    dimensions: [
      { id: 'holeFront', from: [0, -front / 2], to: [0, front / 2], beside: 6, of: 'diameter' },
      { id: 'holeBack', from: [depth, -back / 2], to: [depth, back / 2], beside: -6, of: 'diameter' },
      { id: 'frameDepth', from: [0, half], to: [depth, half], beside: 8 },
      { id: 'mountTube', from: [0, -half], to: [0, half], beside: 16 },
      { id: 'mountWall', from: [depth / 2, half - wall], to: [depth / 2, half] },
      { id: 'curveFront', from: frontFrom, to: frontTo, of: 'radius' },
      { id: 'curveBack', from: backFrom, to: backTo, of: 'radius' },
      { id: 'roomBehind', from: [depth, half * 0.7], to: [depth + room, half * 0.7] },
      { id: 'boltOut', from: [0, bolt - BOLT_HALF], to: [out, bolt - BOLT_HALF], beside: -14 },
      { id: 'boltThreaded', from: [out - threaded, bolt - BOLT_HALF], to: [out, bolt - BOLT_HALF], beside: -6 },
      { id: 'caliperDepth', from: [-body, bolt + 8], to: [0, bolt + 8], beside: 5 },
      { id: 'drillHead', from: [depth + 1, -half - 8], to: [depth + 1 + Math.min(head, NEAR), -half - 8] },
    ],
    labels: [
      { text: 'seat tube or tyre', at: [depth + room + 9, -half - 6], side: 'left' },
      { text: 'caliper', at: [-body, bolt - 8], side: 'left' },
    ],
    bounds: { min: [-Math.max(body, 26) - 20, bolt - 22], max: [Math.max(depth + room + 24, out + 24), half + 20] },
  }
}

export const CUT_OPEN: DetailSpec = {
  id: 'mount',
  title: 'the mount cut open along its hole, and the bolt under it',
  readings: [
    'holeFront',
    'holeBack',
    'frameDepth',
    'mountTube',
    'mountWall',
    'curveFront',
    'curveBack',
    'roomBehind',
    'boltOut',
    'boltThreaded',
    'caliperDepth',
    'drillHead',
  ],
  draw: cutOpen,
}
