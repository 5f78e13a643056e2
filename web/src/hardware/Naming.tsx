import { useState } from 'react'
import type { BicycleRecord } from '../data/api.ts'
import { change } from '../data/changes.ts'
import { Complaint, Field, Press, Row } from '../ui/parts.tsx'

/** The bicycle's name and description, to be changed; and whether it hangs on the rack. */
export function Naming({ bicycle }: { bicycle: BicycleRecord }) {
  const [naming, setNaming] = useState(false)
  const [name, setName] = useState(bicycle.name)
  const [description, setDescription] = useState(bicycle.description)
  const [fault, setFault] = useState<string>()
  const path = `bicycles/${bicycle.id}`
  const retired = bicycle.retiredAt !== null
  const rename = () => {
    const told = { name: name.trim(), description: description.trim() }
    if (told.name === '') return setFault('The bicycle needs a name or number: it is how it is found on the rail.')
    setFault(undefined)
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
  }
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
    <form
      aria-label="Rename"
      onSubmit={(event) => {
        event.preventDefault()
        rename()
      }}
    >
      <Row>
        <label>
          name or number
          <Field autoFocus maxLength={80} value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        <label>
          description
          <Field maxLength={500} value={description} onChange={(event) => setDescription(event.target.value)} />
        </label>
        <Press go type="submit">
          Rename
        </Press>
        <Press quiet onPress={() => setNaming(false)}>
          Back
        </Press>
      </Row>
      {fault && <Complaint>{fault}</Complaint>}
    </form>
  )
}
