import type { Kit } from '@overhaul/core/brake/kit'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { type KeyboardEvent, useState } from 'react'
import { useKept } from '../data/use-kept.ts'
import { draftBody, type Read, readDrafts, roundToHand, stepOf, writeDraft } from './drafts.ts'

type Texts = Readonly<Record<string, string>>
const NOTHING: Texts = {}

const STEPS_OF: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1 }

/** Readings typed, nudged or dragged but not yet in the log. Text as the hand wrote it, in the workshop's unit. */
export interface Drafts {
  readonly text: Texts
  readonly count: number
  /** What was found wrong with one of them, and what would be accepted; gone once it is written anew. */
  readonly faults: Texts
  readonly set: (reading: string, text: string) => void
  readonly setValue: (reading: string, value: number) => void
  /** An arrow key up or down in a reading’s field: a step of the hand, from what is typed, else from what was last read. */
  readonly nudgeOn: (event: KeyboardEvent, reading: string, from: number | undefined) => void
  readonly drop: (...readings: readonly string[]) => void
  readonly blame: (faults: Texts) => void
  /** The draft as a canonical value, if it can be read as one. */
  readonly value: (reading: string) => number | undefined
  /** All of them as the entries they would be; those that cannot be read by themselves. */
  readonly read: () => Read
}

/** What was typed, and what the brake had last been moved by when it was. */
interface Kept {
  readonly since: string
  readonly text: Texts
}

const without = (texts: Texts, ids: readonly string[]): Texts =>
  Object.fromEntries(Object.entries(texts).filter(([id]) => !ids.includes(id)))

/** Drafts of one job; they survive a reload, but not a turn: what was typed before it was not measured after it. */
export function useDrafts(jobId: string, kit: Kit, length: LengthUnit, since: string): Drafts {
  const [kept, setKept] = useKept<Kept>(`overhaul.measured.${jobId}`, { since, text: {} })
  const [faults, setFaults] = useState<Texts>(NOTHING)
  const text = kept.since === since ? kept.text : NOTHING
  const setText = (change: (now: Texts) => Texts) =>
    setKept((now) => ({ since, text: change(now.since === since ? now.text : NOTHING) }))
  const set = (reading: string, draft: string) => {
    setText((now) => ({ ...now, [reading]: draft }))
    setFaults((now) => without(now, [reading]))
  }
  const value = (reading: string): number | undefined => {
    const draft = text[reading]
    const body = draft === undefined || draft.trim() === '' ? undefined : draftBody(kit, reading, draft, length)
    return body?.ok && body.value.kind === 'reading' && typeof body.value.value === 'number'
      ? body.value.value
      : undefined
  }
  const setValue = (reading: string, raw: number) => {
    const spec = kit.reading(reading)
    if (!spec) return
    set(reading, writeDraft(kit, spec, roundToHand(raw, spec), length))
  }
  return {
    text,
    count: Object.values(text).filter((draft) => draft.trim() !== '').length,
    faults,
    set,
    setValue,
    value,
    nudgeOn(event, reading, from) {
      const steps = STEPS_OF[event.key]
      const spec = kit.reading(reading)
      if (steps === undefined) return
      event.preventDefault()
      if (spec) setValue(reading, (value(reading) ?? from ?? 0) + steps * stepOf(spec))
    },
    drop(...readings) {
      setText((now) => without(now, readings))
      setFaults((now) => without(now, readings))
    },
    blame: setFaults,
    read: () => readDrafts(kit, text, length),
  }
}
