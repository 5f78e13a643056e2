import { useMutation } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { api } from '../data/api.ts'
import { refreshAll } from '../data/queries.ts'
import { Page } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'
import { Title } from '../ui/Title.tsx'
import { Complaint, Label } from '../ui/words.tsx'

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
      <Title>Come in</Title>
      <form onSubmit={submit} style={{ display: 'grid', gap: 16, justifyItems: 'start', maxWidth: 460 }}>
        <Label>Come in</Label>
        <p>This workshop asks other screens for its code. It stands on the workshop’s own screen, under Share.</p>
        <TextField label="Code, eight letters and digits" value={code} onChange={setCode} maxLength={40} width={260} />
        <TextField
          label="What this screen is called, for example “Tablet by the vice”"
          value={device}
          onChange={setDevice}
          maxLength={40}
          width={260}
        />
        {enter.error && <Complaint>{enter.error.message}</Complaint>}
        <Press go type="submit" isDisabled={code.trim() === '' || device.trim() === '' || enter.isPending}>
          Come in
        </Press>
      </form>
    </Page>
  )
}
