import type { AdjusterSpec } from '../brake/adjuster.ts'
import type { Dimensions } from '../brake/dimension.ts'

/** Barrel and anchor: every cable-pulled brake has them. `input` is the model’s, mm of cable let out. */
export const cableAdjusters = (d: Dimensions, input = 'cable'): readonly AdjusterSpec[] => [
  {
    id: 'barrel',
    title: 'barrel',
    shorthand: 'bar',
    unit: 'turn',
    step: 0.5,
    plus: 'Barrel out',
    minus: 'Barrel in',
    input,
    book: -(d.barrelPitchMm as number),
    effectSpread: 0.03,
    settingSd: 0,
    travel: d.barrelTravelTurns as number,
    positionReading: 'barrelOut',
    assumedPosition: 1,
    price: 0.01,
  },
  {
    id: 'anchor',
    title: 'cable at the anchor',
    shorthand: 'anchor',
    unit: 'mm',
    step: 0.5,
    plus: 'Let cable out at the anchor',
    minus: 'Take cable in at the anchor',
    done: { plus: 'Cable let out at the anchor', minus: 'Cable taken in at the anchor' },
    input,
    book: 1,
    effectSpread: 0,
    settingSd: 0.5,
    cautions: ['tension'],
    price: 0.05,
  },
]
