import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { costsIn } from '../../stand/costs.ts'
import type { EntryBody } from '../../stand/entries.ts'
import type { Stand } from '../stand.ts'

const MOST_MINUTES = 10_000
const MOST_MONEY = 1_000_000

/** Minutes and money of a job: all of it in one currency. */
export function admitCost({ state }: Stand, entry: EntryBody & { kind: 'estimate' | 'spent' }): Outcome<EntryBody> {
  const { minutes, currency } = entry
  const money = entry.kind === 'estimate' ? entry.cost : entry.labour
  if (!(minutes >= 0 && minutes <= MOST_MINUTES))
    return refuse('out-of-range', 'minutes', `${minutes} minutes. Accepted: 0 to ${MOST_MINUTES}.`)
  if (!(money >= 0 && money <= MOST_MONEY))
    return refuse(
      'out-of-range',
      entry.kind === 'estimate' ? 'cost' : 'labour',
      `${money} ${currency}. Accepted: 0 to ${MOST_MONEY}.`,
    )
  if (!/^[A-Z]{3}$/.test(currency))
    return refuse(
      'not-a-choice',
      'currency',
      `The currency is “${currency}”. Accepted: its three letters by ISO 4217, for example EUR.`,
    )
  const other = costsIn(state.standing).currency
  if (other !== undefined && other !== currency)
    return refuse('other-currency', 'currency', `This job is kept in ${other}, not ${currency}. Accepted: ${other}.`)
  const parts = entry.kind === 'spent' ? entry.parts : []
  const wrong = parts.find(({ count, price }) => !(Number.isInteger(count) && count > 0 && price >= 0))
  if (wrong)
    return refuse(
      'out-of-range',
      'parts',
      `${wrong.count} × ${wrong.name} at ${wrong.price} ${currency}. Accepted: whole pieces, a price of 0 or more.`,
    )
  return minutes > 0 || money > 0 || parts.length > 0
    ? ok(entry)
    : refuse('missing', 'minutes', 'Nothing is told. Accepted: minutes, money or parts.')
}
