import { useEffect, useRef } from 'react'

/** A scanner types much faster than a hand. From memory: some ten milliseconds a letter. */
const SCANNED_MS = 100
/** Its Enter may come after the room has had to draw what was typed. */
const ENDED_MS = 500
/** The code of a tag, by itself or at the end of its address. */
const CODE = /(?:^|\/b\/)([2-9BCDFGHJKMNPQRSTVWXZ]{5})$/i

/** The code in what was scanned; undefined where it is something else. */
export const codeIn = (scanned: string): string | undefined => CODE.exec(scanned.trim())?.[1]?.toUpperCase()

/** Hears a scanner anywhere in the room, whatever has the focus: a code read and ended by Enter is handed on. */
export function useScanner(onCode: (code: string) => void): void {
  const latest = useRef(onCode)
  latest.current = onCode
  useEffect(() => {
    let typed = ''
    let last = 0
    const onKey = (event: KeyboardEvent) => {
      if (event.timeStamp - last > (event.key === 'Enter' ? ENDED_MS : SCANNED_MS)) typed = ''
      last = event.timeStamp
      if (event.key.length === 1) {
        typed += event.key
        return
      }
      const code = event.key === 'Enter' ? codeIn(typed) : undefined
      if (event.key !== 'Shift') typed = ''
      if (!code) return
      event.preventDefault()
      event.stopPropagation()
      latest.current(code)
    }
    document.addEventListener('keydown', onKey, true)
    return () => document.removeEventListener('keydown', onKey, true)
  }, [])
}
