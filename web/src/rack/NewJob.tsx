import { useState } from 'react'
import { useNavigate } from 'react-router'
import styled from 'styled-components'
import { change } from '../data/changes.ts'
import { newId } from '../data/ids.ts'
import { panel, Row } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'
import { Label } from '../ui/words.tsx'

/** A job asked for: known by its id, so that one sent again after a lost answer is opened once. */
export interface NewJobBody {
  readonly id: string
  readonly brakeId: string
  readonly complaint: string
}

export const JOBS = 'jobs'

/** The brake a job is to be opened on. */
export interface ForJob {
  readonly bicycleId: string
  readonly brakeId: string
  readonly label: string
}

const Strip = styled.form`
  ${panel}
`

/** Opens a job on a brake that has none open, asking only what is wrong. It stands above the rail, where no scrolling takes it away. */
export function NewJob({ on, onDone }: { on: ForJob; onDone: () => void }) {
  const navigate = useNavigate()
  const [complaint, setComplaint] = useState('')
  const open = async () => {
    const body: NewJobBody = { id: newId(), brakeId: on.brakeId, complaint }
    onDone()
    const sent = await change({
      method: 'POST',
      path: JOBS,
      body,
      about: on.bicycleId,
      says: `a job on ${on.label}`,
      undo: [],
    })
    if (sent) navigate(`/stand/${body.id}`)
  }
  return (
    <Strip
      aria-label={`New job, ${on.label}`}
      onSubmit={(event) => {
        event.preventDefault()
        open()
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onDone()
      }}
    >
      <Label>New job · {on.label}</Label>
      <Row style={{ marginTop: 0 }}>
        <TextField
          label="What is wrong?"
          unseen
          placeholder="what is wrong?"
          autoFocus
          value={complaint}
          onChange={setComplaint}
        />
        <Press go type="submit">
          Open job
        </Press>
        <Press quiet onPress={onDone}>
          Back
        </Press>
      </Row>
    </Strip>
  )
}
