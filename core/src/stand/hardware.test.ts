import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { FAMILIES, findFamily, fitFamily } from '../workshop/families.ts'
import { checkHardware } from '../workshop/open.ts'
import { type Hardware, measuredDimensions } from './hardware.ts'

const hardware = (dimensions: Hardware['dimensions'], family = 'linear-pull'): Hardware => ({
  family,
  end: 'rear',
  dimensions,
})
const measured = (value: number) => ({ value, provenance: 'measured' as const })

describe('hardware', () => {
  it('book figures stand until something is measured', () => {
    const { model } = expectOk(checkHardware(hardware({ leverReachMm: measured(50) })))
    expect(model.throw.lever.reachMm).toBe(50)
    expect(model.throw.lever.fingerArmMm).toBe(75)
    expect(measuredDimensions(hardware({ rimWidthMm: measured(22) }))).toEqual({ rimWidthMm: 22 })
  })

  it.each([
    [hardware({}, 'coaster'), 'unknown-family', 'family'],
    [hardware({ hornLengthMm: measured(3) }), 'unknown-dimension', 'dimensions.hornLengthMm'],
    [hardware({ rimWidthMm: measured(0) }), 'out-of-range', 'dimensions.rimWidthMm'],
    [hardware({ rimWidthMm: measured(Number.NaN) }), 'out-of-range', 'dimensions.rimWidthMm'],
    [hardware({ rimWidthMm: measured(60), pivotSpacingMm: measured(50) }), 'impossible-geometry', 'rimWidthMm'],
  ])('refuses %j', (given, code, field) => {
    expect(checkHardware(given)).toMatchObject({ ok: false, error: { code, field } })
  })

  it('every family says where each book figure comes from, and its book brake can brake', () => {
    for (const family of FAMILIES) {
      for (const spec of family.dimensions) {
        expect(spec.source.title.length).toBeGreaterThan(3)
        expect(spec.book).toBeGreaterThanOrEqual(spec.min)
        expect(spec.book).toBeLessThanOrEqual(spec.max)
      }
      const model = expectOk(fitFamily(family.id, {}))
      expect(new Set(model.adjusters.map((each) => each.shorthand)).size).toBe(model.adjusters.length)
      for (const adjuster of model.adjusters) expect(model.inputs.map((each) => each.id)).toContain(adjuster.input)
      for (const part of ['wheel', 'pads', 'cable', 'housing', 'lever', 'brake'] as const) {
        const disturbed = model.disturbs(`swap:${part}`)
        expect(disturbed, part).toBeDefined()
        for (const input of Object.keys(disturbed === 'forget' ? {} : (disturbed?.spread ?? {})))
          expect(model.inputs.map((each) => each.id)).toContain(input)
      }
    }
    expect(findFamily('linear-pull').ok).toBe(true)
    expect(fitFamily('none', {})).toMatchObject({ ok: false, error: { code: 'unknown-family' } })
  })
})
