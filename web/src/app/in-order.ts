const NUMBERS = new Intl.Collator('en', { numeric: true })

/** Names in order, the numbers in them by their size: M6 × 8 before M6 × 16, Hire 2 before Hire 10. */
export const byName = (a: { readonly name: string }, b: { readonly name: string }): number =>
  NUMBERS.compare(a.name, b.name)
