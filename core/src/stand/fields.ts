/**
 * What an entry may hold, described once: its type follows from it here, its check over HTTP on the server. A field is
 * wanted unless it is `optional`.
 */
interface Of<T> {
  /** Never there: it carries the type. */
  readonly gives?: T
}

export type FieldSpec =
  /** One line of text: a name, a word. */
  | { readonly is: 'name'; readonly most: number }
  /** Text that may be empty and may have lines. */
  | { readonly is: 'remark'; readonly most: number }
  /** Text as it comes. */
  | { readonly is: 'text'; readonly most: number }
  | {
      readonly is: 'number'
      readonly least?: number
      readonly most?: number
      /** More than this. */
      readonly above?: number
      readonly whole?: true
      readonly not?: number
    }
  /** A number, or one of a few short answers. */
  | { readonly is: 'answer'; readonly most: number }
  | { readonly is: 'flag' }
  | { readonly is: 'one'; readonly of: readonly (string | boolean)[] }
  | { readonly is: 'list'; readonly of: Field<unknown>; readonly least: number; readonly most: number }
  | { readonly is: 'record'; readonly of: Fields }
  /** Numbers by word. */
  | { readonly is: 'figures'; readonly least: number; readonly most: number; readonly count: number }

export type Field<T> = FieldSpec & Of<T>
interface Optional<T> {
  readonly optional: Field<T>
}
export type Fields = Readonly<Record<string, Field<unknown> | Optional<unknown>>>

type TypeOf<F> = F extends Of<infer T> ? T : F extends Optional<infer T> ? T : never
type Wanted<F> = { [K in keyof F]: F[K] extends Optional<unknown> ? never : K }[keyof F]

/** What fields describe, as a type. */
export type BodyOf<F> = { readonly [K in Wanted<F>]: TypeOf<F[K]> } & {
  readonly [K in Exclude<keyof F, Wanted<F>>]?: TypeOf<F[K]>
}

export const name = (most: number): Field<string> => ({ is: 'name', most })
/** What is named by a word of the house: a reading, a step, a part. */
export const word: Field<string> = name(80)
export const remark = (most: number): Field<string> => ({ is: 'remark', most })
export const text = (most: number): Field<string> => ({ is: 'text', most })
export const number = (
  limits: { least?: number; most?: number; above?: number; whole?: true; not?: number } = {},
): Field<number> => ({ is: 'number', ...limits })
export const answer = (most: number): Field<number | string> => ({ is: 'answer', most })
export const flag: Field<boolean> = { is: 'flag' }
export const one = <const T extends string | boolean>(...of: readonly T[]): Field<T> => ({ is: 'one', of })
export const list = <T>(of: Field<T>, most: number, least = 0): Field<readonly T[]> => ({ is: 'list', of, least, most })
export const record = <const F extends Fields>(of: F): Field<BodyOf<F>> => ({ is: 'record', of })
export const figures = (least: number, most: number, count: number): Field<Readonly<Record<string, number>>> => ({
  is: 'figures',
  least,
  most,
  count,
})
export const optional = <T>(field: Field<T>): Optional<T> => ({ optional: field })
