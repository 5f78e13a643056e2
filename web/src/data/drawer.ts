import type { Move } from '@overhaul/core/drawer/part'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { api, type HeldPart, type PartMove } from './api.ts'
import { newId } from './ids.ts'
import { queryClient } from './queries.ts'

const DRAWER = ['drawer'] as const
const movesKey = (jobId?: string) => ['drawer', 'moves', jobId ?? 'all'] as const

export const useDrawer = () => useQuery({ queryKey: [...DRAWER, 'parts'], queryFn: api.drawer })

export const useMoves = (jobId?: string) => useQuery({ queryKey: movesKey(jobId), queryFn: () => api.moves(jobId) })

export const refreshDrawer = () => queryClient.invalidateQueries({ queryKey: DRAWER })

/** Moves parts and shows the drawer as it then is; a failed move is shown too, as somebody else may have been there. */
export const useMoveParts = () =>
  useMutation({
    mutationFn: (moves: readonly Omit<Move, 'id'>[]) => api.moveParts(moves.map((move) => ({ ...move, id: newId() }))),
    onSettled: refreshDrawer,
  })

/** What a job holds of the drawer: taken less returned. */
export function useHeld(jobId: string): readonly HeldPart[] {
  const { data } = useMoves(jobId)
  return useMemo(() => heldIn(data ?? []), [data])
}

export function heldIn(data: readonly PartMove[]): readonly HeldPart[] {
  const held = new Map<string, HeldPart>()
  for (const { partId, name, delta } of data)
    held.set(partId, { partId, name, count: (held.get(partId)?.count ?? 0) - delta })
  return [...held.values()].filter((each) => each.count > 0).sort((a, b) => a.name.localeCompare(b.name))
}
