import { bookDimensions, type End } from '@overhaul/core/brake/dimension'
import { formatNumber, parseQuantity, shownUnit, UNITS, type UnitId } from '@overhaul/core/quantity/quantity'
import type { Dimension, Hardware } from '@overhaul/core/stand/hardware'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { checkHardware } from '@overhaul/core/workshop/open'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { api } from '../data/api.ts'
import { refreshRack } from '../data/queries.ts'
import { Choose, Complaint, Field, Label, Press, panel, Slate } from '../ui/parts.tsx'

const Form = styled.form`
  ${panel}
`
const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 10px 18px;
  label {
    display: grid;
    gap: 2px;
    font: 500 17px/1.2 var(--label);
  }
`

/** Dimensions asked for when a brake is hung up; the rest keep their book figure until somebody measures them. */
const ASKED = [
  'rimWidthMm',
  'tyreWidthMm',
  'padHeightMm',
  'padStandoffMm',
  'armMm',
  'caliperReachMm',
  'beadSeatMm',
  'leverReachMm',
  'leverCableArmMm',
  'leverFingerArmMm',
]

/** A new bicycle with its brakes: name, ends, and what was measured. Empty fields keep the book figure, and say so. */
export function NewBicycle({ onClose }: { onClose: () => void }) {
  const { length } = useSettings()
  const [familyId, setFamilyId] = useState(FAMILIES[0]?.id)
  const family = FAMILIES.find((each) => each.id === familyId)
  const [name, setName] = useState('')
  const [description, setDescription] = useState('')
  const [ends, setEnds] = useState<Readonly<Record<End, boolean>>>({ front: true, rear: true })
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  const [fault, setFault] = useState<string>()
  const create = useMutation({
    mutationFn: async (hardwares: readonly Hardware[]) => {
      const bicycle = await api.newBicycle(name.trim(), description.trim())
      for (const hardware of hardwares) await api.newBrake(bicycle.id, hardware)
    },
    onSuccess: async () => {
      await refreshRack()
      onClose()
    },
  })
  if (!family) return null
  const asked = family.dimensions.filter(({ id }) => ASKED.includes(id))
  const book = bookDimensions(family)

  const submit = () => {
    const dimensions: Record<string, Dimension> = {}
    for (const spec of asked) {
      const text = texts[spec.id]?.trim()
      if (!text) continue
      const value = parseQuantity(text, shownUnit('mm', length), spec.title)
      if (!value.ok) return setFault(value.error.message)
      dimensions[spec.id] = { value: value.value, provenance: 'measured' }
    }
    const hardwares = (['front', 'rear'] as const)
      .filter((end) => ends[end])
      .map((end): Hardware => ({ family: family.id, end, dimensions }))
    if (name.trim() === '') return setFault('The bicycle needs a name or number: it is how it is found on the rail.')
    if (hardwares.length === 0) return setFault('Choose at least one brake: front or rear.')
    for (const hardware of hardwares) {
      const checked = checkHardware(hardware)
      if (!checked.ok) return setFault(checked.error.message)
    }
    setFault(undefined)
    create.mutate(hardwares)
  }

  return (
    <Form
      aria-label="New bicycle"
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <Label>New bicycle</Label>
      <Fields>
        <label>
          name or number
          <Field autoFocus maxLength={80} value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        <label>
          description
          <Field
            maxLength={500}
            value={description}
            placeholder="frame, tyre"
            onChange={(event) => setDescription(event.target.value)}
          />
        </label>
        {(['front', 'rear'] as const).map((end) => (
          <label key={end} style={{ display: 'flex', alignItems: 'center', gap: 10 }}>
            <input
              type="checkbox"
              style={{ width: 22, height: 22 }}
              checked={ends[end]}
              onChange={(event) => setEnds({ ...ends, [end]: event.target.checked })}
            />
            {end} brake
          </label>
        ))}
        <label>
          brakes
          <Choose value={familyId} onChange={(event) => setFamilyId(event.target.value)}>
            {FAMILIES.map((each) => (
              <option key={each.id} value={each.id}>
                {each.title}
              </option>
            ))}
          </Choose>
        </label>
      </Fields>
      <Slate>
        Measured dimensions in {UNITS[length].symbol}. An empty field keeps the typical figure shown, from memory, until
        it is measured.
      </Slate>
      <Fields>
        {asked.map((spec) => (
          <label key={spec.id}>
            {spec.title}
            <Field
              inputMode="decimal"
              placeholder={formatNumber(book[spec.id] as number, shownUnit(spec.unit as UnitId, length))}
              value={texts[spec.id] ?? ''}
              onChange={(event) => setTexts({ ...texts, [spec.id]: event.target.value })}
            />
          </label>
        ))}
      </Fields>
      {(fault || create.error) && <Complaint>{fault ?? create.error?.message}</Complaint>}
      <div style={{ display: 'flex', gap: 10 }}>
        <Press go type="submit" isDisabled={create.isPending}>
          Hang it up
        </Press>
        <Press quiet onPress={onClose}>
          Back
        </Press>
      </div>
    </Form>
  )
}
