import type { OnStand } from '../../brake/on-stand.ts'
import { STACK_WAYS } from './ways.ts'

const mm = (value: number | undefined) => `${(value ?? 0).toFixed(1)} mm`

/** What lies between mount and caliper, before and after, for the sheet. */
export function stackLines({ plan, number }: OnStand): readonly string[] {
  const chosen = plan('stack')
  const before =
    number('bracketRise') === undefined
      ? []
      : [`As found: bracket ${mm(number('bracketRise'))}, spacers ${mm(number('spacersUnder'))}.`]
  if (!chosen) return before
  const { figures = {}, parts, to } = chosen
  const way = STACK_WAYS.find(({ id }) => id === to)?.title ?? to
  const bolts = [
    `caliper bolts ${mm(figures.caliperBoltMm)}`,
    ...(figures.bracketBoltMm === undefined ? [] : [`bracket bolts ${mm(figures.bracketBoltMm)}`]),
  ]
  return [
    ...before,
    `Now: ${way}; bracket ${mm(figures.bracketMm)}, spacers ${mm(figures.spacersMm)}, ${bolts.join(', ')}.`,
    ...(parts.length > 0 ? [`Parts: ${parts.map(({ count, name }) => `${count} × ${name}`).join(', ')}.`] : []),
  ]
}
