import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Box } from './boxes.ts'
import { drawnDimension } from './dimension-line.ts'
import { placeNotes } from './place-notes.ts'

const ROOM: Box = { left: 0, right: 770, top: 0, bottom: 560 }
const place = fc.record({
  x: fc.double({ min: 250, max: 520, noNaN: true }),
  y: fc.double({ min: 150, max: 400, noNaN: true }),
})

const apart = (a: Box, b: Box) =>
  a.right <= b.left + 0.5 || b.right <= a.left + 0.5 || a.bottom <= b.top + 0.5 || b.bottom <= a.top + 0.5

describe('the words at dimensions', () => {
  it('stand inside the drawing and over no others', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(place, place), { minLength: 1, maxLength: 6 }), (ends) => {
        const notes = ends.map(([from, to], index) => ({ id: String(index), from, to, width: 110, height: 42 }))
        const placed = placeNotes(notes, ROOM, [])
        expect(placed).toHaveLength(notes.length)
        placed.forEach(({ box }, index) => {
          expect(box.left).toBeGreaterThanOrEqual(ROOM.left)
          expect(box.right).toBeLessThanOrEqual(ROOM.right)
          for (const other of placed.slice(index + 1)) expect(apart(box, other.box)).toBe(true)
        })
      }),
      { numRuns: 60 },
    )
  })

  it('lead to their line only where they had to go far', () => {
    const at = { from: { x: 300, y: 200 }, to: { x: 340, y: 200 }, width: 90, height: 42 }
    expect(placeNotes([{ id: 'a', ...at }], ROOM, [])[0]?.leads).toBe(false)
  })
})

describe('a dimension line', () => {
  const scale = { x: (mm: number) => 100 + 10 * mm, y: (mm: number) => 300 - 10 * mm, k: 10 }

  it('stands to the left of the way from one end to the other, with witness lines that lead to it', () => {
    const { from, to, witnesses } = drawnDimension({ id: 'a', from: [0, 0], to: [10, 0], beside: 4 }, scale)
    expect([from, to]).toEqual([
      { x: 100, y: 260 },
      { x: 200, y: 260 },
    ])
    expect(witnesses).toHaveLength(2)
    expect(witnesses[0]?.[0]).toEqual({ x: 100, y: 300 })
    expect(witnesses[0]?.[1].y).toBeLessThan(260)
  })

  it('has its arrowheads outside where it is too short to hold them', () => {
    expect(drawnDimension({ id: 'a', from: [0, 0], to: [1, 0] }, scale).outside).toBe(true)
    expect(drawnDimension({ id: 'a', from: [0, 0], to: [10, 0] }, scale).outside).toBe(false)
  })
})
