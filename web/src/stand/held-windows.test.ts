import { expectOk } from '@overhaul/core/outcome/outcome'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { confirm, HARDWARE, measured, PREPARED, written } from '@overhaul/core/testing/stand'
import { openJob } from '@overhaul/core/workshop/open'
import { describe, expect, it } from 'vitest'
import { heldFor } from './held-windows.ts'

const SQUEEZED = confirm('squeezes', 10)
const job = (...bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...PREPARED, SQUEEZED, ...bodies)))

describe('windows under an open draft', () => {
  const before = job(...measured(1.2, 1.9, 27))
  const after = job(...measured(1.2, 1.9, 27), ...measured(1.3, 1.9, 20))

  it('stand still though another screen logs a reading', () => {
    expect(after.windows).not.toEqual(before.windows)
    const typing = heldFor(heldFor(undefined, before, true), after, true)
    expect(typing.windows).toBe(before.windows)
  })

  it('follow once the draft is saved or dropped', () => {
    expect(heldFor(heldFor(undefined, before, true), after, false).windows).toBe(after.windows)
  })

  it('move at once when another school is chosen', () => {
    const chosen = job(...measured(1.2, 1.9, 27), { kind: 'swap', part: 'school.bite', to: 'gap 0.9' })
    expect(heldFor(heldFor(undefined, before, true), chosen, true).windows).toBe(chosen.windows)
  })
})
