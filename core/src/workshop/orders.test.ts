import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

/**
 * The order of the hand, from the bench handbook (common practice, no source): each line of it is found in the kept list of
 * what is said at that brake, and after the line before it.
 */

/** What is said in one job at a brake, step after step, as its kept list has it. */
function saidIn(family: string, work: string): readonly string[] {
  const list = readFileSync(new URL(`lists/${family}.txt`, import.meta.url), 'utf8').split('\n')
  const begins = list.findIndex((line) => line.startsWith(`${work}:`))
  if (begins < 0) throw new Error(`${family} has no list of “${work}”`)
  return list.slice(begins + 1, list.indexOf('', begins))
}

/** Where each line of an order is found first after the one before it; −1 from the first that is not found. */
function placesOf(said: readonly string[], order: readonly RegExp[]): readonly number[] {
  let from = 0
  return order.map((line) => {
    const at = from < 0 ? -1 : said.findIndex((each, k) => k >= from && line.test(each))
    from = at
    return at
  })
}

const DISCS = ['disc-fixed-pad', 'disc-two-adjusters', 'disc-both-move'] as const

const FIT = [
  /Caliper off: boot, end cap, spacers and bolts/,
  /seized bolt: penetrant/i,
  /Offer old and new bracket up/,
  /caliper on its bracket, each bolt by fingers/,
  /as many mm of thread as it is thick/,
  /Barrels fully in, at caliper and lever/,
  /Inner through without fraying, slack out, arm held on its stop; clamp/,
  /Cut it, cap the end/,
  /(Float the caliper, squeeze|Tighten the caliper along the rotor)/,
  /Squeeze hard ten times/,
  /Measure how the rotor clears the body/,
  /against a light/,
  /Measure as it stands/,
  /Tighten both caliper bolts by turns/,
]
const ROTOR = [
  /Measure the old rotor/,
  /Measure the new rotor across, and try it on its hub/,
  /largest rotor that the maker/,
  /Before it is taken apart/,
  /lift it off by its carrier.*bolts are kept for their length/,
  /tighten in a star/,
  /Wipe both faces once more/,
  /push it fully home/,
  /runout/,
  /Caliper off/,
  /Choose bracket and spacers/,
  /Fit bracket and spacers/,
  /(Float the caliper, squeeze|Tighten the caliper along the rotor)/,
  /Measure how the rotor clears the body/,
  /against a light/,
  /bracket bolts/,
  /20–30 firm stops/,
  /squeeze hard, spin the wheel, and go over the bolts once more/,
]
const PADS = [
  /what keeps the pads, and which of them comes out first/,
  /(Back the knobs off and slacken the cable|press both pistons home)/,
  /how the pads are reached/,
  /(pull it; then the outer pad first|press the spring out)/,
  /Spring between the new pads.*new pin/,
  /pull at them by hand/,
  /against a light/,
  /Squeeze hard ten times/,
  /20–30 firm stops/,
  /squeeze hard, spin the wheel, and go over the bolts once more/,
]
const PADS_OUT = [
  /what keeps the pads/,
  /how the pads are reached/,
  /pad first/,
  /Hold both faces to the light; dull them flat/,
  /Spring between the pads, in the way they lay; new pin/,
  /pull at them by hand/,
  /Squeeze hard ten times/,
]

describe.each(DISCS)('the order of the hand at a %s', (family) => {
  it.each([
    ['fitting the brake', FIT],
    ['changing the rotor', ROTOR],
    ['new pads', PADS],
    ['pads out and cleaned', PADS_OUT],
  ] as const)('%s', (work, order) => {
    const places = placesOf(saidIn(family, work), order)
    expect(order.filter((_, k) => places[k] === -1)).toEqual([])
  })

  it('a rotor is asked where it runs out before it is bent, and each round is measured anew', () => {
    const list = readFileSync(new URL(`lists/${family}.txt`, import.meta.url), 'utf8')
    expect(list).toMatch(
      /find where it touches, mark it, bend that place a little with a clean tool.*each round is measured anew.*three rounds: replace it/,
    )
  })
})

const DRUM_FIT = [
  /Wheel home, right nut holding, left one on; the strap to its stay/,
  /Press the brake arm on by hand, hold it, and tighten the cone/,
  /play at the rim is just gone/,
  /lock nut to the hub maker’s figure/,
  /chain set, both nuts tight/,
  /both axle nuts, non-turn washers in place; measure the play again/,
  /Hook the cable back/,
  /strapped to frame or fork/,
  /barrel fully in/,
  /Clamp the inner for now, arm at rest/,
]
const DRUM_SERVICE = [
  /Mark the brake arm against the axle/,
  /Cable off the brake arm, strap off its stay; then the wheel out/,
  /Axle in the vice: lock nut, cone adjuster/,
  /Wet-clean drum and plate with soap and water; never blow/,
  /Measure the linings, look at their faces, and press on every rivet/,
  /largest diameter stamped/,
  /Thin grease on the cam only/,
  /arm to its felt-pen mark/,
  /Press the brake arm on by hand, hold it/,
  /play at the rim is just gone/,
  /lock nut/,
  /tighten them/,
  /measure the play again/,
  /The strap first; then housing in its stop/,
]
const RIM_FIT = [
  /push it fully home/,
  /no play/,
  /Measure its runout/,
  /Measure the lever/,
  /nut and washers kept in their order; offer the new one up/,
  /Measure from mounting hole or boss/,
  /Follow the housing from the lever/,
  /Draw the inner to and fro/,
  /Barrel fully in, slack taken up by hand: clamp the cable for now/,
  /closed end must face forward/,
  /measure track and pads/,
  /front of each pad touches/,
  /Clamp the inner straight/,
  /Squeeze hard ten times/,
  /Measure as it stands/,
  /Go over every fastener/,
  /Walk beside the bicycle/,
]

describe('the order of the hand at drum and rims', () => {
  it.each([
    ['drum', 'fitting the brake', DRUM_FIT],
    ['drum', 'opening the drum', DRUM_SERVICE],
    ...(['linear-pull', 'cantilever', 'dual-pivot', 'single-pivot', 'centre-pull'] as const).map(
      (family) => [family, 'fitting the brake', RIM_FIT] as const,
    ),
  ] as const)('%s: %s', (family, work, order) => {
    const places = placesOf(saidIn(family, work), order)
    expect(order.filter((_, k) => places[k] === -1)).toEqual([])
  })

  it('a drum that was closed by its nuts is not shaken for play a third time', () => {
    for (const work of ['fitting the brake', 'opening the drum'])
      expect(saidIn('drum', work).filter((line) => /\bplay\b/.test(line))).toHaveLength(2)
  })

  it('nothing is unhooked once a rim brake’s cable is clamped for now', () => {
    for (const family of ['linear-pull', 'cantilever', 'dual-pivot', 'single-pivot', 'centre-pull']) {
      const said = saidIn(family, 'fitting the brake')
      const clamped = said.findIndex((line) => /clamp the cable for now/.test(line))
      expect(said.slice(clamped).filter((line) => /\bunhook/i.test(line))).toEqual([])
    }
  })
})
