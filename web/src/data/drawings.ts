import type { Drawings } from '@overhaul/core/brake/drawings'
import type { Family } from '@overhaul/core/brake/family'
import { useQuery } from '@tanstack/react-query'

/** What this family’s parts look like; undefined until it has come. */
export function useDrawings(family: Family): Drawings | undefined {
  const { data } = useQuery({
    queryKey: ['drawings', family.id],
    queryFn: async () => (await import('@overhaul/core/bench/drawings/drawings')).drawingsOf(family),
    retry: true,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: Number.POSITIVE_INFINITY,
  })
  return data
}
