import { describe, expect, it } from 'vitest'
import type { Part } from '../../drawer/part.ts'
import { puttingOn, sparePads, toeShims } from './at-hand.ts'

const part = (kind: Part['kind'], name: string, dimensions: Part['dimensions'], more: Partial<Part> = {}): Part => ({
  id: name,
  code: name,
  kind,
  name,
  dimensions,
  material: '',
  minimum: 0,
  count: 20,
  ...more,
})

describe('shims at hand', () => {
  const shim = (name: string, thicknessMm: number) => part('shim', name, { thicknessMm })

  // Similar triangles: at the rear edge the shim is the gap. ISO/IEC 7810 ID-1: a bank card is 0.76 mm.
  it('finds what in the drawer makes half a millimetre at the rear edge', () => {
    const found = toeShims([shim('paper', 0.1), shim('bank card', 0.76), shim('plate', 2)], 55)
    expect(found[0]).toMatchObject({ name: 'paper', layers: 5, rearGapMm: expect.closeTo(0.5, 9) })
    expect(found.map((each) => each.name)).toEqual(['paper', 'bank card'])
    expect(found[1]?.toeDeg).toBeCloseTo((Math.atan(0.76 / 55) * 180) / Math.PI, 1)
  })
})

describe('pads at hand', () => {
  const pads = (name: string, lengthMm: number, heightMm: number, more: Partial<Part> = {}) =>
    part('pads', name, { lengthMm, heightMm, thicknessMm: 10 }, { material: 'alloy', ...more })
  const wanted = { rim: 'alloy', lengthMm: 55, heightMm: 10, trackMm: 14 }
  const names = (stock: readonly Part[], more: Partial<typeof wanted> = {}) =>
    sparePads(stock, { ...wanted, ...more }).map((each) => each.part.name)

  // Handbook: a maker has no spares; pads are matched by shape and size.
  it('puts the nearest in size first and says how the others differ', () => {
    const found = sparePads([pads('long', 70, 10), pads('like', 55, 10.5), pads('low', 55, 7)], wanted)
    expect(found.map(({ part: { name }, say }) => [name, say])).toEqual([
      ['like', 'the same size'],
      ['low', '3 mm lower'],
      ['long', '15 mm longer'],
    ])
  })

  // Handbook: pad compound for the rim; the pad face wholly on the track.
  it('leaves out pads for another rim, taller than the track, or all gone', () => {
    const stock = [
      pads('carbon', 55, 10, { material: 'carbon' }),
      pads('tall', 55, 15),
      pads('gone', 55, 10, { count: 0 }),
      pads('unmarked', 55, 10, { material: '' }),
    ]
    expect(names(stock)).toEqual(['unmarked'])
    expect(names(stock, { rim: 'carbon', trackMm: 16 })).toEqual(['carbon', 'unmarked'])
  })

  it('compares nothing that was not measured', () => {
    const found = sparePads([pads('any', 70, 10)], {
      rim: undefined,
      lengthMm: undefined,
      heightMm: 10,
      trackMm: undefined,
    })
    expect(found).toMatchObject([{ part: { name: 'any' }, say: '' }])
  })

  it('writes what the drawer knows of the pair that goes on, and nothing it does not', () => {
    expect(
      puttingOn(pads('like', 55, 10)).map((each) => (each.kind === 'reading' ? [each.reading, each.value] : each.kind)),
    ).toEqual(['swap', ['padCompound', 'alloy'], ['padLength', 55], ['padTall', 10]])
    expect(puttingOn(pads('unmarked', 55, 10, { material: '' }))).not.toContainEqual(
      expect.objectContaining({ reading: 'padCompound' }),
    )
  })
})
