import { useMutation } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { api } from '../data/api.ts'
import { refreshAll } from '../data/queries.ts'
import { Complaint, Field, Label, Page, Press } from '../ui/parts.tsx'

/** The code that came with the address, from a picture another screen showed. */
const codeGiven = (): string => /^#code=(\w+)$/.exec(window.location.hash)?.[1] ?? ''

/** Before a screen is let in: the code, and what it is called. */
export function DoorPage() {
  const [code, setCode] = useState(codeGiven)
  const [device, setDevice] = useState('')
  const enter = useMutation({
    mutationFn: () => api.comeIn(code, device.trim()),
    onSuccess() {
      window.history.replaceState(null, '', window.location.pathname)
      return refreshAll()
    },
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    enter.mutate()
  }
  return (
    <Page>
      <form onSubmit={submit} style={{ display: 'grid', gap: 16, justifyItems: 'start', maxWidth: 460 }}>
        <Label>Come in</Label>
        <p>This workshop asks other screens for its code. It stands on the workshop’s own screen, under Share.</p>
        <label style={{ display: 'grid', gap: 6 }}>
          Code, eight letters and digits
          <Field
            value={code}
            onChange={(event) => setCode(event.target.value)}
            autoComplete="one-time-code"
            autoCapitalize="characters"
            spellCheck={false}
            maxLength={40}
          />
        </label>
        <label style={{ display: 'grid', gap: 6 }}>
          What this screen is called, for example “Tablet by the vice”
          <Field value={device} onChange={(event) => setDevice(event.target.value)} maxLength={40} />
        </label>
        {enter.error && <Complaint>{enter.error.message}</Complaint>}
        <Press go type="submit" isDisabled={code.trim() === '' || device.trim() === '' || enter.isPending}>
          Come in
        </Press>
      </form>
    </Page>
  )
}
