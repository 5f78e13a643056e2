import { findPartKind, PART_KINDS, type PartKindId } from '@overhaul/core/drawer/kinds'
import { checkPart, type Part, type PartShape } from '@overhaul/core/drawer/part'
import { parseQuantity } from '@overhaul/core/quantity/quantity'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { api } from '../data/api.ts'
import { refreshDrawer } from '../data/drawer.ts'
import { Choose, Complaint, Field, Label, Press, panel } from '../ui/parts.tsx'

const Form = styled.form`
  ${panel}
`
const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px 18px;
  align-items: end;
  label {
    display: grid;
    gap: 2px;
    font: 500 17px/1.2 var(--label);
  }
`

/** A part put into the drawer, or changed: what it is and what it measures. How many there are is moved, not written. */
export function EditPart({ part, onClose }: { part?: Part; onClose: () => void }) {
  const { by } = useSettings()
  const [kind, setKind] = useState<PartKindId>(part?.kind ?? 'sleeve-nut')
  const [text, setText] = useState<Readonly<Record<string, string>>>(() => ({
    code: part?.code ?? '',
    name: part?.name ?? '',
    material: part?.material ?? '',
    minimum: String(part?.minimum ?? 0),
    count: '1',
    ...Object.fromEntries(Object.entries(part?.dimensions ?? {}).map(([id, value]) => [id, String(value)])),
  }))
  const [fault, setFault] = useState<string>()
  const save = useMutation({
    mutationFn: ({ shape, count }: { shape: PartShape; count: number }) =>
      part ? api.changePart(part.id, shape) : api.newPart({ ...shape, count, by }),
    onSuccess: async () => {
      await refreshDrawer()
      onClose()
    },
  })
  const spec = findPartKind(kind)
  const field = (id: string) => ({
    value: text[id] ?? '',
    onChange: (event: { target: { value: string } }) => setText({ ...text, [id]: event.target.value }),
  })

  const submit = () => {
    const dimensions: Record<string, number> = {}
    for (const { id, title } of spec?.dimensions ?? []) {
      if (!text[id]?.trim()) continue
      const value = parseQuantity(text[id], 'mm', title)
      if (!value.ok) return setFault(value.error.message)
      dimensions[id] = value.value
    }
    const shape: PartShape = {
      code: (text.code ?? '').trim(),
      kind,
      name: (text.name ?? '').trim(),
      material: spec?.materials ? (text.material ?? '') : '',
      minimum: Number(text.minimum || 0),
      dimensions,
    }
    const checked = checkPart(shape)
    if (!checked.ok) return setFault(checked.error.message)
    const count = Number(text.count || 0)
    if (!Number.isInteger(count) || count < 0)
      return setFault(`“${text.count}” pieces. Accepted: a whole number, 0 or more.`)
    setFault(undefined)
    save.mutate({ shape, count })
  }

  return (
    <Form
      aria-label={part ? `Change ${part.name}` : 'New part'}
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <Label>{part ? part.name : 'New part'}</Label>
      <Fields>
        {!part && (
          <label>
            kind
            <Choose value={kind} onChange={(event) => setKind(event.target.value as PartKindId)}>
              {PART_KINDS.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.title}
                </option>
              ))}
            </Choose>
          </label>
        )}
        <label>
          code
          <Field {...field('code')} />
        </label>
        <label>
          name
          <Field {...field('name')} />
        </label>
        {spec?.dimensions.map(({ id, title }) => (
          <label key={id}>
            {title}, mm
            <Field inputMode="decimal" {...field(id)} />
          </label>
        ))}
        {spec?.materials && (
          <label>
            material
            <Choose {...field('material')}>
              <option value="">not said</option>
              {spec.materials.map((each) => (
                <option key={each} value={each}>
                  {each}
                </option>
              ))}
            </Choose>
          </label>
        )}
        <label>
          buy when below
          <Field inputMode="numeric" {...field('minimum')} />
        </label>
        {!part && (
          <label>
            pieces
            <Field inputMode="numeric" {...field('count')} />
          </label>
        )}
      </Fields>
      {(fault || save.error) && <Complaint>{fault ?? save.error?.message}</Complaint>}
      <div style={{ display: 'flex', gap: 10 }}>
        <Press go type="submit" isDisabled={save.isPending}>
          {part ? 'Save' : 'Put it in'}
        </Press>
        <Press quiet onPress={onClose}>
          Back
        </Press>
      </div>
    </Form>
  )
}
