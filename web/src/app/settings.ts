import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { useSyncExternalStore } from 'react'

/** What this screen remembers: how it reads, how it looks, who holds it. */
export interface Settings {
  readonly length: LengthUnit
  readonly sheet: 'system' | 'day' | 'night'
  /** Who writes on this screen: a bench number or initials. */
  readonly by: string
  /** The day that was last said, as yyyy-mm-dd. */
  readonly bySaidOn: string
  /** The brake seen from the front instead of from the saddle. */
  readonly flipped: boolean
  readonly letterKeys: boolean
  /** The workshop’s money, ISO 4217. */
  readonly currency: string
  /** What an hour of work costs, in that money. */
  readonly hourly: number
}

const KEY = 'overhaul.settings'
const USUAL: Settings = {
  length: 'mm',
  sheet: 'system',
  by: '1',
  bySaidOn: '',
  flipped: false,
  letterKeys: true,
  currency: 'EUR',
  hourly: 48,
}

function stored(): Settings {
  try {
    return { ...USUAL, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Settings>) }
  } catch {
    return USUAL
  }
}

let settings = stored()
const listeners = new Set<() => void>()

export function changeSettings(change: Partial<Settings>): void {
  settings = { ...settings, ...change }
  localStorage.setItem(KEY, JSON.stringify(settings))
  for (const listener of listeners) listener()
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const useSettings = (): Settings => useSyncExternalStore(subscribe, () => settings)

/** Whether a media query holds now, and again whenever that changes. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const media = window.matchMedia(query)
      media.addEventListener('change', listener)
      return () => media.removeEventListener('change', listener)
    },
    () => window.matchMedia(query).matches,
  )
}

/** The sheet to draw on now: the system's, unless this screen was told otherwise. */
export function useSheet(): 'day' | 'night' {
  const { sheet } = useSettings()
  const dark = useMedia('(prefers-color-scheme: dark)')
  return sheet === 'system' ? (dark ? 'night' : 'day') : sheet
}
