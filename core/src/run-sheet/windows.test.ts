import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bookDimensions, hereAt } from '../brake/dimension.ts'
import { drumTorque } from '../calculations/drum.ts'
import { wearForecast } from '../calculations/wear-forecast.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { Hardware } from '../stand/hardware.ts'
import { reading, written } from '../testing/stand.ts'
import { FAMILIES } from '../workshop/families.ts'
import { openJob } from '../workshop/open.ts'
import { tellNext } from './told.ts'

describe.each(FAMILIES.map((family) => [family.id, family] as const))('the windows of a %s brake', (_, family) => {
  it('have their target inside, and a width wherever a setting is said to be', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 35, max: 100, noNaN: true }),
        fc.double({ min: 12, max: 45, noNaN: true }),
        fc.double({ min: 40, max: 250, noNaN: true }),
        fc.double({ min: 0, max: 1.2, noNaN: true }),
        fc.constantFrom(...(family.schools.find(({ id }) => id === 'bite')?.options ?? [])),
        (leverReachMm, leverCableArmMm, loadedMassKg, runout, school) => {
          const d = bookDimensions(family, { leverReachMm, leverCableArmMm, loadedMassKg }, 'front')
          const model = family.fit(d, hereAt(family, 'front'))
          if (!model.ok) return
          const looked = {
            number: (id: string) => (id === 'lateralRunout' || id === 'rotorRunout' ? runout : undefined),
            seen: () => undefined,
          }
          const windows = model.value.windows(
            { bite: { option: school.id, ...(school.amount && { amount: school.amount.usual }) } },
            looked,
          )
          for (const [id, { low, high, target }] of Object.entries(windows.of)) {
            if (windows.empty) continue
            expect(high - low, id).toBeGreaterThan(0)
            expect(target, id).toBeGreaterThanOrEqual(low)
            expect(target, id).toBeLessThanOrEqual(high)
          }
        },
      ),
      { numRuns: 150 },
    )
  })
})

it('to a machine it is told that no setting is left, and why', () => {
  const disc: Hardware = { family: 'disc-fixed-pad', end: 'front', dimensions: {} }
  const told = tellNext(
    expectOk(openJob(disc, written({ kind: 'reading', reading: 'rotorRunout', value: 1.6, unit: 'mm' }))),
  )
  expect(told.empty).toMatchObject({ code: 'no-setting', say: expect.stringMatching(/True or replace the rotor/) })
  expect(tellNext(expectOk(openJob(disc, written()))).empty).toBeUndefined()
})

describe('where nothing satisfies both walls', () => {
  const said = (runout: number) => {
    const hardware: Hardware = {
      family: 'linear-pull',
      end: 'rear',
      dimensions: { leverReachMm: { value: 24, provenance: 'measured' } },
    }
    return expectOk(openJob(hardware, written(reading('lateralRunout', runout)))).windows.empty?.say
  }
  it('the wheel is named only where it is the wheel', () => {
    expect(said(0.3)).toMatch(/not the wheel.*look at the lever/)
    expect(said(0.9)).toMatch(/^True the wheel first/)
  })
})

describe('a forecast', () => {
  // The order of words: what is earliest comes before what is likeliest.
  it('is never later at the earliest than at the likeliest', () => {
    fc.assert(
      fc.property(
        // As a caliper shows them, hundredths of a millimetre: at 1e-117 mm squares underflow, and nobody measures that.
        fc.array(fc.integer({ min: 0, max: 800 }), { minLength: 3, maxLength: 8 }),
        fc.integer({ min: 0, max: 800 }),
        (hundredths, hundredth) => {
          const [y, limit] = [hundredths.map((each) => each / 100), hundredth / 100]
          const worked = wearForecast.work({ x: y.map((_, index) => 30 * index), y, limit })
          if (!worked.ok) return
          const { crossing, crossingEarliest, crossingLatest } = worked.value.outputs
          if (crossing === null) return
          if (crossingEarliest !== null) expect(crossingEarliest).toBeLessThanOrEqual(crossing + 1e-9)
          if (crossingLatest !== null) expect(crossingLatest).toBeGreaterThanOrEqual(crossing - 1e-9)
        },
      ),
      { numRuns: 500 },
    )
  })
})

it('a hinge outside its drum is refused', () => {
  const shoes = {
    drumRadiusMm: 35,
    faceWidthMm: 18,
    friction: 0.35,
    pivotRadiusMm: 36,
    leverArmMm: 48,
    startDeg: 20,
    endDeg: 125,
    maxPressureKpa: 1000,
  }
  expect(drumTorque.work(shoes)).toMatchObject({
    error: { field: 'pivotRadiusMm', message: expect.stringContaining('in a drum of 35 mm') },
  })
  expect(drumTorque.work({ ...shoes, pivotRadiusMm: 26 }).ok).toBe(true)
})
