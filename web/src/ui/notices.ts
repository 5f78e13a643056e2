import { UNSTABLE_ToastQueue as ToastQueue } from 'react-aria-components'

export interface Notice {
  readonly says: string
  /** What the hand may still do about it. */
  readonly act?: { readonly title: string; readonly run: () => void }
}

const LASTS_MS = 12_000
export const notices = new ToastQueue<Notice>({ maxVisibleToasts: 1 })

/** Says something that passes: what Esc let go, and how to have it back. A new one takes the place of the last. */
export function notice(says: string, act?: Notice['act']): void {
  notices.clear()
  notices.add({ says, ...(act && { act }) }, { timeout: LASTS_MS })
}

/** Something else was done since: what was offered is no longer in hand. */
export const dropNotice = (): void => notices.clear()

/** Takes back what the notice offers, as its button does. */
export function takeNotice(): boolean {
  const shown = notices.visibleToasts[0]
  if (!shown?.content.act) return false
  shown.content.act.run()
  notices.close(shown.key)
  return true
}
