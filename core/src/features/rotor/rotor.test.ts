import { describe, expect, it } from 'vitest'
import { isUnsafe, limitsOf, placement } from '../../brake/window.ts'
import { ROTOR_READINGS, ROTOR_SEEN, ROTOR_STEP, rotorWindow } from './rotor.ts'

const marked = (mark?: number) => ({
  number: (id: string) => (id === 'rotorMark' ? mark : undefined),
  seen: () => undefined,
})

describe('a rotor', () => {
  // ISO 4210 and the rotor’s own mark (from memory): thickness commonly 1.5 mm at the least.
  it('goes by its own minimum, else by 1.5 mm', () => {
    expect(rotorWindow(marked()).unsafe?.below).toBe(1.5)
    expect(rotorWindow(marked(1.7)).unsafe?.below).toBe(1.7)
    expect(isUnsafe(rotorWindow(marked()), 1.45)).toBe(true)
    expect(isUnsafe(rotorWindow(marked(1.3)), 1.45)).toBe(false)
    expect(placement(rotorWindow(marked()), 1.5)).toBe('in')
  })

  // Common practice, no source: bend it back a little at a time beyond 0.3 mm; 0.2 mm is wanted.
  it('runs true to 0.3 mm, and is wanted within 0.2 mm', () => {
    expect(limitsOf(ROTOR_READINGS).rotorRunout).toMatchObject({ high: 0.3, wanted: { high: 0.2 } })
  })

  it('is measured anew with another wheel or another rotor', () => {
    const asked = ROTOR_STEP.done.kind === 'in-window' ? ROTOR_STEP.done.readings : []
    expect(asked).toEqual(['rotorThickness', 'rotorRunout', 'rotorFace'])
    const standing = new Map([...ROTOR_READINGS, ...ROTOR_SEEN].map(({ id, standsOn }) => [id, standsOn]))
    for (const id of asked) expect(standing.get(id)).toContain('swap:rotor')
  })
})
