import { useState } from 'react'

function kept<T>(key: string, initial: T): T {
  try {
    return JSON.parse(sessionStorage.getItem(key) ?? 'null') ?? initial
  } catch {
    return initial
  }
}

/** State that survives a reload of this screen: what was typed and not yet logged is never dropped. */
export function useKept<T>(key: string, initial: T): readonly [T, (change: (now: T) => T) => void] {
  const [value, setValue] = useState(() => kept(key, initial))
  const change = (next: (now: T) => T) => {
    setValue((now) => {
      const then = next(now)
      sessionStorage.setItem(key, JSON.stringify(then))
      return then
    })
  }
  return [value, change]
}
