import { readSchool } from '../../brake/school.ts'
import type { KindSpec } from '../entry-kind.ts'
import { remark, word } from '../fields.ts'

export const fields = { part: word, to: remark(200) }

/** A part replaced, or another school chosen. */
export const swap: KindSpec<'swap'> = {
  fact: (entry) => `swap:${entry.part}`,
  fold(draft, entry, kit) {
    const school = kit.schoolAt(entry.part)
    const chosen = school && readSchool(school, entry.to)
    if (school && chosen?.ok) draft.schools[school.id] = chosen.value
  },
  say(entry, { kit }) {
    const school = kit.schoolAt(entry.part)
    if (!school) return `${entry.part} replaced: ${entry.to}`
    const [word = '', amount] = entry.to.split(' ')
    const option = school.options.find((each) => each.id === word)
    return option?.amount || amount
      ? `${school.title} school ${entry.to}`
      : `${school.title}: ${option?.title ?? entry.to}`
  },
  station: (entry, kit) => kit.steps.find(({ mends }) => mends?.includes(entry.part))?.station,
}
