import type { AdjusterSpec, From } from '../brake/adjuster.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { Happening } from './timeline.ts'

/** One thing nobody has measured, with what is believed of it beforehand. */
export interface Unknown {
  readonly id: string
  readonly mean: number
  readonly sd: number
  readonly lasting: boolean
}

/** Unknowns that a happening brings: a clamp's scatter, a disturbance, the bedding of a new cable. */
interface Beginning {
  readonly added: readonly number[]
  readonly bedding?: number
}

/** Where each unknown of a job stands in the belief's vector. */
export interface Layout {
  readonly unknowns: readonly Unknown[]
  /** The input each unknown acts on; and another one it acts on by a share of that, −1 where there is none. */
  readonly inputOf: readonly number[]
  readonly alsoOf: readonly number[]
  readonly shareOf: readonly number[]
  readonly inputs: number
  /** Per adjuster: index of log effect, play and starting slack, or −1. */
  readonly effect: readonly number[]
  readonly play: readonly number[]
  readonly slack: readonly number[]
  /** And what repeats of what it moves each time it is set. */
  readonly creep: readonly number[]
  /** Input each adjuster drives; and another it gives a share of that, −1 where there is none. */
  readonly drives: readonly number[]
  readonly alsoDrives: readonly number[]
  readonly share: readonly number[]
  /** Whether anything acts on two inputs. */
  readonly coupled: boolean
  /** Per happening: what begins with it. */
  readonly begins: readonly (Beginning | undefined)[]
  /** Bedding of the cable fitted at the start, and the input it acts on; −1 where nothing beds in. */
  readonly bedding: number
  readonly beddingInput: number
}

/** What earlier visits taught about the lasting unknowns, by id. */
export type Learnt = Readonly<Record<string, { readonly mean: number; readonly sd: number }>>

/** How far its input scatters as an adjuster is set: found anew it is what finding it leaves, in the input’s own unit. */
export const settingScatter = ({ settingSd, book, contact }: AdjusterSpec, from?: From['contact']): number =>
  (from && contact?.sd[from]) ?? settingSd * Math.abs(book)

export function layoutFor(model: BrakeModel, happenings: readonly Happening[], learnt: Learnt): Layout {
  const unknowns: Unknown[] = []
  const inputOf: number[] = []
  const alsoOf: number[] = []
  const shareOf: number[] = []
  const inputIndex = (id: string) => model.inputs.findIndex((each) => each.id === id)
  const add = (
    input: number,
    id: string,
    mean: number,
    sd: number,
    lasting: boolean,
    also?: AdjusterSpec['also'],
  ): number => {
    inputOf.push(input)
    alsoOf.push(also ? inputIndex(also.input) : -1)
    shareOf.push(also?.share ?? 0)
    const known = lasting ? learnt[id] : undefined
    unknowns.push({ id, mean: known?.mean ?? mean, sd: known?.sd ?? sd, lasting })
    return unknowns.length - 1
  }
  model.inputs.forEach((input, index) => {
    add(index, input.id, input.mean, input.sd, input.lasting)
  })
  const effect: number[] = []
  const play: number[] = []
  const slack: number[] = []
  const creep: number[] = []
  for (const [index, spec] of model.adjusters.entries()) {
    const tried = !spec.lastResort || happenings.some((each) => each.kind === 'turn' && each.adjuster === index)
    const input = inputIndex(spec.input)
    effect.push(
      spec.effectSpread > 0 && tried ? add(input, `${spec.id}.effect`, 0, spec.effectSpread, true, spec.also) : -1,
    )
    play.push(spec.play ? add(input, `${spec.id}.play`, spec.play.mean, spec.play.sd, true, spec.also) : -1)
    creep.push(spec.creep ? add(input, `${spec.id}.creep`, 0, spec.creep.sd, true, spec.also) : -1)
    slack.push(spec.play ? add(input, `${spec.id}.slack`, 0.5, 0.29, false, spec.also) : -1)
  }
  const { bedding } = model
  const beddingInput = bedding ? inputIndex(bedding.input) : -1
  const fresh = happenings.some((each) => each.kind === 'disturbance' && each.bedding)
  const first = !bedding
    ? -1
    : fresh
      ? add(beddingInput, 'bedding', bedding.worn, bedding.worn, false)
      : add(beddingInput, 'bedding', (bedding.mean + bedding.worn) / 2, bedding.sd, false)
  const begins = happenings.map((happening, index): Beginning | undefined => {
    const spec = happening.kind === 'turn' ? model.adjusters[happening.adjuster] : undefined
    const scatter = happening.kind === 'turn' && spec ? settingScatter(spec, happening.from) : 0
    if (spec && scatter > 0) {
      return { added: [add(inputIndex(spec.input), `${spec.id}.set.${index}`, 0, scatter, false, spec.also)] }
    }
    if (happening.kind !== 'disturbance') return undefined
    const added = Object.entries(happening.spread).map(([input, sd]) =>
      add(inputIndex(input), `${happening.by}.${input}.${index}`, 0, sd, false),
    )
    return happening.bedding && bedding
      ? { added, bedding: add(beddingInput, `bedding.${index}`, bedding.mean, bedding.sd, false) }
      : { added }
  })
  return {
    unknowns,
    inputOf,
    alsoOf,
    shareOf,
    inputs: model.inputs.length,
    effect,
    play,
    slack,
    creep,
    drives: model.adjusters.map((spec) => inputIndex(spec.input)),
    alsoDrives: model.adjusters.map(({ also }) => (also ? inputIndex(also.input) : -1)),
    share: model.adjusters.map(({ also }) => also?.share ?? 0),
    coupled: model.adjusters.some(({ also }) => also !== undefined),
    begins,
    bedding: first,
    beddingInput,
  }
}
