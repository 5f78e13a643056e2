import type { ReactNode } from 'react'
import { FocusScope } from 'react-aria'
import { Dialog } from 'react-aria-components'
import styled from 'styled-components'
import { Press } from './Press.tsx'
import { Label } from './words.tsx'

const Sheet = styled(Dialog)`
  position: absolute;
  inset: 0;
  z-index: 4;
  background: var(--sheet);
  border-left: 3px double var(--rule);
  overflow-y: auto;
  padding: 0 24px 24px;
  display: grid;
  gap: 14px;
  align-content: start;
  outline: none;
`
const Head = styled.header`
  position: sticky;
  top: 0;
  background: var(--sheet);
  padding: 10px 0 6px;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
`

interface Props {
  readonly title: string
  readonly onClose: () => void
  readonly children: ReactNode
}

/**
 * A sheet laid over part of a room: it takes the focus, and gives it back to where it was. What lies under it is to be made
 * inert by whoever lays it down.
 */
export function Cover({ title, onClose, children }: Props) {
  return (
    <FocusScope restoreFocus>
      <Sheet aria-label={title}>
        <Head>
          <Label>{title}</Label>
          <Press hint="Esc" autoFocus onPress={onClose}>
            Close
          </Press>
        </Head>
        {children}
      </Sheet>
    </FocusScope>
  )
}
