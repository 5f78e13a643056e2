import { describe, expect, it } from 'vitest'
import { drawingsOf } from '../../../bench/drawings/drawings.ts'
import { kitOf } from '../../../bench/kit.ts'
import { bookDimensions, hereAt } from '../../../brake/dimension.ts'
import { type DetailAt, detailsFor } from '../../../brake/drawings.ts'
import type { Family } from '../../../brake/family.ts'
import { expectOk } from '../../../outcome/outcome.ts'
import { FAMILIES } from '../../../workshop/families.ts'

const at = (family: Family, measured: Readonly<Record<string, number>> = {}): DetailAt => ({
  dimensions: bookDimensions(family),
  here: hereAt(family, 'rear'),
  number: (id) => measured[id],
  seen: () => undefined,
})

/** Nothing one can point at: what a bicycle weighs, what papers say, and what was counted on the road. */
const NO_PLACE = ['ridersMass', 'makerTorque', 'rotorLargest', 'beddedStops', 'hardStops']

const asked = (family: Family): readonly string[] => [
  ...new Set(
    kitOf(family).steps.flatMap(({ done }) => ('readings' in done ? [...done.readings, ...(done.optional ?? [])] : [])),
  ),
]

describe.each(FAMILIES.map((family) => [family.id, family] as const))('what is measured at a %s brake', (_, family) => {
  const kit = kitOf(family)

  it('stands on a drawing: every reading the sheet asks for has its dimension', async () => {
    const { details } = await drawingsOf(family)
    const model = expectOk(family.fit(bookDimensions(family), hereAt(family, 'rear')))
    const lengths = asked(family).filter(
      (id) => kit.reading(id) && !NO_PLACE.includes(id) && !model.needed.includes(id),
    )
    const shown = details.flatMap((each) => each.draw(at(family)).dimensions.map(({ id }) => id))
    expect(lengths.filter((id) => !shown.includes(id))).toEqual([])
  })

  it('is promised by a detail only where that detail draws it, and lies inside its bounds', async () => {
    const { details } = await drawingsOf(family)
    for (const spec of details) {
      const { dimensions, bounds } = spec.draw(at(family))
      expect(dimensions.map(({ id }) => id)).toEqual(
        expect.arrayContaining([...spec.readings].filter((id) => kit.reading(id))),
      )
      for (const { from, to } of dimensions)
        for (const [x, y] of [from, to]) {
          expect(x).toBeGreaterThanOrEqual(bounds.min[0])
          expect(x).toBeLessThanOrEqual(bounds.max[0])
          expect(y).toBeGreaterThanOrEqual(bounds.min[1])
          expect(y).toBeLessThanOrEqual(bounds.max[1])
        }
    }
  })

  it('is shown as an act only for a step of its own', async () => {
    const { details } = await drawingsOf(family)
    for (const { steps = [], id } of details) if (!steps.some(kit.step)) expect(steps, id).toEqual([])
  })

  // Every fastener, touched or not, is gone over at Tighten (common practice): each is pointed at.
  it('has a place in the picture for all that holds it', () => {
    const model = expectOk(family.fit(bookDimensions(family), hereAt(family, 'rear')))
    const { fasteners, bounds } = model.frame(
      Float64Array.from(model.inputs, ({ mean }) => mean),
      { travelMm: 0, wheelDeg: 0 },
    )
    expect(
      family.fasteners.map(({ id }) => id).filter((id) => !fasteners.some((each) => each.fastener === id)),
    ).toEqual([])
    for (const {
      at: [x, y],
    } of fasteners) {
      expect(x).toBeGreaterThanOrEqual(bounds.min[0])
      expect(x).toBeLessThanOrEqual(bounds.max[0])
      expect(y).toBeGreaterThanOrEqual(bounds.min[1])
      expect(y).toBeLessThanOrEqual(bounds.max[1])
    }
  })

  it('is looked at in pictures that differ from answer to answer', async () => {
    const { pictures } = await drawingsOf(family)
    for (const [id, answers] of Object.entries(pictures)) {
      const seen = kit.seeing(id)
      if (seen) expect(Object.keys(answers).toSorted()).toEqual(seen.options.map((each) => each.id).toSorted())
      else if (kit.step(id)) expect(Object.keys(answers).toSorted()).toEqual(['ill', 'well'])
      const drawn = Object.values(answers).map((each) => JSON.stringify(each))
      expect(new Set(drawn).size).toBe(drawn.length)
    }
  })
})

describe('a dimension on a drawing', () => {
  const [linear] = FAMILIES as [Family]
  /** How long it is drawn, mm. */
  const drawnAs = async (id: string, mm: number) => {
    const { details } = await drawingsOf(linear)
    const [spec] = detailsFor(details, [id])
    const line = spec?.draw(at(linear, { [id]: mm })).dimensions.find((each) => each.id === id)
    return line && Math.hypot(line.to[0] - line.from[0], line.to[1] - line.from[1])
  }

  it.each([
    ['rimWall', 1.3],
    ['trackTall', 11],
    ['padTall', 9.5],
    ['padEdgeLeft', 1.5],
    ['padRight', 3.2],
    ['padDeep', 17],
    ['padLength', 55],
    ['housingOuter', 5],
    ['leverPull', 27],
    ['leverFinger', 80],
    ['leverReach', 55],
    ['reserve', 21],
    ['trackReach', 29],
    ['bossSpacing', 82],
  ])('is as long as what was measured: %s, %f mm', async (id, mm) => {
    expect(await drawnAs(id, mm)).toBeCloseTo(mm, 6)
  })

  it.each([
    ['lateralRunout', 4],
    ['radialRunout', 4],
    ['wheelOffset', 4],
    ['toeLeft', 5],
    ['toeRight', 5],
  ])('is drawn larger by as much as the drawing says: %s', async (id, times) => {
    const { details } = await drawingsOf(linear)
    const [spec] = detailsFor(details, [id])
    expect(spec?.draw(at(linear)).enlarged).toContain(`${times} times larger`)
    expect(await drawnAs(id, 0.5)).toBeCloseTo(0.5 * times, 6)
  })

  it('puts the toe-in at the rear edge, and at the front where the rear touches first', async () => {
    const { details } = await drawingsOf(linear)
    const toe = (mm: number) =>
      detailsFor(details, ['toeLeft'])[0]
        ?.draw(at(linear, { toeLeft: mm }))
        .dimensions.find(({ id }) => id === 'toeLeft')?.from[1] as number
    expect(toe(0.5)).toBeLessThan(0)
    expect(toe(-0.5)).toBeGreaterThan(0)
  })
})
