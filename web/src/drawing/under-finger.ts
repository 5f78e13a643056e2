import type { PointerEvent } from 'react'

/** Where a pressed finger is, in the units of a drawing `width` wide; undefined while nothing is pressed. */
export function underFinger(event: PointerEvent, svg: SVGSVGElement | null, width: number): number | undefined {
  const box = svg?.getBoundingClientRect()
  return box && event.buttons > 0 ? ((event.clientX - box.left) / box.width) * width : undefined
}
