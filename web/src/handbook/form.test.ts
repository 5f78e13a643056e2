import { CALCULATIONS } from '@overhaul/core/calculations/registry'
import { describe, expect, it } from 'vitest'
import { asText, fromText } from './form.ts'
import { sweepOf } from './sweep.ts'

describe.each(CALCULATIONS.map((each) => [each.id, each] as const))('the form of %s', (_, calculation) => {
  it.each(['mm', 'in'] as const)('gives its example back as it was typed, in %s', (length) => {
    const typed = Object.fromEntries(
      Object.entries(calculation.inputs).map(([id, spec]) => [id, asText(spec, calculation.example[id], length)]),
    )
    const read = Object.fromEntries(
      Object.entries(calculation.inputs).map(([id, spec]) => [id, fromText(spec, typed[id] as string, length)]),
    )
    const [shown, own] = [calculation.work(read), calculation.work(calculation.example)]
    expect(shown.ok).toBe(true)
    if (!shown.ok || !own.ok) return
    for (const [id, value] of Object.entries(own.value.outputs))
      if (typeof value === 'number' && id !== 'clampedAt')
        expect(Math.abs(Number(shown.value.outputs[id]) - value)).toBeLessThan(0.02 * Math.max(1, Math.abs(value)))
  })

  // Bead seats are those of a standard: there is none between two of them.
  it.skipIf(calculation.id === 'reach-change')('can be plotted where it has a number to vary and one to follow', () => {
    const numbers = Object.entries(calculation.inputs).filter(
      ([id, spec]) => spec.type === 'number' && typeof calculation.example[id] === 'number',
    )
    const outputs = Object.entries(calculation.outputs).filter(([, spec]) => spec.type === 'number')
    for (const [x] of numbers.slice(0, 2))
      for (const [y] of outputs.slice(0, 2)) {
        const points = sweepOf(calculation, calculation.example, x, y)
        expect(points.length).toBeGreaterThan(1)
        expect(points.every((each) => Number.isFinite(each.x) && Number.isFinite(each.y))).toBe(true)
      }
  })
})

describe('what is typed', () => {
  const length = { type: 'number', unit: 'mm', meaning: '' } as const
  it('is a length in the workshop’s unit, or in the one written beside it', () => {
    expect(fromText(length, '5/16', 'in')).toBeCloseTo(7.94, 6)
    expect(fromText(length, '10mm', 'in')).toBeCloseTo(10, 6)
  })
  it('goes on as it stands where it is no number, so that the refusal can name it', () => {
    expect(fromText(length, 'abc', 'mm')).toBe('abc')
    expect(fromText(length, '  ', 'mm')).toBeUndefined()
  })
  it('is a list or a point, its numbers apart by spaces', () => {
    expect(fromText({ type: 'list', unit: 'mm', meaning: '' }, '3 3 1', 'mm')).toEqual([3, 3, 1])
  })
})
