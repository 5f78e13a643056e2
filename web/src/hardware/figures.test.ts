import type { Family } from '@overhaul/core/brake/family'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { fitHardware, type Hardware } from '@overhaul/core/stand/hardware'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { describe, expect, it } from 'vitest'
import { frameOf, groupsOf, provenanceOf, readFigures, showFigure, unitWords, withTyped } from './figures.ts'

const LINEAR = FAMILIES.find(({ id }) => id === 'linear-pull') as Family
const HARDWARE: Hardware = { family: 'linear-pull', end: 'rear', dimensions: {} }
const spec = (id: string) => LINEAR.dimensions.find((each) => each.id === id) as Family['dimensions'][number]

describe('the hardware sheet', () => {
  it('reads figures in the workshop’s unit, and those that are no length as plain numbers', () => {
    const read = (typed: Record<string, string>, length: 'mm' | 'in' = 'mm') => readFigures(LINEAR, typed, length)
    expect(expectOk(read({ armMm: '103', padFriction: '0,45', brakeStiffness: '38', rimWidthMm: ' ' }))).toEqual({
      armMm: 103,
      padFriction: 0.45,
      brakeStiffness: 38,
    })
    expect(expectOk(read({ armMm: '4 1/8' }, 'in')).armMm).toBeCloseTo(104.775, 6)
    expect(read({ armMm: 'long' })).toMatchObject({ ok: false, error: { field: 'boss to cable point' } })
  })

  it('shows them with their unit', () => {
    expect([showFigure(spec('armMm'), 101.6, 'in'), unitWords(spec('armMm'), 'in')]).toEqual(['4.000', 'in'])
    expect([showFigure(spec('brakeStiffness'), 40, 'in'), unitWords(spec('brakeStiffness'), 'in')]).toEqual([
      '40',
      'N/mm',
    ])
  })

  it('says where a figure comes from', () => {
    expect(provenanceOf(spec('armMm'), undefined)).toContain('memory')
    expect(
      provenanceOf(spec('armMm'), { value: 1, provenance: 'measured', since: '2026-03-02T12:00:00Z', by: '7' }),
    ).toBe('measured, Mon 2 Mar 2026, by 7')
    expect(provenanceOf(spec('armMm'), { value: 1, provenance: 'maker' })).toBe('maker’s figure')
  })

  it.each(FAMILIES.map((family) => [family.id, family] as const))(
    'of a %s asks for its own dimensions, each once',
    (id, family) => {
      const model = expectOk(fitHardware(family, { ...HARDWARE, family: id }))
      const { shape, told, assumed } = groupsOf(family, model)
      const all = [...shape, ...told, ...assumed].map((each) => each.id)
      expect(all.sort()).toEqual(family.dimensions.map((each) => each.id).sort())
      const drawn = {
        rim: ['rimWidthMm', 'tyreWidthMm'],
        rotor: ['armMm'],
        drum: ['armMm', 'camHalfMm', 'drumRadiusMm'],
      }[family.track]
      expect(shape.map((each) => each.id)).toEqual(expect.arrayContaining(drawn))
      expect(told.map((each) => each.id)).toEqual(expect.arrayContaining(['leverReachMm', 'leverCableArmMm']))
      expect(assumed.map((each) => each.id)).toEqual(expect.arrayContaining(['brakeStiffness', 'cableFriction']))
    },
  )

  it('the drawing follows the typing, as far as it can be read', () => {
    const armDrawn = (typed: Record<string, string>) => {
      const model = expectOk(fitHardware(LINEAR, withTyped(LINEAR, HARDWARE, typed, 'mm')))
      const line = frameOf(model, 'armMm').dimensions.find((each) => each.strong)
      return Math.hypot((line?.from[0] ?? 0) - (line?.to[0] ?? 0), (line?.from[1] ?? 0) - (line?.to[1] ?? 0))
    }
    expect(armDrawn({})).toBeCloseTo(105, 6)
    expect(armDrawn({ armMm: '95' })).toBeCloseTo(95, 6)
    expect(armDrawn({ armMm: '9x' })).toBeCloseTo(105, 6)
  })
})
