import { adjustersOf, type Kit } from '../brake/kit.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { ReadingSpec } from '../brake/reading.ts'
import { STATIONS } from '../brake/station.ts'

/** A word the tape understands. */
export interface Word {
  readonly word: string
  readonly means: string
  /** How it is written, shown while typing. */
  readonly form: string
}

/** The brake a tape is written at. */
export interface Written {
  readonly kit: Kit
  readonly model: BrakeModel
}

/** Words that swallow the rest of the line. */
export const REST: ReadonlySet<string> = new Set([
  'note',
  'skip',
  'release',
  'close',
  'park',
  'complaint',
  'anew',
  'estimate',
  'spent',
  'stop',
  'allsound',
])

/** A value of the size that is met, where nothing better is known: the middle of what is accepted, by ratio. */
export const usualValue = ({ min, max, sd }: ReadingSpec): number =>
  min > 0 ? Math.sqrt(min * max) : max / (sd >= 1 ? 4 : 8)

const writeUsual = (spec: ReadingSpec): string => usualValue(spec).toFixed(spec.sd >= 1 ? 0 : 1)

const readingWords = ({ readings }: Kit): readonly Word[] =>
  readings.map((spec) => ({
    word: spec.shorthand,
    means: spec.title,
    form: `${spec.shorthand} ${spec.unit === 'turn' ? '1 1/2' : writeUsual(spec)}`,
  }))

const seenWords = ({ seen }: Kit): readonly Word[] =>
  seen.map(({ shorthand, title, options }) => ({
    word: shorthand,
    means: title,
    form: `${shorthand} ${options.map((each) => each.id).join(' | ')}`,
  }))

const adjusterWords = ({ kit, model }: Written): readonly Word[] =>
  adjustersOf(kit, model).map(({ shorthand, title, unit, plus, minus }) => ({
    word: shorthand,
    means: title,
    form: `${shorthand} ${unit === 'turn' ? '+1/2' : '+2'} (+ ${plus.toLowerCase()}, − ${minus.toLowerCase()})`,
  }))

const stepWords = ({ steps }: Kit): readonly Word[] =>
  steps.flatMap(({ shorthand, title }) =>
    shorthand ? [{ word: shorthand, means: title, form: `${shorthand} ok | no` }] : [],
  )

const otherWords = ({ schools, loosenable, parts, family: { fasteners } }: Kit): readonly Word[] => [
  { word: 'allsound', means: 'all of the card in hand is sound', form: 'allsound | allsound but hub no' },
  { word: 'sq', means: 'squeezed', form: 'sq 10' },
  {
    word: 'school',
    means: schools.map(({ title }) => title).join(', '),
    form: `school ${schools
      .flatMap(({ options }) => options.map(({ id, amount }) => (amount?.unit === 'mm' ? `${id} ${amount.usual}` : id)))
      .join(' | ')}`,
  },
  { word: 'swap', means: 'part replaced', form: parts.map((part) => `swap ${part}`).join(' | ') },
  { word: 'loose', means: 'loosened', form: `loose ${Object.keys(loosenable).join(' | ')}` },
  { word: 'torque', means: 'fastener tightened', form: 'torque anchor 6' },
  {
    word: 'maker',
    means: 'the maker’s figure of a fastener',
    form: `maker ${fasteners[0]?.id ?? 'anchor'} 6 8`,
  },
  { word: 'estimate', means: 'what it will take: minutes and money', form: 'estimate 30 20 EUR' },
  { word: 'spent', means: 'what it took: minutes and money', form: 'spent 25 15 EUR' },
  {
    word: 'stop',
    means: 'a stop ridden, before or after the work',
    form: 'stop before out 25 6.8 | stop after back 24 5.9 wet',
  },
  { word: 'skip', means: 'skip a step, with a reason', form: 'skip spin no wheel fitted' },
  { word: 'note', means: 'a note', form: 'note …' },
  { word: 'release', means: 'sign the job', form: 'release 7 | release 7 2027-05-26 (look again)' },
  { word: 'complaint', means: 'what the rider complains of', form: 'complaint squeals since the rain' },
  { word: 'anew', means: 'read anew what is kept from an earlier visit', form: 'anew lp | anew all' },
  { word: 'park', means: 'let the job wait, not to be ridden, for another bench or a part', form: 'park hub bearings' },
  { word: 'close', means: 'end the job unreleased, not to be ridden', form: 'close 7 rim worn through' },
]

/** Everything the tape understands on this brake. The shorthand is part of the product's interface. */
export const vocabulary = ({ kit, model }: Written): readonly Word[] => [
  ...readingWords(kit),
  ...seenWords(kit),
  ...adjusterWords({ kit, model }),
  ...stepWords(kit),
  ...otherWords(kit),
]

export interface WordGroup {
  readonly title: string
  readonly words: readonly Word[]
}

/** The words of this brake in working order: what each station asks for, what is turned, and the rest. */
export function wordsByStation({ kit, model }: Written): readonly WordGroup[] {
  const taken = new Map([...kit.readings, ...kit.seen].map(({ id, shorthand }) => [id, shorthand]))
  const stationOf = new Map<string, string>()
  for (const { station, shorthand, done } of kit.steps) {
    const asked =
      'readings' in done
        ? [...done.readings, ...(done.optional ?? [])]
        : done.kind === 'dialled-in'
          ? [...model.needed, ...(kit.family.dial.beside ? [kit.family.dial.beside] : [])]
          : []
    for (const word of [shorthand, ...asked.map((id) => taken.get(id))])
      if (word !== undefined && !stationOf.has(word)) stationOf.set(word, station)
  }
  const placed = [...stepWords(kit), ...readingWords(kit), ...seenWords(kit)]
  const groups: readonly WordGroup[] = [
    ...STATIONS.map(({ id, title }) => ({ title, words: placed.filter(({ word }) => stationOf.get(word) === id) })),
    { title: 'Turns', words: adjusterWords({ kit, model }) },
    { title: 'At any time', words: [...placed.filter(({ word }) => !stationOf.has(word)), ...otherWords(kit)] },
  ]
  return groups.filter(({ words }) => words.length > 0)
}

/** Words so much alike that one is easily written for the other. The old ones stay: both meanings are shown. */
const TWINS: readonly (readonly [string, string])[] = [
  ['bolt', 'bolts'],
  ['squeeze', 'sq'],
  ['run', 'rrun'],
  ['pad', 'pads'],
  ['lr', 'ls'],
]

/** The words of this brake that are easily written for this one. */
export function twinsOf(word: string, known: readonly Word[]): readonly Word[] {
  const twins = TWINS.flatMap((pair) => (pair.includes(word) ? pair.filter((each) => each !== word) : []))
  return known.filter((each) => twins.includes(each.word))
}

/** Words that could complete what is being typed at the end of the line, and those easily written for them. */
export function complete(text: string, at: Written): readonly Word[] {
  const tail = /(?:^|\s)(\S*)$/.exec(text)?.[1]?.toLowerCase() ?? ''
  const started = text.trim().split(/\s+/)[0] ?? ''
  if (tail === '' || /^[\d+\-−.,/]/.test(tail) || (REST.has(started) && text.trim() !== started)) return []
  const known = vocabulary(at)
  const begun = known.filter(({ word }) => word.startsWith(tail))
  const twins = twinsOf(tail, known)
  return [...begun, ...twins.filter((each) => !begun.includes(each))]
}

const GLUED = /^([a-z]+)([+\-−.,\d½¼¾⅛⅜⅝⅞⅓⅔].*)$/i
const LONGEST_TITLE = 5

/** The line as words and amounts: titles written out become their shorthand, `gl=1.4` and `gl1.4` fall apart into two. */
export function tokensOf(text: string, known: readonly Word[]): readonly string[] {
  const words = new Set(known.map(({ word }) => word))
  const titled = new Map(known.map(({ word, means }) => [means.toLowerCase(), word]))
  const written = text.trim().split(/\s+/).filter(Boolean)
  const rest = written.findIndex((token) => REST.has(token.toLowerCase()))
  const tokens = (rest < 0 ? written : written.slice(0, rest)).flatMap((token) =>
    token.split(/(?<=[a-z])[=:]/i).filter(Boolean),
  )
  const out: string[] = []
  for (let at = 0; at < tokens.length; at += 1) {
    const token = tokens[at] as string
    const title = titleAt(tokens, at, titled)
    if (title && (title.length > 1 || !words.has(token.toLowerCase()))) {
      out.push(title.word)
      at += title.length - 1
    } else out.push(...fallenApart(token, words))
  }
  return rest < 0 ? out : [...out, ...written.slice(rest)]
}

function titleAt(tokens: readonly string[], at: number, titled: ReadonlyMap<string, string>) {
  for (let length = Math.min(LONGEST_TITLE, tokens.length - at); length > 0; length -= 1) {
    const word = titled.get(
      tokens
        .slice(at, at + length)
        .join(' ')
        .toLowerCase(),
    )
    if (word !== undefined) return { word, length }
  }
  return undefined
}

function fallenApart(token: string, words: ReadonlySet<string>): readonly string[] {
  if (words.has(token.toLowerCase())) return [token]
  const glued = GLUED.exec(token)
  return glued && words.has((glued[1] as string).toLowerCase()) ? [glued[1] as string, glued[2] as string] : [token]
}
