import type { Looked } from '../../brake/on-stand.ts'
import type { Source } from '../../calculation/source.ts'

/** A hand on the bar, mm. No person’s: sizes the workshop goes by. */
export interface Hand {
  /** Across the four fingers, at their roots. */
  readonly breadthMm: number
  readonly fingerMm: number
  /** Bar to the first crease of the index finger, reaching out with the hand on the grip. */
  readonly creaseMm: number
}

export const HAND_SOURCE: Source = {
  kind: 'from-memory',
  title: 'Breadths of hands and fingers as ergonomic tables have them; measure the rider’s where it matters',
}

/** Named hands, from memory: a grown small, middle and large one, and a child’s of about ten. */
export const HANDS: Readonly<Record<string, Hand>> = {
  small: { breadthMm: 74, fingerMm: 16, creaseMm: 60 },
  medium: { breadthMm: 83, fingerMm: 18, creaseMm: 68 },
  large: { breadthMm: 92, fingerMm: 21, creaseMm: 76 },
  child: { breadthMm: 62, fingerMm: 13, creaseMm: 48 },
}

export const MEASURED = 'measured'
export const NOBODY = 'nobody'

/** What is measured of a rider’s own hand: its breadth, its index finger, and where that bends. */
export const HAND_MEASURES = ['handBreadth', 'fingerBreadth', 'creaseReach'] as const

/** Whether the lever is set for a hand in this job. */
export const forHand = ({ seen }: Pick<Looked, 'seen'>): boolean => (seen('rider') ?? NOBODY) !== NOBODY

/** The hand this lever is set for: what was measured of it goes before the named one. Undefined while something is missing. */
export function handAt({ seen, number }: Looked): Hand | undefined {
  const named = HANDS[seen('rider') ?? '']
  const [breadth, finger, crease] = HAND_MEASURES.map(number)
  const breadthMm = breadth ?? named?.breadthMm
  const fingerMm = finger ?? named?.fingerMm
  const creaseMm = crease ?? named?.creaseMm
  return breadthMm === undefined || fingerMm === undefined || creaseMm === undefined
    ? undefined
    : { breadthMm, fingerMm, creaseMm }
}
