import { showMoney } from '../costs.ts'
import type { KindSpec } from '../entry-kind.ts'
import { number, text } from '../fields.ts'

export const fields = { minutes: number(), cost: number(), currency: text(3) }

/** What the work was expected to take, told before it. */
export const estimate: KindSpec<'estimate'> = {
  say: ({ minutes, cost, currency }) => `estimate: ${minutes} min, ${showMoney(cost, currency)}`,
  station: () => undefined,
}
