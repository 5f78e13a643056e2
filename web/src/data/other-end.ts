import type { Stand } from '@overhaul/core/run-sheet/stand'
import { openStand } from '@overhaul/core/workshop/open'
import { useQuery } from '@tanstack/react-query'
import { api } from './api.ts'
import { useBicycle, useJobRecord } from './queries.ts'

/** The newest job at the other end of the same bicycle, as its log tells it; undefined where there is none. */
export function useOtherEnd(jobId: string): Stand | undefined {
  const { data: record } = useJobRecord(jobId)
  const { data: bicycle } = useBicycle(record?.bicycle.id)
  const hanging = bicycle?.brakes.filter(({ retiredAt, jobs }) => !retiredAt && !jobs.some(({ id }) => id === jobId))
  const other = hanging?.[0]?.jobs.at(-1)?.id
  const { data } = useQuery({
    queryKey: ['other-end', other],
    queryFn: () => api.job(other as string),
    enabled: other !== undefined,
  })
  const stand = data && openStand(data.hardware, data.entries)
  return stand?.ok ? stand.value : undefined
}
