import { ANY_TURN, type Fact, type Grounds } from '../brake/graph.ts'

/** Put on, or put in, anew. */
const PUT_ON: readonly Fact[] = [
  'confirm:mount-fitted',
  'swap:pads',
  'swap:cable',
  'swap:housing',
  'swap:lever',
  'swap:brake',
]
/** What moves the parts against one another. */
export const MOVED: readonly Fact[] = [
  'confirm:wheel-seated',
  ...PUT_ON,
  'confirm:shoes-loosened',
  'confirm:anchor-loosened',
  'confirm:mount-loosened',
  ANY_TURN,
]
export const SQUEEZED: readonly Fact[] = [...MOVED, 'confirm:hard-squeezes']
/** Loosened, a clamp has lost its tightness, and so has everything that was judged by it. */
export const ANCHOR_LOOSE: readonly Fact[] = ['turn:anchor', 'confirm:anchor-loosened']
export const MOUNT_LOOSE: readonly Fact[] = ['turn:caliper', 'confirm:mount-loosened']
export const SHOES_LOOSE: readonly Fact[] = ['confirm:shoes-loosened']

/** What holds by a clamp and was opened: it may slip at the first hard squeeze. A barrel or a screw that is turned does not. */
export const CLAMPED_ANEW: readonly Fact[] = [...PUT_ON, ...SHOES_LOOSE, ...ANCHOR_LOOSE, ...MOUNT_LOOSE]

/** Parts that can be replaced in a job, and how that is said where something must be looked at again. */
const SWAPPED: Readonly<Record<string, string>> = {
  wheel: 'the wheel was changed',
  pads: 'pads were replaced',
  cable: 'the cable was replaced',
  housing: 'housing was replaced',
  lever: 'the lever was changed',
  brake: 'the brake was changed',
  rotor: 'the rotor was replaced',
}

/** Parts that can be replaced at a brake with this graph: those that something of it stands on. */
export const partsIn = ({ unsettledBy }: Grounds): readonly string[] =>
  Object.keys(SWAPPED).filter((part) => unsettledBy(`swap:${part}`).size > 0)

/** Acts that set things anew, as they are said where something must be looked at again. */
export const COMMON_CAUSES: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.entries(SWAPPED).map(([part, says]) => [`swap:${part}`, says])),
  'confirm:wheel-seated': 'the wheel was seated again',
  'confirm:hard-squeezes': 'squeezed hard: cables settle and clamps slip',
}
