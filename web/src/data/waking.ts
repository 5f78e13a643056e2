/**
 * Calls back whenever this screen comes back to work: into sight, on line again, out of the history, or thawed by a system that had
 * frozen it, whose timers stood still. Answers with what ends it.
 */
export function onWaking(wake: () => void): () => void {
  const ifSeen = () => {
    if (!document.hidden) wake()
  }
  const heard: readonly (readonly [EventTarget, string])[] = [
    [window, 'online'],
    [window, 'pageshow'],
    [document, 'visibilitychange'],
    [document, 'resume'],
  ]
  for (const [from, event] of heard) from.addEventListener(event, ifSeen)
  return () => {
    for (const [from, event] of heard) from.removeEventListener(event, ifSeen)
  }
}
