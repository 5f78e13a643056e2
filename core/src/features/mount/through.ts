import type { Worked } from '../../calculation/calculation.ts'
import { throughBolt } from '../../calculations/bolts.ts'
import { BOLT_MM, boltPulled, mountTorque, PITCH_MM } from './bolt.ts'
import { bestThrough, isCurved, type Stock, thickness, washersFor } from './fit.ts'
import type { BoltMount } from './measured.ts'
import type { Plan } from './plan.ts'
import { holds, lacks, mm, type Reason, seatOf, stateOf, stop, used } from './reasons.ts'
import type { Way } from './ways.ts'

/** A 6 mm bolt has play in a hole wider than this. Our choice. */
const PLAY_MM = 6.5
const USUAL_WASHER_MM = 2.5

/** A bolt right through, with a hex nut behind. */
export function throughPlan(mount: BoltMount, stock: Stock, way: Way): Plan {
  const reasons: Reason[] = []
  const worked: Worked[] = []
  const narrow = Math.min(mount.holeFrontMm, mount.holeBackMm)
  const wide = Math.max(mount.holeFrontMm, mount.holeBackMm)
  if (narrow < BOLT_MM) reasons.push(stop(`A hole of ${mm(narrow)} does not take the M6 bolt.`))
  if (wide > PLAY_MM)
    reasons.push(
      stop(
        `A hole of ${mm(wide)} is too wide for a 6 mm bolt, which would have play in it (above ${mm(PLAY_MM)}, our choice): it needs a sleeve turned to fit, or a frame builder.`,
      ),
    )
  if (way.id === 'D' && !mount.nutted) {
    const needed = [...reasons, lacks('Buy a nutted brake of the same reach: a long M6 bolt and a hex nut.')]
    const state = stateOf(needed)
    return {
      way,
      state,
      reasons: needed,
      parts: [],
      steps: state === 'no' ? [] : ['Fit a nutted brake in the holes as they are; nothing is cut.'],
      tools: ['10 mm spanner'],
      worked,
    }
  }
  const curves = { front: mount.curveFrontMm, rear: mount.curveBackMm }
  const bolt = { boltOutMm: mount.boltOutMm, threadedMm: mount.threadedMm, depthMm: mount.depthMm }
  const choice = bestThrough(stock, bolt, curves)
  if (choice) {
    const fit = throughBolt.work({
      boltProtrusionMm: bolt.boltOutMm,
      frameDepthMm: bolt.depthMm,
      washersMm: [thickness(choice.front), thickness(choice.rear), thickness(choice.flat)],
      nutHeightMm: choice.nut.dimensions.heightMm,
      pitchMm: PITCH_MM,
      threadedLengthMm: bolt.threadedMm,
    })
    if (fit.ok) {
      const pulled = boltPulled(mount)
      worked.push(fit.value, ...pulled.worked)
      reasons.push(
        holds(
          `The nut is full, ${fit.value.outputs.threadsShowing.toFixed(1)} threads show beyond it, and the plain shank stays short of it.`,
        ),
        ...pulled.reasons,
      )
    }
  } else reasons.push(...throughLacks(mount, stock, curves))
  const state = stateOf(reasons)
  return {
    way,
    state,
    reasons,
    ...(choice && { stack: { kind: 'through', ...choice } }),
    parts: used(choice ? [choice.front, choice.rear, choice.flat, choice.nut] : []),
    steps:
      state === 'no'
        ? []
        : [
            'Offer the brake up in the hole and look at both pads on the track.',
            ...(way.id === 'A' ? ['Leave the sleeve nut out; keep it.'] : []),
            `${seatOf(curves.front, choice?.front, 'The caliper', 'under the caliper')}; behind, ${seatOf(curves.rear, choice?.rear, 'the flat washer', 'with the flat washer')}, then the nut.`,
            'Start the nut by hand; at least one thread must show beyond it.',
            `Centre the brake roughly and tighten ${mountTorque(mount)}.`,
          ],
    tools: ['10 mm spanner', 'vernier caliper'],
    worked,
  }
}

/** What a long bolt would need that is not there. */
function throughLacks(mount: BoltMount, stock: Stock, curves: { front: number; rear: number }): readonly Reason[] {
  const washer = (curve: number) => (isCurved(curve) ? thickness(washersFor(stock, curve)[0]) || USUAL_WASHER_MM : 0)
  const shortest = mount.depthMm + washer(curves.front) + washer(curves.rear) + 1 + 5 + PITCH_MM
  if (mount.boltOutMm < shortest) {
    return [
      lacks(
        `The bolt stands out ${mm(mount.boltOutMm)}; right through it needs about ${mm(shortest)}: depth, washers, nut and one thread. Use a front brake, whose bolt is longer, or a longer bolt.`,
      ),
    ]
  }
  const missing = [
    ...(washersFor(stock, curves.front).length === 0 ? [`a concave washer hollowed to ${mm(curves.front)}`] : []),
    ...(washersFor(stock, curves.rear).length === 0 ? [`a concave washer hollowed to ${mm(curves.rear)}`] : []),
  ]
  return [
    lacks(
      missing.length > 0
        ? `Buy ${missing.join(' and ')}, 6 mm hole.`
        : 'No M6 nut and flat washer in the drawer clamp this bolt before its plain shank. Buy an M6 nut and washers to fill the length.',
    ),
  ]
}
