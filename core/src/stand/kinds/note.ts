import type { KindSpec } from '../entry-kind.ts'
import { remark } from '../fields.ts'

export const fields = { text: remark(5000) }

export const note: KindSpec<'note'> = { say: ({ text }) => text, station: () => undefined }
