import { expectOk, ok, refuse } from '@overhaul/core/outcome/outcome'
import { describe, expect, it } from 'vitest'
import { type Means, torqueTold } from './torque-told.ts'

const WRENCH: Means = { by: 'wrench', key: '100', pullIn: 'N' }
const KEY: Means = { ...WRENCH, by: 'key' }
const told = (text: string, means: Means, keyMm = 100, length: 'mm' | 'in' = 'mm') =>
  expectOk(torqueTold(text, 'anchor', means, ok(keyMm), length))

describe('a torque told', () => {
  it('by a wrench is what it shows', () => {
    expect(told('6.5', WRENCH)).toEqual({ nm: 6.5, instrument: 'torque wrench' })
  })

  // NIST SP 811, appendix B.8: 1 lbf·in is 0.112 985 N·m, 1 kgf is 9.806 65 N, 1 lbf is 4.448 222 N.
  it.each<[string, Means, number, number]>([
    ['60', KEY, 100, 6],
    ['6', { ...KEY, pullIn: 'kgf' }, 100, 5.884],
    ['10', { ...KEY, pullIn: 'lbf' }, 101.6, 4.519],
  ])('by a pull of %s at a key is force by length', (text, means, keyMm, nm) => {
    expect(told(text, means, keyMm).nm).toBeCloseTo(nm, 3)
  })

  it('by a wrench marked in inches is inch-pounds', () => {
    expect(told('40', WRENCH, 100, 'in').nm).toBeCloseTo(40 * 0.112985, 3)
  })

  it('by a pull says how it was come to, in the units of the hand', () => {
    expect(told('60', KEY).instrument).toBe('a pull of 60 N at 100.0 mm of key')
    expect(told('10', { ...KEY, pullIn: 'lbf' }, 101.6, 'in').instrument).toMatch(
      /^a pull of 44 N at 4(.0+)? in of key$/,
    )
  })

  it('that is no number is refused by its fastener’s name; so is a pull on a key nobody measured', () => {
    expect(torqueTold('tight', 'anchor', WRENCH, ok(100), 'mm')).toMatchObject({
      ok: false,
      error: { message: expect.stringContaining('tight') },
    })
    const unknown = refuse('not-a-number', 'key', 'length of key is “”.')
    expect(torqueTold('60', 'anchor', KEY, unknown, 'mm')).toBe(unknown)
    expect(torqueTold('6', 'anchor', WRENCH, unknown, 'mm').ok).toBe(true)
  })
})
