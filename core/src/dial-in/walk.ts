import type { From } from '../brake/adjuster.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { Layout } from './layout.ts'
import type { Happening } from './timeline.ts'

const NO_SLOPE = new Float64Array(0)

/**
 * The log replayed for one guess of the unknowns: keeps the model inputs `q` up to date and, beside them,
 * how they change with each unknown. A screw follows its head only after its lost motion is taken up.
 */
export class Walk {
  readonly q: Float64Array
  /** How much its input changes with each unknown; and the other input that some act on beside it. */
  readonly slope: Float64Array
  readonly slopeAlso: Float64Array
  private readonly head: number[]
  private readonly follower: number[]
  private readonly followerByPlay: number[]
  private readonly followerBySlack: number[]
  private readonly start: number[]
  private readonly startByPlay: number[]
  private readonly startBySlack: number[]
  /** Where what it also drives was last met: its moves before that count no more there. */
  private readonly startAlso: number[]
  private readonly startAlsoByPlay: number[]
  private readonly startAlsoBySlack: number[]
  /** How often each was set since its input was last met, and since what it also drives was. */
  private readonly times: number[]
  private readonly timesAlso: number[]
  private added: number[] = []
  private addedAlso: number[] = []
  /** Inputs set anew at contact: what was believed of them before counts no more. */
  private readonly met = new Map<number, number>()
  private bedding: number
  /** Share of the bedding that was there when its input was set anew. */
  private bedded = 0
  private squeezes = 0
  /** A screw has been turned and the brake not squeezed since: it has not settled. */
  unsettled = false

  constructor(
    private readonly model: BrakeModel,
    private readonly layout: Layout,
    private readonly theta: Float64Array,
    private readonly withSlope = true,
  ) {
    this.q = new Float64Array(layout.inputs)
    this.slope = withSlope ? new Float64Array(layout.unknowns.length) : NO_SLOPE
    this.slopeAlso = withSlope && layout.coupled ? new Float64Array(layout.unknowns.length) : NO_SLOPE
    const count = model.adjusters.length
    this.head = new Array<number>(count).fill(0)
    this.follower = new Array<number>(count).fill(0)
    this.followerByPlay = new Array<number>(count).fill(0)
    this.followerBySlack = new Array<number>(count).fill(0)
    this.start = new Array<number>(count).fill(0)
    this.startByPlay = new Array<number>(count).fill(0)
    this.startBySlack = new Array<number>(count).fill(0)
    this.times = new Array<number>(count).fill(0)
    this.timesAlso = new Array<number>(count).fill(0)
    this.bedding = layout.bedding
    for (let a = 0; a < count; a += 1) {
      const play = this.value(layout.play[a] as number, 0)
      const slack = this.value(layout.slack[a] as number, 0)
      this.follower[a] = -slack * play
      this.start[a] = -slack * play
      this.followerByPlay[a] = -slack
      this.followerBySlack[a] = -play
      this.startByPlay[a] = -slack
      this.startBySlack[a] = -play
    }
    this.startAlso = [...this.start]
    this.startAlsoByPlay = [...this.startByPlay]
    this.startAlsoBySlack = [...this.startBySlack]
  }

  private value(index: number, absent: number): number {
    return index < 0 ? absent : (this.theta[index] as number)
  }

  step(happening: Happening, index: number): void {
    if (happening.kind === 'turn' && happening.from) this.meet(happening.adjuster, happening.from)
    const begun = this.layout.begins[index]
    if (begun) {
      this.added.push(...begun.added)
      if (this.layout.coupled)
        this.addedAlso.push(...begun.added.filter((each) => (this.layout.alsoOf[each] as number) >= 0))
    }
    if (begun?.bedding !== undefined) {
      this.bedding = begun.bedding
      this.squeezes = 0
      this.bedded = 0
    }
    if (happening.kind === 'squeeze') {
      this.squeezes += happening.times
      this.unsettled = false
    } else if (happening.kind === 'turn') {
      const { adjuster, amount } = happening
      this.times[adjuster] = (this.times[adjuster] as number) + 1
      this.timesAlso[adjuster] = (this.timesAlso[adjuster] as number) + 1
      this.turn(adjuster, amount)
    }
  }

  /** Wound in to contact: its input is what it is there, whatever moved it before. */
  private meet(adjuster: number, from: From['contact']): void {
    const { layout, model } = this
    const at = model.adjusters[adjuster]?.contact?.at[from]
    if (at === undefined) return
    const input = layout.drives[adjuster] as number
    this.met.set(input, at)
    this.added = this.added.filter((unknown) => layout.inputOf[unknown] !== input)
    this.addedAlso = this.addedAlso.filter((unknown) => layout.alsoOf[unknown] !== input)
    if (layout.beddingInput === input) this.bedded = this.beddingShare()
    for (let a = 0; a < model.adjusters.length; a += 1) {
      if (layout.alsoDrives[a] === input) {
        this.timesAlso[a] = 0
        this.startAlso[a] = this.follower[a] as number
        this.startAlsoByPlay[a] = this.followerByPlay[a] as number
        this.startAlsoBySlack[a] = this.followerBySlack[a] as number
      }
      if (layout.drives[a] !== input) continue
      this.times[a] = 0
      this.start[a] = this.follower[a] as number
      this.startByPlay[a] = this.followerByPlay[a] as number
      this.startBySlack[a] = this.followerBySlack[a] as number
    }
  }

  private beddingShare(): number {
    return this.model.bedding ? 1 - Math.exp(-this.squeezes / this.model.bedding.squeezes) : 0
  }

  turn(adjuster: number, amount: number): void {
    const play = this.layout.play[adjuster] as number
    const head = (this.head[adjuster] as number) + amount
    this.head[adjuster] = head
    if (play < 0) {
      this.follower[adjuster] = head
      return
    }
    this.unsettled = true
    const lost = Math.max(0, this.theta[play] as number)
    const at = this.follower[adjuster] as number
    if (amount > 0 && head - lost > at) {
      this.follower[adjuster] = head - lost
      this.followerByPlay[adjuster] = -1
      this.followerBySlack[adjuster] = 0
    } else if (amount < 0 && head < at) {
      this.follower[adjuster] = head
      this.followerByPlay[adjuster] = 0
      this.followerBySlack[adjuster] = 0
    }
  }

  squeeze(times: number): void {
    this.squeezes += times
    this.unsettled = false
  }

  /** Brings `q` (and its slope) up to date with everything stepped so far. */
  settle(): void {
    const { q, slope, layout, model, theta } = this
    this.begin()
    for (const unknown of this.added) {
      const input = layout.inputOf[unknown] as number
      q[input] = (q[input] as number) + (theta[unknown] as number)
      if (this.withSlope) slope[unknown] = 1
    }
    if (layout.coupled) this.settleAlso()
    if (model.bedding) {
      const share = this.beddingShare() - this.bedded
      q[layout.beddingInput] = (q[layout.beddingInput] as number) + share * (theta[this.bedding] as number)
      if (this.withSlope) slope[this.bedding] = share
    }
    for (let a = 0; a < model.adjusters.length; a += 1) {
      const input = layout.drives[a] as number
      const effect = layout.effect[a] as number
      const book = (model.adjusters[a] as { book: number }).book
      const rate = effect < 0 ? book : book * Math.exp(theta[effect] as number)
      const moved = rate * ((this.follower[a] as number) - (this.start[a] as number))
      q[input] = (q[input] as number) + moved
      if (layout.creep[a] !== -1) this.settleCreep(a, input, this.times[a] as number, slope)
      if (!this.withSlope) continue
      if (effect >= 0) slope[effect] = moved
      const play = layout.play[a] as number
      if (play >= 0) {
        const slack = layout.slack[a] as number
        slope[play] = rate * ((this.followerByPlay[a] as number) - (this.startByPlay[a] as number))
        slope[slack] = rate * ((this.followerBySlack[a] as number) - (this.startBySlack[a] as number))
      }
    }
  }

  /** Each input where it stood at first, or where it was last met. */
  private begin(): void {
    const { q, slope, layout, theta } = this
    if (this.withSlope) slope.fill(0)
    for (let i = 0; i < layout.inputs; i += 1) {
      const met = this.met.get(i)
      q[i] = met ?? (theta[i] as number)
      if (this.withSlope) slope[i] = met === undefined ? 1 : 0
    }
  }

  /** What repeats of an adjuster’s setting, so many times over. */
  private settleCreep(adjuster: number, input: number, times: number, slope: Float64Array): void {
    const creep = this.layout.creep[adjuster] as number
    this.q[input] = (this.q[input] as number) + times * (this.theta[creep] as number)
    if (this.withSlope) slope[creep] = times
  }

  /** What moves act on beside their own input. */
  private settleAlso(): void {
    const { q, slopeAlso, layout, model, theta } = this
    if (this.withSlope) slopeAlso.fill(0)
    for (const unknown of this.addedAlso) {
      const input = layout.alsoOf[unknown] as number
      const share = layout.shareOf[unknown] as number
      q[input] = (q[input] as number) + share * (theta[unknown] as number)
      if (this.withSlope) slopeAlso[unknown] = share
    }
    for (let a = 0; a < model.adjusters.length; a += 1) {
      const input = layout.alsoDrives[a] as number
      if (input < 0) continue
      const effect = layout.effect[a] as number
      const book = (model.adjusters[a] as { book: number }).book * (layout.share[a] as number)
      const rate = effect < 0 ? book : book * Math.exp(theta[effect] as number)
      const moved = rate * ((this.follower[a] as number) - (this.startAlso[a] as number))
      q[input] = (q[input] as number) + moved
      if (layout.creep[a] !== -1)
        this.settleCreep(a, input, (this.timesAlso[a] as number) * (layout.share[a] as number), slopeAlso)
      if (!this.withSlope) continue
      if (effect >= 0) slopeAlso[effect] = moved
      const play = layout.play[a] as number
      if (play < 0) continue
      slopeAlso[play] = rate * ((this.followerByPlay[a] as number) - (this.startAlsoByPlay[a] as number))
      slopeAlso[layout.slack[a] as number] =
        rate * ((this.followerBySlack[a] as number) - (this.startAlsoBySlack[a] as number))
    }
  }

  /** What an adjuster set once more moves its input by, whatever it is set to. */
  creep(adjuster: number): number {
    return this.value(this.layout.creep[adjuster] as number, 0)
  }

  /** Its input if an adjuster were wound in to contact, found so, and then moved by an amount; undefined where it has no contact. */
  fromContact(adjuster: number, amount: number, from: From['contact']): number | undefined {
    const at = this.model.adjusters[adjuster]?.contact?.at[from]
    return at === undefined ? undefined : at + this.reach(adjuster, amount)
  }

  /** Effect on its input if an adjuster were turned further, without turning it. */
  reach(adjuster: number, amount: number): number {
    const play = this.layout.play[adjuster] as number
    const effect = this.layout.effect[adjuster] as number
    const book = (this.model.adjusters[adjuster] as { book: number }).book
    const rate = effect < 0 ? book : book * Math.exp(this.theta[effect] as number)
    if (play < 0) return rate * amount
    const head = (this.head[adjuster] as number) + amount
    const at = this.follower[adjuster] as number
    const lost = Math.max(0, this.theta[play] as number)
    const to = amount > 0 ? Math.max(at, head - lost) : Math.min(at, head)
    return rate * (to - at)
  }
}
