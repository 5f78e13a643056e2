import type { Worked } from '../calculation/calculation.ts'
import { boltPreload, sleeveNut, threadEngagement, throughBolt } from '../calculations/bolts.ts'
import { drilledTube } from '../calculations/drilled-tube.ts'
import { drillAccess, reaming } from '../calculations/drilling.ts'
import type { Part } from '../drawer/part.ts'
import type { PlannedPart } from '../stand/entries.ts'
import {
  bestSleeve,
  bestThrough,
  engagementFactor,
  holdingShanks,
  isCurved,
  type Recess,
  type SleeveChoice,
  type Stock,
  type ThroughChoice,
  thickness,
  washersFor,
} from './fit.ts'
import type { BoltMount } from './measured.ts'
import { type Preference, rankOf, WAYS, type Way } from './ways.ts'

/** Why a way is as it is: it cannot be done here, it lacks a part or a measurement, or it holds. */
export interface Reason {
  readonly kind: 'stop' | 'lacks' | 'measure' | 'holds' | 'know'
  readonly say: string
}

export type PlanState = 'ready' | 'buy' | 'measure' | 'no'

/** What a hole leaves of the tube, before and after. */
export interface TubeLeft {
  readonly sectionBefore: number
  readonly sectionAfter: number
  readonly bendingBefore: number
  readonly bendingAfter: number
}

/** The parts of a way as they lie along the bolt, for the drawing and the step list. */
export type Stack =
  | ({ readonly kind: 'sleeve'; readonly turnedRound: boolean } & SleeveChoice)
  | ({ readonly kind: 'through' } & ThroughChoice)

export interface Plan {
  readonly way: Way
  readonly state: PlanState
  readonly reasons: readonly Reason[]
  /** The choice that holds, where the drawer has one. */
  readonly stack?: Stack
  readonly parts: readonly PlannedPart[]
  readonly tube?: TubeLeft
  /** Bit standing out of the chuck, shortest and longest, mm. */
  readonly bit?: { readonly shortestMm: number; readonly longestMm: number }
  readonly steps: readonly string[]
  readonly tools: readonly string[]
  readonly worked: readonly Worked[]
}

const SLEEVE_MM = 8
const BOLT_MM = 6
const PITCH_MM = 1
/** A bolt hangs loose in a hole wider than this. Our choice. */
const LOOSE_MM = 7
/** A sleeve nut hangs loose in a recess wider than this. Our choice. */
const OVERSIZE_MM = 8.3
/** A wall thinner than this, and a tube left with less bending stiffness than this, go to a frame builder. Our choice. */
const THIN_WALL_MM = 0.8
const LEAST_BENDING = 0.35
const USUAL_THREAD_MM = 10
const USUAL_WASHER_MM = 2.5
const BITS_MM = [7, 8] as const
/** 5/16 in, exact. */
const INCH_BIT_MM = 7.9375

/** The mounting bolt: M6, class 8.8 taken, tightened in the middle of 8–10 N·m; ISO 898-1 and FED-STD-H28/2 (from memory). */
const BOLT = [
  boltPreload.work({ torqueNm: 9, diameterMm: BOLT_MM, nutFactor: 0.2, stressAreaMm2: 20.1, proofStressMpa: 580 }),
  threadEngagement.work({
    stressAreaMm2: 20.1,
    internalMinorMaxMm: 5.153,
    externalPitchMinMm: 5.212,
    pitchMm: PITCH_MM,
  }),
].flatMap((each): readonly Worked[] => (each.ok ? [each.value] : []))

const mm = (value: number) => `${value.toFixed(1)} mm`
const stop = (say: string): Reason => ({ kind: 'stop', say })
const lacks = (say: string): Reason => ({ kind: 'lacks', say })
const measure = (say: string): Reason => ({ kind: 'measure', say })
const holds = (say: string): Reason => ({ kind: 'holds', say })
const know = (say: string): Reason => ({ kind: 'know', say })

const stateOf = (reasons: readonly Reason[]): PlanState => {
  const has = (kind: Reason['kind']) => reasons.some((each) => each.kind === kind)
  return has('stop') ? 'no' : has('measure') ? 'measure' : has('lacks') ? 'buy' : 'ready'
}

const used = (parts: readonly (Part | undefined)[]): readonly PlannedPart[] => {
  const counted = new Map<string, PlannedPart>()
  for (const part of parts) {
    if (!part) continue
    const before = counted.get(part.id)
    counted.set(part.id, { name: part.name, partId: part.id, count: (before?.count ?? 0) + 1 })
  }
  return [...counted.values()]
}

/** Why this frame may not be drilled at all, whatever the way. */
function drillStops(mount: BoltMount): readonly Reason[] {
  return [
    ...(mount.material === 'carbon' ? [stop('Carbon is never drilled.')] : []),
    ...(mount.cracked ? [stop('A cracked frame goes to a frame builder.')] : []),
    ...(mount.rust === 'pitted'
      ? [stop('Pitted by corrosion: what is left of the wall is not known. To a frame builder.')]
      : []),
    ...(mount.wallMm !== undefined && mount.wallMm < THIN_WALL_MM
      ? [
          stop(
            `A wall of ${mm(mount.wallMm)} is too thin to drill (below ${mm(THIN_WALL_MM)}, our choice). To a frame builder.`,
          ),
        ]
      : []),
  ]
}

/** Why nothing may be bolted to this frame at all. */
const mountStops = (mount: BoltMount): readonly Reason[] =>
  mount.cracked ? [stop('A cracked frame carries no brake. To a frame builder.')] : []

interface Drilled {
  readonly reasons: readonly Reason[]
  readonly worked: readonly Worked[]
  readonly tube?: TubeLeft
}

/** What is left of the tube when one wall is opened to 8 mm. */
function afterDrilling(mount: BoltMount, drilledMm: number, otherMm: number): Drilled {
  if (mount.wallMm === undefined) {
    return {
      reasons: [know('Solid mount: what is left is not worked out here; a crown is thick round its hole.')],
      worked: [],
    }
  }
  const tube = { outerDiameterMm: mount.tubeMm, wallMm: mount.wallMm }
  const before = drilledTube.work({ ...tube, holeMm: drilledMm, oppositeHoleMm: otherMm })
  const after = drilledTube.work({ ...tube, holeMm: Math.max(SLEEVE_MM, drilledMm), oppositeHoleMm: otherMm })
  if (!before.ok) return { reasons: [stop(before.error.message)], worked: [] }
  if (!after.ok) return { reasons: [stop(`There is no room for an 8 mm hole: ${after.error.message}`)], worked: [] }
  const left: TubeLeft = {
    sectionBefore: before.value.outputs.sectionRemaining,
    sectionAfter: after.value.outputs.sectionRemaining,
    bendingBefore: before.value.outputs.bendingRemaining,
    bendingAfter: after.value.outputs.bendingRemaining,
  }
  const weak = left.bendingAfter < LEAST_BENDING
  return {
    tube: left,
    worked: [before.value, after.value],
    reasons: weak
      ? [
          stop(
            `Only ${Math.round(100 * left.bendingAfter)} % of the bending stiffness would be left at the hole (least ${Math.round(100 * LEAST_BENDING)} %, our choice). To a frame builder.`,
          ),
        ]
      : [],
  }
}

interface SleeveWay {
  readonly way: Way
  readonly stops: readonly Reason[]
  /** The wall that is opened for the nut, and the one it stays clear of. */
  readonly nutHoleMm: number
  readonly boltHoleMm: number
  readonly frontCurveMm: number
  readonly rearCurveMm: number
  readonly turnedRound: boolean
  readonly reach: 'none' | 'stub' | 'open'
}

/** A way with a sleeve nut: which nut and washers hold, whether a drill fits, what is left of the tube. */
function sleevePlan(mount: BoltMount, stock: Stock, each: SleeveWay): Plan {
  const { way, turnedRound } = each
  const recess: Recess = {
    boltOutMm: mount.boltOutMm,
    threadedMm: mount.threadedMm,
    depthMm: mount.depthMm,
    frontWallMm: mount.wallMm ?? 0,
  }
  const reasons: Reason[] = [...mountStops(mount), ...each.stops]
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
      worked.push(fit.value, ...BOLT)
      const { engagementMm, tipClearanceMm } = fit.value.outputs
      reasons.push(
        holds(
          `${choice.nut.name} holds by ${mm(engagementMm)} of thread (${(engagementMm / PITCH_MM).toFixed(0)} threads; wanted ${mm(engagementFactor(choice.nut) * BOLT_MM)}), its tip ${mm(tipClearanceMm)} clear of the front wall; it neither bottoms nor shoulders.`,
        ),
      )
    }
  } else if (fronts.length === 0 || rears.length === 0) {
    const wanted = [
      ...(fronts.length === 0 ? [`one hollowed to ${mm(curves.front)} under the caliper`] : []),
      ...(rears.length === 0 ? [`one hollowed to ${mm(curves.rear)} under the nut`] : []),
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
    steps: state === 'no' ? [] : sleeveSteps(each, drills, choice, ream.ok ? ream.value.outputs.reamMm : 0),
    tools: [
      '5 mm hex key',
      'vernier caliper',
      ...(drills
        ? [
            each.reach === 'stub' ? 'right-angle drill, stub bits' : 'drill',
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

/** How a part seats on a face: straight on a flat one, on a concave washer where it is curved. */
const seatOf = (curveMm: number, washer: Part | undefined, straight: string, under: string): string =>
  isCurved(curveMm) ? `${washer?.name ?? 'Concave washer'} ${under}` : `${straight} straight on the frame`

function sleeveSteps(
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
    'Centre the brake roughly and tighten to 8–10 N·m, light oil on the thread (from memory; the maker’s figure comes first).',
  ]
}

/** A bolt right through, with a hex nut behind. */
function throughPlan(mount: BoltMount, stock: Stock, way: Way): Plan {
  const reasons: Reason[] = [...mountStops(mount)]
  const worked: Worked[] = []
  if (way.id === 'D' && !mount.nutted) {
    return {
      way,
      state: stateOf([...reasons, lacks('')]),
      reasons: [...reasons, lacks('Buy a nutted brake of the same reach: a long M6 bolt and a hex nut.')],
      parts: [],
      steps: ['Fit a nutted brake in the holes as they are; nothing is cut.'],
      tools: ['10 mm spanner'],
      worked,
    }
  }
  const narrow = Math.min(mount.holeFrontMm, mount.holeBackMm)
  const wide = Math.max(mount.holeFrontMm, mount.holeBackMm)
  if (narrow < BOLT_MM) reasons.push(stop(`A hole of ${mm(narrow)} does not take the M6 bolt.`))
  if (wide > LOOSE_MM)
    reasons.push(
      stop(`A hole of ${mm(wide)} is too wide for an M6 bolt right through (above ${mm(LOOSE_MM)}, our choice).`),
    )
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
      worked.push(fit.value, ...BOLT)
      reasons.push(
        holds(
          `The nut is full, ${fit.value.outputs.threadsShowing.toFixed(1)} threads show beyond it, and the plain shank stays short of it.`,
        ),
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
            'Centre the brake roughly and tighten to 8–10 N·m, light oil on the thread (from memory; the maker’s figure comes first).',
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

function sleeveWay(mount: BoltMount, way: Way): SleeveWay {
  const turned = way.id === 'C'
  return {
    way,
    stops: [],
    nutHoleMm: turned ? mount.holeFrontMm : mount.holeBackMm,
    boltHoleMm: turned ? mount.holeBackMm : mount.holeFrontMm,
    frontCurveMm: turned ? mount.curveBackMm : mount.curveFrontMm,
    rearCurveMm: turned ? mount.curveFrontMm : mount.curveBackMm,
    turnedRound: turned,
    reach: way.drills === 'nothing' ? 'none' : turned || way.id === 'fork' ? 'open' : 'stub',
  }
}

/** Ways that make sense at this end, with this hole. */
function possible(mount: BoltMount): readonly Way[] {
  return WAYS.filter(({ id }) => {
    if (id === 'as-is') return mount.holeBackMm >= SLEEVE_MM
    if (id === 'B') return mount.end === 'rear' && mount.holeBackMm < SLEEVE_MM
    if (id === 'C') return mount.end === 'rear'
    if (id === 'fork') return mount.end === 'front' && mount.holeBackMm < SLEEVE_MM
    return id === 'D' || !mount.nutted
  })
}

const STATES: readonly PlanState[] = ['ready', 'buy', 'measure', 'no']

/**
 * Every way of mounting the brake here, the best first: those that are ready, those that lack a part, those that lack
 * a measurement, those that cannot be; within each by what the workshop would rather.
 */
export function planMount(mount: BoltMount, stock: Stock, preference: Preference): readonly Plan[] {
  return possible(mount)
    .map((way) =>
      way.id === 'A' || way.id === 'D'
        ? throughPlan(mount, stock, way)
        : sleevePlan(mount, stock, sleeveWay(mount, way)),
    )
    .sort(
      (a, b) =>
        STATES.indexOf(a.state) - STATES.indexOf(b.state) ||
        rankOf(a.way.id, preference) - rankOf(b.way.id, preference),
    )
}
