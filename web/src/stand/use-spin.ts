import { useEffect, useState } from 'react'

const TURN_MS = 3200
/** Without motion the wheel stands still where the rotor is nearest to either pad. */
const STILL = [90, 270, 0] as const

/** The wheel turned once round by hand: its angle, degrees. */
export function useSpin(): { readonly wheelDeg: number; readonly spin: () => void } {
  const [wheelDeg, setWheelDeg] = useState(0)
  const [since, setSince] = useState<number>()
  useEffect(() => {
    if (since === undefined) return
    let frame = 0
    const step = (now: number) => {
      const share = (now - since) / TURN_MS
      if (share >= 1) {
        setWheelDeg(0)
        setSince(undefined)
        return
      }
      setWheelDeg(Math.max(0, share) * 360)
      frame = requestAnimationFrame(step)
    }
    frame = requestAnimationFrame(step)
    return () => cancelAnimationFrame(frame)
  }, [since])
  const spin = () => {
    if (window.matchMedia('(prefers-reduced-motion: reduce)').matches)
      setWheelDeg((now) => STILL[(STILL.indexOf(now as 90 | 270 | 0) + 1) % STILL.length] ?? 0)
    else setSince(performance.now())
  }
  return { wheelDeg, spin }
}
