/** The workshop as its papers name it; an empty string is what nobody told. */
export interface Workshop {
  readonly name: string
  /** One line. */
  readonly address: string
  readonly telephone: string
}

/** So many letters have room on a paper. Our choice. */
export const MOST_LETTERS: Readonly<Record<keyof Workshop, number>> = { name: 80, address: 160, telephone: 40 }

export const UNNAMED: Workshop = { name: '', address: '', telephone: '' }

/** Who a paper is from, in one line; empty where nobody told. */
export const letterhead = ({ name, address, telephone }: Workshop = UNNAMED): string =>
  [name, address, telephone && `telephone ${telephone}`].filter(Boolean).join(' · ')
