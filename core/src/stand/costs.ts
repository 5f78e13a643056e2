import type { Entry, EntryOf, SpentPart } from './entries.ts'

/** What a job was expected to take and what it took. Money in the job’s one currency. */
export interface Costs {
  readonly currency: string | undefined
  /** As last told. */
  readonly estimate: EntryOf<'estimate'> | undefined
  readonly minutes: number
  readonly labour: number
  readonly parts: readonly SpentPart[]
  readonly partsCost: number
  readonly total: number
}

const sum = (values: readonly number[]): number => values.reduce((total, each) => total + each, 0)

/** Minutes, parts and money of a job, from the entries that stand. */
export function costsIn(standing: readonly Entry[]): Costs {
  const spent = standing.filter((entry) => entry.kind === 'spent')
  const estimate = standing.findLast((entry) => entry.kind === 'estimate')
  const parts = spent.flatMap((entry) => entry.parts)
  const labour = sum(spent.map((entry) => entry.labour))
  const partsCost = sum(parts.map(({ count, price }) => count * price))
  return {
    currency: (spent[0] ?? estimate)?.currency,
    estimate,
    minutes: sum(spent.map((entry) => entry.minutes)),
    labour,
    parts,
    partsCost,
    total: labour + partsCost,
  }
}

/** Money with its currency: “18.50 EUR”. */
export const showMoney = (amount: number, currency: string): string => `${amount.toFixed(2)} ${currency}`
