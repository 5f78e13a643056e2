import { biteReading } from '../../bench/bite.ts'
import { SHOES_LOOSE, SQUEEZED } from '../../bench/unsettled.ts'
import { rangeOf } from '../../brake/dimension.ts'
import type { Fact } from '../../brake/graph.ts'
import { wears } from '../../brake/keeps.ts'
import type { Looked } from '../../brake/on-stand.ts'
import { lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'
import { type Window, windowOf } from '../../brake/window.ts'
import type { Source } from '../../calculation/source.ts'
import { DRUM_DIMENSIONS } from './dimensions.ts'
import { OPENED } from './unsettled.ts'

const HANDBOOK: Source = {
  kind: 'common-practice',
  title: 'Worn when, applied, the arm lies parallel with the ridge on the plate',
}
const OURS: Source = { kind: 'our-choice', title: 'What a hand at the rim no longer feels' }
const STAMPED: Source = { kind: 'handbook', title: 'Stamped in the drum by its maker' }

const caliper = lengths(0.1)

/** A hub is without play where nothing is felt at the rim: this much is the least a rule shows, mm. Our choice. */
export const NO_PLAY_MM = 0.1

const play = (id: string, title: string, shorthand: string, when: string, standsOn: readonly Fact[]): ReadingSpec =>
  lengths(0.1)(
    id,
    title,
    shorthand,
    [0, 10],
    'rule at the rim',
    `Push the wheel from side to side, ${when}: how far it goes, at the rim. Nothing felt is 0.`,
    {
      limit: {
        low: 0,
        high: NO_PLAY_MM,
        unsafe: { above: NO_PLAY_MM, say: 'the hub has play' },
        text: 'No play at the rim; the axle still turns freely.',
        source: OURS,
      },
      gauge: ['wheel'],
      practice: 0,
      standsOn,
    },
  )

const angle = (
  id: string,
  title: string,
  shorthand: string,
  how: string,
  practice: number,
  standsOn: readonly Fact[],
): ReadingSpec => ({
  id,
  title,
  shorthand,
  unit: 'deg',
  min: -30,
  max: 150,
  sd: 2,
  instrument: 'protractor',
  how,
  practice,
  standsOn,
})

/** What is measured at a drum. Uncertainties are common practice with no source. */
export const DRUM_READINGS: readonly ReadingSpec[] = [
  biteReading('Squeeze slowly, a hand on the turning wheel: finger travel at which the brake takes hold.', [
    ...SQUEEZED,
    'confirm:plate-on',
    'confirm:shoes-centred',
    'confirm:lock-nut',
  ]),
  angle(
    'armAtRest',
    'arm from the ridge, at rest',
    'arest',
    'Angle between brake arm and ridge on the plate, lever at rest.',
    52,
    ['swap:pads', 'confirm:plate-on'],
  ),
  {
    ...angle(
      'armApplied',
      'arm from the ridge, applied',
      'afull',
      'The same at a hard squeeze. Parallel is 0: the linings are at their end.',
      24,
      ['swap:pads', 'confirm:plate-on'],
    ),
    keeps: wears(-6, 6),
    gauge: ['pads'],
    limit: {
      low: 8,
      high: 150,
      unsafe: { atMost: 0, say: 'applied, the arm lies parallel with the ridge: the linings are at their end' },
      text: 'Worn when the arm lies parallel with the ridge; below about 8° plan a new plate assembly (our choice).',
      source: HANDBOOK,
    },
  },
  play('hubPlay', 'play at the rim', 'hplay', 'cone adjuster set, axle nuts loose', [
    ...OPENED,
    ...SHOES_LOOSE,
    'confirm:shoes-centred',
  ]),
  play('hubPlayNuts', 'play at the rim, nuts tight', 'nplay', 'both axle nuts tight', [
    'confirm:lock-nut',
    'confirm:wheel-seated',
    'confirm:axle-loosened',
  ]),
  caliper(
    'liningThick',
    'lining',
    'lining-mm',
    [0, 12],
    'caliper',
    'What stands above the rivets or the shoe, at its thinnest.',
    {
      keeps: wears(-0.3, 0.4),
      limit: {
        low: 1,
        high: 12,
        unsafe: { atMost: 0.3, say: 'the lining is at its rivets' },
        text: 'Below about 1 mm above the rivets the plate assembly is replaced (common practice); at the rivets it is not ridden.',
        source: { kind: 'common-practice', title: 'Linings are replaced before their rivets reach the drum' },
      },
      practice: 2.1,
      standsOn: OPENED,
      gauge: ['pads'],
    },
  ),
  caliper(
    'drumInside',
    'drum inside',
    'inside',
    [50, 160],
    'inside caliper',
    'Across the rubbed band, at its widest.',
    {
      keeps: wears(0.05, 0.1),
      practice: ({ dimensions }) => 2 * (dimensions.drumRadiusMm as number) + 0.3,
      standsOn: ['swap:wheel'],
    },
  ),
  caliper(
    'drumStamped',
    'drum’s stamped most',
    'dmost',
    [50, 162],
    'read off the drum',
    'The largest diameter stamped in it, if there is one.',
    {
      keeps: 'hardware',
      sd: 0,
      practice: ({ dimensions }) => 2 * (dimensions.drumRadiusMm as number) + 1,
      standsOn: ['swap:wheel'],
    },
  ),
  caliper(
    'drumRadius',
    'drum’s inside radius',
    'dradius',
    rangeOf(DRUM_DIMENSIONS, 'drumRadiusMm'),
    'inside caliper',
    'Half of what is measured across it.',
    {
      dimension: 'drumRadiusMm',
      practice: ({ dimensions }) => dimensions.drumRadiusMm,
    },
  ),
  {
    id: 'hardStops',
    title: 'hard stops made',
    shorthand: 'stops',
    practice: 5,
    unit: 'count',
    min: 0,
    max: 50,
    sd: 0,
    instrument: 'counted',
    how: 'Hard stops on a clear level place against a squeal after damp standing.',
    ridden: true,
    limit: {
      low: 3,
      high: 50,
      text: 'Several hard stops, better by a heavier rider, usually clear it (common practice).',
      source: { kind: 'common-practice', title: 'Squeal after damp standing' },
    },
  },
]

/** A drum goes by the diameter stamped in it; without one, by nothing. */
/** Judged by what is stamped in it; without a stamp there is no window. */
export function drumInsideWindow({ number }: Looked): Window | undefined {
  const most = number('drumStamped')
  if (most === undefined) return undefined
  return windowOf('drumInside', {
    low: 50,
    high: most,
    text: `At most ${most.toFixed(1)} mm, stamped in it.`,
    source: STAMPED,
  })
}

const REPLACE = 'Replace the plate assembly, not the cable: linings, plate and cam come together.'

/** What is looked at on a drum. */
export const DRUM_SEEN: readonly SeenSpec[] = [
  {
    id: 'drag',
    title: 'wheel when spun',
    shorthand: 'drag',
    standsOn: [...SQUEEZED, 'confirm:axle-loosened', 'confirm:plate-on', 'confirm:shoes-centred', 'confirm:lock-nut'],
    how: 'Spin the wheel, squeeze, let go, and spin it again.',
    options: [
      { id: 'none', title: 'runs free', told: 'the wheel runs free when spun' },
      {
        id: 'once',
        title: 'scrapes once a turn',
        remedy:
          'A shoe off its middle or a drum out of round: back the barrel in, or centre the shoes with the brake held on.',
      },
      { id: 'lightly', title: 'drags lightly', remedy: 'Back the barrel in until it runs free; then spin it again.' },
      {
        id: 'hard',
        title: 'drags hard',
        remedy:
          'Let cable out at the anchor until it runs free. If it still drags, the shoes are not centred or a spring is off.',
        stop: true,
      },
    ],
  },
  {
    id: 'cleanedWith',
    title: 'drum was cleaned with',
    shorthand: 'washed',
    standsOn: OPENED,
    how: 'What has been on drum and linings, now or before.',
    options: [
      { id: 'water', title: 'soap and water' },
      {
        id: 'nothing',
        title: 'nothing',
        remedy: 'It is not clean yet, and dry dust rises: wet drum and plate with soap and water, wipe, let both dry.',
      },
      {
        id: 'solvent',
        title: 'solvent or citrus',
        remedy: `Solvent and citrus soak into linings and do not come out. ${REPLACE}`,
        stop: true,
      },
    ],
  },
  {
    id: 'liningFace',
    title: 'linings’ faces',
    shorthand: 'lface',
    standsOn: OPENED,
    how: 'Look at both faces in the light; touch neither.',
    options: [
      { id: 'dull', title: 'dull and even' },
      {
        id: 'glazed',
        title: 'shiny',
        remedy:
          'Dull them, wet: with a fine paper, or lightly with a coarse one (two schools). The drum may be sanded lightly too.',
      },
      { id: 'oily', title: 'oily or greasy', remedy: `Grease does not come out of a lining. ${REPLACE}`, stop: true },
    ],
  },
  {
    id: 'rivets',
    title: 'rivets',
    shorthand: 'rivets',
    standsOn: OPENED,
    how: 'Press each lining with a thumb, and look where its rivets lie.',
    options: [
      { id: 'firm', title: 'firm and below the face' },
      { id: 'flush', title: 'at the face', remedy: `The lining is at its rivets: do not ride. ${REPLACE}`, stop: true },
      { id: 'loose', title: 'one is loose', remedy: `A loose rivet: do not ride. ${REPLACE}`, stop: true },
    ],
  },
  {
    id: 'squeals',
    title: 'when braked',
    shorthand: 'squeal',
    practice: 'squeals',
    how: 'Roll and brake, before any hard stop.',
    options: [
      { id: 'quiet', title: 'quiet' },
      { id: 'squeals', title: 'squeals' },
    ],
  },
  {
    id: 'squealsAfter',
    title: 'after the hard stops',
    shorthand: 'after',
    standsOn: ['reading:squeals'],
    how: 'Roll and brake again.',
    options: [
      { id: 'gone', title: 'the squeal is gone' },
      {
        id: 'stays',
        title: 'it squeals still',
        remedy: 'Open the drum: glaze, a loose rivet or grease. The job “opening the drum” has it in order.',
      },
    ],
  },
  {
    id: 'camKind',
    keeps: 'hardware',
    title: 'cam',
    shorthand: 'cam',
    how: 'Push the cam sideways, plate off: it floats, or it stays.',
    trait: 'cam',
    options: [
      { id: 'floating', title: 'floats: both shoes pushed alike' },
      { id: 'fixed', title: 'fixed in the plate: both worn to one pressure' },
    ],
  },
]
