import { SYMPTOMS } from '@overhaul/core/bench/symptoms'
import type { Kit } from '@overhaul/core/brake/kit'
import { STATIONS } from '@overhaul/core/brake/station'
import { asksFor, type Circumstances, type Say } from '@overhaul/core/brake/step'
import { CALCULATIONS } from '@overhaul/core/calculations/registry'
import { CAUTIONS } from '@overhaul/core/reference/cautions'
import { TERMS } from '@overhaul/core/reference/terms'
import { TORQUES } from '@overhaul/core/reference/torques'
import { upper } from '@overhaul/core/stand/words'

/** Before anything of the brake is known, all of it to be done. */
const NOWHERE: Circumstances = {
  end: 'rear',
  work: 'fit',
  number: () => undefined,
  seen: () => undefined,
  school: () => undefined,
  way: () => undefined,
  cableAnew: true,
  loosened: () => true,
  happened: () => true,
  ill: () => true,
  shaken: () => true,
  loosensWheel: true,
  swapped: () => true,
  trait: () => undefined,
}
export const saidOf = (say: Say | undefined): string =>
  say === undefined ? '' : typeof say === 'string' ? say : say(NOWHERE)

/** Something one can look up: where it stands, and the words it is found by. */
export interface Found {
  readonly kind: string
  readonly title: string
  readonly to: string
  readonly text: string
}

/** Pages beside stations and calculations, in the order of the index. */
export const PAGES = [
  { id: 'symptoms', title: 'What is the matter' },
  { id: 'schools', title: 'Schools' },
  { id: 'torque', title: 'Torque' },
  { id: 'cautions', title: 'Cautions' },
  { id: 'words', title: 'Words' },
  { id: 'tape', title: 'The tape’s words' },
] as const

/** All that the handbook holds for one kind of brake. */
export function entriesOf(kit: Kit): readonly Found[] {
  const station = (id: string) => `/handbook/station/${id}`
  return [
    ...STATIONS.map(({ id, title }) => ({ kind: 'station', title, to: station(id), text: '' })),
    ...kit.steps.map((step) => ({
      kind: 'step',
      title: step.title,
      to: `${station(step.station)}#${step.id}`,
      text: `${saidOf(step.say)} ${saidOf(step.more)} ${step.why}`,
    })),
    ...kit.readings.map(({ id, title, how, shorthand }) => ({
      kind: 'reading',
      title,
      to: `${station(kit.steps.find((step) => asksFor(step).includes(id))?.station ?? 'bite')}#${id}`,
      text: `${how} ${shorthand}`,
    })),
    ...kit.schools.map(({ id, title, options }) => ({
      kind: 'school',
      title,
      to: `/handbook/schools#${id}`,
      text: options.map((each) => `${each.title} ${each.says ?? ''}`).join(' '),
    })),
    ...CALCULATIONS.map(({ id, title, summary }) => ({
      kind: 'calculation',
      title,
      to: `/handbook/calculation/${id}`,
      text: `${id} ${summary}`,
    })),
    ...TERMS.map(({ id, term, says, also = [] }) => ({
      kind: 'word',
      title: term,
      to: `/handbook/words#${id}`,
      text: `${says} ${also.join(' ')}`,
    })),
    ...Object.values(TORQUES).map(({ fastener, rule }) => ({
      kind: 'torque',
      title: fastener,
      to: '/handbook/torque',
      text: rule,
    })),
    ...SYMPTOMS.map(({ id, says, leads }) => ({
      kind: 'complaint',
      title: upper(says),
      to: `/handbook/symptoms#${id}`,
      text: leads.map(({ to }) => to).join(' '),
    })),
    ...Object.values(CAUTIONS).map(({ id, text }) => ({
      kind: 'caution',
      title: text,
      to: `/handbook/cautions#${id}`,
      text: '',
    })),
  ]
}

/** What matches every word sought, a title before a text, a beginning before a middle. */
export function seek(entries: readonly Found[], sought: string): readonly Found[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return []
  const rank = ({ title, text }: Found): number => {
    const [name, rest] = [title.toLowerCase(), text.toLowerCase()]
    if (!words.every((word) => name.includes(word) || rest.includes(word))) return -1
    if (words.every((word) => name.includes(word))) return name.startsWith(words[0] as string) ? 3 : 2
    return 1
  }
  return entries
    .map((entry, index) => ({ entry, index, rank: rank(entry) }))
    .filter((each) => each.rank > 0)
    .sort((a, b) => b.rank - a.rank || a.index - b.index)
    .map(({ entry }) => entry)
}
