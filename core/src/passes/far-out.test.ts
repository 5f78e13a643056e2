import { describe, expect, it } from 'vitest'
import { DISCS } from '../simulate/discs.ts'
import { virtualDisc } from '../simulate/virtual-disc.ts'
import { FAMILIES } from '../workshop/families.ts'
import { advised } from './advised.ts'
import { bookBicycle } from './fleet.ts'
import { ownStop } from './trial.ts'

const STARTS = [
  { innerMm: 1.1, outerMm: 1.8, slackMm: 0 },
  { innerMm: 1.8, outerMm: 1.1, slackMm: 1 },
  { innerMm: 0, outerMm: 2, slackMm: 0 },
]

describe('a disc whose pads stand far out', () => {
  it.each(['disc-fixed-pad', 'disc-two-adjusters'])(
    '%s: brought in within 3.5 passes on average, never stuck',
    (id) => {
      const family = FAMILIES.find((each) => each.id === id)
      const spec = DISCS[id]
      if (!family || !spec) throw new Error(`no ${id}`)
      const bicycle = bookBicycle(family)
      const trials = STARTS.flatMap((start) =>
        [1, 2, 3, 4, 7, 9, 11, 12].map((seed) => {
          const brake = virtualDisc(spec, bicycle.dimensions, 0.05, seed, { start })
          return ownStop(bicycle, { brake, wheel: { rotorRunout: 0.05 }, isRight: () => true }, advised(bicycle))
        }),
      )
      expect(trials.filter(({ failed }) => failed)).toEqual([])
      expect(trials.reduce((sum, { passes }) => sum + passes, 0) / trials.length).toBeLessThan(3.5)
    },
  )
})
