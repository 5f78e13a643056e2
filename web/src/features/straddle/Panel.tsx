import {
  gapOf,
  hasStraddle,
  straddleAt,
  straddleCurve,
  straddleFor,
  yokeFor,
} from '@overhaul/core/features/cable/straddle'
import { MOST_HAND_N } from '@overhaul/core/features/match/lever-match'
import { showQuantity } from '@overhaul/core/stand/show'
import { useMemo, useState } from 'react'
import { useMedia } from '../../app/settings.ts'
import { PHONE } from '../../app/theme.ts'
import { Curves } from '../../drawing/Curves.tsx'
import { Slide } from '../../ui/Slide.tsx'
import { Label, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

/** Spans of the curve that neither come to the bar nor are too weak. */
function usableSpans(points: readonly { readonly yokeMm: number; readonly usable: boolean }[]) {
  const spans: [number, number][] = []
  for (const [index, { yokeMm, usable }] of points.entries()) {
    if (!usable) continue
    const last = spans.at(-1)
    if (last && points[index - 1]?.usable) last[1] = yokeMm
    else spans.push([yokeMm, yokeMm])
  }
  return spans
}

/** The straddle planner: yoke height against leverage, lever travel and hand force, and the length to cut. */
export function Panel({ job, length }: Pick<NotesProps, 'job' | 'length'>) {
  const narrow = useMedia(PHONE)
  const { family, dimensions, here, model, schools } = job
  const gapMm = useMemo(() => gapOf(model, schools), [model, schools])
  const now = yokeFor(dimensions, dimensions.straddleMm as number)
  const [yoke, setYoke] = useState(now)
  const curve = useMemo(() => straddleCurve(family, dimensions, here, gapMm), [family, dimensions, here, gapMm])
  if (!hasStraddle(family) || curve.length === 0 || yoke === undefined) return null
  const at = straddleAt(family, dimensions, here, gapMm, yoke)
  const mm = (value: number) => showQuantity(value, 'mm', length)
  const spans = usableSpans(curve)
  const reach = dimensions.leverReachMm as number
  const over = (of: (point: (typeof curve)[number]) => number) => [
    { points: curve.map((each) => ({ x: each.yokeMm, y: of(each) })) },
  ]
  return (
    <section aria-label="Straddle cable">
      <Label>Straddle cable</Label>
      <Curves
        narrow={narrow}
        label="yoke height: linkage, finger travel and force"
        panels={[
          {
            title: 'linkage, cable over pads',
            lines: over((each) => each.linkageRatio),
            ...(at && { value: `${at.linkageRatio.toFixed(2)} : 1` }),
          },
          {
            title: `bite, of ${mm(reach)}`,
            length,
            lines: over((each) => each.travelMm),
            ...(at && { value: mm(at.travelMm) }),
          },
          {
            title: `finger force, N, at most ${MOST_HAND_N}`,
            lines: over((each) => each.handForceN),
            ...(at && { value: `${Math.round(at.handForceN)} N` }),
          },
        ]}
        xTitle="yoke above the straddle’s ends"
        xLength={length}
        good={spans}
        at={yoke}
        valueText={at ? `${at.linkageRatio.toFixed(2)} at ${mm(yoke)}` : mm(yoke)}
        onDrag={setYoke}
      />
      <span style={{ font: '500 1.0625rem/1.2 var(--label)' }}>yoke height, {mm(yoke)}</span>
      <Slide
        label="yoke height"
        min={curve[0]?.yokeMm ?? 0}
        max={curve.at(-1)?.yokeMm ?? 0}
        step={0.5}
        value={yoke}
        onChange={setYoke}
      />
      <p>
        <b>Cut the straddle to {mm(straddleFor(dimensions, yoke))}</b>, end to end; it is{' '}
        {mm(dimensions.straddleMm as number)} now.{' '}
        {at &&
          (at.usable
            ? `Usable: ${mm(Math.max(0, at.reserveMm))} to the bar at a hard squeeze.`
            : at.reserveMm < 10
              ? 'The lever comes to the bar: raise the yoke.'
              : 'Too weak: lower the yoke.')}
      </p>
      <Slate>
        {spans.length === 0
          ? 'No yoke height serves this lever and load.'
          : `Usable from ${spans.map(([from, to]) => `${mm(from)} to ${mm(to)}`).join(', ')} of yoke height (bracket).`}{' '}
        Computed for this lever, rim and load, pads {mm(1.5)} off.
      </Slate>
    </section>
  )
}
