import type { CautionId } from '../reference/cautions.ts'
import type { End } from './dimension.ts'
import type { Fact } from './graph.ts'
import type { Looked, OnStand } from './on-stand.ts'
import type { PostureId } from './posture.ts'
import type { StationId } from './station.ts'

/** What a computed step comes to. */
export interface Verdict {
  readonly state: 'well' | 'out'
  readonly say: string
  /** Well, and yet something is to be said of it. */
  readonly remark?: string
  /** What would put it right. */
  readonly remedy?: string
  /** Readings that are too low or too high for it, though no window of their own says so. */
  readonly outside?: Readonly<Record<string, 'low' | 'high'>>
  /** Not to be ridden like this: it is put right, or the job is closed. */
  readonly stop?: true
}

/** The verdict of a computed step, or undefined while something it needs is missing. */
export type Judge = (at: OnStand) => Verdict | undefined

/** What ends a step. */
export type DoneWhen =
  /** The hand says how it is: well, or not well and what is then done about it. */
  | {
      readonly kind: 'confirmed'
      readonly count?: number
      /** What was done, past and whole, as it is printed; absent where it was only looked at. */
      readonly did?: string
      /** The two answers, as they stand on their buttons. */
      readonly well: string
      readonly ill: string
      /** What is done where it is not well. */
      readonly remedy: string
      /** Not well, it is not to be ridden. */
      readonly stop?: true
      /** What was logged beside it, which may say that it is not well though it was answered so. */
      readonly unless?: Judge
    }
  /** Every reading taken, and in its window or well; `optional` ones may be taken beside them. */
  | { readonly kind: 'in-window'; readonly readings: readonly string[]; readonly optional?: readonly string[] }
  /** Every reading taken. */
  | { readonly kind: 'measured'; readonly readings: readonly string[]; readonly optional?: readonly string[] }
  /** Every reading taken, and what is computed from them comes out well. */
  | {
      readonly kind: 'judged'
      readonly judge: Judge
      readonly readings: readonly string[]
      readonly optional?: readonly string[]
    }
  /** A way chosen, its cautions read. */
  | { readonly kind: 'planned'; readonly plan: string }
  | { readonly kind: 'dialled-in' }
  | { readonly kind: 'signed' }

/** A verdict with the readings it is made from: said once, where it is judged. */
export type Judged = Extract<DoneWhen, { readonly kind: 'judged' }>

/** What decides which steps stand on a job’s sheet: where it hangs, what the job is for, what was found and what was moved. */
export interface Circumstances extends Looked {
  readonly end: End
  readonly work: string
  /** The school the job goes by, of one thing done in several ways. */
  readonly school: (id: string) => string | undefined
  /** The way chosen for something planned. */
  readonly way: (plan: string) => string | undefined
  /** The cable is clamped anew in this job: fitted, or a part of its run replaced. */
  readonly cableAnew: boolean
  /** Whether this part was replaced in this job. */
  readonly swapped: (part: string) => boolean
  /** How the brake was built: an answer given once, in this job or an earlier one. */
  readonly trait: (id: string) => string | undefined
  /** Whether this adjuster, or what it clamps, was loosened in this job. */
  readonly loosened: (adjuster: string) => boolean
  /** Whether any of these happened in this job. */
  readonly happened: (facts: readonly Fact[]) => boolean
  /** Whether this step is answered not well. */
  readonly ill: (step: string) => boolean
  /** Whether something happened in this job that this stands on. */
  readonly shaken: (fact: Fact) => boolean
  /** The wheel is loosened in the job, by what it is for. */
  readonly loosensWheel: boolean
}

/** A sentence, or one that depends on where the brake hangs and what was found. */
export type Say = string | ((here: Circumstances) => string)

/** A reading is not asked for where another was answered so, or where it was not. */
export type Exemption =
  | { readonly reading: string; readonly is: string }
  | { readonly reading: string; readonly isNot: string }

export interface Step {
  readonly id: string
  readonly station: StationId
  /** How the hand stands as it looks or feels here; work that is a card of its own has none. */
  readonly posture?: PostureId
  /** Bench shorthand that confirms it: `wheel ok`, or `wheel no`. */
  readonly shorthand?: string
  /** The hand's action, as a good foreman would say it: one line of at most 16 words. */
  readonly say: string
  /** The rest of it, under that line. */
  readonly more?: string
  readonly title: string
  readonly why: string
  readonly tools?: readonly string[]
  readonly cautions: readonly CautionId[]
  readonly done: DoneWhen
  /** Parts whose replacement puts right what is found wrong here. */
  readonly mends?: readonly string[]
  /** What is loosened to put right what is found wrong here: an act of the bench. */
  readonly loosens?: string
  /** Said when a reading lies outside its window. */
  readonly whenOut?: string
  /** It need not be looked at: what is lost by that. Without it the step must be done before a release. */
  readonly maySkip?: string
  /** Looked at and unwanted, it may be left with a reason: what that costs. What is not to be ridden never is. */
  readonly mayLeave?: string
  /** Steps that it looks at in one glance, where they do not stand on the sheet themselves. */
  readonly covers?: readonly string[]
  /** Undone by what a later step tries, and asked again only where hands go near once more. */
  readonly againForWork?: true
  /** Nobody rides a stop, for a test or for bedding-in, before it is done. */
  readonly beforeRiding?: true
  /** Readings that are not asked for where another was answered so. */
  readonly exempt?: Readonly<Record<string, Exemption>>
  /** The hand may tell it unasked: done once in a job, it stands on the sheet. */
  readonly unasked?: true
  /** What makes it asked again, where it is confirmed. */
  readonly standsOn?: readonly Fact[]
  /** Stands on the sheet only then; always if not given. */
  readonly when?: (here: Circumstances) => boolean
}

/** A step as it is written down: what it says may depend on the circumstances, and a family’s has its place among the common ones. */
export interface StepSpec extends Omit<Step, 'say' | 'more'> {
  readonly say: Say
  readonly more?: Say
  /** The step of its station it comes before; after them all if not given. */
  readonly before?: string
}

/** The brake is fitted: that is the job, or another one went on in the middle of it. */
export const fitting = (here: Circumstances): boolean => here.work === 'fit' || here.swapped('brake')

/**
 * The wheel is seated anew: the job asks for it, it hung loose or cocked, or what it sits by was apart. Else it is only
 * looked at, as to look is not to loosen; taken out and put back later, it must stand as it stood.
 */
export const wheelLoosened = (here: Circumstances): boolean =>
  here.loosensWheel ||
  here.ill('wheel-fast') ||
  here.happened(['confirm:wheel-seated']) ||
  here.shaken('confirm:wheel-seated')

export const wholeSheet = (here: Circumstances): boolean => here.work !== 'rub' || fitting(here)

/** On the whole sheet, and on a short one too where one of these happened: what is swapped or loosened brings its steps. */
export const wholeOr =
  (...facts: readonly Fact[]) =>
  (here: Circumstances): boolean =>
    wholeSheet(here) || here.happened(facts)

/** Every reading a step asks for, those it does not need among them. */
export const asksFor = ({ done }: { readonly done: DoneWhen }): readonly string[] =>
  'readings' in done ? [...done.readings, ...(done.optional ?? [])] : []
