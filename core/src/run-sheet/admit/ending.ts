import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { readText } from '../../quantity/text.ts'
import type { EntryBody } from '../../stand/entries.ts'
import { findingsOf } from '../findings.ts'
import type { Act } from '../next.ts'
import type { Stand } from '../stand.ts'
import { SETTLED } from '../status.ts'

const WHY_LENGTH = 500

/** An entry is struck once; a release that is restored so must be one that may be given now. */
export function admitCorrection(
  { state }: Stand,
  entry: EntryBody & { kind: 'correction' },
  next: () => Act,
): Outcome<EntryBody> {
  const struck = state.line.find((each) => each.entry.id === entry.strikes)
  if (!struck) return refuse('unknown-entry', 'strikes', `There is no entry “${entry.strikes}” in this job to strike.`)
  if (struck.struckBy) return refuse('already-struck', 'strikes', 'That entry is struck already.')
  const restored = struck.entry.kind === 'correction' && struck.entry.strikes
  const again = restored ? state.line.find((each) => each.entry.id === restored)?.entry : undefined
  return again?.kind === 'release' ? admitRelease(again, next(), entry) : ok(entry)
}

const INITIALS_LENGTH = 20

/** Whether these sign a job. */
const signed = (initials: string) => readText(initials, { field: 'initials', what: 'Initials', most: INITIALS_LENGTH })

/** A job is released when nothing on its sheet is left to do. */
export function admitRelease(
  release: EntryBody & { kind: 'release' },
  next: Act,
  entry: EntryBody = release,
): Outcome<EntryBody> {
  const by = signed(release.initials)
  if (!by.ok) return by
  const { lookAgain } = release
  if (lookAgain !== undefined && !isDay(lookAgain))
    return refuse(
      'out-of-range',
      'lookAgain',
      `Look again on “${lookAgain}”. Accepted: a day as year-month-day, for example 2027-05-26.`,
    )
  return next.kind === 'sign'
    ? ok(entry)
    : refuse(
        'not-ready',
        'kind',
        `Not ready for release: “${next.step.title}” is open. Do it, skip it with a reason where it may be skipped, or close the job unreleased.`,
      )
}

const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text))

/** A job is closed unreleased only where something says that the bicycle is not to be ridden, and with why. */
export function admitClose(stand: Stand, entry: EntryBody & { kind: 'close' }, next: Act): Outcome<EntryBody> {
  const by = signed(entry.initials)
  if (!by.ok) return by
  if (entry.why.trim() === '' || entry.why.length > WHY_LENGTH) {
    return refuse(
      'reason-missing',
      'why',
      `Closing a job unreleased needs a reason of 1 to ${WHY_LENGTH} characters: it stands on the tag.`,
    )
  }
  return next.kind === 'sign' || findingsOf(stand, SETTLED).length === 0
    ? refuse('nothing-against', 'kind', 'Nothing here says that it is not to be ridden: release it instead.')
    : ok(entry)
}
