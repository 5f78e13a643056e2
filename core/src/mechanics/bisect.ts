const HALVINGS = 60

/** Where `isBelow` turns from true to false between two bounds, as it does once; the last value known to be below. */
export function bisect(from: number, to: number, isBelow: (value: number) => boolean): number {
  let low = from
  let high = to
  for (let step = 0; step < HALVINGS; step += 1) {
    const middle = (low + high) / 2
    if (isBelow(middle)) low = middle
    else high = middle
  }
  return low
}
