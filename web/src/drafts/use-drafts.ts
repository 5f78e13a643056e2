import type { Kit } from '@overhaul/core/brake/kit'
import { type Fault, type Outcome, ok } from '@overhaul/core/outcome/outcome'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { useKept } from '../data/use-kept.ts'
import { draftBody, roundToHand, stepOf, writeDraft } from './drafts.ts'

const NOTHING_TYPED: Readonly<Record<string, string>> = {}

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

/** What was typed, and what the brake had last been moved by when it was. */
interface Kept {
  readonly since: string
  readonly text: Readonly<Record<string, string>>
}

/** Drafts of one job; they survive a reload, but not a turn: what was typed before it was not measured after it. */
export function useDrafts(jobId: string, kit: Kit, length: LengthUnit, since: string): Drafts {
  const [kept, setKept] = useKept<Kept>(`overhaul.measured.${jobId}`, { since, text: {} })
  const text = kept.since === since ? kept.text : NOTHING_TYPED
  const setText = (change: (now: Readonly<Record<string, string>>) => Readonly<Record<string, string>>) =>
    setKept((now) => ({ since, text: change(now.since === since ? now.text : NOTHING_TYPED) }))
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
