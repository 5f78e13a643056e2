import { STATIONS } from '@overhaul/core/brake/station'
import { useEffect, useRef } from 'react'
import { useSettings } from '../app/settings.ts'

export interface KeyActions {
  readonly measure: () => void
  readonly tape: () => void
  /** Presses the button of that name, where it stands. */
  readonly press: (key: 'did-it' | 'all-sound' | 'not-well' | 'else' | 'skip' | 'gauge' | 'anew') => void
  readonly undo: () => void
  readonly log: () => void
  readonly working: () => void
  readonly help: () => void
  readonly station: (index: number) => void
  readonly escape: () => void
  /** The lever is squeezed until the key is let go. */
  readonly squeeze: () => void
}

const DIGITS = '1234567890-'

/** Keys closer together than this come from an instrument that types, or a scanner: no hand means a station by them. */
const TYPED_MS = 120

/** The keys of the Stand, for the list and for the hand. */
export const KEYS: readonly (readonly [string, string])[] = [
  ['Space', 'squeeze the lever (while the act or the drawing has focus)'],
  ['m', 'measure: go to the first reading asked for'],
  ['Enter', 'save what is typed'],
  ['a', 'all of the card is sound, once there was time to read it'],
  ['d', 'did it; it is well'],
  ['n', 'it is not well'],
  ['e', 'did something else'],
  ['s', 'skip, with a reason'],
  ['g', 'read the practice gauge'],
  ['k', 'take anew what is kept from an earlier visit, at the station in sight'],
  ['t', 'tape; ? there shows its words'],
  ['u', 'undo the last entry: x strikes it, b turned back; just after Esc, bring back what it let go'],
  ['l', 'the log as a list: arrow keys, then x strikes or restores, b turned back'],
  ['w', 'working: why, with numbers and sources'],
  ['1 … 9, 0, -', 'stations in working order; Esc leaves a field first'],
  ['Esc', 'take back the one thing in hand: close what is open, let go of the field one is in'],
  ['?', 'this list'],
]

const WRITES = 'input:not([type=checkbox], [type=radio], [type=range]), textarea'
const LISTS = '[role=listbox], [role=option], [role=grid], [role=menu]'

/** Text is being written, or a list takes letters for its own. */
const takesLetters = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.matches(WRITES) || target.isContentEditable || target.closest(LISTS) !== null)

/** A number that is not begun yet: no letter begins one, so that there letters are keys as everywhere. */
const isUnbegunNumber = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && target.inputMode === 'decimal' && target.value === ''

/** The act’s own line, which is no control: Space there is for the lever. */
const isOnAct = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.matches('[data-act]') || target === document.body)

/** Letter keys work wherever the focus is unless something is being written or a list has it, or this screen has switched them off. */
export function useKeys(actions: KeyActions): void {
  const { letterKeys } = useSettings()
  const latest = useRef(actions)
  latest.current = actions
  useEffect(() => {
    let lastKey = 0
    let goes: ReturnType<typeof setTimeout> | undefined
    /** One digit by itself leads to its station; one of several that come at once leads nowhere. */
    const goSoon = (index: number) => {
      goes = setTimeout(() => latest.current.station(index), TYPED_MS)
    }
    const onKey = (event: KeyboardEvent) => {
      const act = latest.current
      const isTyped = event.timeStamp - lastKey < TYPED_MS
      if (event.key.length === 1) lastKey = event.timeStamp
      clearTimeout(goes)
      if (event.defaultPrevented || event.repeat) return
      if (event.key === 'Escape') return act.escape()
      const isUnbegun = isUnbegunNumber(event.target)
      if (!letterKeys || (takesLetters(event.target) && !isUnbegun) || event.ctrlKey || event.metaKey || event.altKey)
        return
      const letter: Record<string, (() => void) | undefined> = {
        m: act.measure,
        t: act.tape,
        a: () => act.press('all-sound'),
        d: () => act.press('did-it'),
        n: () => act.press('not-well'),
        e: () => act.press('else'),
        s: () => act.press('skip'),
        g: () => act.press('gauge'),
        k: () => act.press('anew'),
        u: act.undo,
        l: act.log,
        w: act.working,
        '?': act.help,
        ' ': isOnAct(event.target) || isUnbegun ? act.squeeze : undefined,
      }
      // Caps Lock changes no key’s meaning.
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key
      const digit = DIGITS.indexOf(key)
      const isStation = digit >= 0 && digit < STATIONS.length && !isTyped && !isUnbegun
      const found = letter[key] ?? (isStation ? () => goSoon(digit) : undefined)
      if (!found) return
      event.preventDefault()
      found()
    }
    window.addEventListener('keydown', onKey)
    return () => {
      clearTimeout(goes)
      window.removeEventListener('keydown', onKey)
    }
  }, [letterKeys])
}
