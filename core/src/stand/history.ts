import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import type { Dimension, Hardware } from './hardware.ts'

/** Something of the hardware measured later: laid over what was known, which it keeps. */
export interface Measured {
  readonly dimension: string
  readonly value: number
  readonly provenance: Dimension['provenance']
  readonly instrument?: string
  /** When, ISO 8601, UTC; it tells one measuring from another. */
  readonly since: string
  readonly by: string
}

/** A figure taken back: the one measured then, and no other. */
export interface TakenBack {
  readonly dimension: string
  readonly takeBack: string
}

export type HardwareChange = Measured | TakenBack

/** Whether a moment is after another, in whatever zone either is written. */
const isAfter = (one: string, other: string): boolean => Date.parse(one) > Date.parse(other)

/** So many earlier figures are kept under one; our choice, well below the depth at which SQLite reads JSON no more (1000). */
const MOST_EARLIER = 100

/** A figure over what was known before: of more than are kept, the oldest but the very first is let go. */
function laidOver(figure: Dimension, before: Dimension | undefined): Dimension {
  const earlier: Dimension[] = []
  for (let each = before; each; each = each.before) earlier.push(each)
  const kept = earlier.length > MOST_EARLIER ? earlier.toSpliced(-2, 1) : earlier
  return [figure, ...kept].reduceRight<Dimension | undefined>((under, { before: _, ...each }) => {
    return under ? { ...each, before: under } : each
  }, undefined) as Dimension
}

const isTakenBack = (change: HardwareChange): change is TakenBack => 'takeBack' in change

/** The hardware with one change made. Made twice, it is made once: what is already so stays as it is. */
function changed(hardware: Hardware, change: HardwareChange): Outcome<Hardware> {
  const { [change.dimension]: now, ...others } = hardware.dimensions
  if (!isTakenBack(change)) {
    if (now?.since === change.since) return ok(hardware)
    if (now?.since !== undefined && isAfter(now.since, change.since)) {
      return refuse(
        'measured-since',
        'since',
        `It was measured again on ${now.since}. Accepted: a figure measured after that, or that one taken back first.`,
      )
    }
    const { dimension, ...figure } = change
    return ok({ ...hardware, dimensions: { ...others, [dimension]: laidOver(figure, now) } })
  }
  if (!now || now.since !== change.takeBack) return ok(hardware)
  return ok({ ...hardware, dimensions: { ...others, ...(now.before && { [change.dimension]: now.before }) } })
}

/** The hardware with changes made in order. Refuses a figure older than the one that stands. */
export function changedBy(hardware: Hardware, changes: readonly HardwareChange[]): Outcome<Hardware> {
  let now: Outcome<Hardware> = ok(hardware)
  for (const change of changes) if (now.ok) now = changed(now.value, change)
  return now
}

/** A figure as it stood at a moment: what was measured since is laid aside for what was known then. */
function dimensionAsOf(each: Dimension, at: string): Dimension | undefined {
  let then: Dimension | undefined = each
  while (then?.since !== undefined && isAfter(then.since, at)) then = then.before
  return then
}

/** The hardware as it was known at a moment, ISO 8601: a job that ended then is not told what was measured later. */
export function hardwareAsOf(hardware: Hardware, at: string): Hardware {
  const dimensions = Object.fromEntries(
    Object.entries(hardware.dimensions).flatMap(([id, each]) => {
      const then = dimensionAsOf(each, at)
      return then ? [[id, then]] : []
    }),
  )
  return { ...hardware, dimensions }
}

/** What differs between two records, by key. */
const differing = <T>(was: Readonly<Record<string, T>> = {}, then: Readonly<Record<string, T>> = {}) =>
  Object.entries(then).filter(([id, each]) => JSON.stringify(each) !== JSON.stringify(was[id]))

/**
 * The hardware as it stands now with what a log taught laid over it: what the log made of `was`, and nothing else. A figure
 * that somebody measured in the meantime is newer than what the log went by, and stays.
 */
export function taughtTo(now: Hardware, was: Hardware, taught: Hardware): Hardware {
  const lay = <T>(
    here: Readonly<Record<string, T>> | undefined,
    before: Readonly<Record<string, T>> | undefined,
    after: Readonly<Record<string, T>> | undefined,
  ): Readonly<Record<string, T>> | undefined => {
    const fresh = differing(before, after).filter(([id]) => JSON.stringify(here?.[id]) === JSON.stringify(before?.[id]))
    return fresh.length > 0 ? { ...here, ...Object.fromEntries(fresh) } : here
  }
  const [traits, figures] = [lay(now.traits, was.traits, taught.traits), lay(now.figures, was.figures, taught.figures)]
  return {
    ...now,
    dimensions: lay(now.dimensions, was.dimensions, taught.dimensions) ?? {},
    ...(traits && { traits }),
    ...(figures && { figures }),
  }
}
