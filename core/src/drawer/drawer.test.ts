import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { PART_KINDS, type PartKindId } from './kinds.ts'
import { checkPart, countAfter, isShort, type Part, sayDimensions } from './part.ts'
import { DRAWER_COLUMNS, partOf, readRows, rowOf } from './rows.ts'

const NUT: Part = {
  id: '1',
  code: 'SN-18',
  kind: 'sleeve-nut',
  name: 'Sleeve nut 18',
  dimensions: { shankMm: 18, threadDepthMm: 12, outerMm: 8, threadMm: 6 },
  material: 'steel',
  minimum: 2,
  count: 5,
}

const anyPart: fc.Arbitrary<Part> = fc.constantFrom(...PART_KINDS).chain((kind) =>
  fc.record({
    id: fc.constant('x'),
    code: fc.stringMatching(/^[A-Z0-9-]{1,12}$/),
    kind: fc.constant(kind.id),
    name: fc.stringMatching(/^[A-Za-z,“”"; ]{0,20}[a-z]$/),
    material: fc.constantFrom('', ...(kind.materials ?? [])),
    minimum: fc.nat(50),
    count: fc.nat(500),
    dimensions: fc
      .record(
        Object.fromEntries(
          kind.dimensions.map((each) => [
            each.id,
            fc
              .double({ min: each.min, max: each.max, noNaN: true })
              .map((value) => Number(value.toFixed(2)))
              .filter((value) => value >= each.min && value <= each.max),
          ]),
        ),
      )
      .map((each) => {
        // No rotor goes into a drawer that is thinner than its own minimum, nor what is wider inside than out.
        const least = (inner: string, outer: string, room = 0) =>
          each[inner] !== undefined && each[outer] !== undefined
            ? { [inner]: Math.min(each[inner], Number((each[outer] - room).toFixed(2))) }
            : {}
        return {
          ...each,
          ...least('leastMm', 'thicknessMm'),
          ...least('holeMm', 'outerMm', 0.1),
          ...least('threadMm', 'outerMm', 0.1),
          ...least('threadDepthMm', 'shankMm'),
          ...(each.bolts !== undefined && { bolts: Math.round(each.bolts) }),
        }
      }),
  }),
)

describe('the drawer’s file', () => {
  it('writes and reads every kind of part without loss', () => {
    fc.assert(
      fc.property(anyPart, (part) => {
        const { id: _, count, ...shape } = part
        expect(expectOk(partOf(rowOf({ ...part, name: part.name.trim() })))).toEqual({
          part: { ...shape, name: part.name.trim() },
          count,
        })
        expect(DRAWER_COLUMNS).toEqual(expect.arrayContaining(Object.keys(rowOf(part))))
      }),
    )
  })

  it('keeps the good rows and names each bad one by its line, its field and what is accepted', () => {
    const good = rowOf(NUT)
    const { parts, bad } = readRows([
      good,
      { ...good, code: 'SN-20', shankMm: 'long' },
      { ...good, code: 'SN 22' },
      { ...good, code: 'FW-1', kind: 'flat-washer' },
      { ...good, code: 'SN-24', kind: 'sprocket' },
      { ...good },
      { ...good, code: 'SN-26', count: '-3' },
      { ...good, code: 'SN-28', shankMm: '' },
      { ...good, code: 'SN-30', material: 'brass' },
    ])
    expect(parts.map((each) => each.part.code)).toEqual(['SN-18'])
    expect(bad.map(({ line, field, code }) => [line, field, code])).toEqual([
      [3, 'shankMm', 'not-a-number'],
      [4, 'code', 'out-of-range'],
      [5, 'shankMm', 'unknown-dimension'],
      [6, 'kind', 'unknown-kind'],
      [7, 'code', 'code-twice'],
      [8, 'count', 'out-of-range'],
      [9, 'shankMm', 'missing'],
      [10, 'material', 'not-a-choice'],
    ])
    for (const { message } of bad) expect(message).toMatch(/Accepted|missing/)
  })

  it('reads fractions and decimal commas as the tape does', () => {
    expect(expectOk(partOf({ ...rowOf(NUT), shankMm: '17 1/2' })).part.dimensions.shankMm).toBe(17.5)
  })
})

describe('taking and returning', () => {
  it('never goes below nothing, and says how many there are', () => {
    expect(expectOk(countAfter(NUT, -5))).toBe(0)
    expect(countAfter(NUT, -6)).toMatchObject({
      ok: false,
      error: { code: 'not-there', message: expect.stringContaining('5 in the drawer') },
    })
    expect(countAfter(NUT, 0).ok).toBe(false)
    expect(countAfter(NUT, 0.5).ok).toBe(false)
    expect(countAfter(NUT, 200_000).ok).toBe(false)
  })

  it('what is taken and returned leaves the count as it was', () => {
    fc.assert(
      fc.property(fc.nat(40), fc.integer({ min: 1, max: 40 }), (count, taken) => {
        const after = countAfter({ name: 'nut', count }, -taken)
        if (after.ok) expect(expectOk(countAfter({ name: 'nut', count: after.value }, taken))).toBe(count)
        else expect(taken).toBeGreaterThan(count)
      }),
    )
  })

  it('says what is short and what a part is', () => {
    expect(isShort(NUT)).toBe(false)
    expect(isShort({ ...NUT, count: 1 })).toBe(true)
    expect(sayDimensions(NUT)).toBe(
      'from under the head to the tip 18 mm, thread from the tip 12 mm, outside of the sleeve 8 mm, thread diameter 6 mm, steel',
    )
  })

  it('refuses a part nobody could choose', () => {
    expect(checkPart({ ...NUT, name: ' ' }).ok).toBe(false)
    expect(checkPart({ ...NUT, minimum: -1 }).ok).toBe(false)
    expect(checkPart({ ...NUT, dimensions: { ...NUT.dimensions, shankMm: 200 } })).toMatchObject({
      error: { field: 'shankMm', message: expect.stringContaining('4 to 80 mm') },
    })
  })

  // Facts of the trade: a hole is narrower than its washer, a thread than its sleeve and no longer; nobody has half a bolt.
  it('refuses a part that cannot be', () => {
    const part = (kind: PartKindId, dimensions: Record<string, number>) =>
      checkPart({ code: 'X', kind, name: 'X', material: '', minimum: 0, dimensions })
    expect(part('flat-washer', { thicknessMm: 1, holeMm: 8, outerMm: 6 })).toMatchObject({
      error: { field: 'holeMm', message: expect.stringMatching(/hole is 8 mm, outside 6 mm.*less than 6 mm/) },
    })
    expect(part('flat-washer', { thicknessMm: 1, holeMm: 6, outerMm: 12 }).ok).toBe(true)
    const sleeve = { shankMm: 18, threadDepthMm: 12, outerMm: 8, threadMm: 6 }
    expect(part('sleeve-nut', { ...sleeve, threadMm: 8 })).toMatchObject({ error: { field: 'threadMm' } })
    expect(part('sleeve-nut', { ...sleeve, threadDepthMm: 19 })).toMatchObject({ error: { field: 'threadDepthMm' } })
    expect(part('sleeve-nut', { ...sleeve, threadDepthMm: 18 }).ok).toBe(true)
    const rotor = { diameterMm: 180, trackMm: 16, thicknessMm: 1.8, leastMm: 1.5 }
    expect(part('rotor', { ...rotor, bolts: 5.5 })).toMatchObject({ error: { field: 'bolts' } })
  })

  it('refuses a rotor under its own minimum, and writes a rotor’s bolts without a unit', () => {
    const rotor = {
      code: 'R180',
      kind: 'rotor',
      name: 'Rotor 180',
      material: '',
      minimum: 0,
      dimensions: { diameterMm: 180, trackMm: 16, thicknessMm: 1.8, leastMm: 1.5, bolts: 6 },
    } as const
    expect(checkPart(rotor).ok).toBe(true)
    expect(sayDimensions(rotor)).toBe(
      'diameter 180 mm, depth of its track 16 mm, thickness 1.8 mm, its own minimum 1.5 mm, bolts; 0 for a centre lock ring 6',
    )
    expect(checkPart({ ...rotor, dimensions: { ...rotor.dimensions, thicknessMm: 1.4 } })).toMatchObject({
      error: { field: 'thicknessMm', message: expect.stringContaining('own minimum of 1.5 mm') },
    })
    expect(checkPart({ ...rotor, dimensions: { ...rotor.dimensions, bolts: 13 } })).toMatchObject({
      error: { message: expect.stringContaining('Accepted: 0 to 12.') },
    })
  })
})
