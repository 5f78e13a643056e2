import { STATIONS } from '@overhaul/core/brake/station'
import { useEffect, useRef } from 'react'
import { useSettings } from '../app/settings.ts'

export interface KeyActions {
  readonly measure: () => void
  readonly tape: () => void
  readonly didIt: () => void
  readonly notWell: () => void
  readonly undo: () => void
  readonly working: () => void
  readonly help: () => void
  readonly station: (index: number) => void
  readonly escape: () => void
}

const DIGITS = '1234567890-'

/** The keys of the Stand, for the list and for the hand. */
export const KEYS: readonly (readonly [string, string])[] = [
  ['Space', 'squeeze the lever (while the drawing has focus)'],
  ['m', 'measure: go to the first reading asked for'],
  ['t', 'tape'],
  ['d', 'did it; it is well'],
  ['n', 'it is not well'],
  ['u', 'undo the last entry'],
  ['w', 'working: why, with numbers and sources'],
  ['1 … 9, 0, -', 'stations in working order'],
  ['Enter', 'save what is typed'],
  ['Esc', 'drop what is typed, close what is open'],
  ['?', 'this list'],
]

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.matches('input:not([type=checkbox]), textarea, select') || target.isContentEditable)

/** Letter keys rest inside text fields and where this screen has switched them off. */
export function useKeys(actions: KeyActions): void {
  const { letterKeys } = useSettings()
  const latest = useRef(actions)
  latest.current = actions
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const act = latest.current
      if (event.key === 'Escape') return act.escape()
      if (event.repeat) return
      if (!letterKeys || isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      const letter: Record<string, (() => void) | undefined> = {
        m: act.measure,
        t: act.tape,
        d: act.didIt,
        n: act.notWell,
        u: act.undo,
        w: act.working,
        '?': act.help,
      }
      const digit = DIGITS.indexOf(event.key)
      const found = letter[event.key] ?? (digit >= 0 && digit < STATIONS.length ? () => act.station(digit) : undefined)
      if (!found) return
      event.preventDefault()
      found()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [letterKeys])
}
