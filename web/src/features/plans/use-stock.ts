import type { Part } from '@overhaul/core/drawer/part'
import { useMemo } from 'react'
import { useDrawer, useHeld } from '../../data/drawer.ts'

const NO_PARTS: readonly Part[] = []

/** The drawer, with what this job has taken counted as still at hand for it. */
export function useStock(jobId: string) {
  const { data: parts = NO_PARTS, isError } = useDrawer()
  const held = useHeld(jobId)
  const stock = useMemo(
    () =>
      parts.map((part) => {
        const own = held.find((each) => each.partId === part.id)
        return own ? { ...part, count: part.count + own.count } : part
      }),
    [parts, held],
  )
  return { stock, isError }
}
