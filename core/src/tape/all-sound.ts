import { type Fault, type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { type Card, readIn, soundIn } from '../stand/card.ts'
import type { EntryBody } from '../stand/entries.ts'

/** The word for all of the card in hand. */
export const ALL_SOUND = 'allsound'
const BUT = 'but'

/** A card, and how long it has been on show. */
export interface Shown {
  readonly card: Card
  /** Seconds; not given where nobody waits for it to be read. */
  readonly shownS?: number
}

const stepsOf = ({ rows }: Card): ReadonlySet<string> => new Set(rows.map(({ step }) => step.id))
const readingsOf = ({ rows }: Card): ReadonlySet<string> => new Set(rows.flatMap(({ readings }) => readings))

/** Whether an entry answers something of this card. */
const isOn = (card: Card, body: EntryBody): boolean =>
  (body.kind === 'confirm' && stepsOf(card).has(body.step)) ||
  (body.kind === 'reading' && readingsOf(card).has(body.reading))

/** Whether two entries answer the same. */
const answersSame = (one: EntryBody, other: EntryBody): boolean =>
  (one.kind === 'confirm' && other.kind === 'confirm' && one.step === other.step) ||
  (one.kind === 'reading' && other.kind === 'reading' && one.reading === other.reading)

/** How the rest of a line is read. */
type Read = (text: string) => { readonly entries: readonly EntryBody[]; readonly error?: Fault }

/** What is otherwise, behind `but`: words of the tape, each for something of the card. */
function readBut(words: readonly string[], card: Card, read: Read): Outcome<readonly EntryBody[]> {
  const [but, ...rest] = words
  if (but === undefined) return ok([])
  if (but.toLowerCase() !== BUT || rest.length === 0)
    return refuse('not-understood', ALL_SOUND, `“allsound ${words.join(' ')}”: write allsound, or allsound but hub no.`)
  const { entries, error } = read(rest.join(' '))
  if (error) return { ok: false, error }
  return entries.every((each) => isOn(card, each))
    ? ok(entries)
    : refuse(
        'not-on-card',
        ALL_SOUND,
        `“${rest.join(' ')}” is not of this card. On it: ${card.rows.map(({ step }) => step.title).join('; ')}.`,
      )
}

/** `allsound`, or `allsound but hub no`: every row of the card in hand at once, in its order. */
export function readAllSound(
  words: readonly string[],
  shown: Shown | undefined,
  read: Read,
): Outcome<readonly EntryBody[]> {
  if (!shown) return refuse('no-card', ALL_SOUND, 'Nothing in hand now is answered by “all sound”: do what Next says.')
  const { card, shownS } = shown
  const otherwise = readBut(words, card, read)
  if (!otherwise.ok) return otherwise
  const sound = soundIn(card).filter((each) => !otherwise.value.some((other) => answersSame(each, other)))
  if (sound.length + otherwise.value.length === 0)
    return refuse('no-card', ALL_SOUND, 'Nothing on this card is only well or not: its rows are measured, or chosen.')
  const wait = shownS === undefined ? 0 : readIn(card, shownS)
  if (wait > 0)
    return refuse(
      'not-read',
      ALL_SOUND,
      `${card.rows.length} rows in ${Math.floor(shownS ?? 0)} s: nobody has looked at them yet. In ${wait} s.`,
    )
  return ok([...sound, ...otherwise.value])
}
