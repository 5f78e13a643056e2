import { letterhead, MOST_LETTERS, type Workshop } from '@overhaul/core/sheet/workshop'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { api, sayFailed } from '../data/api.ts'
import { refreshWorkshop, useWorkshop } from '../data/queries.ts'
import { FormRow } from '../ui/FormRow.tsx'
import { LinkPress, Page, Row } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'
import { Title } from '../ui/Title.tsx'
import { Complaint, Label, Slate } from '../ui/words.tsx'

const FIELDS = [
  { id: 'name', label: 'Name of the workshop', width: 300 },
  { id: 'address', label: 'Address, one line', width: 420 },
  { id: 'telephone', label: 'Telephone', width: 200 },
] as const

/** Whose papers they are: asked once, printed on every sheet, slip and tag. */
export default function WorkshopPage() {
  const workshop = useWorkshop()
  return (
    <Page>
      <Title>Workshop</Title>
      <Label>The workshop</Label>
      {workshop.data ? (
        <Form told={workshop.data} />
      ) : workshop.error ? (
        <Row>
          <Complaint>{workshop.error.message}</Complaint>
          <Press onPress={() => workshop.refetch()}>Try again</Press>
        </Row>
      ) : (
        <Slate>Fetching what was told…</Slate>
      )}
    </Page>
  )
}

function Form({ told }: { told: Workshop }) {
  const [typed, setTyped] = useState(told)
  const tell = useMutation({ mutationFn: api.tellWorkshop, onSuccess: refreshWorkshop })
  const { name, address, telephone } = typed
  const meant: Workshop = { name: name.trim(), address: address.trim(), telephone: telephone.trim() }
  const isTold = FIELDS.every(({ id }) => meant[id] === told[id])
  const head = letterhead(told)
  return (
    <>
      <p>Asked once; it stands at the head of every job sheet, slip and tag. What is left empty is not printed.</p>
      <FormRow label="The workshop" onDone={() => tell.mutate(meant)}>
        {FIELDS.map(({ id, label, width }) => (
          <TextField
            key={id}
            label={label}
            value={typed[id]}
            onChange={(text) => setTyped({ ...typed, [id]: text })}
            maxLength={MOST_LETTERS[id]}
            width={width}
          />
        ))}
        <Press go type="submit" isDisabled={isTold || tell.isPending}>
          Keep
        </Press>
      </FormRow>
      {tell.error && <Complaint>{sayFailed(tell.error)}</Complaint>}
      <p aria-live="polite">{head === '' ? 'Nothing is printed at the head yet.' : `Printed as: ${head}`}</p>
      <Row>
        <LinkPress href="/">Back to the rack</LinkPress>
      </Row>
    </>
  )
}
