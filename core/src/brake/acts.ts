/** Acts of the bench that are no steps of the sheet: they may be logged at any time. */
export const SQUEEZES = 'squeezes'

const ACTS: Readonly<Record<string, string>> = {
  [SQUEEZES]: 'squeezed',
  'shoes-loosened': 'shoes loosened',
  'anchor-loosened': 'anchor loosened',
  'mount-loosened': 'brake loosened on its mount',
  'lever-loosened': 'lever clamp loosened',
  'straddle-loosened': 'straddle’s anchor loosened',
  'bracket-loosened': 'bracket loosened',
  'rotor-loosened': 'rotor bolts loosened',
  'strap-loosened': 'reaction arm’s strap loosened',
  'axle-loosened': 'wheel’s fastening loosened',
}

export const isBenchAct = (id: string): boolean => id in ACTS

/** What can be said to be loose: the word of the tape and the act it logs. */
export const LOOSENED: Readonly<Record<string, string>> = {
  shoes: 'shoes-loosened',
  anchor: 'anchor-loosened',
  mount: 'mount-loosened',
  lever: 'lever-loosened',
  straddle: 'straddle-loosened',
  bracket: 'bracket-loosened',
  rotor: 'rotor-loosened',
  strap: 'strap-loosened',
  axle: 'axle-loosened',
}

/** The title of an act, or of a step by its kit. */
export const actTitle = (id: string): string | undefined => ACTS[id]
