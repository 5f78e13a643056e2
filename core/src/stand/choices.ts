import type { Source } from '../calculation/source.ts'

/** A school that is one of a few words. The first is the usual one. The bite school carries a figure and stands apart. */
export interface Choice {
  readonly id: ChoiceId
  readonly title: string
  readonly options: readonly { readonly id: string; readonly title: string; readonly source: Source }[]
}

export type ChoiceId = 'mount' | 'toe' | 'height'

const COMMON: Source = { kind: 'common-practice', title: 'Bench habit' }
const COMPUTED: Source = { kind: 'computed', title: 'From the pad’s path as it wears' }

/** Ids are words of the tape and stand in the log; no two schools share one. */
export const CHOICES: readonly Choice[] = [
  {
    id: 'mount',
    title: 'mounting',
    options: [
      { id: 'reversible', title: 'reversible first', source: COMMON },
      { id: 'flush', title: 'flush look first', source: COMMON },
    ],
  },
  {
    id: 'height',
    title: 'pad height',
    options: [
      { id: 'longest', title: 'longest on the track', source: COMPUTED },
      { id: 'top-edge', title: '1 to 2 mm below the track’s upper edge', source: COMMON },
      { id: 'middle', title: 'middle of the track', source: COMMON },
    ],
  },
  {
    id: 'toe',
    title: 'toe-in',
    options: [
      { id: 'front-touch', title: 'front touches first', source: COMMON },
      { id: 'flat', title: 'flat, toe in only if it squeals', source: COMMON },
    ],
  },
]

export const partOf = (choice: Choice): string => `school.${choice.id}`
export const choiceOfPart = (part: string): Choice | undefined => CHOICES.find((each) => partOf(each) === part)
export const choiceOfWord = (word: string): Choice | undefined =>
  CHOICES.find((each) => each.options.some((option) => option.id === word))

export const findChoice = (id: ChoiceId): Choice => CHOICES.find((each) => each.id === id) as Choice

/** What a job goes by until it says otherwise. */
export const USUAL: Readonly<Record<ChoiceId, string>> = Object.fromEntries(
  CHOICES.map((each) => [each.id, each.options[0]?.id]),
) as Record<ChoiceId, string>
