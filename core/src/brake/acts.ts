/** Squeezes of the bench, told by their count: no step of the sheet. */
export const SQUEEZES = 'squeezes'
/** After either the brake has settled. */
export const SQUEEZING: ReadonlySet<string> = new Set([SQUEEZES, 'hard-squeezes'])

/** Something loosened in a job: no step of the sheet, it may be told at any time. */
export interface ActSpec {
  readonly id: string
  /** What is loose, as a word of the tape: `loose anchor`. */
  readonly loosens: string
  readonly title: string
  /** As it is said where something must be looked at again. */
  readonly cause: string
}

export const loosening = (loosens: string, title: string, cause: string): ActSpec => ({
  id: `${loosens}-loosened`,
  loosens,
  title,
  cause,
})
