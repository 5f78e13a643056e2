/** How the hand stands and what it holds: what is done in one of them without laying anything down is one card. */
export const POSTURES = {
  'walk-round': 'Walk round, from the front',
  lever: 'At the lever',
  caliper: 'With the caliper',
  rule: 'With the rule',
  feeler: 'With the feelers',
  protractor: 'With the protractor',
  walk: 'Walk beside it',
} as const

export type PostureId = keyof typeof POSTURES

/** The posture an instrument is held in; one that is not here is a card of its own. */
export const HELD_IN: Readonly<Record<string, PostureId>> = {
  caliper: 'caliper',
  'inside caliper': 'caliper',
  'depth rod': 'caliper',
  'hooked probe': 'caliper',
  rule: 'rule',
  'rule at the rim': 'rule',
  'thumb and rule': 'rule',
  counted: 'rule',
  told: 'rule',
  feeler: 'feeler',
  protractor: 'protractor',
}
