import { X } from 'lucide-react'
import {
  Button,
  UNSTABLE_Toast as Toast,
  UNSTABLE_ToastContent as ToastContent,
  UNSTABLE_ToastRegion as ToastRegion,
} from 'react-aria-components'
import styled from 'styled-components'
import { type Notice, notices, takeNotice } from './notices.ts'
import { Press } from './Press.tsx'

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
          {toast.content.act && <Press onPress={() => takeNotice()}>{toast.content.act.title}</Press>}
        </Words>
        <Button slot="close" aria-label="let it go">
          <X size={18} aria-hidden="true" />
        </Button>
      </Strip>
    )}
  </Region>
)
