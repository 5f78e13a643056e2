import type { Outcome } from '@overhaul/core/outcome/outcome'
import { readText, readTime } from '@overhaul/core/quantity/text'
import Joi from 'joi'

/** A check of the core’s as a step of a schema: its sentence is the one the client reads. */
const checkedBy =
  (read: (value: string, field: string) => Outcome<string>): Joi.CustomValidator<string> =>
  (value, helpers) => {
    const field = helpers.state.path?.join('.') ?? 'body'
    const told = read(value, field)
    return told.ok ? told.value : helpers.message({ custom: '{#say}' }, { say: told.error.message })
  }

const text = (most: number, kind: { readonly lines?: true; readonly optional?: true } = {}) =>
  (kind.optional ? Joi.string().allow('') : Joi.string()).custom(
    checkedBy((value, field) => readText(value, { field, what: field, most, ...kind })),
  )

/** A name, initials: one line of so many characters. */
export const NAME = (most: number) => text(most)
/** One line that may be empty. */
export const LINE = (most: number) => text(most, { optional: true })
/** A remark that may be left out, or have lines. */
export const REMARK = (most: number) => text(most, { lines: true, optional: true })
export const TIME = Joi.string().custom(checkedBy(readTime))
/** As the browser makes them: lower case, with hyphens. Two spellings of one id would be two entries. */
export const ID = Joi.string()
  .pattern(/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/)
  .messages({
    'string.pattern.base': '{#label} is “{#value}”. Accepted: a UUID in lower case, with hyphens and nothing around it',
  })
