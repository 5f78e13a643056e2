import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import type { Entry } from '../stand/entries.ts'
import { openStand } from '../workshop/open.ts'
import { outWords } from './status.ts'

const HARDWARE = { family: 'linear-pull', end: 'rear', dimensions: {} } as const
const read = (reading: string, value: number, seq: number): Entry => ({
  id: `${reading}${seq}`,
  seq,
  at: '2026-03-01T09:00:00.000Z',
  by: '3',
  kind: 'reading',
  reading,
  value,
  unit: 'mm',
})
const standWith = (gapLeft: number) =>
  expectOk(openStand(HARDWARE, [read('gapRight', 1.5, 1), read('biteTravel', 20, 2), read('gapLeft', gapLeft, 3)]))

describe('a reading out of its window, in words', () => {
  const { low, high } = standWith(1.5).windows.of.gapLeft ?? { low: Number.NaN, high: Number.NaN }

  it('says the limit it is off by', () => {
    expect(outWords(standWith(high + 0.5), 'gapLeft')).toBe(
      `gap left ${(high + 0.5).toFixed(1)} mm, at most ${high.toFixed(1)} mm`,
    )
    expect(outWords(standWith(low - 0.3), 'gapLeft')).toBe(
      `gap left ${(low - 0.3).toFixed(1)} mm, at least ${low.toFixed(1)} mm`,
    )
    expect(outWords(standWith((low + high) / 2), 'gapLeft')).toBeUndefined()
  })

  // Nobody feels a hundredth: a limit that reads the same as the reading would be taken for a mistake.
  it('off by less than is shown, it says so', () => {
    const shown = (value: number) => Number(value.toFixed(1))
    const over = [0.001, 0.01, 0.02, 0.04].map((by) => high + by).find((value) => shown(value) === shown(high)) ?? high
    const under = [0.001, 0.01, 0.02, 0.04].map((by) => low - by).find((value) => shown(value) === shown(low)) ?? low
    expect(outWords(standWith(over), 'gapLeft')).toBe(`gap left ${high.toFixed(1)} mm, just over its window`)
    expect(outWords(standWith(under), 'gapLeft')).toBe(`gap left ${low.toFixed(1)} mm, just under its window`)
  })
})
