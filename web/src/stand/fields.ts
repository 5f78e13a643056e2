/** Leads to a reading’s own field, in the card or on its gauge; one folded away is unfolded first. */
export function toField(reading: string): void {
  const field = document.querySelector<HTMLElement>(`[data-draft-of="${reading}"], [data-reading="${reading}"]`)
  const folded = field?.closest('[hidden]')
  folded?.parentElement?.querySelector<HTMLButtonElement>('button[slot="trigger"], h3 button')?.click()
  requestAnimationFrame(() => field?.focus())
}
