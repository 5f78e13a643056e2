import type { Part, PartShape } from '../drawer/part.ts'

const part = (kind: PartShape['kind'], name: string, count: number, dimensions: PartShape['dimensions']): Part => ({
  id: name,
  code: name,
  kind,
  name,
  count,
  dimensions,
  material: '',
  minimum: 0,
})

/** Parts of a drawer for tests of what lies under a caliper. */
export const bracket = (rise: number, count = 1, spacingMm = 74): Part =>
  part('bracket', `bracket ${spacingMm}/${rise}`, count, { spacingMm, riseMm: rise, footMm: 8, threadDepthMm: 12 })
export const spacer = (mm: number, count = 4): Part =>
  part('spacer', `spacer ${mm}`, count, { thicknessMm: mm, holeMm: 6.2 })
export const bolt = (mm: number, count = 4): Part =>
  part('bolt', `bolt ${mm}`, count, { threadMm: 6, pitchMm: 1, underHeadMm: mm })
