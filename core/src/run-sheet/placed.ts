import { type Placement, placedIn } from '../brake/window.ts'
import type { Stand } from './stand.ts'

/** Where a value stands: in or out of its window, or for what is seen, well or not. Without a window all is well. */
export function placed(
  { kit, windows }: Pick<Stand, 'kit' | 'windows'>,
  id: string,
  value: number | string,
): Placement {
  if (typeof value === 'string') return kit.option(id, value)?.remedy ? 'high' : 'in'
  return placedIn(windows, id, value)
}
