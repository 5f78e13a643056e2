import { useEffect, useState } from 'react'

const fieldOf = (at: EventTarget | null): string | undefined =>
  at instanceof HTMLElement
    ? (at.dataset.draftOf ?? at.closest<HTMLElement>('[data-reading]')?.dataset.reading)
    : undefined

/** The reading whose field has the focus. */
export function useFieldInHand(): string | undefined {
  const [field, setField] = useState<string>()
  useEffect(() => {
    const into = (event: FocusEvent) => setField(fieldOf(event.target))
    const outOf = (event: FocusEvent) => event.relatedTarget === null && setField(undefined)
    document.addEventListener('focusin', into)
    document.addEventListener('focusout', outOf)
    return () => {
      document.removeEventListener('focusin', into)
      document.removeEventListener('focusout', outOf)
    }
  }, [])
  return field
}
