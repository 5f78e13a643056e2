import type { Drawings } from '../../brake/drawings.ts'
import type { Family } from '../../brake/family.ts'
import { BARREL, HOUSING } from './cable.ts'
import { LEVER } from './lever.ts'
import { LEVER_HAND, RIDER_ARM } from './lever-hand.ts'
import { COMMON_PICTURES } from './pictures.ts'

/** All that is drawn by itself at a brake of this family: what is common, and its own in its place. */
export async function drawingsOf({ drawings }: Family): Promise<Drawings> {
  const own = await drawings?.()
  return {
    details: [...(own?.details ?? []), LEVER, LEVER_HAND, RIDER_ARM, HOUSING, BARREL],
    pictures: { ...COMMON_PICTURES, ...own?.pictures },
  }
}
