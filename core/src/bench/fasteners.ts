/** What holds a brake together, by the words the bench uses (handbook; common practice). */
export const FASTENERS = [
  'anchor',
  'straddle anchor',
  'mounting bolt',
  'boss bolt',
  'pad',
  'lever clamp',
  'lever pivot',
  'axle nut',
  'reaction arm',
] as const

const SIDED = /^(left|right|inner|outer) /

/** Whether a fastener is named so at the bench; one of a pair with its side before it. */
export const isFastener = (name: string): boolean =>
  (FASTENERS as readonly string[]).includes(name.trim().toLowerCase().replace(SIDED, ''))
