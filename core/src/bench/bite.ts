import type { Fact } from '../brake/graph.ts'
import type { ReadingSpec } from '../brake/reading.ts'
import { DIALLED } from '../brake/reading.ts'
import type { SchoolOption } from '../brake/school.ts'
import { RESERVE_MARGIN_MM, type Window } from '../brake/window.ts'
import type { Source } from '../calculation/source.ts'
import { REACH_TURNED } from '../features/lever-fit/screw.ts'

/** What mechanics do, with no source. */
export const BENCH_HABIT: Source = { kind: 'common-practice', title: 'Bench habit' }

/** Where every brake may bite: at a share of the finger’s way to the bar. */
export const thirdOfTravel = (says: string): SchoolOption => ({
  id: 'third',
  title: 'third of the travel',
  says,
  source: BENCH_HABIT,
  amount: { unit: '', usual: 1 / 3, min: 0.1, max: 0.7 },
})

/** Where every brake may bite: where its rider wants it, mm of finger. */
export const ridersChoice = (says: string): SchoolOption => ({
  id: 'rider',
  title: 'rider’s choice',
  says,
  source: BENCH_HABIT,
  amount: { unit: 'mm', usual: 20, min: 5, max: 60 },
})

/** Finger travel at the bite, read off a rule at the tip of the finger. Uncertainty: common practice, no source. */
export const biteReading = (how: string, standsOn: readonly Fact[]): ReadingSpec => ({
  id: 'biteTravel',
  title: 'bite',
  shorthand: 'bite',
  unit: 'mm',
  min: 0,
  max: 120,
  sd: 1.5,
  instrument: 'rule',
  how,
  gauge: DIALLED,
  standsOn: [...standsOn, REACH_TURNED],
})

/** What is left to the bar at a hard squeeze, mm: never less than the margin, whatever the family. */
export const reserveWindow = (reachMm: number, targetMm: number, text: string, source: Source): Window => ({
  reading: 'reserve',
  low: RESERVE_MARGIN_MM,
  high: reachMm,
  target: Math.min(reachMm, Math.max(RESERVE_MARGIN_MM, targetMm)),
  wallLow: RESERVE_MARGIN_MM,
  unsafe: { atMost: RESERVE_MARGIN_MM, say: `${RESERVE_MARGIN_MM} mm or less to the bar` },
  because: [{ text, source }],
})
