import { wears } from '../../brake/keeps.ts'
import { lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'
import type { Source } from '../../calculation/source.ts'
import { PADS_NEW } from '../disc-caliper/unsettled.ts'

const COMMON: Source = { kind: 'common-practice', title: 'Replaced at 1 mm of compound, or at the maker’s mark' }

const rule = lengths(0.3)

const compound = (id: string, title: string, shorthand: string, practice: number): ReadingSpec =>
  rule(id, title, shorthand, [0, 10], 'caliper', 'What remains on its plate, at its thinnest.', {
    sd: 0.1,
    limit: {
      low: 1,
      high: 10,
      unsafe: { atMost: 0.5, say: 'worn to its plate: 0.5 mm or less remains' },
      text: 'At 1 mm a pad is replaced; at 0.5 mm or less it is not ridden.',
      source: COMMON,
    },
    gauge: ['pads'],
    keeps: wears(-0.8, 1),
    standsOn: PADS_NEW,
    practice,
  })

/** What is left of the pads of a disc. Uncertainties are common practice with no source. */
export const DISC_PAD_READINGS: readonly ReadingSpec[] = [
  compound('padFixed', 'fixed or inner pad, thickness left', 'pfix', 2.1),
  compound('padMoving', 'moving or outer pad, thickness left', 'pmov', 2.2),
]

const OILED =
  'Oil on a pad does not come out by riding: replace both pads, or clean them by their maker’s way, and wipe the rotor.'

export const DISC_PAD_SEEN: readonly SeenSpec[] = [
  {
    id: 'discPads',
    title: 'pads’ faces',
    shorthand: 'dface',
    standsOn: [...PADS_NEW, 'reading:rotorFace'],
    how: 'Brake off, look at both faces through the caliper, or with the pads out.',
    options: [
      { id: 'clean', title: 'clean' },
      {
        id: 'glazed',
        title: 'shiny',
        remedy: 'Take off a very thin layer with clean abrasive paper laid flat; wet the dust, do not blow.',
      },
      { id: 'oily', title: 'oily', remedy: OILED, stop: true },
    ],
  },
]
