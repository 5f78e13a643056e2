import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { placeLabels } from './place-labels.ts'

const ROOM = { left: 46, right: 446, top: 30, bottom: 148 }
const course = (from: number, to: number) =>
  Array.from({ length: 40 }, (_, k) => ({ x: 46 + k * 10, y: from + ((to - from) * k) / 39 }))

describe('names of curves', () => {
  it('stand over no other name and inside the plot, wherever two or three lines run', () => {
    const end = fc.double({ min: 34, max: 146, noNaN: true })
    const label = fc.constantFrom('new', 'gritty', 'worn pads', 'left pad', 'as it is')
    fc.assert(
      fc.property(fc.array(fc.tuple(end, end, label), { minLength: 2, maxLength: 3 }), (drawn) => {
        const placed = placeLabels(
          drawn.map(([from, to, name]) => ({ label: name, points: course(from, to) })),
          ROOM,
        )
        expect(placed).toHaveLength(drawn.length)
        for (const [index, { box }] of placed.entries()) {
          expect(box.left).toBeGreaterThanOrEqual(ROOM.left)
          expect(box.right).toBeLessThanOrEqual(ROOM.right)
          expect(box.top).toBeGreaterThanOrEqual(ROOM.top - 1)
          expect(box.bottom).toBeLessThanOrEqual(ROOM.bottom + 1)
          for (const { box: other } of placed.slice(0, index))
            expect(
              box.left >= other.right || box.right <= other.left || box.top >= other.bottom || box.bottom <= other.top,
            ).toBe(true)
        }
      }),
    )
  })
  it('one line alone is named at its end, above it', () => {
    const [placed] = placeLabels([{ label: 'new', points: course(120, 80) }], ROOM)
    expect(placed?.y).toBeLessThan(80)
    expect(placed?.x).toBeGreaterThan(430)
  })
})
