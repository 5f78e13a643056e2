import { plannedDetail } from '@overhaul/core/features/stack/drawings/planned'
import { showQuantity } from '@overhaul/core/stand/show'
import { useMemo } from 'react'
import { useMedia } from '../../app/settings.ts'
import { PHONE } from '../../app/theme.ts'
import { DetailDrawing, type DimensionNote } from '../../drawing/DetailDrawing.tsx'
import { scaleBar } from '../../drawing/ScaleBar.tsx'
import type { BenchProps } from '../panels.ts'
import { useStacks } from './use-stacks.ts'

const WIDE = { width: 770, height: 564 }
const NARROW = { width: 362, height: 340 }

/** The stack that is looked at, over the new rotor and to scale. */
export function Bench({ job, jobId, length }: BenchProps) {
  const { now, shown } = useStacks(job, jobId)
  const narrow = useMedia(PHONE)
  const detail = useMemo(() => now && plannedDetail(now, shown), [now, shown])
  if (!detail || !now) return null
  const note = (id: string, title: string, mm: number): DimensionNote => ({
    id,
    title,
    text: showQuantity(mm, 'mm', length),
    mark: shown ? 'predicted' : 'in',
  })
  const { bracketMm: bracket, spacersMm: spacers } = shown?.figures ?? now
  const notes = [
    note('stackTop', 'body clear above', shown?.lies.topMm ?? now.topMm),
    note('stackBottom', 'body clear below', shown?.lies.bottomMm ?? now.bottomMm),
    note('padEdge', 'pad inside the edge', shown?.lies.padEdgeMm ?? now.padEdgeMm),
    ...(bracket > 0 ? [note('bracketRise', 'bracket', bracket)] : []),
    ...(spacers > 0 ? [note('spacersUnder', 'spacers', spacers)] : []),
  ]
  return (
    <DetailDrawing
      detail={detail}
      title={shown ? 'as planned, over the rotor that is to run' : 'the caliper as it stands now'}
      notes={notes}
      focus={undefined}
      {...(narrow ? NARROW : WIDE)}
      scaleBar={scaleBar(length)}
    />
  )
}
