import type { UnitId } from '../quantity/quantity.ts'

/** One dimension a part of this kind is known by. */
export interface PartDimension {
  readonly id: string
  readonly title: string
  readonly unit: UnitId
  readonly min: number
  readonly max: number
}

/** A kind of small part, and what must be measured of it to choose it. */
export interface PartKind {
  readonly id: PartKindId
  readonly title: string
  readonly dimensions: readonly PartDimension[]
  readonly materials?: readonly string[]
}

export type PartKindId =
  | 'sleeve-nut'
  | 'hex-nut'
  | 'concave-washer'
  | 'flat-washer'
  | 'spacer'
  | 'bolt'
  | 'bracket'
  | 'rotor'
  | 'disc-pads'
  | 'shim'
  | 'pads'
  | 'cable'
  | 'housing'
  | 'other'

const mm = (id: string, title: string, min: number, max: number): PartDimension => ({ id, title, unit: 'mm', min, max })

/** Every kind of part the drawer holds. Ids and dimension ids are part of the file format. */
export const PART_KINDS: readonly PartKind[] = [
  {
    id: 'sleeve-nut',
    title: 'sleeve nut',
    materials: ['steel', 'aluminium'],
    dimensions: [
      mm('shankMm', 'from under the head to the tip', 4, 80),
      mm('threadDepthMm', 'thread from the tip', 2, 60),
      mm('outerMm', 'outside of the sleeve', 6, 12),
      mm('threadMm', 'thread diameter', 4, 8),
    ],
  },
  {
    id: 'hex-nut',
    title: 'hex nut',
    materials: ['steel', 'aluminium'],
    dimensions: [
      mm('heightMm', 'height', 2, 20),
      mm('threadMm', 'thread diameter', 3, 12),
      mm('pitchMm', 'pitch', 0.3, 2),
    ],
  },
  {
    id: 'concave-washer',
    title: 'concave washer',
    dimensions: [
      mm('thicknessMm', 'thickness at its seated centre', 0.2, 15),
      mm('radiusMm', 'radius of its hollow', 3, 60),
      mm('holeMm', 'hole', 4, 12),
    ],
  },
  {
    id: 'flat-washer',
    title: 'flat washer',
    dimensions: [mm('thicknessMm', 'thickness', 0.1, 10), mm('holeMm', 'hole', 3, 12), mm('outerMm', 'outside', 6, 30)],
  },
  {
    id: 'spacer',
    title: 'spacer',
    dimensions: [mm('thicknessMm', 'length', 0.2, 60), mm('holeMm', 'hole', 3, 30)],
  },
  { id: 'shim', title: 'shim', dimensions: [mm('thicknessMm', 'thickness', 0.02, 5)] },
  {
    id: 'pads',
    title: 'pair of pads',
    dimensions: [
      mm('lengthMm', 'length', 15, 100),
      mm('heightMm', 'height', 5, 30),
      mm('thicknessMm', 'thickness', 2, 30),
    ],
    materials: ['alloy', 'carbon', 'steel'],
  },
  {
    id: 'cable',
    title: 'inner',
    dimensions: [mm('lengthMm', 'length', 200, 4000), mm('diameterMm', 'diameter', 1, 2.5)],
  },
  {
    id: 'housing',
    title: 'housing',
    dimensions: [mm('lengthMm', 'length', 50, 50000), mm('diameterMm', 'outside', 3, 8)],
  },
  {
    id: 'bolt',
    title: 'bolt',
    materials: ['8.8', '10.9', 'stainless'],
    dimensions: [
      mm('threadMm', 'thread diameter', 3, 12),
      mm('pitchMm', 'pitch', 0.3, 2),
      mm('underHeadMm', 'from under the head to the end', 4, 100),
    ],
  },
  {
    id: 'bracket',
    title: 'caliper bracket',
    dimensions: [
      mm('spacingMm', 'its bolts at the frame, middle to middle', 20, 120),
      mm('riseMm', 'frame’s face or bolts to the caliper’s face', 0, 60),
      mm('footMm', 'what its own bolts clamp', 2, 30),
      mm('threadDepthMm', 'thread for the caliper’s bolts', 2, 60),
    ],
    materials: ['aluminium', 'steel'],
  },
  {
    id: 'rotor',
    title: 'rotor',
    dimensions: [
      mm('diameterMm', 'diameter', 100, 260),
      mm('trackMm', 'depth of its track', 6, 40),
      mm('thicknessMm', 'thickness', 1, 4),
      mm('leastMm', 'its own minimum', 0.5, 4),
      { id: 'bolts', title: 'bolts; 0 for a centre lock ring', unit: 'count', min: 0, max: 12 },
    ],
  },
  {
    id: 'disc-pads',
    title: 'pair of disc pads',
    dimensions: [
      mm('lengthMm', 'length', 10, 60),
      mm('heightMm', 'height', 6, 40),
      mm('compoundMm', 'compound on its plate', 0.5, 8),
    ],
    materials: ['resin', 'sintered', 'semi-metallic'],
  },
  { id: 'other', title: 'other', dimensions: [] },
]

export const findPartKind = (id: string): PartKind | undefined => PART_KINDS.find((each) => each.id === id)
