import { findOption } from '../stand/readings.ts'
import { type Placement, placement, type Windows } from '../stand/windows.ts'

/** Where a value stands: in or out of its window, or for what is seen, well or not. Without a window all is well. */
export function placed(windows: Windows, id: string, value: number | string): Placement {
  if (typeof value === 'string') return findOption(id, value)?.remedy ? 'high' : 'in'
  const window = windows.of[id]
  return window ? placement(window, value) : 'in'
}
