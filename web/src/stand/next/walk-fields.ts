import type { KeyboardEvent } from 'react'

/** What is to be filled in a form, in order: a field, or the answers of one question. */
const ASKED = '[data-measure]'

const isEmpty = (asked: Element): boolean =>
  asked instanceof HTMLInputElement ? asked.value.trim() === '' : asked.querySelector('input:checked') === null

const fieldOf = (asked: Element): HTMLElement | null =>
  asked instanceof HTMLElement && asked.matches('input') ? asked : asked.querySelector<HTMLElement>('input')

/**
 * Enter goes to the next empty field, and saves at the last: a caliper that types its readings walks through them by itself. For a
 * form’s `onKeyDown`.
 */
export function walkOnEnter(event: KeyboardEvent<HTMLFormElement>): void {
  const { target } = event
  if (event.key !== 'Enter' || event.defaultPrevented || !(target instanceof HTMLInputElement)) return
  const asked = [...event.currentTarget.querySelectorAll(ASKED)]
  const here = asked.findIndex((each) => each === target || each.contains(target))
  if (here < 0) return
  const next = asked.slice(here + 1).find(isEmpty)
  const field = next && fieldOf(next)
  if (!field) return
  event.preventDefault()
  field.focus()
}
