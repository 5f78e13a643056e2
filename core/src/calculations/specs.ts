/** Input declarations that recur. Lengths in mm. */
export const lengthAbove0 = (meaning: string, max: number) =>
  ({ type: 'number', unit: 'mm', min: 0, max, aboveMin: true, meaning }) as const

export const lengthFrom0 = (meaning: string, max: number) =>
  ({ type: 'number', unit: 'mm', min: 0, max, meaning }) as const
