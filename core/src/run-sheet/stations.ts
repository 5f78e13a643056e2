/** The stations in working order, each with the readings that are taken or judged there. */
export interface Station {
  readonly id: StationId
  readonly title: string
  readonly readings: readonly string[]
}

export type StationId =
  | 'wheel'
  | 'match'
  | 'mount'
  | 'lever'
  | 'pads'
  | 'cable'
  | 'bite'
  | 'centre'
  | 'tighten'
  | 'prove'
  | 'release'

const DIAL = ['gapLeft', 'gapRight', 'biteTravel', 'reserve']

export const STATIONS: readonly Station[] = [
  { id: 'wheel', title: 'Wheel', readings: ['lateralRunout', 'radialRunout', 'wheelOffset', 'rimWall'] },
  { id: 'match', title: 'Match', readings: ['housingOuter'] },
  { id: 'mount', title: 'Mount', readings: [] },
  { id: 'lever', title: 'Lever', readings: [] },
  { id: 'pads', title: 'Pads', readings: ['padLeft', 'padRight', 'toeLeft', 'toeRight'] },
  { id: 'cable', title: 'Cable', readings: [] },
  { id: 'bite', title: 'Bite', readings: DIAL },
  { id: 'centre', title: 'Centre', readings: [...DIAL, 'leverWeight', 'leverBack'] },
  { id: 'tighten', title: 'Tighten', readings: [] },
  { id: 'prove', title: 'Prove', readings: DIAL },
  { id: 'release', title: 'Release', readings: DIAL },
]
