import { cableAdjusters } from '../../bench/adjusters.ts'
import { withBook } from '../../bench/dimensions.ts'
import type { AdjusterSpec } from '../../brake/adjuster.ts'
import type { Dimensions } from '../../brake/dimension.ts'
import type { Family } from '../../brake/family.ts'
import { dualPivotLinkage } from '../../linkages/pivots.ts'
import { preloadPerTurn } from '../../mechanics/spring.ts'
import { ok } from '../../outcome/outcome.ts'
import { MOVES_PADS, wholeCaliper } from '../rim/adjusters.ts'
import { rimModel } from '../rim/assemble.ts'
import { RIM_DIMENSIONS } from '../rim/dimensions.ts'
import { length } from '../rim/parts.ts'
import { cableOnRight, sidePullFamily, sidePullOutline } from '../rim/side-pull.ts'

/** One screw shifts the coupling of the arms: both pads move to one side; which one differs by design. */
const centringScrew = (d: Dimensions): AdjusterSpec => ({
  id: 'centringScrew',
  title: 'centring screw',
  shorthand: 'cs',
  unit: 'turn',
  step: 0.125,
  plus: 'Centring screw in',
  minus: 'Centring screw out',
  input: 'balance',
  book: -2 * preloadPerTurn(d.screwPitchMm as number, d.screwRadiusMm as number),
  effectSpread: 0.3,
  play: { mean: 0.15, sd: 0.1 },
  settingSd: 0,
  travel: d.screwTravelTurns as number,
  eitherWay: true,
  price: 0.01,
  shows: MOVES_PADS,
  screw: true,
})

/** One arm on the mounting bolt, one on a second pivot at its side; coupled, so that both pads move together. */
export const dualPivotFamily: Family = sidePullFamily({
  id: 'dual-pivot',
  title: 'dual-pivot',
  dimensions: [
    length('caliperReachMm', 'mounting bolt to pad', 49, 30, 90),
    length('secondPivotMm', 'mounting bolt to second pivot', 28, 8, 45),
    length('cableOffsetMm', 'mounting bolt to cable, sideways', 62, 20, 80),
    length('barrelHeightMm', 'barrel’s end above the bolt', 30, 5, 60),
    length('anchorHeightMm', 'anchor above the bolt', 8, -30, 40),
    length('screwPitchMm', 'centring screw pitch', 0.7, 0.3, 1.5),
    length('screwRadiusMm', 'centring screw bearing radius', 22, 8, 40),
    { ...length('screwTravelTurns', 'centring screw travel', 5, 1, 15), unit: 'turn' },
    ...withBook(RIM_DIMENSIONS, { brakeStiffness: 250, leverCableArmMm: 20, tyreWidthMm: 28, rimWidthMm: 20 }),
  ],
  fit(d, here) {
    const linkage = dualPivotLinkage(d, cableOnRight(here))
    if (!linkage.ok) return linkage
    const [x, y] = [d.secondPivotMm as number, 0]
    const outline = sidePullOutline(
      d,
      linkage.value,
      here,
      [
        {
          kind: 'line',
          role: 'screw',
          points: [
            [x + 3, y + 6],
            [x + 8, y + 14],
          ],
        },
      ],
      { centringScrew: [x + 8, y + 14], caliper: [0, 0] },
    )
    const whole: AdjusterSpec = { ...wholeCaliper(d.caliperReachMm as number), lastResort: true, price: 0.05 }
    return ok(rimModel(d, here, linkage.value, [...cableAdjusters(d), centringScrew(d), whole], outline))
  },
})
