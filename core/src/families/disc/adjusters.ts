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
    cautions: ['rotor'],
    price: 0.01,
    shows: { plus: shows, minus: shows },
    screw: true,
  }
}

/** The caliper slid on its slots: the inner pad loses what the outer one gains, and its cable stop rides with it. */
const sideways = (): AdjusterSpec => ({
  id: 'caliper',
  title: 'caliper on its bolts',
  shorthand: 'cal',
  unit: 'mm',
  step: 0.1,
  plus: 'Move the caliper away from the wheel',
  minus: 'Move the caliper towards the wheel',
  input: 'inner',
  book: -1,
  also: { input: 'outer', share: -1 },
  effectSpread: 0.1,
  settingSd: 0.1,
  cautions: ['rotor'],
  price: 0.03,
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
  return [...knobs, sideways(), ...cableAdjusters(d, 'slack')]
}
