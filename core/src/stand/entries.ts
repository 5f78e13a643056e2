import type { BodyOf } from './fields.ts'
import type { FIELDS } from './kinds.ts'

/**
 * The log. A job is an append-only list of entries; everything else is folded from it.
 * The shapes are part of the product's interface: fields are added, never changed.
 */
interface Common {
  /** Made by the client (UUID), so that a retry cannot double an entry. */
  readonly id: string
  /** ISO 8601, UTC. */
  readonly at: string
  /** Who, as the bench knows them: a number or initials. */
  readonly by: string
  /** The screen it was made on; tells two tablets of one person apart. */
  readonly device?: string
  /** Given by the server; missing while an entry still waits to be sent. */
  readonly seq?: number
  /** The last seq its author had seen. */
  readonly basedOn?: number
}

export type EntryKind = keyof typeof FIELDS

/** An entry before it has an author: its kind and what that kind holds. */
export type BodyFor<K extends EntryKind> = K extends EntryKind
  ? { readonly kind: K } & BodyOf<(typeof FIELDS)[K]>
  : never
export type EntryBody = BodyFor<EntryKind>

export type Entry = Common & EntryBody
export type EntryOf<K extends EntryKind> = Common & BodyFor<K>

/** A part used up in a job, and what one of it costs. */
export type SpentPart = BodyFor<'spent'>['parts'][number]
