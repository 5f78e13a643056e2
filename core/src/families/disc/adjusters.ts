import { cableAdjusters } from '../../bench/adjusters.ts'
import type { AdjusterSpec, Contact } from '../../brake/adjuster.ts'
import type { Dimensions, Here } from '../../brake/dimension.ts'
import { type DiscKind, gapsOf } from '../../features/disc-caliper/kind.ts'

/** By feel on a still wheel the rotor is pressed this much before a hand says it touches, mm; least and most (from memory). */
const FELT = { least: 0.06, most: 0.17 } as const

/** mm of pad for a click of its knob. */
export const clickMm = (d: Dimensions): number => (d.knobPitchMm as number) / (d.knobClicks as number)

/**
 * Where a pad that is wound in meets the rotor. By ear, the wheel turning, its mean gap is then half the runout, at most a
 * click less; by feel, the wheel still, it depends on how the rotor happens to stand.
 */
function meets(d: Dimensions): Contact {
  const half = (d.rotorRunoutMm as number) / 2
  const click = clickMm(d)
  return {
    inward: 1,
    at: { ear: half - click / 2, feel: -(FELT.least + FELT.most) / 2 },
    sd: {
      ear: Math.hypot(0.015, click / Math.sqrt(12)),
      feel: Math.hypot(half / Math.SQRT2, (FELT.most - FELT.least) / Math.sqrt(12)),
    },
  }
}

/** A knob that winds a pad in by clicks. */
function knob(
  id: string,
  pad: 'Fixed' | 'Moving',
  shorthand: string,
  input: string,
  shows: string,
  d: Dimensions,
  here: Here,
): AdjusterSpec {
  const counted = here.traits.knobCounted === 'counted'
  return {
    id,
    title: `${pad.toLowerCase()} pad’s knob`,
    shorthand,
    unit: 'click',
    step: 1,
    plus: `${pad} pad’s knob in`,
    minus: `${pad} pad’s knob out`,
    input,
    book: -clickMm(d),
    effectSpread: counted ? 0.1 : 0.3,
    settingSd: 0,
    travel: 4 * (d.knobClicks as number),
    assumedPosition: 2 * (d.knobClicks as number),
    contact: meets(d),
    ...(here.traits.motorAt === 'this' && {
      how: () => 'Where the motor’s hub leaves no room for a hand: a star key in the knob, or gripping pliers on it.',
    }),
    cautions: ['rotor'],
    price: 0.01,
    shows: { plus: shows, minus: shows },
    screw: true,
  }
}

const SHIFTED: Omit<AdjusterSpec, 'input'> = {
  id: 'caliper',
  title: 'caliper on its bolts',
  shorthand: 'cal',
  unit: 'mm',
  step: 0.1,
  plus: 'Move the caliper away from the wheel',
  minus: 'Move the caliper towards the wheel',
  done: { plus: 'Caliper moved away from the wheel', minus: 'Caliper moved towards the wheel' },
  book: -1,
  creep: {
    sd: 0.05,
    say: (moved) =>
      `Tightening its bolts moves the caliper ${Math.abs(moved).toFixed(2)} mm ${moved > 0 ? 'towards' : 'away from'} the wheel each time`,
  },
  effectSpread: 0.1,
  settingSd: 0.1,
  cautions: ['rotor'],
  price: 0.03,
}

/**
 * The caliper slid on its slots: the inner pad loses what the outer one gains, and its cable stop rides with it. No hand
 * slides tenths: the fixed pad’s knob counts them, and a squeeze brings the body after it.
 */
const sideways = (d: Dimensions): AdjusterSpec => ({
  ...SHIFTED,
  input: 'inner',
  also: { input: 'outer', share: -1 },
  how: (amount) => {
    const clicks = Math.max(1, Math.round(Math.abs(amount) / clickMm(d)))
    const counted = `${clicks} ${clicks === 1 ? 'click' : 'clicks'}`
    return `By the knob, counting: the fixed pad in until it touches, then ${counted} ${amount > 0 ? 'out' : 'further in, as the bolts come loose'}. Both bolts loose until the body slides, squeeze and hold, tighten by turns; then the knob back to where it stood, by the count.`
  },
})

/**
 * A card between rotor and one pad as the lever is held: the body comes to lie half of it off the middle. A sheet of paper is
 * about 0.1 mm, a playing card 0.3 (from memory).
 */
const CARDS_MM = [0.1, 0.2, 0.3] as const

const FLOAT = 'Float the caliper, squeeze and hold, tighten by turns'
const HOW_TO_FLOAT =
  'Both bolts loose until the body slides by itself; the lever held on; the top bolt a little, the bottom a little, then by turns to their figure while it is held. Never squeeze with the rotor out.'

const FLOATED = 'Caliper floated, squeezed and held, tightened by turns'
const withCard = (amount: number): string =>
  amount === 0 ? '' : `; a card of ${(2 * Math.abs(amount)).toFixed(1)} mm between rotor and ${cardAt(amount)} pad`

const cardAt = (amount: number): string => (amount < 0 ? 'inner' : 'outer')

/** Both pads close on the rotor: a body that floats comes to lie where both gaps are alike, but for what the bolts move it. */
const floated = (): AdjusterSpec => ({
  ...SHIFTED,
  input: 'offset',
  contact: {
    at: { float: 0 },
    sd: { float: 0.06 },
    gives: [...CARDS_MM.map((mm) => -mm / 2).toReversed(), 0, ...CARDS_MM.map((mm) => mm / 2)],
    brief: 'Float the caliper',
    say: (amount) => `${FLOAT}${withCard(amount)}`,
    done: (amount) => `${FLOATED}${withCard(amount)}`,
  },
  how: (amount) =>
    amount === 0
      ? HOW_TO_FLOAT
      : `${HOW_TO_FLOAT} A sheet of paper is about 0.1 mm, a playing card 0.3; clean, and drawn out when both bolts are tight. The ${cardAt(amount)} pad then stands so much further off than the other, against what the bolts move.`,
})

/** What a hand turns at a mechanical disc. */
export function discAdjusters(kind: DiscKind, d: Dimensions, here: Here): readonly AdjusterSpec[] {
  const gaps = gapsOf(kind)
  const knobs =
    kind === 'both-move'
      ? []
      : [
          knob('fixedPad', 'Fixed', 'fp', 'inner', gaps.inner.reading, d, here),
          ...(kind === 'two-adjusters'
            ? [knob('movingPad', 'Moving', 'mp', 'outer', gaps.outer.reading, d, here)]
            : []),
        ]
  return [...knobs, kind === 'both-move' ? floated() : sideways(d), ...cableAdjusters(d, 'slack')]
}
