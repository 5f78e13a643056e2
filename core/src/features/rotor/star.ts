/**
 * In which order the bolts of a circle are tightened, numbered round it from 1: each once, and no two neighbours one after
 * the other where the count allows (from five up; four can only be crossed).
 */
export function starOrder(bolts: number): readonly number[] {
  const half = Math.floor(bolts / 2)
  const across = (index: number) =>
    bolts % 2 === 1 ? (index * half) % bolts : Math.floor(index / 2) + (index % 2) * half
  return Array.from({ length: bolts }, (_, index) => 1 + across(index))
}
