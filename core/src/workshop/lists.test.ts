import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import type { Family, Track } from '../brake/family.ts'
import type { Kit } from '../brake/kit.ts'
import { asksFor, type Step } from '../brake/step.ts'
import { CAUTIONS } from '../reference/cautions.ts'
import type { EntryBody } from '../stand/entries.ts'
import { workChosen } from '../stand/work-chosen.ts'
import { walk } from '../testing/hand.ts'
import { FAMILIES } from './families.ts'

/**
 * All that is said at a brake, in the order it is said: one list a family, kept beside this test.
 * A change of a sentence, or of the order, is seen in the list and read there as a mechanic would.
 */

/** A job as it begins: what it is for. */
interface Start {
  readonly title: string
  readonly start: readonly EntryBody[]
}

const startsOf = (family: Family): readonly Start[] =>
  family.works.map(({ id, title, says }) => ({ title: `${title}: ${says}`, start: workChosen(family.works, id) }))

const answers = (kit: Kit, step: Step): readonly string[] => {
  if (step.done.kind === 'confirmed')
    return [`    well: ${step.done.well}`, `    ill: ${step.done.ill}. ${step.done.remedy}`]
  return asksFor(step).flatMap((id) => {
    const seen = kit.seeing(id)
    const reading = kit.reading(id)
    return seen
      ? [
          `    ${seen.title}: ${seen.how}`,
          ...seen.options.map(({ title, remedy }) => `      ${title}${remedy ? `: ${remedy}` : ''}`),
        ]
      : reading
        ? [`    ${reading.title}, ${reading.unit}: ${reading.how}`]
        : []
  })
}

const wholly = (kit: Kit, step: Step): readonly string[] => [
  `  ${step.id}: ${step.title}`,
  `    why: ${step.why}`,
  ...answers(kit, step),
  ...step.cautions.map((id) => `    caution: ${CAUTIONS[id].text}`),
  ...(step.whenOut ? [`    out: ${step.whenOut}`] : []),
  ...(step.maySkip ? [`    skipped: ${step.maySkip}`] : []),
  ...(step.mayLeave ? [`    left: ${step.mayLeave}`] : []),
]

/** What is said in each job in the order of the sheet, then once what stands behind each step. */
function listed(family: Family): string {
  const kit = kitOf(family)
  const walked = startsOf(family).map(({ title, start }) => ({
    title,
    asked: walk({ family: family.id, end: 'rear', dimensions: {}, practiceSeed: 5 }, start).asked,
  }))
  const once = new Map(walked.flatMap(({ asked }) => asked.map((step) => [step.id, step] as const)))
  return [
    family.title,
    '',
    ...walked.flatMap(({ title, asked }) => [
      title,
      ...asked.map(({ station, id, say, more }) => `  ${station}, ${id}: ${say}${more ? ` / ${more}` : ''}`),
      '',
    ]),
    'behind each step',
    ...[...once.values()].flatMap((step) => wholly(kit, step)),
    '',
    ...[...(family.opens ? [family.opens] : []), ...(family.wheelCloses ?? [])],
    '',
  ].join('\n')
}

/** What another brake has, or does: said here it would send the hand to something that is not there. */
const RIM = /\b(rim’s|rims?|tyre|toe-in|straddle|guide pipe|boss(es)?|rubber)\b/i
const ROTOR = /\b(rotors?|split pin|knobs?)\b/i
const DRUM = /\b(drum|linings?|brake plate|reaction arm|cone adjuster)\b/i
const FOREIGN: Readonly<Record<Track, readonly RegExp[]>> = {
  rim: [ROTOR, DRUM],
  rotor: [RIM, DRUM, /\bunhook/i],
  drum: [ROTOR, /\b(toe-in|straddle|guide pipe|boss(es)?|rubber|quick-release|caliper|pads?)\b/i],
}
/** Play is measured at a drum’s rim too, for its leverage; the station is called alike at all brakes. */
const OWN = /play at the rim|how far it goes, at the rim|^ {2}pads, /gim

/** Walked once for both tests. */
const lists = new Map<string, string>()
function listOf(family: Family): string {
  const made = lists.get(family.id) ?? listed(family)
  lists.set(family.id, made)
  return made
}

describe.each(FAMILIES.map((family) => [family.id, family] as const))('what is said at a %s brake', (id, family) => {
  it('is as its list has it', async () => {
    await expect(listOf(family)).toMatchFileSnapshot(`lists/${id}.txt`)
  })

  it('belongs to it, and to no other brake', () => {
    const said = listOf(family).replace(OWN, '').split('\n')
    const others = FOREIGN[family.track].flatMap((words) => said.filter((line) => words.test(line)))
    expect([...new Set(others)]).toEqual([])
  })
})
