/** The workshop as its papers name it; an empty string is what nobody told. */
export interface Workshop {
  readonly name: string
  /** One line. */
  readonly address: string
  readonly telephone: string
}

export const UNNAMED: Workshop = { name: '', address: '', telephone: '' }

/** Who a paper is from, in one line; empty where nobody told. */
export const letterhead = ({ name, address, telephone }: Workshop): string =>
  [name, address, telephone && `telephone ${telephone}`].filter(Boolean).join(' · ')
