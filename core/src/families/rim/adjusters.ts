import { FROM_MEMORY } from '../../bench/dimensions.ts'
import type { AdjusterSpec } from '../../brake/adjuster.ts'
import type { DimensionSpec, Dimensions } from '../../brake/dimension.ts'
import type { Bedding } from '../../brake/model.ts'
import { preloadPerTurn } from '../../mechanics/spring.ts'

type Side = 'left' | 'right'

const NAMES = { left: 'Left', right: 'Right' } as const
/** More difference between the arms opens the left gap, less the right. */
export const MOVES_PADS = { plus: 'gapLeft', minus: 'gapRight' } as const

const signOf = (side: Side) => (side === 'left' ? 1 : -1)

/** Dimensions of a spring’s centring screw and of the holes its pin can stand in. */
export const SPRING_DIMENSIONS: readonly DimensionSpec[] = [
  {
    id: 'screwPitchMm',
    title: 'centring screw pitch',
    unit: 'mm',
    book: 0.75,
    min: 0.3,
    max: 1.5,
    source: FROM_MEMORY,
  },
  {
    id: 'screwRadiusMm',
    title: 'centring screw bearing radius',
    unit: 'mm',
    book: 15,
    min: 5,
    max: 30,
    source: FROM_MEMORY,
  },
  {
    id: 'screwTravelTurns',
    title: 'centring screw travel',
    unit: 'turn',
    book: 6,
    min: 1,
    max: 15,
    source: FROM_MEMORY,
  },
  {
    id: 'springHoleDeg',
    title: 'spring hole to spring hole',
    unit: 'deg',
    book: 5,
    min: 2,
    max: 30,
    source: FROM_MEMORY,
  },
]

/** A screw that strengthens its arm’s spring: turned in, it draws that pad away. */
export const springScrew = (side: Side, d: Dimensions): AdjusterSpec => ({
  id: `${side}Screw`,
  title: `${side} screw`,
  shorthand: side === 'left' ? 'ls' : 'rs',
  unit: 'turn',
  step: 0.25,
  plus: `${NAMES[side]} screw in`,
  minus: `${NAMES[side]} screw out`,
  input: 'balance',
  book: signOf(side) * preloadPerTurn(d.screwPitchMm as number, d.screwRadiusMm as number),
  effectSpread: 0.3,
  play: { mean: 0.2, sd: 0.1 },
  settingSd: 0,
  travel: d.screwTravelTurns as number,
  positionReading: `${side}ScrewIn`,
  price: 0.01,
  shows: MOVES_PADS,
  screw: true,
  how: () =>
    'After each half turn of a screw its arm’s spring is unhooked and hooked again, or the lever squeezed hard, so that it settles.',
})

/** The spring’s pin in another hole of its boss: the upper one adds tension. Three holes, the middle one to begin with. */
export const springHole = (side: Side, d: Dimensions): AdjusterSpec => ({
  id: `${side}Spring`,
  title: `${side} spring`,
  shorthand: side === 'left' ? 'lh' : 'rh',
  unit: 'hole',
  step: 1,
  plus: `${NAMES[side]} spring up`,
  minus: `${NAMES[side]} spring down`,
  input: 'balance',
  book: (signOf(side) * (d.springHoleDeg as number) * Math.PI) / 180,
  effectSpread: 0.3,
  settingSd: 0.05,
  travel: 2,
  assumedPosition: 1,
  lastResort: true,
  price: 0.06,
})

/** The whole caliper turned on its bolt, told in mm at the pads: one gap gains what the other loses. */
export const wholeCaliper = (padReachMm: number): AdjusterSpec => ({
  id: 'caliper',
  title: 'caliper on its bolt',
  shorthand: 'cal',
  unit: 'mm',
  step: 0.25,
  plus: 'Turn the caliper, pads to the left',
  minus: 'Turn the caliper, pads to the right',
  done: { plus: 'Caliper turned, pads to the left', minus: 'Caliper turned, pads to the right' },
  input: 'balance',
  book: 2 / padReachMm,
  effectSpread: 0.12,
  play: { mean: 0.2, sd: 0.1 },
  settingSd: 0.12,
  price: 0.02,
})

/** How a new inner beds in. */
export const RIM_BEDDING: Bedding = {
  input: 'cable',
  mean: 0.8,
  sd: 0.35,
  worn: 0.15,
  squeezes: 8,
  begins: 'swap:cable',
}
