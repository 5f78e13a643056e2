import { upper } from '@overhaul/core/stand/words'
import type { Schema, ValidationError } from 'joi'
import { HttpFault } from './fault.ts'

const sentence = (error: ValidationError): string => {
  const text = error.details[0]?.message ?? error.message
  return `${upper(text)}${text.endsWith('.') ? '' : '.'}`
}

/** What a client sent, checked and typed; throws a fault that names the field and what is accepted. */
export function validate<T>(schema: Schema<T>, value: unknown, root = 'body'): T {
  if (value === undefined) {
    const message = 'There is no body. Accepted: JSON, sent as application/json.'
    throw new HttpFault(400, { code: 'missing', field: root, message })
  }
  const result = schema.validate(value, { abortEarly: true, convert: false, errors: { wrap: { label: false } } })
  if (!result.error) return result.value as T
  const path = result.error.details[0]?.path.join('.') || root
  const code = result.error.details[0]?.type === 'any.required' ? 'missing' : 'invalid'
  throw new HttpFault(400, { code, field: path, message: sentence(result.error) })
}
