/** Edits between two words: letters added, dropped, changed or swapped with their neighbour. */
export function editDistance(a: string, b: string): number {
  const rows = Array.from({ length: a.length + 1 }, (_, i) =>
    Array.from({ length: b.length + 1 }, (_, j) => (i === 0 ? j : j === 0 ? i : 0)),
  )
  const at = (i: number, j: number) => rows[i]?.[j] ?? 0
  for (let i = 1; i <= a.length; i += 1) {
    for (let j = 1; j <= b.length; j += 1) {
      const changed = a[i - 1] === b[j - 1] ? 0 : 1
      let best = Math.min(at(i - 1, j) + 1, at(i, j - 1) + 1, at(i - 1, j - 1) + changed)
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) best = Math.min(best, at(i - 2, j - 2) + 1)
      ;(rows[i] as number[])[j] = best
    }
  }
  return at(a.length, b.length)
}

/** A short word is soon another one: of those a single slip counts, of longer ones two. */
const slipsIn = (word: string): number => (word.length <= 3 ? 1 : 2)

/** The word a slip of the finger most likely meant, if any is near. */
export function nearestWord(word: string, among: Iterable<string>): string | undefined {
  const ranked = [...among].map((each) => ({ each, edits: editDistance(word, each) })).sort((a, b) => a.edits - b.edits)
  const best = ranked[0]
  return best && best.edits <= slipsIn(word) ? best.each : undefined
}

const SHORTEST = 4
const MOST_NEAR = 3

/** Words whose meaning has this word in it, or one that begins like it. */
export function nearInSense<T extends { readonly means: string }>(word: string, among: readonly T[]): readonly T[] {
  if (word.length < SHORTEST) return []
  const stem = word.replace(/s$/, '')
  return among
    .filter(({ means }) =>
      means
        .toLowerCase()
        .split(/[^a-z]+/)
        .some((each) => each.startsWith(stem)),
    )
    .slice(0, MOST_NEAR)
}
