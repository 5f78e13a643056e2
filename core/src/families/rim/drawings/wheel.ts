import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../../brake/drawings.ts'
import type { Shape } from '../../../brake/frame.ts'
import { as, box, figure, movedBy, path } from '../../../brake/shapes.ts'
import { rimSection } from '../section.ts'

/** Offset and runout are too small to be seen at the rim’s own scale. */
const TIMES = 4
/** What they are drawn as until they are measured, and the least that can be seen, mm. */
const UNTIL = 0.8
const LEAST = 0.25

const seenAs = (mm: number): number => TIMES * Math.sign(mm || 1) * Math.max(LEAST, Math.abs(mm))

/** The rim between its stays: how far it stands from their middle, and how far it swings about there. */
function swing(at: DetailAt): Detail {
  const half = (at.dimensions.rimWidthMm as number) / 2
  const tyre = at.dimensions.tyreWidthMm as number
  const offset = seenAs(drawnAt(at, 'wheelOffset', UNTIL))
  const lateral = seenAs(drawnAt(at, 'lateralRunout', UNTIL))
  const radial = seenAs(drawnAt(at, 'radialRunout', UNTIL))
  const rim = rimSection(half * 2, tyre, 0)
  const cut = rim.filter((shape) => shape.role === 'cut')
  const stay = Math.max(tyre / 2, half) + 16
  const swung = (dx: number, dy: number): readonly Shape[] => as('ghost', movedBy(cut, [offset + dx, dy]))
  return {
    shapes: [
      ...[-1, 1].map((side) => box('frame', [side * stay, -46], [side * (stay + 9), 34])),
      ...movedBy(
        rim.filter(({ role }) => role !== 'axis'),
        [offset, 0],
      ),
      ...swung(lateral / 2, 0),
      ...swung(-lateral / 2, 0),
      path('axis', [0, -46], [0, 40]),
      path('axis', [offset, -34], [offset, 14]),
    ],
    dimensions: [
      {
        id: 'lateralRunout',
        from: [offset + half - lateral / 2, -6],
        to: [offset + half + lateral / 2, -6],
      },
      { id: 'wheelOffset', from: [0, -36], to: [offset, -36] },
      { id: 'radialRunout', from: [offset - half, 8 - radial / 2], to: [offset - half, 8 + radial / 2], beside: 8 },
    ],
    labels: [{ text: 'stay or fork leg', at: [stay + 9, -40], side: 'right' }],
    bounds: { min: [-stay - 30, -48], max: [stay + 30, 44] },
    enlarged: `offset and runout ${TIMES} times larger`,
  }
}

export const SWING: DetailSpec = {
  id: 'swing',
  title: 'rim between the stays, from the saddle',
  readings: ['wheelOffset', 'lateralRunout', 'radialRunout'],
  draw: swing,
}

/** A rim cut open: its walls, and the track on them. */
function walls(at: DetailAt): Detail {
  const half = (at.dimensions.rimWidthMm as number) / 2
  const wall = drawnAt(at, 'rimWall', 1.5)
  const mark = drawnAt(at, 'rimMark', 1)
  const inner = half - wall
  const tall = drawnAt(at, 'trackTall', 10)
  const low = 2 - tall
  return {
    shapes: [
      figure(
        'cut',
        [-half, 6],
        [-inner + 1.4, 6],
        [-inner + 1.4, 4],
        [-inner, 3],
        [-inner, -tall + 4],
        [inner, -tall + 4],
        [inner, 3],
        [inner - 1.4, 4],
        [inner - 1.4, 6],
        [half, 6],
        [half, low],
        [half / 2, low - 7],
        [-half / 2, low - 7],
        [-half, low],
      ),
      figure(
        'void',
        [-inner, -tall + 2.6],
        [inner, -tall + 2.6],
        [inner, low + 1],
        [half / 2 - 0.6, low - 5.4],
        [-half / 2 + 0.6, low - 5.4],
        [-inner, low + 1],
      ),
      ...[-1, 1].map((side) => path('limit', [side * (half - mark), 6], [side * (half - mark), low])),
    ],
    dimensions: [
      { id: 'rimWall', from: [inner, -1], to: [half, -1] },
      { id: 'rimMark', from: [-half, -1], to: [-half + mark, -1] },
      { id: 'trackTall', from: [half, 2], to: [half, low], beside: 6 },
    ],
    labels: [],
    bounds: { min: [-half - 16, low - 10], max: [half + 16, 9] },
  }
}

export const WALLS: DetailSpec = {
  id: 'walls',
  title: 'rim cut open',
  readings: ['rimWall', 'rimMark'],
  draw: walls,
}
