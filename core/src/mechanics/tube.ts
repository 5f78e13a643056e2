/** Half the angle (rad) that a hole takes out of a tube's wall, seen from its axis at mid-wall. */
const halfAngle = (holeMm: number, midRadiusMm: number): number => Math.asin(holeMm / (2 * midRadiusMm))

/**
 * What holes through the wall leave of a thin tube: share of the wall's area at the section, and of its bending stiffness
 * about the axis along which the holes weaken it, the neutral axis left at the middle.
 */
export function drilledTube(
  outerDiameterMm: number,
  wallMm: number,
  holesMm: readonly number[],
): { section: number; bending: number } {
  const radius = (outerDiameterMm - wallMm) / 2
  const angles = holesMm.map((hole) => halfAngle(hole, radius))
  return {
    section: 1 - angles.reduce((sum, angle) => sum + angle, 0) / Math.PI,
    bending: 1 - angles.reduce((sum, angle) => sum + angle + Math.sin(2 * angle) / 2, 0) / Math.PI,
  }
}
