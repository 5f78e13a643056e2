import { partsThere } from '../../bench/parts-there.ts'
import type { Looked } from '../../brake/on-stand.ts'
import type { Circumstances, StepSpec } from '../../brake/step.ts'
import { CLEAR_MM, COVER_MM, HUNG_MM } from './limits.ts'
import { BOLTED, STANDS_NOW } from './readings.ts'

/** A rotor this much wider or narrower needs the caliper elsewhere, mm of diameter. Our choice. */
const ANOTHER_MM = 1

/** The new rotor is of another size than the one that came off. */
function isAnotherSize({ number }: Looked): boolean {
  const [before, after] = [number('stackRotor'), number('rotorWide')]
  return before !== undefined && after !== undefined && Math.abs(after - before) > ANOTHER_MM
}

/** How the caliper stands over its rotor is not well. */
function liesWrong({ number }: Looked): boolean {
  const under = (id: string, least: number) => (number(id) ?? Number.POSITIVE_INFINITY) < least
  return (
    under('bodyClearTop', CLEAR_MM) ||
    under('bodyClearBottom', CLEAR_MM) ||
    under('padCover', COVER_MM) ||
    (number('padHung') ?? 0) > HUNG_MM
  )
}

const chosen = ({ way }: Circumstances): boolean => way('stack') !== undefined
const planned = (here: Circumstances): boolean => isAnotherSize(here) || liesWrong(here) || chosen(here)
const bracketed = ({ way }: Circumstances): boolean => way('stack')?.startsWith('bracket') === true

const NOW = {
  title: 'bracket and spacers as they lie',
  say: 'Before it is taken apart: write down bracket, spacers, and how the body clears.',
  more: 'A picture, or a note of each spacer in its order from the frame outwards, and of the end the bracket’s big side points to. The pads squeezed; keep the old parts until the new ones prove right.',
  why: 'From how it lies now, it is worked out how it will lie; the old order is lost once it is apart.',
  tools: ['rule', 'caliper', 'feeler'],
  cautions: ['rotor'],
} as const

/** Before a rotor of another size comes off; it stands with the wheel, where its track was measured already. */
export const STACK_NOTED: StepSpec = {
  ...NOW,
  id: 'stack-noted',
  station: 'wheel',
  before: 'axle-noted',
  maySkip: 'bracket and spacers are not worked out',
  done: { kind: 'measured', readings: STANDS_NOW.filter((id) => id !== 'trackDeep') },
  when: isAnotherSize,
}

/** What lies between mount and caliper, planned and fitted. */
export const STACK_STEPS: readonly StepSpec[] = [
  {
    ...NOW,
    id: 'stack-now',
    station: 'mount',
    maySkip: 'bracket and spacers are not worked out',
    done: { kind: 'measured', readings: STANDS_NOW },
    when: (here) => !isAnotherSize(here) && planned(here),
  },
  {
    id: 'stack-bolts',
    station: 'mount',
    title: 'bolts and what they go into',
    say: 'Measure the caliper’s ear, its bolts, and the thread they go into.',
    why: 'A bolt length that held on the old stack may hold by two turns on the new one, or bottom.',
    tools: ['caliper', 'depth rod'],
    cautions: ['bolt-length'],
    maySkip: 'how the bolts hold is not worked out',
    done: { kind: 'measured', readings: BOLTED, optional: ['bracketThread'] },
    when: planned,
  },
  {
    id: 'stack-plan',
    station: 'mount',
    title: 'bracket and spacers chosen',
    say: 'Choose bracket and spacers that put the pads on the track.',
    why: 'The body must clear the rotor top and bottom, the pads cover the track, the bolts hold by enough thread.',
    cautions: ['bolt-length'],
    maySkip: 'bracket and spacers are fitted without being worked out',
    done: { kind: 'planned', plan: 'stack' },
    when: planned,
  },
  partsThere('stack-parts', chosen),
  {
    id: 'stack-fitted',
    station: 'mount',
    standsOn: ['plan:stack'],
    shorthand: 'stacked',
    title: 'bracket and spacers fitted',
    say: 'Fit bracket and spacers, both ears alike; start every bolt by fingers, its turns counted.',
    more: 'Fresh medium threadlocker. Big side of the bracket as found, unless its maker says otherwise; caliper bolts loose until it is set.',
    why: 'A spacer short under one ear sets the body askew to the rotor; a bolt that takes few turns does not hold.',
    tools: ['5 mm hex key', 'medium threadlocker'],
    cautions: ['bolt-length'],
    done: {
      kind: 'confirmed',
      well: 'Fitted',
      ill: 'A bolt stops early or takes few turns',
      remedy: 'It bottoms or holds too little: take it out, measure it and its thread again, and choose anew.',
      stop: true,
    },
    when: (here) => chosen(here) || isAnotherSize(here),
  },
]

/** Once the caliper is set. */
export const BRACKET_TIGHT: StepSpec = {
  id: 'bracket-tight',
  station: 'tighten',
  standsOn: ['plan:stack', 'confirm:stack-fitted'],
  shorthand: 'brtight',
  before: 'fasteners',
  title: 'bracket bolts, fresh threadlocker',
  say: 'Tighten both bracket bolts to 6–8 N·m with fresh medium threadlocker.',
  more: 'From memory; the maker’s figure comes first. Never the permanent kind.',
  why: 'A bracket carries the whole brake.',
  tools: ['torque wrench'],
  cautions: ['maker'],
  done: {
    kind: 'confirmed',
    well: 'Tight',
    ill: 'One does not tighten',
    remedy: 'A stripped thread in frame or fork is for its maker or a frame builder; the bolt alone is replaced.',
    stop: true,
  },
  when: bracketed,
}
