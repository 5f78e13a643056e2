import { type Card, readIn } from '@overhaul/core/stand/card'
import { useCallback, useEffect, useRef, useState } from 'react'

const TICK_MS = 250

const now = (): number => performance.now() / 1000

/** How long a card has been on show, by the row that came last, in seconds; asked when it is wanted. */
export function useOnShow(card: Card | undefined): () => number {
  const since = useRef<ReadonlyMap<string, number>>(new Map())
  useEffect(() => {
    const steps = card?.rows.map(({ step }) => step.id) ?? []
    since.current = new Map(steps.map((id) => [id, since.current.get(id) ?? now()]))
  }, [card])
  return useCallback(() => (since.current.size === 0 ? 0 : now() - Math.max(...since.current.values())), [])
}

/** How much longer before all of it can be said to be sound, in whole seconds; counts down by itself. */
export function useWait(card: Card, shownS: () => number): number {
  const [wait, setWait] = useState(() => readIn(card, 0))
  useEffect(() => {
    const count = () => setWait(readIn(card, shownS()))
    count()
    const timer = setInterval(count, TICK_MS)
    return () => clearInterval(timer)
  }, [card, shownS])
  return wait
}
