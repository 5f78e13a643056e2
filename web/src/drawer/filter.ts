import { type Part, sayDimensions } from '@overhaul/core/drawer/part'

/** What a part is, in words: put together once, as every key asks every part. */
const said = new WeakMap<Part, string>()

function wordsOf(part: Part): string {
  const known = said.get(part)
  if (known !== undefined) return known
  const words = `${part.name} ${part.code} ${part.kind} ${sayDimensions(part)}`.toLowerCase()
  said.set(part, words)
  return words
}

/** Whether every word typed stands somewhere in what a part is. */
export function matchesPart(part: Part, search: string): boolean {
  const words = wordsOf(part)
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => words.includes(word))
}
