import type { Detail } from '../../../brake/drawings.ts'
import type { StandsNow } from '../measured.ts'
import type { StackPlan } from '../plan.ts'
import { overRotor } from './over-rotor.ts'

/** A stack as it is planned, over the rotor that is to run; without one, the caliper as it stands now. */
export const plannedDetail = (now: StandsNow, plan: StackPlan | undefined): Detail =>
  overRotor({
    rotorMm: plan ? now.rotorAfterMm : now.rotorBeforeMm,
    trackMm: plan ? now.trackAfterMm : now.trackBeforeMm,
    topMm: plan?.lies.topMm ?? now.topMm,
    bottomMm: plan?.lies.bottomMm ?? now.bottomMm,
    padEdgeMm: plan?.lies.padEdgeMm ?? now.padEdgeMm,
    padHeightMm: now.padHeightMm,
    spacingMm: now.spacingMm,
    bracketMm: plan?.figures.bracketMm ?? now.bracketMm,
    spacersMm: plan ? plan.spacers.map(({ mm }) => mm) : [now.spacersMm],
    earMm: now.earMm,
    caliperBoltMm: plan?.figures.caliperBoltMm ?? now.boltMm,
  })
