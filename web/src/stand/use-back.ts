import { useEffect, useRef } from 'react'

/** While something is laid over the room, the browser’s Back takes it away before it leaves the job. */
export function useBackCloses(covered: boolean, close: () => void): void {
  const latest = useRef(close)
  latest.current = close
  useEffect(() => {
    if (!covered) return
    let wentBack = false
    history.pushState({ ...history.state, cover: true }, '')
    const onBack = () => {
      wentBack = true
      latest.current()
    }
    window.addEventListener('popstate', onBack)
    return () => {
      window.removeEventListener('popstate', onBack)
      // Closed otherwise, its own place in the history goes with it; not where a link led on from there.
      if (!wentBack && history.state?.cover) history.back()
    }
  }, [covered])
}
