import { type Part, sayDimensions } from '@overhaul/core/drawer/part'

/** Whether every word typed stands somewhere in what a part is. */
export function matchesPart(part: Part, search: string): boolean {
  const text = `${part.name} ${part.code} ${part.kind} ${sayDimensions(part)}`.toLowerCase()
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word))
}
