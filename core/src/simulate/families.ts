import type { Dimensions, Here } from '../brake/dimension.ts'
import { cantileverLinkage } from '../linkages/cantilever.ts'
import { centrePullLinkage } from '../linkages/centre-pull.ts'
import { linearPullLinkage } from '../linkages/linear-pull.ts'
import { dualPivotLinkage, singlePivotLinkage } from '../linkages/pivots.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { VirtualSpec } from './virtual-brake.ts'

type Drives = VirtualSpec['adjusters'][string]

const cable = (d: Dimensions): Readonly<Record<string, Drives>> => ({
  anchor: { drives: 'cable', perUnit: 1 },
  barrel: { drives: 'cable', perUnit: -(d.barrelPitchMm as number), travel: d.barrelTravelTurns as number },
})

const screw = (d: Dimensions, sign: 1 | -1): Drives => ({
  drives: 'balance',
  perUnit: (sign * (d.screwPitchMm as number)) / (d.screwRadiusMm as number),
  travel: d.screwTravelTurns as number,
})

const spring = (d: Dimensions, sign: 1 | -1): Drives => ({
  drives: 'balance',
  perUnit: (sign * (d.springHoleDeg as number) * Math.PI) / 180,
  travel: 2,
  hooked: true,
})

const turnedOnBolt = (d: Dimensions): Drives => ({
  drives: 'balance',
  perUnit: 2 / (d.caliperReachMm as number),
  scatter: 0.15,
  clamped: 0.12,
})

/** How each family hangs on the simulated stand. The signs are the trade's: a screw turned in draws its own pad away. */
export const VIRTUAL: Readonly<Record<string, (d: Dimensions, here: Here) => VirtualSpec>> = {
  'linear-pull': (d) => ({
    linkage: (own) => expectOk(linearPullLinkage(own as never)),
    scattered: { padHeightMm: 0.1, armMm: 0.03 },
    adjusters: {
      ...cable(d),
      leftScrew: screw(d, 1),
      rightScrew: screw(d, -1),
      leftSpring: spring(d, 1),
      rightSpring: spring(d, -1),
    },
  }),
  cantilever: (d) => ({
    stiffness: 45,
    linkage: (own) => expectOk(cantileverLinkage(own as never)),
    scattered: { padHeightMm: 0.1, cableUpMm: 0.05 },
    adjusters: { ...cable(d), leftScrew: screw(d, 1), leftSpring: spring(d, 1), rightSpring: spring(d, -1) },
  }),
  'dual-pivot': (d, here) => ({
    stiffness: 45,
    linkage: (own) => expectOk(dualPivotLinkage(own, here.traits.cableSide === 'right')),
    scattered: { cableOffsetMm: 0.08, secondPivotMm: 0.05 },
    adjusters: {
      ...cable(d),
      centringScrew: {
        ...screw(d, 1),
        perUnit: (2 * (d.screwPitchMm as number)) / (d.screwRadiusMm as number),
        eitherWay: true,
      },
      caliper: turnedOnBolt(d),
    },
  }),
  'single-pivot': (d, here) => ({
    stiffness: 45,
    linkage: (own) => expectOk(singlePivotLinkage(own, here.traits.cableSide === 'right')),
    scattered: { cableOffsetMm: 0.1 },
    adjusters: { ...cable(d), caliper: turnedOnBolt(d) },
  }),
  'centre-pull': (d) => ({
    stiffness: 45,
    linkage: (own) => expectOk(centrePullLinkage(own as never)),
    scattered: { cableAcrossMm: 0.05, straddleMm: 0.01 },
    adjusters: { ...cable(d), caliper: turnedOnBolt(d) },
  }),
}
