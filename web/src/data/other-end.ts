import type { Stand } from '@overhaul/core/run-sheet/stand'
import { openStand } from '@overhaul/core/workshop/open'
import { useQuery } from '@tanstack/react-query'
import { api } from './api.ts'
import { useRack } from './queries.ts'

/** The newest job at the other end of the same bicycle, as its log tells it; undefined where there is none. */
export function useOtherEnd(jobId: string): Stand | undefined {
  const { data: rack } = useRack()
  const bicycle = rack?.find(({ brakes }) => brakes.some(({ job }) => job?.id === jobId))
  const other = bicycle?.brakes.find(({ job }) => job && job.id !== jobId)?.job?.id
  const { data } = useQuery({
    queryKey: ['other-end', other],
    queryFn: () => api.job(other as string),
    enabled: other !== undefined,
  })
  const stand = data && openStand(data.hardware, data.entries)
  return stand?.ok ? stand.value : undefined
}
