import type { Mount } from '../../brake/family.ts'
import type { Worked } from '../../calculation/calculation.ts'
import { reachChange, reachFit } from '../../calculations/reach.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'
import type { Measured } from './measured.ts'

/** Do the pads reach the track of the wheel to be ridden? */
export interface Reach {
  readonly neededMm: number
  readonly changeMm: number
  readonly slotLowMm: number
  readonly slotHighMm: number
  readonly fits: boolean
  /** 0 at the shortest reach, 1 at the longest. */
  readonly position: number
  readonly marginMm: number
  readonly say: string
  /** Common ranges that would reach, mm; empty for boss brakes. */
  readonly instead: readonly (readonly [number, number])[]
  readonly worked: readonly Worked[]
}

/** Common ranges of centre-bolt calipers, from memory. */
export const COMMON_REACHES: readonly (readonly [number, number])[] = [
  [39, 49],
  [47, 57],
  [55, 73],
]

const mm = (value: number) => `${Math.abs(value).toFixed(1)} mm`

/** What says whether the pads reach: mount to track, and the ends of the brake’s slot. */
export const REACH_MEASURES = ['trackReach', 'slotLow', 'slotHigh'] as const

/** Undefined until the track and the brake’s slot are measured. Refuses an unknown bead seat diameter. */
export function reachOf(measured: Measured, beadSeatMm: number, mount: Mount): Outcome<Reach> | undefined {
  const [track, slotMinMm, slotMaxMm] = REACH_MEASURES.map(measured.number)
  if (track === undefined || slotMinMm === undefined || slotMaxMm === undefined) return undefined
  const change = reachChange.work({
    fromBsdMm: measured.number('beadFitted') ?? beadSeatMm,
    toBsdMm: beadSeatMm,
    mount: mount === 'boss' ? 'boss' : 'above',
  })
  if (!change.ok) return change
  const changeMm = change.value.outputs.reachChangeMm
  const fit = reachFit.work({ reachNeededMm: track + changeMm, slotMinMm, slotMaxMm })
  if (!fit.ok) return fit
  const { reachNeededMm: neededMm } = fit.value.inputs
  const { fits, slotPosition: position, marginMm } = fit.value.outputs
  const far = mount === 'boss' ? 'above the boss' : 'below the mounting hole'
  return ok({
    neededMm,
    changeMm,
    slotLowMm: slotMinMm,
    slotHighMm: slotMaxMm,
    fits,
    position,
    marginMm,
    say: fits
      ? `The pads reach: the track lies ${mm(neededMm)} ${far}, ${Math.round(100 * position)} % along the slot, ${mm(marginMm)} to its nearer end.`
      : `The pads do not reach: the track lies ${mm(neededMm)} ${far}, ${mm(marginMm)} ${position < 0 ? 'nearer than the slot’s near end' : 'beyond the slot’s far end'}.`,
    instead: mount === 'boss' ? [] : COMMON_REACHES.filter(([low, high]) => neededMm >= low && neededMm <= high),
    worked: [change.value, fit.value],
  })
}
