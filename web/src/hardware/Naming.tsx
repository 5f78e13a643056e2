import type { BicycleRecord } from '@overhaul/core/http/contract'
import { useState } from 'react'
import { change } from '../data/changes.ts'
import { useKeptForm } from '../drafts/use-kept-form.ts'
import { FormField } from '../ui/FormField.tsx'
import { Row } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { Namesake } from './Namesake.tsx'

/** The bicycle's name and description, to be changed; and whether it hangs on the rack. */
export function Naming({ bicycle }: { bicycle: BicycleRecord }) {
  const [naming, setNaming] = useState(false)
  const form = useKeptForm(`overhaul.naming.${bicycle.id}`, { name: bicycle.name, description: bicycle.description })
  const path = `bicycles/${bicycle.id}`
  const retired = bicycle.retiredAt !== null
  const rename = form.handleSubmit(({ name, description }) => {
    const told = { name: name.trim(), description: description.trim() }
    if (told.name === '')
      return form.setError('name', {
        message: 'The bicycle needs a name or number: it is how it is found on the rail.',
      })
    form.done()
    setNaming(false)
    const before = { name: bicycle.name, description: bicycle.description }
    change({
      method: 'PATCH',
      path,
      body: told,
      about: bicycle.id,
      says: `${bicycle.name} is called ${told.name}${told.description ? `, ${told.description}` : ''}`,
      undo: [{ method: 'PATCH', path, body: before }],
    })
  })
  const hang = () =>
    change({
      method: 'PATCH',
      path,
      body: { retired: !retired },
      about: bicycle.id,
      says: retired ? `${bicycle.name} hangs on the rack again` : `${bicycle.name} is off the rack`,
      undo: [{ method: 'PATCH', path, body: { retired } }],
    })
  if (!naming)
    return (
      <Row>
        <Press onPress={() => setNaming(true)}>Rename</Press>
        <Press onPress={hang}>{retired ? 'Bring back to the rack' : 'Retire from the rack'}</Press>
      </Row>
    )
  return (
    <form aria-label="Rename" onSubmit={rename}>
      <Row>
        <FormField control={form.control} name="name" label="name or number" autoFocus maxLength={80} width={170} />
        <FormField control={form.control} name="description" label="description" maxLength={500} width={260} />
        <Press go type="submit">
          Rename
        </Press>
        <Press
          quiet
          onPress={() => {
            form.done()
            setNaming(false)
          }}
        >
          Back
        </Press>
      </Row>
      <Namesake name={form.watch('name')} except={bicycle.id} />
    </form>
  )
}
