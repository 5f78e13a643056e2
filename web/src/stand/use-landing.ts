import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { sayAct } from '@overhaul/core/run-sheet/say'
import { describe } from '@overhaul/core/stand/describe'
import { useEffect, useRef, useState } from 'react'
import { deviceId } from '../data/ids.ts'

/** A finger’s own keyboard would cover what is to be done. */
const byTouch = () => window.matchMedia('(pointer: coarse)').matches

/** Where a hand that has just written is led on from: the act, its gauges, the drawing and the tape; elsewhere it stays. */
const LEADS_ON = '[data-testid="next"], [data-reading], [data-tape], [aria-label^="Bench drawing"]'

/** The act’s own line. */
const lineNow = () => document.querySelector<HTMLElement>('[data-act]')

/** To the act’s own line, which is no control. */
export const toLine = (): void => lineNow()?.focus({ preventScroll: true })

/** The first number asked for, where there is one to type; else the act’s own line, which is no control. */
function land(job: Job, toFields: boolean): HTMLElement | null {
  const { next } = job
  const asksNumber = (next.kind === 'measure' || next.kind === 'mend') && job.kit.reading(next.readings[0] ?? '')
  const field = asksNumber && toFields && !byTouch() && document.querySelector<HTMLElement>('input[data-measure="0"]')
  const place = field || lineNow()
  place?.focus({ preventScroll: true })
  return place
}

/**
 * Where the hand is led after each of its own writes, and what is said, once, of what became new: an act, also where the advice
 * changed by itself, and what another screen wrote. Answers with the sentence, and with what is to be called before a write.
 */
export function useLanding(job: Job, length: LengthUnit): { said: string; expect: () => void } {
  const expected = useRef<'field' | 'line' | undefined>('field')
  const [said, setSaid] = useState('')
  const line = sayAct(job, job.next, length).line
  const seen = useRef({ line, last: job.state.lastSeq })
  useEffect(() => {
    const isNew = seen.current.line !== line
    const fromElsewhere = job.state.standing.filter(
      ({ seq = 0, device }) => seq > seen.current.last && device !== undefined && device !== deviceId(),
    )
    seen.current = { line, last: job.state.lastSeq }
    const heard = fromElsewhere.map(
      (entry) => `Written elsewhere: ${describe(entry, { kit: job.kit, model: job.model, length })}.`,
    )
    let place: HTMLElement | null = null
    if (expected.current) {
      const toFields = expected.current === 'field'
      expected.current = undefined
      const { activeElement } = document
      if (activeElement === document.body || activeElement?.closest(LEADS_ON)) place = land(job, toFields)
    }
    // Led to its line, the hand hears it there.
    const act = isNew && !place?.matches('[data-act]') ? [line] : []
    const sentences = [...heard, ...act]
    if (sentences.length > 0) setSaid(sentences.join(' '))
  }, [job, line, length])
  return {
    said,
    expect() {
      // From the tape, whose next line begins with a key, no field takes the letters; nor do they go on into the tape.
      const isOnTape = document.activeElement?.closest('[data-tape]')
      expected.current = isOnTape ? 'line' : 'field'
      if (isOnTape) toLine()
    },
  }
}
