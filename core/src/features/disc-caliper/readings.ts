import { biteReading } from '../../bench/bite.ts'
import { rangeOf } from '../../brake/dimension.ts'
import { wears } from '../../brake/keeps.ts'
import { DIALLED, lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'
import { CLEAR_LIMIT, COVER_LIMIT, HUNG_LIMIT } from '../stack/limits.ts'
import { DISC_DIMENSIONS } from './dimensions.ts'
import type { DiscKind } from './kind.ts'
import { MOVED_OR_OFF, OFF, PADS_NEW, WHEEL_WAS_OUT } from './unsettled.ts'

const CLICKS = rangeOf(DISC_DIMENSIONS, 'knobClicks')

const feeler = lengths(0.05)
const rule = lengths(0.3)
const MEAN = 'feeler or wire against the light, the mean over one turn of the wheel'

const gap = (id: string, title: string, shorthand: string, pad: string): ReadingSpec =>
  feeler(id, title, shorthand, [0, 3], 'feeler', `${pad} to rotor: ${MEAN}.`, {
    decimals: 2,
    gauge: DIALLED,
    keeps: wears(0.8, 0.5),
    standsOn: MOVED_OR_OFF,
  })

const GAPS: Readonly<Record<'one' | 'both', readonly ReadingSpec[]>> = {
  one: [gap('gapFixed', 'gap, fixed pad', 'gf', 'Fixed pad'), gap('gapMoving', 'gap, moving pad', 'gm', 'Moving pad')],
  both: [
    gap('gapInner', 'gap, inner pad', 'gi', 'Pad next to the wheel'),
    gap('gapOuter', 'gap, outer pad', 'go', 'Pad away from the wheel'),
  ],
}

export const gapReadings = (kind: DiscKind): readonly ReadingSpec[] => GAPS[kind === 'both-move' ? 'both' : 'one']

const clear = (id: string, title: string, shorthand: string, where: string, practice: number): ReadingSpec =>
  rule(id, title, shorthand, [-3, 15], 'feeler', `${where}, at its nearest over one turn. Touching is 0 or less.`, {
    sd: 0.2,
    limit: CLEAR_LIMIT,
    gauge: ['mount'],
    keeps: 'hardware',
    standsOn: OFF,
    practice,
  })

/** What is measured at every mechanical disc beside its gaps. Uncertainties are common practice with no source. */
export const DISC_READINGS: readonly ReadingSpec[] = [
  {
    id: 'armStarts',
    title: 'arm starts at',
    shorthand: 'starts',
    gauge: DIALLED,
    standsOn: MOVED_OR_OFF,
    unit: 'mm',
    min: 0,
    max: 120,
    sd: 1.5,
    instrument: 'rule',
    how: 'Squeeze slowly and watch the arm: finger travel at which it leaves its stop.',
  },
  rule(
    'armRest',
    'arm off its stop',
    'rest',
    [0, 15],
    'thumb and rule',
    'Lever at rest: how far a thumb can push the arm back.',
    {
      sd: 0.3,
      standsOn: MOVED_OR_OFF,
      gauge: DIALLED,
    },
  ),
  biteReading('Squeeze slowly; finger travel when both pads press, not when the first one touches.', MOVED_OR_OFF),
  clear('bodyClearTop', 'body clear above the rotor', 'btop', 'Rotor’s edge to the body of the caliper', 1.4),
  clear('bodyClearBottom', 'body clear below the track', 'bbot', 'Rotor’s arms to the lower edge of the body', 1.6),
  rule(
    'padCover',
    'pad on the track',
    'cover-mm',
    [0, 40],
    'rule',
    'How much of the pad’s height lies on the track, squeezed.',
    { keeps: 'hardware', limit: COVER_LIMIT, practice: 16, standsOn: [...OFF, 'swap:pads'], gauge: ['mount'] },
  ),
  rule(
    'padHung',
    'pad past the track',
    'past',
    [0, 10],
    'rule',
    'How much of the pad’s height hangs past the track, squeezed.',
    { keeps: 'hardware', limit: HUNG_LIMIT, practice: 0, standsOn: [...OFF, 'swap:pads'] },
  ),
]

/** What is counted of a caliper’s knobs, where it has any. */
export const KNOB_READINGS: readonly ReadingSpec[] = [
  feeler(
    'knobPitch',
    'knob’s thread pitch',
    'kp',
    rangeOf(DISC_DIMENSIONS, 'knobPitchMm'),
    'thread gauge',
    'How far the pad moves in a whole turn of its knob.',
    { keeps: 'hardware', dimension: 'knobPitchMm', practice: 1 },
  ),
  {
    id: 'knobClicksATurn',
    keeps: 'hardware',
    title: 'knob’s clicks in a turn',
    shorthand: 'kc',
    practice: 16,
    unit: 'click',
    min: CLICKS[0],
    max: CLICKS[1],
    sd: 0.5,
    instrument: 'counted',
    how: 'Clicks in a whole turn of the knob; hold a felt-pen mark in sight.',
    dimension: 'knobClicks',
  },
]

const RUBS =
  'The gauge does not explain that rub. See that the wheel is seated and the rotor true; then measure the gaps again.'

const rubs = (kind: DiscKind): string =>
  kind === 'both-move'
    ? `${RUBS} A pad that does not come back after a squeeze: press it home gently with a clean flat wedge, the arm on its stop, and look again; else its maker.`
    : RUBS

/** What is looked at on every mechanical disc. */
export const discSeen = (kind: DiscKind): readonly SeenSpec[] => [
  {
    id: 'light',
    title: 'light through the caliper',
    shorthand: 'light',
    standsOn: [...OFF, ...PADS_NEW, 'confirm:wheel-seated', WHEEL_WAS_OUT],
    how: 'Hold a torch or a white card behind and look along the rotor, before anything is turned.',
    options: [
      { id: 'both', title: 'on both sides' },
      { id: 'inner', title: 'none next to the wheel' },
      { id: 'outer', title: 'none away from the wheel' },
      {
        id: 'askew',
        title: 'a wedge: the body stands askew',
        remedy: 'Loosen both caliper bolts and set the body along the rotor before any gap is measured.',
      },
    ],
  },
  {
    id: 'rub',
    title: 'wheel when spun',
    shorthand: 'spun',
    standsOn: [...MOVED_OR_OFF, 'confirm:axle-loosened'],
    how: 'Spin the wheel, squeeze, let go, and spin it again. Stand to the side.',
    options: [
      { id: 'none', title: 'runs free' },
      { id: 'once', title: 'touches once a turn, runs on' },
      { id: 'fixed', title: 'drags on the pad next to the wheel', remedy: rubs(kind), stop: true },
      { id: 'moving', title: 'drags on the pad away from it', remedy: rubs(kind), stop: true },
      {
        id: 'shell',
        title: 'touches the body',
        remedy: 'The rotor touches the caliper’s body: it must go further out. Look at its spacers and bracket.',
        stop: true,
      },
    ],
  },
]

/** Which pad meets the rotor first, where both move. */
export const ROTOR_TOUCH: SeenSpec = {
  id: 'rotorTouch',
  title: 'meets the rotor first',
  shorthand: 'first',
  standsOn: [...MOVED_OR_OFF, 'confirm:axle-loosened'],
  how: 'Squeeze slowly against the light: which pad meets the rotor first.',
  options: [
    { id: 'inner', title: 'inner pad', told: 'the inner pad meets the rotor first' },
    { id: 'both', title: 'both', told: 'both pads meet the rotor together' },
    { id: 'outer', title: 'outer pad', told: 'the outer pad meets the rotor first' },
  ],
}

export const KNOB_SEEN: SeenSpec = {
  id: 'knobCounted',
  keeps: 'hardware',
  title: 'knob’s pitch and clicks',
  shorthand: 'kcount',
  how: 'Counted on this caliper, a click is known; of the book, it is learnt.',
  trait: 'knobCounted',
  options: [
    { id: 'book', title: 'of the book' },
    { id: 'counted', title: 'counted on this caliper' },
  ],
}

export const ASSISTED_SEEN: SeenSpec = {
  id: 'assisted',
  keeps: 'hardware',
  title: 'motor',
  shorthand: 'motor',
  how: 'Whether a motor drives this bicycle.',
  trait: 'assisted',
  options: [
    { id: 'no', title: 'none' },
    { id: 'yes', title: 'assisted by a motor' },
  ],
}
