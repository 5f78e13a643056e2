import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { formatFraction, parseNumber } from './number.ts'
import { formatQuantity, parseQuantity, UNITS, type UnitId } from './quantity.ts'

describe('numbers as they are written at the bench', () => {
  it.each([
    ['1.4', 1.4],
    ['1,4', 1.4],
    ['.5', 0.5],
    ['5/16', 0.3125],
    ['1 1/4', 1.25],
    ['1-1/4', 1.25],
    ['1½', 1.5],
    ['¾', 0.75],
    ['-1/4', -0.25],
    ['−½', -0.5],
    ['+2', 2],
  ])('%s reads as %d', (text, value) => {
    expect(expectOk(parseNumber(text))).toBeCloseTo(value, 12)
  })

  it.each(['', 'abc', '1.2.3', '1/0', '--1', '1 2'])('%j is refused by name', (text) => {
    const parsed = parseNumber(text, 'gapLeft')
    expect(parsed.ok).toBe(false)
    if (!parsed.ok) {
      expect(parsed.error.field).toBe('gapLeft')
      expect(parsed.error.message).toContain(text)
    }
  })

  it('writes turns as a hand makes them', () => {
    expect([0.25, 0.5, 1, 1.25, -0.5, 2.75, 0].map(formatFraction)).toEqual(['¼', '½', '1', '1¼', '−½', '2¾', '0'])
  })
})

describe('quantities', () => {
  // Exact unit definitions: inch 25.4 mm, pound-force 4.4482216152605 N, mile 1.609344 km.
  it.each([
    ['5/16 in', 'mm', 7.9375],
    ['5/16in', 'mm', 7.9375],
    ['1 1/4"', 'mm', 31.75],
    ['2 mm', 'mm', 2],
    ['44 in·lb', 'Nm', 4.9713],
    ['44 in lb', 'Nm', 4.9713],
    ['5', 'Nm', 5],
    ['11 lbf', 'N', 48.93],
    ['15 mph', 'kmh', 24.14016],
    ['1½ turns', 'turn', 1.5],
    ['90°', 'deg', 90],
  ] as const)('%s in %s is %d', (text, unit, value) => {
    expect(expectOk(parseQuantity(text, unit))).toBeCloseTo(value, 3)
  })

  it('refuses a unit of another kind and says what is accepted', () => {
    const parsed = parseQuantity('5 N', 'mm', 'gapLeft')
    expect(parsed).toMatchObject({ ok: false, error: { code: 'wrong-unit', field: 'gapLeft' } })
    if (!parsed.ok) expect(parsed.error.message).toMatch(/mm, in/)
  })

  it('takes a bare number in the workshop’s own unit', () => {
    expect(expectOk(parseQuantity('1/2', 'in'))).toBeCloseTo(12.7, 9)
  })

  it('comes back from its own writing to within what it rounds to', () => {
    const units = (Object.keys(UNITS) as UnitId[]).filter((unit) => unit !== 'count')
    fc.assert(
      fc.property(fc.constantFrom(...units), fc.double({ min: -500, max: 500, noNaN: true }), (unit, any) => {
        // A spring’s pin stands in a whole hole.
        const value = unit === 'hole' || unit === 'click' ? Math.round(any) : any
        const back = expectOk(parseQuantity(formatQuantity(value, unit), unit))
        const coarse = {
          turn: 1 / 16,
          mm: 0.05,
          in: 0.0127,
          m: 50,
          ft: 15.3,
          ms: 0.19,
          deg: 0.5,
          N: 0.5,
          kgf: 0.5,
          lbf: 2.3,
          inlb: 0.06,
          Nm: 0.05,
          kg: 0.5,
          lbm: 0.23,
        }
        expect(Math.abs(back - value)).toBeLessThanOrEqual((coarse[unit as keyof typeof coarse] ?? 0.1) + 1e-9)
      }),
    )
  })
})
