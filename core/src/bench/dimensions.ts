import type { DimensionSpec } from '../brake/dimension.ts'
import type { Source } from '../calculation/source.ts'

export const FROM_MEMORY: Source = {
  kind: 'from-memory',
  title: 'Typical figure, from memory; measure it on this bicycle',
}
export const ASSUMED: Source = {
  kind: 'our-choice',
  title: 'Assumed until the brake shows otherwise; learnt from its readings',
}

const ASSUMED_LOAD: Source = { kind: 'our-choice', title: 'A grown rider with luggage, until it is told' }
const UPRIGHT: Source = {
  kind: 'handbook',
  title: 'An upright rider tips at about 0.56 g; Wilson, Bicycling Science (from memory)',
}

/** A dimension of a family’s own, its book figure from memory. */
export const bookOwn = (
  id: string,
  title: string,
  unit: DimensionSpec['unit'],
  book: number,
  min: number,
  max: number,
): DimensionSpec => ({ id, title, unit, book, min, max, source: FROM_MEMORY })

/** What every cable-pulled brake has, whatever presses on whatever: a wheel and its load, a lever, a cable. */
export const COMMON_DIMENSIONS: readonly DimensionSpec[] = [
  { id: 'tyreWidthMm', title: 'tyre width', unit: 'mm', book: 37, min: 15, max: 80, source: FROM_MEMORY },
  {
    id: 'beadSeatMm',
    title: 'bead seat diameter',
    unit: 'mm',
    book: 622,
    min: 200,
    max: 700,
    source: { kind: 'standard', title: 'ISO 5775-1' },
  },
  {
    id: 'leverCableArmMm',
    title: 'lever pivot to cable end',
    unit: 'mm',
    book: 30,
    min: 8,
    max: 60,
    source: FROM_MEMORY,
  },
  {
    id: 'leverFingerArmMm',
    title: 'lever pivot to finger',
    unit: 'mm',
    book: 75,
    min: 30,
    max: 150,
    source: FROM_MEMORY,
  },
  { id: 'leverReachMm', title: 'lever reach', unit: 'mm', book: 60, min: 20, max: 120, source: FROM_MEMORY },
  {
    id: 'hardSqueezeN',
    title: 'finger force of a hard squeeze',
    unit: 'N',
    book: 90,
    min: 20,
    max: 400,
    source: ASSUMED,
  },
  { id: 'barrelPitchMm', title: 'barrel thread pitch', unit: 'mm', book: 1, min: 0.5, max: 1.5, source: FROM_MEMORY },
  { id: 'barrelTravelTurns', title: 'barrel travel', unit: 'turn', book: 8, min: 1, max: 20, source: FROM_MEMORY },
  {
    id: 'cableLengthMm',
    title: 'length of inner',
    unit: 'mm',
    book: 1500,
    bookFront: 750,
    min: 200,
    max: 4000,
    source: FROM_MEMORY,
  },
  {
    id: 'cableAreaMm2',
    title: 'metal section of inner',
    unit: 'mm²',
    book: 1.2,
    min: 0.5,
    max: 3,
    source: FROM_MEMORY,
  },
  {
    id: 'cableModulusGpa',
    title: 'modulus of the strand',
    unit: 'GPa',
    book: 130,
    min: 50,
    max: 220,
    source: FROM_MEMORY,
  },
  { id: 'housingStiffness', title: 'housing stiffness', unit: 'N/mm', book: 150, min: 20, max: 2000, source: ASSUMED },
  {
    id: 'brakeStiffness',
    title: 'brake stiffness at the cable',
    unit: 'N/mm',
    book: 40,
    min: 5,
    max: 1000,
    source: ASSUMED,
  },
  { id: 'bendDeg', title: 'sum of housing bends', unit: 'deg', book: 180, min: 0, max: 1440, source: ASSUMED },
  {
    id: 'cableFriction',
    title: 'friction of inner in housing',
    unit: '',
    book: 0.1,
    min: 0,
    max: 1,
    source: FROM_MEMORY,
  },
  {
    id: 'loadedMassKg',
    title: 'bicycle, rider and load',
    unit: 'kg',
    book: 95,
    min: 20,
    max: 400,
    source: ASSUMED_LOAD,
  },
  { id: 'wheelbaseMm', title: 'wheelbase', unit: 'mm', book: 1050, min: 600, max: 3000, source: FROM_MEMORY },
  {
    id: 'cgHeightMm',
    title: 'height of the centre of mass',
    unit: 'mm',
    book: 1140,
    min: 500,
    max: 1600,
    source: UPRIGHT,
  },
  {
    id: 'cgBehindFrontMm',
    title: 'centre of mass behind the front contact',
    unit: 'mm',
    book: 640,
    min: 200,
    max: 2000,
    source: UPRIGHT,
  },
  {
    id: 'padFriction',
    title: 'friction of pad on track',
    unit: '',
    book: 0.4,
    min: 0.05,
    max: 1.5,
    source: FROM_MEMORY,
  },
  {
    id: 'tyreFriction',
    title: 'friction of tyre on road',
    unit: '',
    book: 0.8,
    min: 0.1,
    max: 1.5,
    source: FROM_MEMORY,
  },
]

/** The same dimensions with other book figures, for a family whose usual parts differ. */
export const withBook = (
  specs: readonly DimensionSpec[],
  book: Readonly<Record<string, number>>,
): readonly DimensionSpec[] =>
  specs.map((spec) => (book[spec.id] === undefined ? spec : { ...spec, book: book[spec.id] as number }))
