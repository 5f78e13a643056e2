import { useSyncExternalStore } from 'react'

/** What is looked at among several ways: the list, the act and the bench show the same one, and none of them is another’s parent. */
export function oneLookedAt<T>() {
  let picked: T | undefined
  const listeners = new Set<() => void>()
  const subscribe = (listener: () => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }
  return {
    pick(one: T): void {
      picked = one
      for (const listener of listeners) listener()
    },
    usePicked: (): T | undefined => useSyncExternalStore(subscribe, () => picked),
  }
}
