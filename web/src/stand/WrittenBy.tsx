import { sayDay } from '@overhaul/core/stand/when'
import { useState } from 'react'
import styled from 'styled-components'
import { changeSettings, useSettings } from '../app/settings.ts'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'

const Line = styled.form`
  display: flex;
  align-items: center;
  gap: 8px;
  font: 500 1.0625rem/1.1 var(--label);
  white-space: nowrap;
`
const MOST_LETTERS = 20
const today = () => sayDay(new Date().toISOString())

/** Whose hand the entries are written by; asked once a day, after the first entry, and always to be changed. */
export function WrittenBy({ wrote }: { wrote: boolean }) {
  const { by, bySaidOn } = useSettings()
  const [name, setName] = useState<string>()
  const asked = wrote && bySaidOn !== today()
  const say = (next: string) => {
    const told = next.trim()
    if (told !== '') changeSettings({ by: told, bySaidOn: today() })
    setName(undefined)
  }
  if (name !== undefined)
    return (
      <Line
        aria-label="Written by"
        onSubmit={(event) => {
          event.preventDefault()
          say(name)
        }}
      >
        written by
        <TextField
          label="written by"
          unseen
          width={90}
          maxLength={MOST_LETTERS}
          autoFocus
          value={name}
          onChange={setName}
        />
        <Press type="submit">It is</Press>
      </Line>
    )
  if (asked)
    return (
      <Line as="div" role="group" aria-label="Written by">
        Written by {by} today?
        <Press onPress={() => say(by)}>Yes</Press>
        <Press onPress={() => setName('')}>Another</Press>
      </Line>
    )
  return (
    <Press quiet aria-label={`written by ${by}, change`} onPress={() => setName(by)}>
      {`by ${by}`}
    </Press>
  )
}
