/** Holds something under its key, as what was touched last; of more than `most` the longest untouched is let go. */
export function hold<K, V>(held: Map<K, V>, key: K, value: V, most: number): void {
  held.delete(key)
  held.set(key, value)
  for (const oldest of held.keys()) {
    if (held.size <= most) return
    held.delete(oldest)
  }
}
