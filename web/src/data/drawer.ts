import type { Move } from '@overhaul/core/drawer/part'
import type { HeldPart, PartMove } from '@overhaul/core/http/contract'
import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { api, type Request } from './api.ts'
import { change, useChanges } from './changes.ts'
import { newId } from './ids.ts'
import { queryClient } from './queries.ts'

/** What changes of the drawer are about. */
export const DRAWER = 'drawer'
const movesKey = (jobId?: string) => [DRAWER, 'moves', jobId ?? 'all'] as const

export const useDrawer = () => useQuery({ queryKey: [DRAWER, 'parts'], queryFn: api.drawer })

const useMoves = (jobId?: string) => useQuery({ queryKey: movesKey(jobId), queryFn: () => api.moves(jobId) })

export const refreshDrawer = () => queryClient.invalidateQueries({ queryKey: [DRAWER] })

/** A part to take or put in; `name` for whoever waits for it. */
export type NewMove = Omit<Move, 'id'> & { readonly name: string }

const asked = (moves: readonly NewMove[], sign: 1 | -1): Request => ({
  method: 'POST',
  path: 'drawer/moves',
  body: moves.map(({ name: _, delta, ...move }) => ({ ...move, id: newId(), delta: sign * delta })),
})

const sayMoves = (moves: readonly NewMove[]): string =>
  moves.map(({ name, delta }) => `${Math.abs(delta)} × ${name} ${delta < 0 ? 'taken' : 'put in'}`).join(', ')

/** Takes and returns parts. Kept and sent like every change, each move once; taken back, the opposite is moved. */
export const moveParts = (moves: readonly NewMove[]): Promise<boolean> =>
  change({ ...asked(moves, 1), about: DRAWER, says: sayMoves(moves), undo: [asked(moves, -1)] })

/** A move of the drawer is on its way: what is counted here is not the last of it. */
export const useIsMoving = (): boolean =>
  useChanges().waiting.some(({ about, refused }) => about === DRAWER && !refused)

/** What a job holds of the drawer: taken less returned. */
export function useHeld(jobId: string): readonly HeldPart[] {
  const { data } = useMoves(jobId)
  return useMemo(() => heldIn(data ?? []), [data])
}

function heldIn(data: readonly PartMove[]): readonly HeldPart[] {
  const held = new Map<string, HeldPart>()
  for (const { partId, name, delta } of data)
    held.set(partId, { partId, name, count: (held.get(partId)?.count ?? 0) - delta })
  return [...held.values()].filter((each) => each.count > 0).sort((a, b) => a.name.localeCompare(b.name))
}
