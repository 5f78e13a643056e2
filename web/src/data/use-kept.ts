import { useState } from 'react'

/** What was kept under this key on this screen; the initial value where nothing was. */
export function kept<T>(key: string, initial: T): T {
  try {
    return JSON.parse(sessionStorage.getItem(key) ?? 'null') ?? initial
  } catch {
    return initial
  }
}

export const keep = (key: string, value: unknown): void => sessionStorage.setItem(key, JSON.stringify(value))
export const forget = (key: string): void => sessionStorage.removeItem(key)

/** State that survives a reload of this screen: what was typed and not yet logged is never dropped. */
export function useKept<T>(key: string, initial: T): readonly [T, (change: (now: T) => T) => void] {
  const [value, setValue] = useState(() => kept(key, initial))
  const change = (next: (now: T) => T) => {
    setValue((now) => {
      const then = next(now)
      keep(key, then)
      return then
    })
  }
  return [value, change]
}
