import type { Worked } from '../../calculation/calculation.ts'
import { boltPreload, threadEngagement } from '../../calculations/bolts.ts'
import type { BoltMount } from './measured.ts'
import { know, type Reason } from './reasons.ts'

export const BOLT_MM = 6
export const PITCH_MM = 1
const STRESS_AREA_MM2 = 20.1

/** Torque over preload and diameter: a dry thread, and one lightly oiled (Shigley, Machinery’s Handbook; from memory). */
const NUT_FACTOR = { dry: 0.2, oiled: 0.15 } as const
/** Usual range for a caliper’s centre bolt, N·m (from memory). */
const USUAL_NM = { low: 8, high: 10 } as const
/** No more of its proof than this is asked of a bolt. Our choice. */
const MOST_PROOF = 0.95

/** Proof stress by class, MPa: ISO 898-1, and ISO 3506-1 for stainless (from memory). An unmarked bolt is judged as the softer usual one. */
const PROOF_MPA: Readonly<Record<string, number>> = { '8.8': 580, '10.9': 830, 'a2-70': 450, unmarked: 450 }

/** What is known of a mounting bolt and of what it is bolted to. */
export interface MountBolt {
  readonly material: string | undefined
  readonly makerNm: number | undefined
  readonly boltClass: string | undefined
}

const proofOf = (boltClass: string | undefined): number => PROOF_MPA[boltClass ?? '8.8'] ?? 450

/** Most torque (N·m) that an oiled M6 bolt of this class is given. */
const mostNm = (boltClass: string | undefined): number =>
  Math.min(USUAL_NM.high, (MOST_PROOF * proofOf(boltClass) * STRESS_AREA_MM2 * NUT_FACTOR.oiled * BOLT_MM) / 1000)

/** How tight the mounting bolt is made, as it is said to the hand. Carbon has its maker’s figure and none of ours. */
export function mountTorque({ material, makerNm, boltClass }: MountBolt): string {
  if (material === 'carbon')
    return makerNm === undefined
      ? 'to the frame maker’s figure'
      : `to ${makerNm.toFixed(1)} N·m, the frame maker’s figure`
  const most = mostNm(boltClass)
  const range = most >= USUAL_NM.high - 0.05 ? `${USUAL_NM.low}–${USUAL_NM.high} N·m` : `up to ${most.toFixed(1)} N·m`
  return `${range}, light oil on the thread (from memory; the maker’s figure comes first)`
}

const CLASS_WORDS: Readonly<Record<string, string>> = {
  '8.8': 'Bolt of class 8.8',
  '10.9': 'Bolt of class 10.9',
  'a2-70': 'Stainless bolt, A2-70',
  unmarked: 'No class on the bolt’s head, judged as stainless A2-70',
}

/** What the torque pulls in this bolt, dry and oiled, and by how much thread it must hold. */
export function boltPulled(mount: BoltMount): {
  readonly reasons: readonly Reason[]
  readonly worked: readonly Worked[]
} {
  const torqueNm = mount.material === 'carbon' && mount.makerNm !== undefined ? mount.makerNm : mostNm(mount.boltClass)
  const pulled = (nutFactor: number) =>
    boltPreload.work({
      torqueNm,
      diameterMm: BOLT_MM,
      nutFactor,
      stressAreaMm2: STRESS_AREA_MM2,
      proofStressMpa: proofOf(mount.boltClass),
    })
  const [dry, oiled] = [pulled(NUT_FACTOR.dry), pulled(NUT_FACTOR.oiled)]
  const thread = threadEngagement.work({
    stressAreaMm2: STRESS_AREA_MM2,
    internalMinorMaxMm: 5.153,
    externalPitchMinMm: 5.212,
    pitchMm: PITCH_MM,
  })
  const worked = [dry, oiled, thread].flatMap((each): readonly Worked[] => (each.ok ? [each.value] : []))
  if (!dry.ok || !oiled.ok) return { reasons: [], worked }
  const told = ({ preloadN, proofFraction }: { preloadN: number; proofFraction: number }) =>
    `${(preloadN / 1000).toFixed(1)} kN (${Math.round(100 * proofFraction)} % of its proof)`
  return {
    worked,
    reasons: [
      know(
        `${CLASS_WORDS[mount.boltClass] ?? 'Bolt'}: ${torqueNm.toFixed(1)} N·m pulls ${told(dry.value.outputs)} on a dry thread, ${told(oiled.value.outputs)} oiled.`,
      ),
    ],
  }
}
