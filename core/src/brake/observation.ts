/** What an entry tells of the model’s readings, by their place in its order. */
export type Observation =
  /**
   * A reading was taken; `atMost` where it shows nothing, which says only that nothing is left; `atLeast` where it shows all
   * there is, and would go on.
   */
  | {
      readonly kind: 'value'
      readonly reading: number
      readonly value: number
      readonly sd: number
      readonly atMost?: true
      readonly atLeast?: true
    }
  /** One was seen to be the nearer; sd in the readings’ unit. */
  | { readonly kind: 'order'; readonly nearer: number; readonly further: number; readonly sd: number }
  /** Two were seen to be alike. */
  | { readonly kind: 'together'; readonly one: number; readonly other: number; readonly sd: number }

/** A reading read as nothing says only that the pad or the bar is reached. */
export const NOTHING = 0.02
