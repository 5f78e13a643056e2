import type { Entry, EntryKind } from '@overhaul/core/stand/entries'
import type { Field, FieldSpec, Fields } from '@overhaul/core/stand/fields'
import { ENTRY_KINDS, FIELDS } from '@overhaul/core/stand/kinds'
import Joi from 'joi'
import { ID, NAME, REMARK, TIME } from '../app/told.ts'

function numberOf({ least, most, above, whole, not }: FieldSpec & { readonly is: 'number' }): Joi.NumberSchema {
  let schema = Joi.number()
  if (whole) schema = schema.integer()
  if (least !== undefined) schema = schema.min(least)
  if (above !== undefined) schema = schema.greater(above)
  if (most !== undefined) schema = schema.max(most)
  return not === undefined ? schema : schema.invalid(not)
}

/** A field’s check, from its description in the core. */
export function schemaOf(field: FieldSpec): Joi.Schema {
  switch (field.is) {
    case 'name':
      return NAME(field.most)
    case 'remark':
      return REMARK(field.most)
    case 'text':
      return Joi.string().max(field.most)
    case 'number':
      return numberOf(field)
    case 'answer':
      return Joi.alternatives(Joi.number(), Joi.string().max(field.most))
    case 'flag':
      return Joi.boolean()
    case 'one':
      return Joi.valid(...field.of)
    case 'list':
      return Joi.array().items(schemaOf(field.of)).min(field.least).max(field.most)
    case 'record':
      return Joi.object(schemasOf(field.of))
    case 'figures':
      return Joi.object().pattern(NAME(80), Joi.number().min(field.least).max(field.most)).max(field.count)
  }
}

const schemasOf = (fields: Fields): Joi.SchemaMap =>
  Object.fromEntries(
    Object.entries(fields).map(([name, field]) => [
      name,
      'optional' in field ? schemaOf(field.optional) : schemaOf(field as Field<unknown>).required(),
    ]),
  )

const entryOf = (kind: EntryKind) =>
  Joi.object({
    id: ID.required(),
    at: TIME.required(),
    by: NAME(40).required(),
    device: NAME(60),
    basedOn: Joi.number().integer().min(0),
    kind: Joi.string().valid(kind).required(),
    ...schemasOf(FIELDS[kind]),
  })

const ENTRY = Joi.alternatives().conditional('.kind', {
  switch: ENTRY_KINDS.map((kind) => ({ is: kind, then: entryOf(kind) })),
  otherwise: Joi.object({
    kind: Joi.string()
      .valid(...ENTRY_KINDS)
      .required(),
  }).unknown(),
})

export const MOST_ENTRIES = 200

/** One entry or an array of them, as a client sends them: without `seq`, which is the server's to give. */
export const ENTRIES = Joi.alternatives<Entry | Entry[]>().conditional(Joi.array(), {
  then: Joi.array().items(ENTRY).min(1).max(MOST_ENTRIES),
  otherwise: ENTRY,
})
