/** What is the same from run to run. */
export interface StopSetting {
  readonly phase: 'before' | 'after'
  readonly surface: 'dry' | 'wet'
  readonly brakes: 'this' | 'both'
  readonly load: string
  readonly pressure: string
  readonly reaction: string
  readonly inside: boolean
  readonly worth: string
}

/** The way back of a way out. */
export const other = { out: 'back', back: 'out' } as const
