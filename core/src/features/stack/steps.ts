import { partsThere } from '../../bench/parts-there.ts'
import type { Looked } from '../../brake/on-stand.ts'
import type { Circumstances, Step, StepSpec } from '../../brake/step.ts'
import { CLEAR_MM, COVER_MM, HUNG_MM } from './limits.ts'
import { BOLTED, STANDS_NOW } from './readings.ts'

/** A rotor this much wider or narrower needs the caliper elsewhere, mm of diameter. Our choice. */
const ANOTHER_MM = 1

/** The new rotor is of another size than the one that came off. */
export function isAnotherSize({ number }: Looked): boolean {
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
/** Bolts that come up through stay or fork from below, close together: no bracket of ours goes there. */
const fromBelow = ({ seen }: Looked): boolean => seen('mountBolts') === 'below'
const moved = (here: Circumstances): boolean => isAnotherSize(here) || liesWrong(here) || chosen(here)
const planned = (here: Circumstances): boolean => moved(here) && !fromBelow(here)
const bracketed = ({ way }: Circumstances): boolean => way('stack')?.startsWith('bracket') === true

const NOW = {
  title: 'bracket and spacers as they lie',
  say: 'Before it is taken apart: write down bracket, spacers, and how the body clears.',
  more: 'A picture, or a note of each spacer in its order from the frame outwards, and of the end the bracket’s big side points to. The pads squeezed; keep the old parts until the new ones prove right.',
  why: 'From how it lies now, it is worked out how it will lie; the old order is lost once it is apart.',
  tools: ['rule', 'caliper', 'feeler'],
  cautions: ['rotor'],
} as const

/** Where the bolts come from below only its maker’s papers count: nothing else is measured. */
const BELOW: Step['exempt'] = Object.fromEntries(
  [...STANDS_NOW, 'trackNew'].map((id) => [id, { reading: 'mountBolts', is: 'below' }]),
)

/** Before a rotor of another size comes off; it stands with the wheel. */
export const STACK_NOTED: StepSpec = {
  ...NOW,
  id: 'stack-noted',
  station: 'wheel',
  before: 'axle-noted',
  maySkip: 'bracket and spacers are not worked out',
  done: { kind: 'measured', readings: ['mountBolts', ...STANDS_NOW, 'trackNew'] },
  exempt: BELOW,
  when: isAnotherSize,
}

/** What lies between mount and caliper, planned and fitted. */
export const STACK_STEPS: readonly StepSpec[] = [
  {
    ...NOW,
    id: 'stack-now',
    station: 'mount',
    maySkip: 'bracket and spacers are not worked out',
    done: { kind: 'measured', readings: ['mountBolts', ...STANDS_NOW] },
    exempt: BELOW,
    when: (here) => !isAnotherSize(here) && moved(here),
  },
  {
    id: 'stack-by-maker',
    station: 'mount',
    standsOn: ['swap:rotor', 'swap:brake'],
    shorthand: 'bymaker',
    title: 'by its maker only',
    say: 'Fit caliper and rotor by the maker’s instructions for this mount, and no others.',
    more: 'Bolts that come up from below (M5) take one length each, one rotor each side of an adapter, and their own figure.',
    why: 'What holds is the length of those bolts in the caliper; nothing measured here tells it.',
    tools: ['the maker’s papers'],
    cautions: ['maker', 'bolt-length'],
    done: {
      kind: 'confirmed',
      did: 'Caliper and rotor fitted by their maker’s instructions',
      well: 'As its maker has it',
      ill: 'No papers, or they forbid it',
      remedy: 'Stop: the size that was on it goes back on, or the bicycle goes to its maker’s workshop.',
      stop: true,
    },
    when: (here) => moved(here) && fromBelow(here),
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
      did: 'Bracket and spacers fitted as worked out',
      well: 'Fitted',
      ill: 'A bolt stops early or takes few turns',
      remedy: 'It bottoms or holds too little: take it out, measure it and its thread again, and choose anew.',
      stop: true,
    },
    when: (here) => (chosen(here) || isAnotherSize(here)) && !fromBelow(here),
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
    did: 'Bracket bolts tightened with fresh threadlocker',
    well: 'Tight',
    ill: 'One does not tighten',
    remedy: 'A stripped thread in frame or fork is for its maker or a frame builder; the bolt alone is replaced.',
    stop: true,
  },
  when: bracketed,
}
