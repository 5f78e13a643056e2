import type { FormEvent, ReactNode } from 'react'
import { Row } from './layout.ts'

interface Props {
  /** Its name, where what stands in it does not say enough. */
  readonly label?: string
  readonly onDone: () => void
  readonly children: ReactNode
}

/** Fields in a row with the button that is done with them; Enter in any of them does the same. */
export function FormRow({ label, onDone, children }: Props) {
  return (
    <Row
      as="form"
      {...(label && { 'aria-label': label })}
      onSubmit={(event: FormEvent) => {
        event.preventDefault()
        onDone()
      }}
    >
      {children}
    </Row>
  )
}
