import { findPartKind, PART_KINDS, type PartKindId } from '@overhaul/core/drawer/kinds'
import { checkPart, type Part, type PartShape } from '@overhaul/core/drawer/part'
import { parseNumber } from '@overhaul/core/quantity/number'
import { parseQuantity } from '@overhaul/core/quantity/quantity'
import { useMutation } from '@tanstack/react-query'
import { Controller, useWatch } from 'react-hook-form'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { api, sayFailed } from '../data/api.ts'
import { refreshDrawer } from '../data/drawer.ts'
import { useKeptForm } from '../drafts/use-kept-form.ts'
import { Choose } from '../ui/Choose.tsx'
import { FormField } from '../ui/FormField.tsx'
import { panel, Row } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { Complaint, Label } from '../ui/words.tsx'

const Form = styled.form`
  ${panel}
`
const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px 18px;
  align-items: start;
`

interface Shape {
  readonly kind: PartKindId
  readonly code: string
  readonly name: string
  readonly material: string
  readonly minimum: string
  readonly price: string
  readonly count: string
  readonly dimensions: Readonly<Record<string, string>>
}

const NOT_SAID = { id: '', title: 'not said' }
const KINDS = PART_KINDS.map(({ id, title }) => ({ id, title }))

/** A part put into the drawer, or changed: what it is and what it measures. How many there are is moved, not written. */
export function EditPart({ part, onClose }: { part?: Part; onClose: () => void }) {
  const { by, currency } = useSettings()
  const form = useKeptForm<Shape>(`overhaul.part.${part?.id ?? 'new'}`, {
    kind: part?.kind ?? 'sleeve-nut',
    code: part?.code ?? '',
    name: part?.name ?? '',
    material: part?.material ?? '',
    minimum: String(part?.minimum ?? 0),
    price: part?.price === null || part?.price === undefined ? '' : String(part.price),
    count: '1',
    dimensions: Object.fromEntries(Object.entries(part?.dimensions ?? {}).map(([id, value]) => [id, String(value)])),
  })
  const { control, setError, formState } = form
  const save = useMutation({
    mutationFn: ({ shape, count }: { shape: PartShape; count: number }) =>
      part ? api.changePart(part.id, shape) : api.newPart({ ...shape, count, by }),
    onSuccess: async () => {
      await refreshDrawer()
      close()
    },
  })
  const close = () => {
    form.done()
    onClose()
  }
  const kind = useWatch({ control, name: 'kind' })
  const spec = findPartKind(kind)

  const submit = form.handleSubmit((typed) => {
    const dimensions: Record<string, number> = {}
    for (const { id, title, unit } of spec?.dimensions ?? []) {
      const text = typed.dimensions[id]?.trim()
      if (!text) continue
      const value = parseQuantity(text, unit, title)
      if (!value.ok) return setError(`dimensions.${id}`, { message: value.error.message })
      dimensions[id] = value.value
    }
    const priced = typed.price.trim() === '' ? undefined : parseNumber(typed.price, 'price')
    if (priced && !priced.ok) return setError('price', { message: priced.error.message })
    const shape: PartShape = {
      code: typed.code.trim(),
      kind: typed.kind,
      name: typed.name.trim(),
      material: spec?.materials ? typed.material : '',
      minimum: Number(typed.minimum || 0),
      price: priced ? priced.value : null,
      dimensions,
    }
    const checked = checkPart(shape)
    if (!checked.ok) return setError('root', { message: checked.error.message })
    const count = Number(typed.count || 0)
    if (!Number.isInteger(count) || count < 0)
      return setError('count', { message: `“${typed.count}” pieces. Accepted: a whole number, 0 or more.` })
    save.mutate({ shape, count })
  })
  const fault = formState.errors.root?.message ?? (save.error ? sayFailed(save.error) : undefined)

  return (
    <Form aria-label={part ? `Change ${part.name}` : 'New part'} onSubmit={submit}>
      <Label>{part ? part.name : 'New part'}</Label>
      <Fields>
        {!part && (
          <Controller
            control={control}
            name="kind"
            render={({ field }) => (
              <Choose label="kind" options={KINDS} value={field.value} onChange={field.onChange} />
            )}
          />
        )}
        <FormField control={control} name="code" label="code" />
        <FormField control={control} name="name" label="name" />
        {spec?.dimensions.map(({ id, title, unit }) => (
          <FormField
            key={id}
            control={control}
            name={`dimensions.${id}`}
            label={unit === 'mm' ? `${title}, mm` : title}
            decimal
          />
        ))}
        {spec?.materials && (
          <Controller
            control={control}
            name="material"
            render={({ field }) => (
              <Choose
                label="material"
                options={[NOT_SAID, ...(spec.materials ?? []).map((id) => ({ id, title: id }))]}
                value={field.value}
                onChange={field.onChange}
              />
            )}
          />
        )}
        <FormField control={control} name="minimum" label="buy when below" whole />
        <FormField control={control} name="price" label={`price a piece, ${currency}`} decimal />
        {!part && <FormField control={control} name="count" label="pieces" whole />}
      </Fields>
      {fault && <Complaint>{fault}</Complaint>}
      <Row>
        <Press go type="submit" isDisabled={save.isPending}>
          {part ? 'Save' : 'Put it in'}
        </Press>
        <Press quiet onPress={close}>
          Back
        </Press>
      </Row>
    </Form>
  )
}
