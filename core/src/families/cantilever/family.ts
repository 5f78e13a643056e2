import { ok } from '../../outcome/outcome.ts'
import type { Family } from '../family.ts'
import { cableAdjusters, SPRING_DIMENSIONS, springHole, springScrew } from '../rim/adjusters.ts'
import { rimModel } from '../rim/assemble.ts'
import { RIM_DIMENSIONS, withBook } from '../rim/dimensions.ts'
import { length } from '../rim/parts.ts'
import { cantileverLinkage } from './geometry.ts'
import { cantileverOutline } from './outline.ts'

/** Arms on bosses, pulled up by a straddle cable over a yoke; one centring screw, on the left arm. */
export const cantileverFamily: Family = {
  id: 'cantilever',
  title: 'cantilever',
  mount: 'boss',
  track: 'rim',
  dimensions: [
    length('pivotSpacingMm', 'boss spacing', 80, 50, 120),
    length('cableOutMm', 'boss to straddle end, outward', 16, -25, 60),
    length('cableUpMm', 'boss to straddle end, up', 48, 5, 90),
    length('padHeightMm', 'boss to pad, up', 28, 12, 60),
    length('straddleMm', 'straddle cable, end to end', 136, 60, 400),
    ...SPRING_DIMENSIONS,
    ...withBook(RIM_DIMENSIONS, { leverCableArmMm: 20, brakeStiffness: 200 }),
  ],
  traits: [],
  fit(d, { end }) {
    const linkage = cantileverLinkage(d as never)
    if (!linkage.ok) return linkage
    const adjusters = [...cableAdjusters(d), springScrew('left', d), springHole('left', d), springHole('right', d)]
    return ok(rimModel(d, end, linkage.value, adjusters, cantileverOutline(d, linkage.value)))
  },
}
