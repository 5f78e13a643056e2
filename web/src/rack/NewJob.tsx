import { proposedWork } from '@overhaul/core/bench/work'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { change } from '../data/changes.ts'
import { newId } from '../data/ids.ts'
import { useFamily } from '../data/queries.ts'
import { panel, Row } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'
import { Toggles } from '../ui/Toggles.tsx'
import { Label } from '../ui/words.tsx'

/** A job asked for: known by its id, so that one sent again after a lost answer is opened once. */
export interface NewJobBody {
  readonly id: string
  readonly brakeId: string
  readonly complaint: string
  /** What it is for; the whole sheet where it is not said. */
  readonly work?: string
  readonly by: string
}

export const JOBS = 'jobs'

/** The brake a job is to be opened on. */
export interface ForJob {
  readonly bicycleId: string
  readonly brakeId: string
  readonly family: string
  readonly label: string
}

const Strip = styled.form`
  ${panel}
`

/** Opens a job on a brake that has none open, asking what is wrong and what it is for, which the complaint proposes. It stands above the rail, where no scrolling takes it away. */
export function NewJob({ on, onDone }: { on: ForJob; onDone: () => void }) {
  const navigate = useNavigate()
  const { by } = useSettings()
  const family = useFamily(on.family).data
  const works = family?.ok ? family.value.works : []
  const [complaint, setComplaint] = useState('')
  const [chosen, setChosen] = useState<string>()
  const work = chosen ?? proposedWork(complaint, works) ?? works[0]?.id
  const open = async () => {
    const isUsual = work === undefined || work === works[0]?.id
    const body: NewJobBody = { id: newId(), brakeId: on.brakeId, complaint, by, ...(!isUsual && { work }) }
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
        {work !== undefined && works.length > 1 && (
          <Toggles label="The job is" options={works} value={work} onChange={setChosen} />
        )}
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
