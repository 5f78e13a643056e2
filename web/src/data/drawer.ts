import type { Move } from '@overhaul/core/drawer/part'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { ApiFault, Away, api, type HeldPart, type PartMove } from './api.ts'
import { newId } from './ids.ts'
import { queryClient } from './queries.ts'

const DRAWER = ['drawer'] as const
const movesKey = (jobId?: string) => ['drawer', 'moves', jobId ?? 'all'] as const

export const useDrawer = () => useQuery({ queryKey: [...DRAWER, 'parts'], queryFn: api.drawer })

export const useMoves = (jobId?: string) => useQuery({ queryKey: movesKey(jobId), queryFn: () => api.moves(jobId) })

export const refreshDrawer = () => queryClient.invalidateQueries({ queryKey: DRAWER })

const MOST_RETRIES = 5
const RETRY_MS = 2000

/** Moves that were sent and not answered: pressed again they are the same moves, not more of them. */
const unanswered = new Map<string, readonly Move[]>()

/** Takes and returns parts; whatever becomes of the answer, each once. */
export async function moveOnce(moves: readonly Omit<Move, 'id'>[]) {
  const key = JSON.stringify(moves)
  const made = unanswered.get(key) ?? moves.map((move) => ({ ...move, id: newId() }))
  unanswered.set(key, made)
  try {
    const answer = await api.moveParts(made)
    unanswered.delete(key)
    return answer
  } catch (error) {
    if (error instanceof ApiFault) unanswered.delete(key)
    throw error
  }
}

/** Moves parts and shows the drawer as it then is; a failed move is shown too, as somebody else may have been there. */
export const useMoveParts = () =>
  useMutation({
    mutationFn: moveOnce,
    retry: (count, error) => error instanceof Away && count < MOST_RETRIES,
    retryDelay: RETRY_MS,
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
