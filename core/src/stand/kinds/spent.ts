import { showMoney } from '../costs.ts'
import type { KindSpec } from '../entry-kind.ts'
import { list, name, number, record, text } from '../fields.ts'

export const fields = {
  minutes: number(),
  labour: number(),
  currency: text(3),
  parts: list(
    record({
      name: name(120),
      count: number({ whole: true, least: 1, most: 1000 }),
      /** Of one of it. */
      price: number({ least: 0, most: 1_000_000 }),
    }),
    40,
  ),
}

/** What it took: minutes, what they cost, and parts; several add up. */
export const spent: KindSpec<'spent'> = {
  say: ({ minutes, labour, currency, parts }) =>
    [
      `spent: ${minutes} min, ${showMoney(labour, currency)}`,
      ...parts.map(({ name, count, price }) => `${count} × ${name} at ${showMoney(price, currency)}`),
    ].join('; '),
  station: () => undefined,
}
