import type { Kit } from '@overhaul/core/brake/kit'
import { type Fault, type Outcome, ok } from '@overhaul/core/outcome/outcome'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { useKept } from '../data/use-kept.ts'
import { draftBody, roundToHand, stepOf, writeDraft } from './drafts.ts'

/** Readings typed, nudged or dragged but not yet in the log. Text as the hand wrote it, in the workshop's unit. */
export interface Drafts {
  readonly text: Readonly<Record<string, string>>
  readonly count: number
  readonly set: (reading: string, text: string) => void
  readonly setValue: (reading: string, value: number) => void
  readonly nudge: (reading: string, from: number | undefined, steps: number) => void
  readonly drop: (reading?: string) => void
  /** The draft as a canonical value, if it can be read as one. */
  readonly value: (reading: string) => number | undefined
  readonly bodies: () => Outcome<readonly EntryBody[]>
}

/** Drafts of one job; they survive a reload. */
export function useDrafts(jobId: string, kit: Kit, length: LengthUnit): Drafts {
  const [text, setText] = useKept<Readonly<Record<string, string>>>(`overhaul.drafts.${jobId}`, {})
  const set = (reading: string, draft: string) => setText((now) => ({ ...now, [reading]: draft }))
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
    set,
    setValue,
    value,
    nudge(reading, from, steps) {
      const spec = kit.reading(reading)
      if (spec) setValue(reading, (value(reading) ?? from ?? 0) + steps * stepOf(spec))
    },
    drop: (reading) =>
      setText((now) =>
        reading === undefined ? {} : Object.fromEntries(Object.entries(now).filter(([id]) => id !== reading)),
      ),
    bodies() {
      const bodies: EntryBody[] = []
      for (const [reading, draft] of Object.entries(text)) {
        if (draft.trim() === '') continue
        const body = draftBody(kit, reading, draft, length)
        if (!body.ok) return body as Outcome<never> & { error: Fault }
        bodies.push(body.value)
      }
      return ok(bodies)
    },
  }
}
