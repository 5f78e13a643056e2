import { X } from 'lucide-react'
import {
  Button,
  UNSTABLE_Toast as Toast,
  UNSTABLE_ToastContent as ToastContent,
  UNSTABLE_ToastQueue as ToastQueue,
  UNSTABLE_ToastRegion as ToastRegion,
} from 'react-aria-components'
import styled from 'styled-components'
import { Press } from './Press.tsx'

interface Notice {
  readonly says: string
  /** What the hand may still do about it. */
  readonly act?: { readonly title: string; readonly run: () => void }
}

const LASTS_MS = 12_000
const notices = new ToastQueue<Notice>({ maxVisibleToasts: 1 })

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

const Region = styled(ToastRegion<Notice>)`
  position: fixed;
  left: 50%;
  top: 56px;
  transform: translateX(-50%);
  z-index: 9;
  outline: none;
  max-width: calc(100vw - 32px);
`
const Strip = styled(Toast)`
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 4px 4px 4px 16px;
  background: var(--ink);
  color: var(--sheet);
  outline-offset: 2px;
  button {
    color: var(--sheet);
    border-color: var(--sheet);
  }
  > button {
    all: unset;
    min-width: 44px;
    min-height: 44px;
    display: grid;
    place-items: center;
    cursor: pointer;
  }
  > button[data-focus-visible] {
    outline: 3px solid var(--sheet);
    outline-offset: -4px;
  }
`
const Words = styled(ToastContent)`
  display: flex;
  align-items: center;
  gap: 14px;
`

export const Notices = () => (
  <Region queue={notices} aria-label="Notices">
    {({ toast }: { toast: (typeof notices.visibleToasts)[number] }) => (
      <Strip toast={toast}>
        <Words>
          <span slot="title">{toast.content.says}</span>
          {toast.content.act && (
            <Press
              onPress={() => {
                toast.content.act?.run()
                notices.close(toast.key)
              }}
            >
              {toast.content.act.title}
            </Press>
          )}
        </Words>
        <Button slot="close" aria-label="let it go">
          <X size={18} aria-hidden="true" />
        </Button>
      </Strip>
    )}
  </Region>
)
