import type { FamilyModel } from '../families/family.ts'
import { readingTitle } from './readings.ts'

/** Something that can be established or can unsettle: a reading, a confirmation, a turn, a swap, a plan. */
export type Fact = `${'reading' | 'confirm' | 'turn' | 'swap' | 'plan'}:${string}`

/** Any adjuster of the brake: what it moves is the model's business, that it moves something is enough here. */
const ANY_TURN: Fact = 'turn:any'

const MOVED: readonly Fact[] = [
  'confirm:wheel-seated',
  'confirm:mount-fitted',
  'swap:pads',
  'swap:cable',
  'swap:housing',
  'swap:lever',
  'swap:brake',
  'confirm:shoes-loosened',
  'confirm:anchor-loosened',
  'confirm:mount-loosened',
  'reading:caliperSits',
  ANY_TURN,
]
const SQUEEZED: readonly Fact[] = [...MOVED, 'confirm:hard-squeezes']
/** Loosened, a clamp has lost its tightness, and so has everything that was judged by it. */
const ANCHOR_LOOSE: readonly Fact[] = ['turn:anchor', 'confirm:anchor-loosened']
const MOUNT_LOOSE: readonly Fact[] = ['turn:caliper', 'confirm:mount-loosened']
const SHOES_LOOSE: readonly Fact[] = ['confirm:shoes-loosened']
const TURNED_SHOES: readonly Fact[] = ['swap:pads', 'swap:brake', 'confirm:mount-fitted', ...SHOES_LOOSE]
const PADS_SET: readonly Fact[] = ['swap:pads', 'swap:wheel', 'swap:brake', 'confirm:mount-fitted', ...SHOES_LOOSE]
const MEASURED_HOLE: readonly Fact[] = [
  'reading:frameMaterial',
  'reading:cracks',
  'reading:rust',
  'reading:mountBody',
  'reading:boltKind',
  'reading:boltClass',
  'reading:makerApproval',
  'reading:makerTorque',
  'reading:holeFront',
  'reading:holeBack',
  'reading:frameDepth',
  'reading:mountTube',
  'reading:mountWall',
  'reading:curveFront',
  'reading:curveBack',
  'reading:roomBehind',
  'reading:boltOut',
  'reading:boltThreaded',
]

/**
 * The one graph of the run sheet: each thing that can be established, and what it stands on. When something it stands
 * on is done again, directly or through others, it must be looked at again. Readings stand on what moves the parts,
 * not on other readings, except where one is judged against another.
 */
export const STANDS_ON: Readonly<Record<string, readonly Fact[]>> = {
  'confirm:dead-first': ['swap:cable', 'swap:brake', 'swap:lever'],
  'confirm:wheel-seated': ['swap:wheel'],
  'confirm:hub-play': ['confirm:wheel-seated'],
  'reading:wheelOffset': ['confirm:wheel-seated'],
  'reading:lateralRunout': ['confirm:wheel-seated'],
  'reading:radialRunout': ['confirm:wheel-seated'],
  'reading:rimWall': ['swap:wheel'],
  'reading:rimMark': ['swap:wheel'],
  'reading:rotorMark': ['swap:wheel', 'swap:rotor'],
  'reading:wearLine': ['swap:wheel'],
  'reading:trackStep': ['swap:wheel'],
  'reading:rotorThickness': ['swap:wheel', 'swap:rotor'],
  'reading:rotorRunout': ['confirm:wheel-seated', 'swap:rotor'],

  'reading:leverPull': ['swap:lever'],
  'reading:leverFinger': ['swap:lever'],
  'reading:leverReach': ['swap:lever'],
  'reading:housingKind': ['swap:housing'],
  'reading:housingOuter': ['swap:housing'],
  'reading:housingState': ['swap:housing'],
  'reading:anchorBolt': ['swap:brake'],
  'reading:guideBoot': ['swap:brake', 'swap:cable'],
  'reading:cableSide': ['swap:brake'],
  'reading:caliperSits': ['swap:brake', 'confirm:mount-loosened'],
  'reading:housingEnds': ['swap:housing', 'swap:lever', 'swap:brake'],
  'reading:innerAnchor': ['swap:cable'],
  'reading:innerHead': ['swap:cable', 'swap:lever'],
  'reading:rimMaterial': ['swap:wheel'],
  'reading:padCompound': ['swap:pads'],

  'confirm:untouched': ['swap:cable', 'swap:brake', 'swap:lever'],
  'reading:trackReach': ['swap:wheel'],
  'reading:beadFitted': ['swap:wheel'],
  'reading:slotLow': ['swap:brake'],
  'reading:slotHigh': ['swap:brake'],
  'reading:boltKind': ['swap:brake'],
  'reading:boltClass': ['swap:brake'],
  'reading:boltOut': ['swap:brake'],
  'reading:boltThreaded': ['swap:brake'],
  'reading:caliperDepth': ['swap:brake'],
  'plan:mount': ['swap:brake', ...MEASURED_HOLE],
  'confirm:mount-drilled': ['plan:mount'],
  'confirm:mount-fitted': ['plan:mount', 'confirm:mount-drilled', 'swap:brake'],
  'confirm:mount-tight': ['confirm:mount-fitted', ...MOUNT_LOOSE],
  'confirm:boss-ready': ['swap:brake'],
  'confirm:boss-tight': ['confirm:boss-ready', 'swap:brake'],
  'confirm:arms-free': ['confirm:boss-ready', 'confirm:boss-tight', 'swap:brake'],
  'confirm:provisional-clamp': ['swap:cable', 'swap:brake', 'swap:lever', 'swap:housing'],
  'confirm:barrel-in': ['swap:cable', 'swap:brake', 'swap:lever', 'swap:housing'],
  'reading:barrelOut': ['swap:cable', 'swap:brake'],

  'reading:padLeft': ['swap:pads'],
  'reading:padRight': ['swap:pads'],
  'reading:padFace': ['swap:pads'],
  'reading:shoeLeft': TURNED_SHOES,
  'reading:shoeRight': TURNED_SHOES,
  'reading:padTall': ['swap:pads'],
  'reading:padLength': ['swap:pads'],
  'reading:padShape': ['swap:pads'],
  'reading:padDeep': ['swap:pads'],
  'reading:armSpace': ['swap:wheel', 'swap:brake'],
  'reading:padArc': PADS_SET,
  'reading:trackTall': ['swap:wheel'],
  'reading:padEdgeLeft': PADS_SET,
  'reading:padEdgeRight': PADS_SET,
  'reading:toeLeft': PADS_SET,
  'reading:toeRight': PADS_SET,
  'confirm:pads-tight': ['swap:pads', 'swap:wheel', 'swap:brake', 'confirm:mount-fitted', ...SHOES_LOOSE],
  'confirm:cable-run': ['swap:cable', 'swap:housing', 'swap:lever', 'swap:brake'],
  'reading:cableLined': ['swap:housing', 'swap:cable'],
  'reading:cableFeel': ['swap:cable', 'swap:housing'],
  'confirm:cable-clamped': ['swap:cable', 'swap:brake', ...ANCHOR_LOOSE],
  'confirm:fasteners': [
    'swap:pads',
    'swap:cable',
    'swap:lever',
    'swap:brake',
    'confirm:mount-fitted',
    ...ANCHOR_LOOSE,
    ...MOUNT_LOOSE,
    ...SHOES_LOOSE,
  ],
  'confirm:wheel-fastened': ['confirm:wheel-seated', 'swap:wheel'],

  'reading:gapLeft': SQUEEZED,
  'reading:gapRight': SQUEEZED,
  'reading:biteTravel': SQUEEZED,
  'reading:firstTouch': [...SQUEEZED, 'reading:wheelOffset'],
  'reading:reserve': [...MOVED, 'reading:leverReach'],
  'reading:padsBack': MOVED,
  'reading:leverWeight': MOVED,
  'reading:leverBack': MOVED,
  'reading:spin': SQUEEZED,
  'confirm:hard-squeezes': MOVED,
  'confirm:walk-test': MOVED,
}

const SWAPPED: Readonly<Record<string, string>> = {
  wheel: 'the wheel was changed',
  pads: 'pads were replaced',
  cable: 'the cable was replaced',
  housing: 'housing was replaced',
  lever: 'the lever was changed',
  brake: 'the brake was changed',
  rotor: 'the rotor was replaced',
}

/** Parts that can be replaced in a job. */
export const SWAPPED_PARTS: readonly string[] = Object.keys(SWAPPED)

const CONFIRMED: Readonly<Record<string, string>> = {
  'wheel-seated': 'the wheel was seated again',
  'hard-squeezes': 'squeezed hard: cables settle and clamps slip',
  'mount-drilled': 'the mount was drilled',
  'mount-fitted': 'the brake was mounted again',
  'boss-ready': 'the arms were off their bosses',
  'boss-tight': 'the arms’ bolts were tightened',
  'shoes-loosened': 'a shoe was loosened',
  'anchor-loosened': 'the anchor was loosened',
  'mount-loosened': 'the brake was loosened on its mount',
}

/** Everything that stands on a fact, directly or through others. */
function standingOn(fact: Fact): ReadonlySet<string> {
  const found = new Set<string>()
  const visit = (ground: string) => {
    for (const [each, grounds] of Object.entries(STANDS_ON)) {
      if (found.has(each) || !grounds.includes(ground as Fact)) continue
      found.add(each)
      visit(each)
    }
  }
  visit(fact)
  return found
}

const known = new Map<Fact, ReadonlySet<string>>()

/** A turn unsettles what any turn does, and what stands on this adjuster. */
const unsettledBy = (fact: Fact): ReadonlySet<string> => {
  const found =
    known.get(fact) ??
    (fact.startsWith('turn:') ? new Set([...standingOn(ANY_TURN), ...standingOn(fact)]) : standingOn(fact))
  known.set(fact, found)
  return found
}

/** Everything a fact stands on, directly or through others. */
export function groundsOf(fact: Fact): ReadonlySet<Fact> {
  const found = new Set<Fact>()
  const visit = (each: string) => {
    for (const ground of STANDS_ON[each] ?? []) {
      if (found.has(ground)) continue
      found.add(ground)
      visit(ground)
    }
  }
  visit(fact)
  return found
}

/** Whether an entry can unsettle anything at all; most readings cannot. */
export const unsettles = (by: Fact): boolean => unsettledBy(by).size > 0

/** What happened, in the words that stand beside what must be looked at again. */
function causeOf(by: Fact, model: FamilyModel): string {
  const [kind, id = ''] = by.split(':') as [string, string?]
  if (kind === 'turn') return `${model.adjusters.find((each) => each.id === id)?.title ?? id} turned`
  if (kind === 'swap') return SWAPPED[id] ?? `${id} was changed`
  if (kind === 'confirm') return CONFIRMED[id] ?? `${id} was done again`
  if (kind === 'plan') return 'another way of mounting was chosen'
  return `${readingTitle(id)} was measured again`
}

/** Why an entry unsettles a fact, or undefined when it does not. */
export const whyRecheck = (fact: string, by: Fact, model: FamilyModel): string | undefined =>
  unsettledBy(by).has(fact) ? causeOf(by, model) : undefined
