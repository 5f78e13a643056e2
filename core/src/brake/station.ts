/** The stations in working order. */
export const STATIONS = [
  { id: 'wheel', title: 'Wheel' },
  { id: 'match', title: 'Match' },
  { id: 'mount', title: 'Mount' },
  { id: 'lever', title: 'Lever' },
  { id: 'pads', title: 'Pads' },
  { id: 'cable', title: 'Cable' },
  { id: 'bite', title: 'Bite' },
  { id: 'centre', title: 'Centre' },
  { id: 'tighten', title: 'Tighten' },
  { id: 'prove', title: 'Prove' },
  { id: 'release', title: 'Release' },
] as const

export type StationId = (typeof STATIONS)[number]['id']
