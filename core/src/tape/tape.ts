import { SQUEEZES } from '../brake/acts.ts'
import { CONTACTS } from '../brake/adjuster.ts'
import { adjustersOf, type Kit } from '../brake/kit.ts'
import type { SeenSpec } from '../brake/reading.ts'
import { partOf } from '../brake/school.ts'
import { understood } from '../brake/signs.ts'
import { WORK } from '../brake/work.ts'
import { type Fault, type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { parseNumber } from '../quantity/number.ts'
import { type LengthUnit, parseQuantity, shownUnit, UNITS, type UnitId } from '../quantity/quantity.ts'
import type { EntryBody } from '../stand/entries.ts'
import { workChosen } from '../stand/work-chosen.ts'
import { ALL_SOUND, readAllSound, type Shown } from './all-sound.ts'
import { nearestWord, nearInSense } from './nearest.ts'
import { REST, tokensOf, twinsOf, vocabulary, type Word, type Written } from './words.ts'

export interface TapeLine {
  readonly entries: readonly EntryBody[]
  readonly error?: Fault
  /** What a word much like one that was written would have meant. */
  readonly asides: readonly string[]
}

export interface TapeContext extends Written {
  readonly length: LengthUnit
  /** Readings asked for now, in order: numbers with no word before them are these. */
  readonly asked?: readonly string[]
  /** The card in hand, which `allsound` answers. */
  readonly card?: Shown
}

/**
 * Reads a line of bench shorthand: `gl 1.4  gr 1.9  bite 22`, `ls +1/2`, `wheel ok`, `note …`.
 * Titles written out (`gap left 1.4`), `gl=1.4` and `gl1.4` say the same, and bare numbers are what is asked for, in order. Entries before the first fault are returned
 * with it, so that the echo shows what was understood.
 */
export function readTape(text: string, context: TapeContext): TapeLine {
  const known = vocabulary(context)
  const words = new Set(known.map(({ word }) => word))
  const oneWord = oneWords(context.kit)
  const tokens = tokensOf(text, known)
  const entries: EntryBody[] = []
  const asides: string[] = []
  const bare = (context.asked ?? []).flatMap((id) => context.kit.reading(id) ?? [])
  let at = 0
  while (at < tokens.length) {
    const word = (tokens[at] as string).toLowerCase()
    const asked = BARE.test(word) ? bare.shift() : undefined
    if (asked) {
      const end = unitsEnd(tokens, at + 1)
      const read = readWord(asked.shorthand, tokens.slice(at, end), context)
      if (!read.ok) return { entries, asides, error: read.error }
      entries.push(read.value)
      at = end
      continue
    }
    // Behind a word, a number is that word’s.
    bare.length = 0
    if (!words.has(word)) {
      const message = `“${tokens[at]}” is not on the tape’s list. ${perhaps(word, known)}`
      return { entries, asides, error: { code: 'unknown-word', field: 'tape', message } }
    }
    if (word === ALL_SOUND) {
      if (at > 0) return { entries, asides, error: FIRST_ON_ITS_LINE }
      const { card, ...without } = context
      const sound = readAllSound(tokens.slice(1), card, (rest) => readTape(rest, without))
      return sound.ok ? { entries: sound.value, asides } : { entries, asides, error: sound.error }
    }
    const end = argumentsEnd(word, tokens, at + 1, words, oneWord)
    const read = readWord(word, tokens.slice(at + 1, end), context)
    const aside = twinsOf(word, known).map((twin) => `“${twin.word}” is ${twin.means}`)
    if (!read.ok) {
      const message = [read.error.message, ...aside.map((each) => `${each}.`)].join(' ')
      return { entries, asides, error: { ...read.error, message } }
    }
    entries.push(...withItsPart(read.value, context))
    asides.push(...aside)
    at = end
  }
  return { entries, asides }
}

const FIRST_ON_ITS_LINE: Fault = {
  code: 'not-understood',
  field: ALL_SOUND,
  message: '“allsound” stands first on its line; what is otherwise follows behind “but”.',
}

/** Before an amount: the hand is not sure of it. */
const UNSURE = '~'

/** A number that stands alone, as a gauge types it. */
const BARE = /^[\d½¼¾⅛⅜⅝⅞⅓⅔][\d.,/½¼¾⅛⅜⅝⅞⅓⅔]*$/

/** Where the units behind an amount end. */
function unitsEnd(tokens: readonly string[], from: number): number {
  let end = from
  while (end < tokens.length && UNIT_WORDS.has((tokens[end] as string).toLowerCase())) end += 1
  return end
}

/** What may have been meant by a word nobody knows: near in sense first, then a slip of the finger. */
function perhaps(word: string, known: readonly Word[]): string {
  const near = nearInSense(word, known)
  const slip =
    near.length > 0
      ? undefined
      : nearestWord(
          word,
          known.map((each) => each.word),
        )
  if (slip) return `Nearest: ${known.find((each) => each.word === slip)?.form}.`
  return near.length > 0
    ? `Perhaps ${near.map(({ form, means }) => `${form} (${means})`).join(', ')}.`
    : 'Type ? for the list.'
}

const UNIT_WORDS = new Set([...Object.values(UNITS).flatMap((unit) => [...unit.aliases]), 'lb', 'end', ...CONTACTS])
const isAmount = (token: string) => /^[~+\-−\d.,½¼¾⅛⅜⅝⅞⅓⅔]/.test(token) || UNIT_WORDS.has(token.toLowerCase())
/** Words that take one word behind them. */
const oneWords = ({ seen, steps }: Kit): ReadonlySet<string> =>
  new Set([...seen.map(({ shorthand }) => shorthand), ...steps.flatMap(({ shorthand }) => shorthand ?? []), 'loose'])
const NAME_FIRST = new Set(['school', 'swap'])

/** Where the arguments of a word end: an amount with its unit, a name and an amount, one word, or the rest of the line. */
function argumentsEnd(
  word: string,
  tokens: readonly string[],
  from: number,
  words: ReadonlySet<string>,
  oneWord: ReadonlySet<string>,
): number {
  if (REST.has(word)) return tokens.length
  let end = from
  const token = () => tokens[end]
  const isWord = () => words.has((token() as string).toLowerCase())
  if (word === 'torque' || word === 'maker') {
    while (token() !== undefined && !isAmount(token() as string)) end += 1
  } else if (NAME_FIRST.has(word)) {
    while (token() !== undefined && !isAmount(token() as string) && (end === from || !isWord())) end += 1
  } else if (token() !== undefined && !isWord()) end += 1
  if (oneWord.has(word)) return end
  while (token() !== undefined && isAmount(token() as string)) end += 1
  return end
}

/** A work chosen brings the part that is new in it. */
const withItsPart = (body: EntryBody, { kit }: TapeContext): readonly EntryBody[] =>
  body.kind === 'reading' && body.reading === WORK ? workChosen(kit.family.works, String(body.value)) : [body]

function readWord(word: string, args: readonly string[], { kit, model, length }: TapeContext): Outcome<EntryBody> {
  const text = args.join(' ')
  const reading = kit.readings.find((each) => each.shorthand === word)
  if (reading) {
    const unsure = text.startsWith(UNSURE)
    const value = amountIn(unsure ? text.slice(UNSURE.length) : text, reading.unit, length, reading.id)
    return value.ok
      ? ok({
          kind: 'reading',
          reading: reading.id,
          value: value.value,
          unit: reading.unit,
          instrument: reading.instrument,
          ...(unsure && { sure: false }),
        })
      : value
  }
  const seen = kit.seen.find((each) => each.shorthand === word)
  if (seen) return readSeen(seen, text)
  const adjuster = adjustersOf(kit, model).find((each) => each.shorthand === word)
  if (adjuster) {
    const last = args.at(-1)?.toLowerCase()
    const toEnd = last === 'end'
    const contact = CONTACTS.find((each) => each === last)
    const told = toEnd || contact ? args.slice(0, -1).join(' ') : text
    // Floated and left where the squeeze put it: no amount.
    const amount = told === '' && contact === 'float' ? '0' : told
    const value = amountIn(amount, adjuster.unit, length, adjuster.id)
    return value.ok
      ? ok({
          kind: 'turn',
          adjuster: adjuster.id,
          amount: value.value,
          unit: adjuster.unit,
          ...(toEnd && { endReached: true }),
          ...(contact && { from: { contact } }),
        })
      : value
  }
  const step = kit.steps.find((each) => each.shorthand === word)
  if (step) {
    const answer = text.toLowerCase()
    return answer === 'ok' || answer === 'no'
      ? ok({
          kind: 'confirm',
          step: step.id,
          ...(step.done.kind === 'confirmed' && step.done.count && { count: step.done.count }),
          ...(answer === 'no' && { well: false as const }),
        })
      : refuse(
          'not-understood',
          word,
          `“${word} ${text}”, ${step.title}: write “${word} ok” where it is well, “${word} no” where it is not.`,
        )
  }
  return readOther(word, args, length, kit)
}

/** What is seen, by the answer or by its first letters where no other begins with them. */
function readSeen({ id, title, shorthand, options }: SeenSpec, text: string): Outcome<EntryBody> {
  const typed = text.toLowerCase()
  const begun = options.filter((each) => typed !== '' && each.id.startsWith(typed))
  const exact =
    options.find((each) => each.id === typed || each.also?.includes(typed)) ??
    (begun.length === 1 ? begun[0] : undefined)
  return exact
    ? ok({ kind: 'reading', reading: id, value: exact.id, unit: '' })
    : refuse(
        'not-a-choice',
        shorthand,
        `“${shorthand} ${text}”, ${title}: accepted ${options.map((each) => each.id).join(', ')}.`,
      )
}

function readOther(word: string, args: readonly string[], length: LengthUnit, kit: Kit): Outcome<EntryBody> {
  const text = args.join(' ')
  if (word === 'sq') {
    const count = text === '' ? 10 : Number(text)
    return Number.isInteger(count) && count > 0 && count <= 200
      ? ok({ kind: 'confirm', step: SQUEEZES, count })
      : refuse('out-of-range', 'sq', `“sq ${text}”: accepted a whole number of squeezes, 1 to 200.`)
  }
  if (word === 'school') {
    const named = kit.schoolOf(args[0] ?? '')
    return named
      ? ok({ kind: 'swap', part: partOf(named.school), to: text })
      : refuse(
          text === '' ? 'missing' : 'unknown-school',
          'school',
          `${text === '' ? 'Which school?' : `There is no school “${text}”.`} Accepted: ${kit.schools
            .flatMap(({ options }) => options.map(({ id }) => id))
            .join(', ')}.`,
        )
  }
  if (word === 'loose') {
    const step = kit.loosenable[text.toLowerCase()]
    return step
      ? ok({ kind: 'confirm', step })
      : refuse('missing', 'loose', `“loose ${text}”: accepted ${Object.keys(kit.loosenable).join(', ')}.`)
  }
  if (word === 'swap') {
    const [part = '', ...to] = args
    return part === ''
      ? refuse('missing', 'swap', `Swap what? Accepted: ${kit.parts.join(', ')}.`)
      : ok({ kind: 'swap', part, to: to.join(' ') || 'new' })
  }
  if (word === 'stop') return readRun(args, length)
  if (word === 'maker') return readFigure(args, length)
  if (word === 'estimate' || word === 'spent') return readCost(word, args)
  if (word === 'torque') {
    const amountAt = args.findIndex((each) => /^[\d.,½¼¾]/.test(each))
    if (amountAt < 1) return refuse('missing', 'torque', 'Write the fastener and its torque: torque anchor 6.')
    const value = amountIn(args.slice(amountAt).join(' '), 'Nm', length, 'torque')
    return value.ok ? ok({ kind: 'torque', fastener: args.slice(0, amountAt).join(' '), valueNm: value.value }) : value
  }
  if (word === 'skip') {
    const [id = '', ...reason] = args
    const step = kit.steps.find((each) => each.shorthand === id || each.id === id)
    if (!step)
      return refuse(
        'unknown-step',
        'skip',
        `There is no step “${id}” to skip. Accepted: ${kit.steps
          .filter((each) => each.done.kind !== 'signed')
          .map((each) => each.shorthand ?? each.id)
          .join(', ')}.`,
      )
    return reason.length === 0
      ? refuse('reason-missing', 'skip', `Why is ${step.title} skipped? Write it behind: skip ${id} …`)
      : ok({ kind: 'skip', step: step.id, reason: reason.join(' ') })
  }
  const ofTheJob = OF_THE_JOB[word]
  if (ofTheJob) return ofTheJob(args, kit)
  if (word === 'release')
    return text === '' ? refuse('missing', 'release', 'Sign with initials or a number: release 7.') : readRelease(args)
  return text === ''
    ? refuse('missing', 'note', 'An empty note: write something behind it.')
    : ok({ kind: 'note', text })
}

/** What is said of the whole job, by its word. */
const OF_THE_JOB: Readonly<Record<string, (args: readonly string[], kit: Kit) => Outcome<EntryBody>>> = {
  close([initials = '', ...why]) {
    return why.length === 0
      ? refuse('missing', 'close', 'Sign and say why it is not to be ridden: close 7 rim worn through.')
      : ok({ kind: 'close', initials, why: why.join(' ') })
  },
  park(why) {
    return why.length === 0
      ? refuse('reason-missing', 'park', 'Parked for what? park hub bearings.')
      : ok({ kind: 'park', why: why.join(' ') })
  },
  complaint(words) {
    return words.length === 0
      ? refuse('missing', 'complaint', 'What does the rider complain of? complaint squeals since the rain.')
      : ok({ kind: 'complaint', ...understood(words.join(' ')) })
  },
  anew([word = ''], kit) {
    if (word === '' || word === 'all') return ok({ kind: 'anew' })
    const of = [...kit.readings, ...kit.seen].find(({ shorthand, id }) => shorthand === word || id === word)?.id
    return of
      ? ok({ kind: 'anew', of })
      : refuse('unknown-reading', 'anew', `There is no reading “${word}” to take anew. Write its word, or anew all.`)
  },
}

const isNumber = (token: string): boolean => /^[\d.,½¼¾]/.test(token)

/** `maker anchor 6 8`: one figure, or the lower and the upper, in the workshop’s own unit of torque. */
function readFigure(args: readonly string[], length: LengthUnit): Outcome<EntryBody> {
  const amountAt = args.findIndex(isNumber)
  if (amountAt < 1) return refuse('missing', 'maker', 'Write the fastener and its maker’s figure: maker anchor 6 8.')
  const figures: number[] = []
  for (const token of args
    .slice(amountAt)
    .join(' ')
    .split(/[\s–-]+/)
    .filter(isNumber)) {
    const value = amountIn(token, 'Nm', length, 'maker')
    if (!value.ok) return value
    figures.push(value.value)
  }
  const [lowNm = 0, highNm = lowNm] = figures
  return ok({ kind: 'figure', fastener: args.slice(0, amountAt).join(' ').toLowerCase(), lowNm, highNm })
}

/** `estimate 30 20 EUR`: minutes, money, currency. */
function readCost(word: 'estimate' | 'spent', args: readonly string[]): Outcome<EntryBody> {
  const [first = '', second = '', letters = ''] = args
  const minutes = parseNumber(first, 'minutes')
  const money = parseNumber(second, 'money')
  if (args.length !== 3 || !minutes.ok || !money.ok)
    return refuse(
      'not-understood',
      word,
      `“${word} ${args.join(' ')}”: write minutes, money and currency, ${word} 30 20 EUR.`,
    )
  const told = { minutes: minutes.value, currency: letters.toUpperCase() }
  return word === 'estimate'
    ? ok({ kind: 'estimate', ...told, cost: money.value })
    : ok({ kind: 'spent', ...told, labour: money.value, parts: [] })
}

const PHASES = ['before', 'after'] as const
const WAYS = ['out', 'back'] as const

/** `stop before out 25 6.8 wet`: when, which way, speed and distance in the workshop’s units or with their own. */
function readRun(args: readonly string[], length: LengthUnit): Outcome<EntryBody> {
  const phase = PHASES.find((each) => each === args[0])
  const direction = WAYS.find((each) => each === args[1])
  const [speed, distance, ...rest] = args
    .slice(2)
    .join(' ')
    .replace(/(\d)\s+(km\/h|kmh|mph|m\/s|m|ft|feet|metres)\b/gi, '$1$2')
    .split(' ')
  if (!phase || !direction || !speed || !distance)
    return refuse(
      'not-understood',
      'stop',
      `“stop ${args.join(' ')}”: write when, which way, speed and distance, stop before out 25 6.8.`,
    )
  const speedKmh = parseQuantity(speed, length === 'in' ? 'mph' : 'kmh', 'speedKmh')
  if (!speedKmh.ok) return speedKmh
  const distanceMm = parseQuantity(distance, length === 'in' ? 'ft' : 'm', 'distanceM')
  if (!distanceMm.ok) return distanceMm
  const surface = rest.find((each) => each === 'wet' || each === 'dry') as 'wet' | 'dry' | undefined
  return ok({
    kind: 'run',
    phase,
    direction,
    speedKmh: speedKmh.value,
    distanceM: distanceMm.value / 1000,
    ...(surface && { surface }),
  })
}

/** Initials, and behind them the day by which it is looked at again. */
function readRelease(args: readonly string[]): Outcome<EntryBody> {
  const last = args.at(-1) as string
  const dated = args.length > 1 && /^\d{4}-\d{2}-\d{2}$/.test(last)
  return ok({
    kind: 'release',
    initials: (dated ? args.slice(0, -1) : args).join(' '),
    ...(dated && { lookAgain: last }),
  })
}

/** A bare length is in the workshop's unit; everything is kept in canonical units. */
function amountIn(text: string, canonical: UnitId, length: LengthUnit, field: string): Outcome<number> {
  if (text === '') return refuse('missing', field, 'A number is missing behind the word.')
  const plain = text.replace(/^\+/, '')
  return parseQuantity(plain, shownUnit(canonical, length), field)
}
