import type { Dimensions } from '../../brake/dimension.ts'
import type { Looked } from '../../brake/on-stand.ts'
import { BOLTED, STANDS_NOW } from './readings.ts'

/** A caliper as it stands over a rotor now, and the rotor it is to stand over. Lengths in mm. */
export interface StandsNow {
  readonly rotorBeforeMm: number
  readonly rotorAfterMm: number
  readonly trackBeforeMm: number
  readonly trackAfterMm: number
  readonly spacingMm: number
  /** The bracket that is on it; 0 where the caliper sits on the mount itself. */
  readonly bracketMm: number
  readonly spacersMm: number
  readonly topMm: number
  readonly bottomMm: number
  readonly padEdgeMm: number
  readonly padHeightMm: number
  readonly earMm: number
  /** Bolts at hand, and the threads they may go into. */
  readonly boltMm: number
  readonly frameThreadMm: number
  readonly frameMetal: string
  readonly bracketThreadMm: number | undefined
}

/** What a plan is made from: the log, and the hardware it is laid over. */
export interface StackAt extends Looked {
  readonly dimensions: Dimensions
}

const of = ({ number }: Looked, id: string): number => number(id) as number

/** What must still be measured, in the order it is taken. */
export const missingOf = (at: StackAt): readonly string[] => [
  ...STANDS_NOW.filter((id) => at.number(id) === undefined),
  ...BOLTED.filter((id) => (id === 'frameMetal' ? at.seen(id) : at.number(id)) === undefined),
  ...((at.number('bracketRise') ?? 0) > 0 && at.number('bracketThread') === undefined ? ['bracketThread'] : []),
]

/**
 * All that a plan needs, or undefined while something is missing. The rotor that was measured is the brake’s own unless
 * another was told; its track is the new rotor’s unless that was measured apart.
 */
export function standsNow(at: StackAt): StandsNow | undefined {
  if (missingOf(at).length > 0) return undefined
  const rotorAfterMm = at.dimensions.rotorDiameterMm as number
  const trackBeforeMm = of(at, 'trackDeep')
  return {
    rotorBeforeMm: at.number('stackRotor') ?? rotorAfterMm,
    rotorAfterMm,
    trackBeforeMm,
    trackAfterMm: at.number('trackNew') ?? trackBeforeMm,
    spacingMm: of(at, 'mountSpacing'),
    bracketMm: of(at, 'bracketRise'),
    spacersMm: of(at, 'spacersUnder'),
    topMm: of(at, 'stackTop'),
    bottomMm: of(at, 'stackBottom'),
    padEdgeMm: of(at, 'padEdge'),
    padHeightMm: of(at, 'padHigh'),
    earMm: of(at, 'earThick'),
    boltMm: of(at, 'boltUnder'),
    frameThreadMm: of(at, 'frameThread'),
    frameMetal: at.seen('frameMetal') as string,
    bracketThreadMm: at.number('bracketThread'),
  }
}
