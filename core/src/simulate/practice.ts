import type { Dimensions, End, Here } from '../brake/dimension.ts'
import type { Entry } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { DISCS } from './discs.ts'
import { VIRTUAL } from './families.ts'
import { seededRandom } from './random.ts'
import type { StandIn } from './stand-in.ts'
import { type TrueReadings, virtualBrake } from './virtual-brake.ts'
import { type DiscSpec, virtualDisc } from './virtual-disc.ts'
import { virtualDrum } from './virtual-drum.ts'

/** What the practice gauge shows, by reading. */
export type PracticeReadings = Readonly<Record<string, number | string>>

/** What an eye sees on a sound bicycle. */
const SEEN_WELL: PracticeReadings = {
  wearLine: 'none',
  trackStep: 'smooth',
  trackFace: 'clean',
  motorAt: 'none',
  cutOff: 'cuts-off',
  stopsWith: 'alone',
  guidePipe: 'hooked',
  partsThere: 'all',
  barShape: 'flat',
  leverOutside: 84,
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
  fingersUsed: 'one',
  frontHand: 'right',
  barMaterial: 'metal',
  clampWay: 'figure',
  leverHand: 'right',
  handBreadth: 84,
  fingerBreadth: 18,
  creaseReach: 66,
  handOffset: 12,
  clampToHook: 78,
  clampToTip: 86,
  shoulderHeight: 1340,
  barHeight: 1010,
  armLength: 620,
  bladeAngle: 30,
}

/** Turned at the lever: no part of the brake moves. */
const AT_THE_LEVER: ReadonlySet<string> = new Set(['reachScrew', 'leverAlong'])
const SQUEEZES: ReadonlySet<string> = new Set(['squeezes', 'hard-squeezes'])
const HELD: ReadonlySet<string> = new Set([
  'gapLeft',
  'gapRight',
  'gapFixed',
  'gapMoving',
  'gapInner',
  'gapOuter',
  'armStarts',
  'armRest',
  'biteTravel',
  'firstTouch',
  'rotorTouch',
  'drag',
  'reserve',
])

/** What is known of how it was built. */
const seenOf = ({ traits }: Here): PracticeReadings =>
  Object.fromEntries(Object.entries(traits).filter(([, answer]) => answer !== 'unknown'))

/** How far this was turned since it was last measured. */
function since(lived: readonly Entry[], adjuster: string, reading: string): number {
  const measured = lived.findLastIndex((entry) => entry.kind === 'reading' && entry.reading === reading)
  return lived
    .slice(measured + 1)
    .reduce((sum, entry) => (entry.kind === 'turn' && entry.adjuster === adjuster ? sum + entry.amount : sum), 0)
}

/** A lever too near the grip: its clamp so far from the bar’s end, mm. */
const CLAMP_AT_MM = 153

/** The lever as it was last measured and has been turned and moved since; its own reach screw is no book’s. */
function partsOf(d: Dimensions, seed: number, lived: readonly Entry[]): PracticeReadings {
  const screwMm = seededRandom(seed ^ 0x51ed270b).uniform(1, 2.1)
  const moved = since(lived, 'leverAlong', 'leverFinger')
  const clampAt = lived.findLast((entry) => entry.kind === 'reading' && entry.reading === 'clampAt')
  const from = clampAt?.kind === 'reading' && typeof clampAt.value === 'number' ? clampAt.value : CLAMP_AT_MM
  return {
    ...hardwareOf(d),
    leverFinger: Math.round((d.leverFingerArmMm as number) + moved),
    leverReach: Math.round((d.leverReachMm as number) - screwMm * since(lived, 'reachScrew', 'leverReach')),
    clampAt: Math.round(from + since(lived, 'leverAlong', 'clampAt')),
  }
}

const hardwareOf = (d: Dimensions): PracticeReadings => ({
  leverPull: Math.round(d.leverCableArmMm as number),
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

/** A brake lives through a log: what was turned and squeezed. */
function live(brake: StandIn, lived: readonly Entry[]): void {
  for (const entry of lived) {
    if (entry.kind === 'turn' && !AT_THE_LEVER.has(entry.adjuster))
      brake.turn(entry.adjuster, entry.amount, entry.from?.contact)
    if (entry.kind === 'confirm' && entry.step === 'shoes-centred') brake.settle?.()
    if (entry.kind === 'confirm' && SQUEEZES.has(entry.step)) brake.squeeze(entry.count ?? 10)
  }
}

/** What an eye sees on a sound disc. */
const DISC_WELL: PracticeReadings = {
  rotorFace: 'clean',
  discPads: 'clean',
  light: 'both',
  padFixed: 2.1,
  padMoving: 2.2,
  bodyClearTop: 1.4,
  bodyClearBottom: 1.6,
  padCover: 16,
  padHung: 0,
  knobPitch: 1,
  knobClicksATurn: 16,
}

/** A caliper straight on its posts, its rotor held by six bolts, and what goes well where rotor and pads are changed. */
const DISC_CHANGED: PracticeReadings = {
  trackDeep: 16,
  trackNew: 16,
  rotorHold: 'bolted',
  rotorBolts: 6,
  rotorKey: 'star-t25',
  rotorWay: 'right',
  rotorThreads: 'medium',
  ringThread: 'film',
  rotorLargest: 203,
  mountSpacing: 74,
  bracketRise: 0,
  spacersUnder: 0,
  stackTop: 1.4,
  stackBottom: 1.6,
  padEdge: 0.4,
  padHigh: 15,
  earThick: 8,
  boltUnder: 20,
  frameThread: 14,
  bracketThread: 12,
  frameMetal: 'aluminium',
  padsWith: 'new',
  padKeeper: 'pin',
  padOrder: 'outer',
  padRoom: 'cable-on',
  beddedStops: 20,
}
/** The new rotor of a practice bicycle is so much wider, mm. */
const WIDER_MM = 20

function discGauge(spec: DiscSpec, d: Dimensions, here: Here, seed: number, lived: readonly Entry[]): PracticeReadings {
  const wheel = seededRandom(seed ^ 0x27d4eb2d)
  const hundredth = (value: number) => Math.round(value * 20) / 20
  const rotorRunout = hundredth(wheel.uniform(0.05, 0.22))
  const brake = virtualDisc(spec, d, rotorRunout, seed, {
    noiseSeed: seed + 1009 * lived.filter(heldOrMoved).length,
  })
  live(brake, lived)
  const told = (reading: string) => lived.some((entry) => entry.kind === 'reading' && entry.reading === reading)
  return {
    ...SEEN_WELL,
    ...DISC_WELL,
    ...partsOf(d, seed, lived),
    rotorRunout,
    rotorThickness: Math.round(wheel.uniform(16.4, 18)) / 10,
    ...DISC_CHANGED,
    stackRotor: d.rotorDiameterMm as number,
    rotorWide: (d.rotorDiameterMm as number) + (told('stackRotor') && !told('rotorWide') ? WIDER_MM : 0),
    rotorMost: d.rotorMostMm as number,
    ...seenOf(here),
    barrelOut: Math.round(2 * (brake.position('barrel') ?? 0)) / 2,
    ...brake.gauge().shown,
  }
}

/** What an eye sees on a sound drum, opened or closed. */
const DRUM_WELL: PracticeReadings = {
  drag: 'none',
  cleanedWith: 'water',
  liningFace: 'dull',
  rivets: 'firm',
  squeals: 'squeals',
  squealsAfter: 'gone',
  hardStops: 5,
  armAtRest: 52,
  armApplied: 24,
  hubPlay: 0,
  hubPlayNuts: 0,
  liningThick: 2.1,
}

function drumGauge(d: Dimensions, here: Here, seed: number, lived: readonly Entry[]): PracticeReadings {
  const brake = virtualDrum(d, seed, { noiseSeed: seed + 1009 * lived.filter(heldOrMoved).length })
  live(brake, lived)
  const inside = 2 * (d.drumRadiusMm as number)
  return {
    ...SEEN_WELL,
    ...DRUM_WELL,
    ...partsOf(d, seed, lived),
    drumInside: inside + 0.3,
    drumStamped: inside + 1,
    drumRadius: d.drumRadiusMm as number,
    camKind: here.traits.cam ?? 'floating',
    barrelOut: Math.round(2 * (brake.position('barrel') ?? 0)) / 2,
    ...brake.gauge().shown,
  }
}

/**
 * The practice stand: a simulated brake that has lived through what earlier jobs did to it and through this job’s log, and
 * the gauge held to it now. The same seed and logs always show the same, on every screen.
 */
export function practiceGauge(
  hardware: Pick<Hardware, 'family' | 'practiceSeed'>,
  d: Dimensions,
  here: Here,
  standing: readonly Entry[],
  earlier: readonly Entry[] = [],
): PracticeReadings | undefined {
  const { family, practiceSeed: seed } = hardware
  const spec = VIRTUAL[family]?.(d, here)
  const disc = DISCS[family]
  if (seed === undefined) return undefined
  if (family === 'drum') return drumGauge(d, here, seed, [...earlier, ...standing])
  if (disc) return discGauge(disc, d, here, seed, [...earlier, ...standing])
  if (!spec) return undefined
  const lived = [...earlier, ...standing]
  const brake = virtualBrake(spec, d, seed, { noiseSeed: seed + 1009 * lived.filter(heldOrMoved).length })
  live(brake, lived)
  const wheel = seededRandom(seed ^ 0x27d4eb2d)
  const tenth = (value: number) => Math.round(value * 10) / 10
  const lateralRunout = tenth(wheel.uniform(0.1, 0.7))
  return {
    lateralRunout,
    radialRunout: tenth(wheel.uniform(0.1, 0.6)),
    wheelOffset: tenth(wheel.uniform(-0.4, 0.4)),
    rimWall: tenth(wheel.uniform(1.1, 1.5)),
    ...partsOf(d, seed, lived),
    ...SEEN_WELL,
    ...seenOf(here),
    ...mountOf(d, here.end),
    barrelOut: Math.round(2 * (brake.position('barrel') ?? 0)) / 2,
    ...brake.gauge().shown,
    spin: rubsOn(brake.truth(), lateralRunout / 2),
  }
}
