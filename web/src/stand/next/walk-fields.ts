import type { KeyboardEvent } from 'react'

/** The numbers a form asks for, in order. What is seen is chosen, not typed: nothing that types waits for it. */
const ASKED = 'input[data-measure]'

/**
 * Enter goes to the next empty field, and saves at the last: a caliper that types its readings walks through them by itself. For a
 * form’s `onKeyDown`.
 */
export function walkOnEnter(event: KeyboardEvent<HTMLFormElement>): void {
  const { target } = event
  if (event.key !== 'Enter' || event.defaultPrevented || !(target instanceof HTMLInputElement)) return
  const asked = [...event.currentTarget.querySelectorAll<HTMLInputElement>(ASKED)]
  const here = asked.indexOf(target)
  const next = here < 0 ? undefined : asked.slice(here + 1).find(({ value }) => value.trim() === '')
  if (!next) return
  event.preventDefault()
  next.focus()
}
