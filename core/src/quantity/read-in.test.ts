import { describe, expect, it } from 'vitest'
import { readIn, resultIn } from './read-in.ts'

describe('a sentence in an inch workshop', () => {
  it.each([
    // 25.4 mm to the inch, exact by definition.
    ['Toe-in 0.5 mm left, 1.0 mm right.', 'Toe-in 0.020 in left, 0.039 in right.'],
    ['Each pad 1–2 mm off the rim.', 'Each pad 0.04–0.08 in off the rim.'],
    ['Accepted: 10 to 60 mm.', 'Accepted: 0.39 to 2.36 in.'],
    ['Cut the housing to 482.6 mm.', 'Cut the housing to 19.000 in.'],
    ['It sinks 1.00 mm for each mm of wear.', 'It sinks 0.0394 in for each 0.039 in of wear.'],
    ['Let −2.54 mm out.', 'Let −0.1000 in out.'],
  ])('%s', (mm, inch) => {
    expect(readIn(mm, 'in')).toBe(inch)
    expect(readIn(mm, 'mm')).toBe(mm)
  })

  it.each([
    'A 5 mm hex key.',
    'A spring of 22 N/mm and 1.2 mm² of wire.',
    'Tighten to 6–8 N·m.',
    'An 8 mm drill and a 10 mm spanner.',
    'Lead 5 mm/rad.',
  ])('leaves alone what is no length or the name of a tool: %s', (text) => {
    expect(readIn(text, 'in')).toBe(text)
  })

  it('keeps the working in the units it was worked in, its result in both', () => {
    expect(resultIn('p = 2 × 3.75 × 0.98 = 7.37 mm', 'in')).toBe('p = 2 × 3.75 × 0.98 = 7.37 mm (0.2902 in)')
    expect(resultIn('p = 7.37 mm', 'mm')).toBe('p = 7.37 mm')
    expect(resultIn('k = 3 N/mm', 'in')).toBe('k = 3 N/mm')
  })
})
