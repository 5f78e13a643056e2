import { useEffect, useRef, useState } from 'react'

const FULL_MS = 900

const still = () => window.matchMedia('(prefers-reduced-motion: reduce)').matches

export interface Squeezing {
  /** Finger travel of the blade now, mm. */
  readonly travelMm: number
  readonly hold: () => void
  readonly letGo: () => void
  readonly to: (mm: number) => void
}

/** The lever under the hand: held, it closes at a steady pace; let go, it springs back. */
export function useSqueeze(fullMm: number): Squeezing {
  const [travelMm, setTravel] = useState(0)
  const direction = useRef(0)
  const frame = useRef(0)
  const at = useRef(0)

  useEffect(() => () => cancelAnimationFrame(frame.current), [])

  const move = (mm: number) => {
    at.current = Math.min(fullMm, Math.max(0, mm))
    setTravel(at.current)
  }

  const run = (towards: 1 | -1) => {
    if (direction.current === towards) return
    direction.current = towards
    cancelAnimationFrame(frame.current)
    if (still()) {
      move(towards > 0 ? fullMm : 0)
      return
    }
    let last: number | undefined
    const step = (now: number) => {
      const pace = towards > 0 ? fullMm / FULL_MS : (3 * fullMm) / FULL_MS
      move(at.current + towards * pace * (now - (last ?? now)))
      const moving = towards > 0 ? at.current < fullMm : at.current > 0
      if (last === undefined || moving) frame.current = requestAnimationFrame(step)
      last = now
    }
    frame.current = requestAnimationFrame(step)
  }

  return {
    travelMm,
    hold: () => run(1),
    letGo: () => run(-1),
    to(mm) {
      direction.current = 0
      cancelAnimationFrame(frame.current)
      move(mm)
    },
  }
}
