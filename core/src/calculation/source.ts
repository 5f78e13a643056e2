/** Where a figure comes from. Shown beside every number that uses it. */
export type SourceKind =
  | 'measured'
  | 'computed'
  | 'standard'
  | 'handbook'
  | 'textbook'
  | 'unit-definition'
  | 'common-practice'
  | 'from-memory'
  | 'our-choice'

export interface Source {
  readonly kind: SourceKind
  /** The published source by name, or what was decided and why. */
  readonly title: string
}

/** The words that stand on screen and in print for each kind. */
export const SOURCE_WORDS: Record<SourceKind, string> = {
  measured: 'measured on this bicycle',
  computed: 'computed',
  standard: 'standard',
  handbook: 'handbook',
  textbook: 'textbook',
  'unit-definition': 'unit definition, exact',
  'common-practice': 'common practice, no source',
  'from-memory': 'from memory, check the maker’s figure',
  'our-choice': 'our choice, no source',
}
