/** What a job is for, as something told: it decides which steps stand on the run sheet. */
export const WORK = 'work'
