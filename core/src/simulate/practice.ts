import type { Dimensions, End, Here } from '../brake/dimension.ts'
import type { Entry } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { VIRTUAL } from './families.ts'
import { seededRandom } from './random.ts'
import { type TrueReadings, virtualBrake } from './virtual-brake.ts'

/** What the practice gauge shows, by reading. */
export type PracticeReadings = Readonly<Record<string, number | string>>

/** What an eye sees on a sound bicycle. */
const SEEN_WELL: PracticeReadings = {
  wearLine: 'none',
  trackStep: 'smooth',
  housingKind: 'coil',
  housingState: 'sound',
  housingEnds: 'right',
  anchorBolt: 'own',
  guideBoot: 'there',
  caliperSits: 'square',
  boltClass: '8.8',
  innerAnchor: 'whole',
  innerHead: 'whole',
  rimMaterial: 'alloy',
  padCompound: 'alloy',
  frameMaterial: 'steel',
  cracks: 'none',
  rust: 'surface',
  boltKind: 'recessed',
  padLeft: 4,
  padRight: 3.8,
  padFace: 'clean',
  shoeLeft: 'forward',
  shoeRight: 'forward',
  trackTall: 14,
  padTall: 10,
  padEdgeLeft: 1,
  padEdgeRight: 1.1,
  padLength: 55,
  padArc: 'follow',
  padShape: 'curved',
  toeLeft: 0.5,
  toeRight: 0.6,
  cableFeel: 'smooth',
  cableLined: 'lined',
  padsBack: 'both',
  leverWeight: 7.5,
  leverBack: 4,
  padsSet: 'applied',
}

const SQUEEZES: ReadonlySet<string> = new Set(['squeezes', 'hard-squeezes'])
const HELD: ReadonlySet<string> = new Set(['gapLeft', 'gapRight', 'biteTravel', 'firstTouch', 'reserve'])

const partsOf = (d: Dimensions): PracticeReadings => ({
  leverPull: Math.round(d.leverCableArmMm as number),
  leverFinger: Math.round(d.leverFingerArmMm as number),
  leverReach: Math.round(d.leverReachMm as number),
  ridersMass: Math.round(d.loadedMassKg as number),
  housingOuter: 5,
})

/** Older steel mounts that this brake’s pads reach: a 16 × 1 mm bridge behind, a solid crown in front, 6 mm holes. */
function mountOf(d: Dimensions, end: End): PracticeReadings {
  const reach = Math.round((d.caliperReachMm ?? d.padHeightMm) as number)
  const slot = {
    bossSpacing: Math.round(d.pivotSpacingMm ?? 80),
    trackReach: reach,
    slotLow: reach - 5,
    slotHigh: reach + 5,
  }
  const holes = { holeFront: 6, holeBack: 6 }
  return end === 'rear'
    ? {
        ...slot,
        ...holes,
        mountBody: 'hollow',
        frameDepth: 16,
        mountTube: 16,
        mountWall: 1,
        curveFront: 8,
        curveBack: 8,
        roomBehind: 95,
        boltOut: 18,
        boltThreaded: 14,
      }
    : {
        ...slot,
        ...holes,
        mountBody: 'solid',
        frameDepth: 28,
        mountTube: 24,
        curveFront: 18,
        curveBack: 0,
        roomBehind: 60,
        boltOut: 25,
        boltThreaded: 16,
      }
}

/** Entries by which the gauge was held to the brake, or the brake moved: after each the gauge shows a little else. */
const heldOrMoved = (entry: Entry) =>
  entry.kind === 'turn' ||
  (entry.kind === 'confirm' && SQUEEZES.has(entry.step)) ||
  (entry.kind === 'reading' && HELD.has(entry.reading))

/** Where the wheel touches as it wanders. */
const rubsOn = ({ gapLeft, gapRight }: TrueReadings, wandersMm: number) =>
  Math.min(gapLeft, gapRight) > wandersMm ? 'free' : gapLeft < gapRight ? 'left' : 'right'

/**
 * The practice stand: a simulated brake that has lived through this job's log, and the gauge held to it now.
 * The same seed and log always show the same, on every screen.
 */
export function practiceGauge(
  hardware: Pick<Hardware, 'family' | 'practiceSeed'>,
  d: Dimensions,
  here: Here,
  standing: readonly Entry[],
): PracticeReadings | undefined {
  const { family, practiceSeed: seed } = hardware
  const spec = VIRTUAL[family]?.(d, here)
  if (!spec || seed === undefined) return undefined
  const brake = virtualBrake(spec, d, seed, { noiseSeed: seed + 1009 * standing.filter(heldOrMoved).length })
  for (const entry of standing) {
    if (entry.kind === 'turn') brake.turn(entry.adjuster, entry.amount)
    if (entry.kind === 'confirm' && SQUEEZES.has(entry.step)) {
      brake.squeeze(entry.count ?? 10)
    }
  }
  const wheel = seededRandom(seed ^ 0x27d4eb2d)
  const tenth = (value: number) => Math.round(value * 10) / 10
  const lateralRunout = tenth(wheel.uniform(0.1, 0.7))
  return {
    lateralRunout,
    radialRunout: tenth(wheel.uniform(0.1, 0.6)),
    wheelOffset: tenth(wheel.uniform(-0.4, 0.4)),
    rimWall: tenth(wheel.uniform(1.1, 1.5)),
    ...partsOf(d),
    ...SEEN_WELL,
    ...here.traits,
    ...mountOf(d, here.end),
    barrelOut: Math.round(2 * (brake.position('barrel') ?? 0)) / 2,
    ...brake.gauge().shown,
    spin: rubsOn(brake.truth(), lateralRunout / 2),
  }
}
