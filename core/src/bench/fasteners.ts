import type { FastenerSpec } from '../brake/fastener.ts'
import { tickOf } from '../brake/fastener.ts'
import type { Fact, Graph } from '../brake/graph.ts'
import type { Looked, OnStand } from '../brake/on-stand.ts'
import type { Span } from '../brake/reading.ts'
import type { StepSpec, Verdict } from '../brake/step.ts'
import { formatQuantity } from '../quantity/quantity.ts'
import { TORQUES, type TorqueFigure, type TorqueId } from '../reference/torques.ts'
import { ANCHOR_LOOSE } from './unsettled.ts'

/** Coarse threads, ISO 898-1 (from memory): nominal diameter, stress area. */
export const M5 = { diameterMm: 5, stressAreaMm2: 14.2 } as const
export const M6 = { diameterMm: 6, stressAreaMm2: 20.1 } as const
/** Proof stress of the usual steel bolt, class 8.8, ISO 898-1. */
export const PROOF_MPA = 580

type Own = Pick<FastenerSpec, 'id' | 'tool'> & Partial<FastenerSpec>

/** A fastener with thread, figure and rule as the table of torques has them. */
export function fastener(torque: TorqueId, loosenedBy: readonly Fact[], own: Own): FastenerSpec {
  const { thread, nm, rule }: TorqueFigure = TORQUES[torque]
  return { title: own.id, thread, ...(nm && { nm: { low: nm[0], high: nm[1] } }), rule, loosenedBy, ...own }
}

const LEVER_LOOSE: readonly Fact[] = ['confirm:lever-loosened', 'turn:leverAlong', 'swap:lever']
const isDropped = ({ seen }: Looked): boolean => seen('barShape') === 'dropped'
/** The lever on its bar: a clamp on a flat one, a band on a dropped one. */
export const LEVER_CLAMP: readonly FastenerSpec[] = [
  fastener('lever-clamp', LEVER_LOOSE, {
    id: 'lever clamp',
    bolt: M5,
    tool: '4 or 5 mm hex key',
    stands: (looked) => !isDropped(looked),
  }),
  fastener('lever-band', LEVER_LOOSE, { id: 'lever band', bolt: M6, tool: '5 mm hex key', stands: isDropped }),
]
/** Where a frame has no room for the lever, these lie beyond its cable. */
export const LEVER_HOLDS: readonly string[] = LEVER_CLAMP.map(({ id }) => id)
export const AXLE = fastener('makers-own', ['confirm:axle-loosened'], {
  id: 'axle nuts',
  title: 'axle nuts or quick-release',
  tool: '15 mm spanner, or the lever by hand',
  tick: 'wheel-fastened',
})
/** A hub with a brake in it hangs on nuts. */
export const AXLE_NUTS: FastenerSpec = { ...AXLE, title: 'axle nuts', tool: '15 mm spanner' }
export const anchor = (torque: 'anchor-rim' | 'anchor-disc'): FastenerSpec =>
  fastener(torque, ANCHOR_LOOSE, { id: 'anchor', bolt: M6, tool: '5 mm hex key', tick: 'cable-clamped' })

const plain = (nm: number): string => String(Number(nm.toFixed(1)))
const span = ({ low, high }: Span): string => (low === high ? `${plain(low)} N·m` : `${plain(low)}–${plain(high)} N·m`)

/** “6–8 N·m, the maker’s; from memory 5–7 N·m”: the maker’s figure comes first, and both are said. */
export function sayFigure({ nm }: Pick<FastenerSpec, 'nm'>, maker?: Span): string {
  const ours = nm && `${span(nm)} from memory`
  if (maker) return [`${span(maker)}, the maker’s`, ...(ours ? [ours] : [])].join('; ')
  return ours ?? 'the maker’s figure only'
}

/** The figure that counts, as it stands on a drawing: the maker’s, else ours. */
export const shortFigure = ({ nm }: Pick<FastenerSpec, 'nm'>, maker?: Span): string => {
  const counts = maker ?? nm
  return counts ? span(counts) : 'maker’s figure'
}

/** The steps made for fasteners that have none of their own: each stands on the sheet once it was loosened in this job. */
export const tickSteps = (fasteners: readonly FastenerSpec[]): readonly StepSpec[] =>
  fasteners
    .filter(({ tick }) => tick === undefined)
    .map((spec) => ({
      id: tickOf(spec),
      station: 'tighten',
      before: 'fasteners',
      title: `${spec.id} tight again`,
      say: `It was loosened: tighten the ${spec.id} to its figure.`,
      more: `${spec.thread}, ${spec.tool}: ${sayFigure(spec)}; the maker’s figure comes first. ${spec.rule}.`,
      why: 'What was loosened is ticked off by itself: it is the one that is forgotten.',
      tools: [spec.tool, 'torque wrench'],
      cautions: ['maker'],
      done: {
        kind: 'confirmed',
        well: 'Tight',
        ill: 'Does not tighten',
        remedy: 'Stripped, too long or too short: replace it, and tighten that to its figure.',
        stop: true,
      },
      when: (here) => here.happened(spec.loosenedBy) && (spec.stands?.(here) ?? true) && (spec.when?.(here) ?? true),
    }))

/** Each tick, and each torque that was logged, stands on what leaves its fastener loose. */
export const fastenerGraph = (fasteners: readonly FastenerSpec[]): Graph =>
  fasteners.reduce<Record<string, readonly Fact[]>>((graph, spec) => {
    const tick = `confirm:${tickOf(spec)}`
    graph[tick] = [...(graph[tick] ?? []), ...spec.loosenedBy]
    graph[`torque:${spec.id}`] = spec.loosenedBy
    return graph
  }, {})

/** Whether a torque lies outside a figure. */
export const isOff = (valueNm: number, { low, high }: Span): boolean => valueNm < low || valueNm > high

/** Under this share of the lower end of ours, or over that of its upper end, nothing is tight without its maker’s word. Our choice. */
const FAR_UNDER = 0.5
const FAR_OVER = 1.5

/** Whether a torque is not tight: off its maker’s figure, or without one far off ours. */
export const isNotTight = (valueNm: number, { nm }: Pick<FastenerSpec, 'nm'>, maker?: Span): boolean =>
  maker
    ? isOff(valueNm, maker)
    : nm !== undefined && isOff(valueNm, { low: FAR_UNDER * nm.low, high: FAR_OVER * nm.high })

/** A torque off its maker’s figure, or without one far off ours, is not tight, whatever was answered. A little outside ours it is said. */
export function judgeTorques({ torques, makers, fasteners }: OnStand): Verdict | undefined {
  const logged = fasteners.flatMap((spec) => {
    const valueNm = torques[spec.id]
    return valueNm === undefined ? [] : [{ spec, valueNm, maker: makers[spec.id] }]
  })
  const off = logged.find(({ spec, valueNm, maker }) => isNotTight(valueNm, spec, maker))
  const figure = off?.maker ?? off?.spec.nm
  if (off && figure) {
    const { spec, valueNm, maker } = off
    const whose = maker ? 'its maker’s figure' : 'every usual figure'
    return {
      state: 'out',
      say: `${spec.id} at ${formatQuantity(valueNm, 'Nm')}, ${maker ? 'the maker says' : 'usual is'} ${span(figure)}${maker ? '' : ' (from memory)'}`,
      remedy:
        valueNm > figure.high
          ? `The ${spec.id} was tightened past ${whose}: replace the bolt, look at what it clamps, and tighten it anew.`
          : `Tighten the ${spec.id} to ${span(figure)} and log it; or write its maker’s figure where that is another.`,
      stop: true,
    }
  }
  const ours = logged.find(({ spec, valueNm, maker }) => !maker && spec.nm && isOff(valueNm, spec.nm))
  return {
    state: 'well',
    say: '',
    ...(ours?.spec.nm && {
      remark: `${ours.spec.id} at ${formatQuantity(ours.valueNm, 'Nm')}; ${span(ours.spec.nm)} from memory`,
    }),
  }
}

/** Names the bench used before fasteners had a list: still read. */
const OLDER = ['straddle anchor', 'mounting bolt', 'boss bolt', 'pad', 'lever pivot', 'axle nut']
const SIDED = /^(left|right|inner|outer) /

/** Whether a fastener is named so at the bench; one of a pair with its side before it. */
export const isFastener = (name: string): boolean => OLDER.includes(name.trim().toLowerCase().replace(SIDED, ''))
