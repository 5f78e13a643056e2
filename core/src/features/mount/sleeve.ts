import type { Worked } from '../../calculation/calculation.ts'
import { sleeveNut } from '../../calculations/bolts.ts'
import { drillAccess, reaming } from '../../calculations/drilling.ts'
import { BOLT_MM, boltPulled, mountTorque, PITCH_MM } from './bolt.ts'
import { afterDrilling, drillStops, SLEEVE_MM, type TubeLeft } from './drilling.ts'
import {
  bestSleeve,
  engagementFactor,
  holdingShanks,
  type Recess,
  type SleeveChoice,
  type Stock,
  thickness,
  washersFor,
} from './fit.ts'
import type { BoltMount } from './measured.ts'
import type { Plan } from './plan.ts'
import { holds, know, lacks, measure, mm, type Reason, seatOf, stateOf, stop, used } from './reasons.ts'
import type { Way } from './ways.ts'

/** A bolt hangs loose in a hole wider than this. Our choice. */
const LOOSE_MM = 7
/** A sleeve nut hangs loose in a recess wider than this. Our choice. */
const OVERSIZE_MM = 8.3
const USUAL_THREAD_MM = 10
const BITS_MM = [7, 8] as const
/** 5/16 in, exact. */
const INCH_BIT_MM = 7.9375

interface SleeveWay {
  readonly way: Way
  /** The wall that is opened for the nut, and the one it stays clear of. */
  readonly nutHoleMm: number
  readonly boltHoleMm: number
  readonly frontCurveMm: number
  readonly rearCurveMm: number
  readonly turnedRound: boolean
  readonly reach: 'none' | 'stub' | 'open'
}

/** A way with a sleeve nut: which nut and washers hold, whether a drill fits, what is left of the tube. */
function planSleeve(mount: BoltMount, stock: Stock, each: SleeveWay): Plan {
  const { way, turnedRound } = each
  const recess: Recess = {
    boltOutMm: mount.boltOutMm,
    threadedMm: mount.threadedMm,
    depthMm: mount.depthMm,
    frontWallMm: mount.wallMm ?? 0,
  }
  const reasons: Reason[] = []
  const worked: Worked[] = []
  if (mount.nutted)
    reasons.push(lacks('This way is for a brake with a short bolt and a sleeve nut; the one measured has a long bolt.'))
  if (each.boltHoleMm < BOLT_MM) reasons.push(stop(`A hole of ${mm(each.boltHoleMm)} does not take the M6 bolt.`))
  if (each.boltHoleMm > LOOSE_MM)
    reasons.push(
      stop(
        `The bolt’s own hole is ${mm(each.boltHoleMm)}: the bolt hangs loose in it (above ${mm(LOOSE_MM)}, our choice).`,
      ),
    )
  if (each.nutHoleMm > OVERSIZE_MM)
    reasons.push(
      stop(
        `The nut’s hole is oversize already: ${mm(each.nutHoleMm)}, at most ${mm(OVERSIZE_MM)}. To a frame builder, or way D.`,
      ),
    )

  let tube: TubeLeft | undefined
  let bit: Plan['bit']
  const drills = way.drills !== 'nothing' && each.nutHoleMm < SLEEVE_MM
  if (drills) {
    reasons.push(...drillStops(mount))
    const left = afterDrilling(mount, each.nutHoleMm, each.boltHoleMm)
    reasons.push(...left.reasons)
    worked.push(...left.worked)
    tube = left.tube
  }

  const curves = { front: each.frontCurveMm, rear: each.rearCurveMm }
  const choice = bestSleeve(stock, recess, curves)
  const rears = washersFor(stock, curves.rear)
  const fronts = washersFor(stock, curves.front)
  if (choice) {
    const fit = sleeveNut.work({
      boltProtrusionMm: recess.boltOutMm,
      frameDepthMm: recess.depthMm,
      frontWasherMm: thickness(choice.front),
      rearWasherMm: thickness(choice.rear),
      frontWallMm: recess.frontWallMm,
      shankLengthMm: choice.nut.dimensions.shankMm,
      threadDepthMm: choice.nut.dimensions.threadDepthMm,
      diameterMm: BOLT_MM,
      threadedLengthMm: recess.threadedMm,
      engagementFactor: engagementFactor(choice.nut),
    })
    if (fit.ok) {
      const bolt = boltPulled(mount)
      worked.push(fit.value, ...bolt.worked)
      const { engagementMm, tipClearanceMm } = fit.value.outputs
      reasons.push(
        holds(
          `${choice.nut.name} holds by ${mm(engagementMm)} of thread (${(engagementMm / PITCH_MM).toFixed(0)} threads; wanted ${mm(engagementFactor(choice.nut) * BOLT_MM)}), its tip ${mm(tipClearanceMm)} clear of the front wall; it neither bottoms nor shoulders.`,
        ),
        ...bolt.reasons,
      )
    }
  } else if (fronts.length === 0 || rears.length === 0) {
    const wanted = [
      ...(fronts.length === 0 ? [`one hollowed to ${mm(curves.front)} under the caliper`] : []),
      ...(rears.length === 0 ? [`one hollowed to ${mm(curves.rear)} under the nut, its hole opened to 8 mm`] : []),
    ]
    reasons.push(lacks(`Buy concave washers: ${wanted.join(' and ')}, 6 mm hole.`))
  } else {
    const shanks = holdingShanks(
      recess,
      { frontMm: thickness(fronts[0]), rearMm: thickness(rears[0]) },
      USUAL_THREAD_MM,
    )
    reasons.push(
      shanks
        ? lacks(
            `No sleeve nut in the drawer holds. Buy one of steel, M6 in an 8 mm sleeve, ${mm(shanks[0])} to ${mm(shanks[1])} from under its head to its tip, with ${USUAL_THREAD_MM} mm of thread.`,
          )
        : stop(
            `No length of sleeve nut holds this bolt: it stands out ${mm(recess.boltOutMm)}, ${mm(recess.threadedMm)} of it threaded, in a mount ${mm(recess.depthMm)} deep.`,
          ),
    )
  }

  if (drills) {
    const nutDepth = (choice?.nut.dimensions.shankMm ?? recess.depthMm / 2) - thickness(choice?.rear)
    const access = drillAccess.work({
      roomMm: mount.roomMm,
      headMm: mount.drillHeadMm,
      cutMm: mount.wallMm ?? Math.max(1, nutDepth),
      bitMm: SLEEVE_MM,
    })
    if (!access.ok && each.reach === 'stub') reasons.push(stop(access.error.message))
    if (access.ok && each.reach === 'stub') {
      const { longestBitMm, shortestBitMm, fits } = access.value.outputs
      worked.push(access.value)
      bit = { shortestMm: shortestBitMm, longestMm: longestBitMm }
      reasons.push(
        fits
          ? know(
              `A right-angle drill fits: the bit may stand out ${mm(shortestBitMm)} to ${mm(longestBitMm)} of its chuck.`,
            )
          : stop(
              `No drill fits behind: ${mm(mount.roomMm)} of room, ${mm(mount.drillHeadMm)} taken by the drill’s head, ${mm(shortestBitMm)} of bit needed.`,
            ),
      )
    }
  }
  if (turnedRound && mount.caliperDepthMm === undefined)
    reasons.push(measure('Measure the caliper’s depth: it must hang in the room behind the bridge.'))
  else if (turnedRound && (mount.caliperDepthMm as number) > mount.roomMm)
    reasons.push(
      stop(
        `The caliper is ${mm(mount.caliperDepthMm as number)} deep, the room behind the bridge ${mm(mount.roomMm)}.`,
      ),
    )

  const ream = reaming.work({ bitMm: INCH_BIT_MM, nutMm: choice?.nut.dimensions.outerMm ?? SLEEVE_MM })
  if (ream.ok && drills) worked.push(ream.value)
  const state = stateOf(reasons)
  return {
    way,
    state,
    reasons,
    ...(choice && { stack: { kind: 'sleeve', turnedRound, ...choice } }),
    parts: used(choice ? [choice.front, choice.rear, choice.nut] : []),
    ...(tube && { tube }),
    ...(bit && { bit }),
    steps: state === 'no' ? [] : sleeveSteps(mount, each, drills, choice, ream.ok ? ream.value.outputs.reamMm : 0),
    tools: [
      '5 mm hex key',
      'vernier caliper',
      ...(drills
        ? [
            each.reach === 'stub' ? 'right-angle drill, stub bits' : 'drill',
            'depth stop',
            'scrap of steel or hardwood to guard the far wall',
            '8 mm or 5/16 in bit',
            'reamer',
            'cutting oil',
            'deburring tool',
            'eye protection',
          ]
        : []),
    ],
    worked,
  }
}

function sleeveSteps(
  mount: BoltMount,
  each: SleeveWay,
  drills: boolean,
  choice: SleeveChoice | undefined,
  reamMm: number,
): readonly string[] {
  const wall = each.turnedRound ? 'caliper-side' : each.way.id === 'fork' ? 'back' : 'nut-side'
  const stages = [each.nutHoleMm, ...BITS_MM.filter((bit) => bit > each.nutHoleMm + 0.2)]
    .map((bit) => `${bit}`)
    .join(' → ')
  const widen = choice?.rear && (choice.rear.dimensions.holeMm ?? 0) < SLEEVE_MM
  return [
    'Offer the brake up in the hole and look at both pads on the track before anything is cut.',
    ...(drills
      ? [
          'Wheel out. Set a depth stop to that wall’s thickness and a little more.',
          mount.end === 'front'
            ? 'Guard the far wall with a scrap of steel or hardwood, and cover the headset’s bearings: no swarf in them, no bit in the steerer.'
            : 'Guard the far wall and the seat tube with a scrap of steel or hardwood.',
          `Drill the ${wall} wall only, in stages ${stages} mm. Oil the bit, go slowly, stop when that wall is through.`,
          `Where only inch bits are at hand, 5/16 in leaves ${reamMm.toFixed(2)} mm for the reamer. Ease it out until the nut just slides; try the nut often.`,
          'Deburr, clear the swarf, coat the bare metal.',
        ]
      : []),
    ...(widen
      ? [`Open the hole of the ${choice?.rear?.name} to 8 mm, held in a vice or clamped pliers, never by hand.`]
      : []),
    `${seatOf(each.frontCurveMm, choice?.front, 'The caliper', 'under the caliper')}, ${seatOf(each.rearCurveMm, choice?.rear, 'the nut’s head', 'under the nut’s head')}.`,
    ...(each.turnedRound
      ? [
          'Swap the shoes left for right, so that their closed ends face forward; look at arms, seat tube, tyre and where the cable comes in.',
        ]
      : []),
    'Start the nut by hand. Count its turns: fewer than the threads worked out means that it does not hold, stop.',
    `Centre the brake roughly and tighten ${mountTorque(mount)}.`,
  ]
}

function sleeveWay(mount: BoltMount, way: Way): SleeveWay {
  const turned = way.id === 'C'
  return {
    way,
    nutHoleMm: turned ? mount.holeFrontMm : mount.holeBackMm,
    boltHoleMm: turned ? mount.holeBackMm : mount.holeFrontMm,
    frontCurveMm: turned ? mount.curveBackMm : mount.curveFrontMm,
    rearCurveMm: turned ? mount.curveFrontMm : mount.curveBackMm,
    turnedRound: turned,
    reach: way.drills === 'nothing' ? 'none' : turned || way.id === 'fork' ? 'open' : 'stub',
  }
}

/** A way with a sleeve nut, worked out for this mount. */
export const sleevePlan = (mount: BoltMount, stock: Stock, way: Way): Plan =>
  planSleeve(mount, stock, sleeveWay(mount, way))
