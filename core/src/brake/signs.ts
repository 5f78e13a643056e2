/** A brake that does nothing, in a rider’s words. */
export const DEAD_WORDS = /\b(dead|no brake|does nothing|nothing happens|snapped|unhooked)\b/i

/** What a rider complains of, in the words of the trade. */
export const SIGNS = [
  { id: 'rubs', title: 'rubs', words: /\b(rub\w*|scrap\w*|touch\w*)\b/i },
  { id: 'squeals', title: 'squeals', words: /\b(squeal\w*|squeak\w*|howl\w*|screech\w*|noisy|noise)\b/i },
  { id: 'judders', title: 'judders', words: /\b(judder\w*|shudder\w*|vibrat\w*|grabs?)\b/i },
  { id: 'drags', title: 'drags', words: /\b(drag\w*|stays on|slow back|does not come back|sticks?)\b/i },
  { id: 'weak', title: 'weak', words: /\b(weak|poor|no power|does not stop|bad brak\w*|hardly)\b/i },
  {
    id: 'to-the-bar',
    title: 'lever comes to the bar',
    words: /\b(to the (bar|grip|handlebar)|long (pull|throw|travel)|spongy|soft)\b/i,
  },
  { id: 'heavy', title: 'heavy lever', words: /\b(heavy|stiff|hard to pull)\b/i },
  { id: 'dead', title: 'dead', words: DEAD_WORDS },
  { id: 'one-arm', title: 'one arm moves only', words: /\b(one (arm|side|pad)|only one)\b/i },
  { id: 'gritty', title: 'gritty', words: /\b(gritty|grind\w*|scratchy|rough)\b/i },
  { id: 'clunks', title: 'clunks', words: /\b(clunk\w*|knock(s|ing)\b|click\w*|loose)\b/i },
  { id: 'pulses', title: 'pulses', words: /\b(puls\w*|once a turn|wobbl\w*)\b/i },
  { id: 'pulls', title: 'pulls to one side', words: /\b(pulls? to|pulls? left|pulls? right)\b/i },
  { id: 'fell', title: 'fell over', words: /\b(fell|fallen|fall|crash\w*|dropped|knocked over|tipped over)\b/i },
] as const

/** Since when it does so: often the best clue. */
export const SINCES = [
  { id: 'knock', title: 'a knock', words: /\b(knock(ed)?|bump\w*|transport\w*|hit)\b/i },
  { id: 'wet', title: 'the wet', words: /\b(rain\w*|wet|damp|puddle|washed)\b/i },
  { id: 'slowly', title: 'slowly, over weeks', words: /\b(slowly|gradual\w*|over weeks|more and more|getting)\b/i },
  {
    id: 'after-work',
    title: 'after work on it',
    words: /\b(after (the )?(work|repair|service|puncture)|new (pads?|cable|lever))\b/i,
  },
  { id: 'load', title: 'with load', words: /\b(loaded|with load|heavy load|child seat|trailer)\b/i },
] as const

export type Sign = (typeof SIGNS)[number]['id']
export type Since = (typeof SINCES)[number]['id']
export const SIGN_IDS = SIGNS.map(({ id }) => id) as readonly Sign[]
export const SINCE_IDS = SINCES.map(({ id }) => id) as readonly Since[]

/** A complaint with its signs named. */
export interface Complaint {
  readonly signs: readonly Sign[]
  readonly since?: Since
  readonly text?: string
}

/** Free text understood into signs, which whoever reads it may change; words are from memory. */
export function understood(text: string): Complaint {
  const since = SINCES.find(({ words }) => words.test(text))?.id
  const signs = SIGNS.filter(({ words }) => words.test(text)).map(({ id }) => id)
  return { signs, ...(since && { since }), ...(text.trim() !== '' && { text }) }
}

/** Whether the bicycle fell: nothing that was read before is trusted then. */
export const tellsOfAFall = ({ signs }: Complaint): boolean => signs.includes('fell')

/** “rubs, squeals; since a knock”, and the rider’s words behind it; empty where nothing is named. */
export function sayComplaint({ signs, since, text }: Complaint): string {
  const named = SIGNS.filter(({ id }) => signs.includes(id)).map(({ title }) => title)
  const from = SINCES.find(({ id }) => id === since)?.title
  return [named.join(', '), ...(from ? [`since ${from}`] : []), ...(text ? [`“${text}”`] : [])]
    .filter(Boolean)
    .join('; ')
}
