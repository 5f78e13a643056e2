import { describe, expect, it } from 'vitest'
import { BRIDGE, CROWN, DRAWER } from '../../testing/mount.ts'
import { planMount } from './plan.ts'
import { type Section, sectionOf } from './section.ts'

const plan = (id: string, mount = BRIDGE) => planMount(mount, DRAWER, 'reversible').find((each) => each.way.id === id)
const points = (section: Section, role: string) =>
  section.shapes.flatMap((shape) => (shape.role === role && shape.kind !== 'circle' ? shape.points : []))
const along = (section: Section, role: string) => points(section, role).map(([x]) => x)

describe('the section is drawn from the numbers it was worked out with', () => {
  const section = sectionOf(BRIDGE, plan('B'))

  it('frame as deep as measured, holes as wide as they will be', () => {
    // A face of 8 mm radius has fallen away by 8 − √(64 − 9) mm at the edge of a 6 mm hole, 8 − √(64 − 16.2) mm at that of 8.05 mm.
    expect(Math.min(...along(section, 'frame'))).toBeCloseTo(0.584, 3)
    expect(Math.max(...along(section, 'frame'))).toBeCloseTo(16 - 1.0864, 3)
    const back = points(section, 'frame').filter(([x]) => x > 14.5)
    expect(Math.min(...back.map(([, y]) => Math.abs(y)))).toBeCloseTo(8.05 / 2, 2)
    const front = points(section, 'frame').filter(([x]) => x < 1.2)
    expect(Math.min(...front.map(([, y]) => Math.abs(y)))).toBeCloseTo(3, 6)
  })

  it('bolt as long as measured, nut reaching in from the back face by its shank', () => {
    const bolt = along(section, 'shank')
    expect(Math.max(...bolt) - Math.min(...bolt)).toBeCloseTo(18, 6)
    expect(Math.min(...along(section, 'nut'))).toBeCloseTo(16 + 2.5 - 13, 6)
  })

  it('measures what the plan says: 10 mm engaged, 4.5 mm clear', () => {
    const measure = (text: string) => section.measures.find((each) => each.text === text)
    const size = (text: string) => (measure(text)?.to ?? 0) - (measure(text)?.from ?? 0)
    expect(size('engaged')).toBeCloseTo(10, 6)
    expect(size('clear')).toBeCloseTo(4.5, 6)
  })

  it('every point lies inside the bounds', () => {
    for (const each of [section, sectionOf(CROWN, plan('fork', CROWN)), sectionOf(BRIDGE, undefined)]) {
      for (const shape of each.shapes) {
        for (const [x, y] of shape.kind === 'circle' ? [shape.centre] : shape.points) {
          expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
          expect(x).toBeGreaterThanOrEqual(each.bounds.min[0] - 1e-9)
          expect(x).toBeLessThanOrEqual(each.bounds.max[0] + 1e-9)
          expect(Math.abs(y)).toBeLessThanOrEqual(each.bounds.max[1] + 1e-9)
        }
      }
    }
  })

  it('turned round, the caliper stands on the other face', () => {
    const turned = sectionOf({ ...BRIDGE, caliperDepthMm: 30 }, plan('C', { ...BRIDGE, caliperDepthMm: 30 }))
    expect(turned.turnedRound).toBe(true)
    expect(along(turned, 'seat-tube')).toEqual([])
  })
})
