import type { Kit } from '../../brake/kit.ts'
import type { KindSpec } from '../entry-kind.ts'
import { figures, list, name, number, optional, record, text, word } from '../fields.ts'

export const fields = {
  plan: word,
  to: word,
  parts: list(
    record({
      name: name(120),
      count: number({ whole: true, least: 1, most: 100 }),
      /** Where the drawer holds it. */
      partId: optional(text(80)),
    }),
    20,
  ),
  /** The cautions that were read. */
  acknowledged: list(word, 20),
  /** What was chosen, in numbers, where a way alone does not tell it: it can be judged again without the drawer. */
  figures: optional(figures(-1000, 1000, 20)),
}

/** “Bracket and spacers: on a bracket”. */
function titleOf({ family }: Kit, plan: string, to: string): string {
  const spec = family.plans.find(({ id }) => id === plan)
  return `${spec?.title ?? plan}: ${spec?.ways.find(({ id }) => id === to)?.title ?? to}`
}

/** A way chosen, with what it takes from the drawer. */
export const plan: KindSpec<'plan'> = {
  fact: (entry) => `plan:${entry.plan}`,
  fold(draft, entry) {
    draft.plans[entry.plan] = { value: entry, entry, status: 'current' }
  },
  say({ plan, to, parts }, { kit }) {
    const taken = parts.map(({ count, name }) => (count > 1 ? `${count} × ${name}` : name)).join(', ')
    return `${titleOf(kit, plan, to)}${parts.length > 0 ? ` with ${taken}` : ''}`
  },
  station: (entry, kit) => kit.steps.find(({ done }) => done.kind === 'planned' && done.plan === entry.plan)?.station,
}
