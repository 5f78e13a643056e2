import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../../brake/drawings.ts'
import { box, figure, path } from '../../../brake/shapes.ts'
import { POSTS_MM } from '../limits.ts'
import { STANDS_NOW } from '../readings.ts'
import { overRotor } from './over-rotor.ts'

const rotorAt = (at: DetailAt): number => drawnAt(at, 'stackRotor', at.dimensions.rotorDiameterMm as number)

/** Bracket and spacers as they lie now, and how the body clears the rotor. */
const standing = (at: DetailAt): Detail =>
  overRotor({
    rotorMm: rotorAt(at),
    trackMm: drawnAt(at, 'trackDeep', 16),
    topMm: drawnAt(at, 'stackTop', 2),
    bottomMm: drawnAt(at, 'stackBottom', 2),
    padEdgeMm: drawnAt(at, 'padEdge', 0.5),
    padHeightMm: drawnAt(at, 'padHigh', 15),
    spacingMm: drawnAt(at, 'mountSpacing', POSTS_MM),
    bracketMm: drawnAt(at, 'bracketRise', 8),
    spacersMm: [drawnAt(at, 'spacersUnder', 2)],
    earMm: drawnAt(at, 'earThick', 8),
    caliperBoltMm: drawnAt(at, 'boltUnder', 20),
  })

export const STANDING: DetailSpec = {
  id: 'standing',
  title: 'caliper on its mount, from the side',
  readings: STANDS_NOW,
  draw: standing,
}

/** One bolt cut open: what it clamps, and the thread it goes into. */
function seat(at: DetailAt): Detail {
  const ear = drawnAt(at, 'earThick', 8)
  const spacers = drawnAt(at, 'spacersUnder', 0)
  const bolt = drawnAt(at, 'boltUnder', 20)
  const thread = drawnAt(at, 'frameThread', 14)
  const bracket = drawnAt(at, 'bracketThread', 12)
  const apart = 34
  const block = (x: number, deep: number) => [
    figure('cut', [x - 11, 0], [x - 3, 0], [x - 3, -deep], [x - 11, -deep]),
    figure('cut', [x + 3, 0], [x + 11, 0], [x + 11, -deep], [x + 3, -deep]),
  ]
  const face = spacers
  return {
    shapes: [
      ...block(0, thread),
      ...(spacers > 0 ? [box('post', [-9, spacers], [-3, 0]), box('post', [3, spacers], [9, 0])] : []),
      box('frame', [-12, face + ear], [-3, face]),
      box('frame', [3, face + ear], [12, face]),
      box('bolt', [-5, face + ear + 5], [5, face + ear]),
      box('bolt', [-3, face + ear], [3, face + ear - bolt]),
      path('screw', [-3, 0], [-3, Math.max(-thread, face + ear - bolt)]),
      path('screw', [3, 0], [3, Math.max(-thread, face + ear - bolt)]),
      ...block(apart, bracket),
    ],
    dimensions: [
      { id: 'earThick', from: [-12, face], to: [-12, face + ear], beside: 6 },
      { id: 'boltUnder', from: [3, face + ear - bolt], to: [3, face + ear], beside: -13 },
      { id: 'frameThread', from: [-11, -thread], to: [-11, 0], beside: 6 },
      { id: 'bracketThread', from: [apart + 11, -bracket], to: [apart + 11, 0], beside: -5 },
    ],
    labels: [
      { text: 'mount', at: [-11, -thread], side: 'left' },
      { text: 'bracket', at: [apart + 11, -bracket], side: 'right' },
    ],
    bounds: { min: [-40, -Math.max(thread, bracket, bolt - ear - face) - 6], max: [apart + 36, face + ear + 9] },
  }
}

export const SEAT: DetailSpec = {
  id: 'seat',
  title: 'a caliper bolt, cut open',
  readings: ['earThick', 'boltUnder', 'frameThread', 'bracketThread'],
  draw: seat,
}
