import type { Plan } from '@overhaul/core/features/mount/plan'
import { sectionOf } from '@overhaul/core/features/mount/section'
import { wayName } from '@overhaul/core/features/mount/ways'
import { showQuantity } from '@overhaul/core/stand/show'
import { useMemo } from 'react'
import styled from 'styled-components'
import { useMedia } from '../../app/settings.ts'
import { PHONE } from '../../app/theme.ts'
import { scaleBar } from '../../drawing/ScaleBar.tsx'
import { SectionDrawing } from '../../drawing/SectionDrawing.tsx'
import { Slate } from '../../ui/words.tsx'
import type { BenchProps } from '../panels.ts'
import { usePlans } from './use-plans.ts'

const Waiting = styled.div`
  height: 100%;
  display: grid;
  align-content: center;
  justify-items: center;
  gap: 8px;
  padding: 24px;
  text-align: center;
`

/** The mount in section with the way that is looked at, or what is still missing for it. */
export function Bench({ job, jobId, length, drafts }: BenchProps) {
  const { mount, shown, missing, fault } = usePlans(job, jobId, drafts)
  const narrow = useMedia(PHONE)
  const section = useMemo(() => mount && sectionOf(mount, shown), [mount, shown])
  if (!mount || !section) {
    return (
      <Waiting>
        <p style={{ font: '600 1.5rem/1.2 var(--label)' }}>The mount is drawn in section once it is measured.</p>
        <Slate>{fault ?? `Still to come: ${missing.map(job.kit.title).join(', ')}.`}</Slate>
      </Waiting>
    )
  }
  return (
    <SectionDrawing
      narrow={narrow}
      section={section}
      title={shown ? wayName(shown.way) : 'the mount as measured'}
      labels={labelsOf(mount.depthMm, shown)}
      show={(mm) => showQuantity(mm, 'mm', length)}
      scaleBar={length === 'mm' ? { mm: 10, text: '10 mm' } : { ...scaleBar(length), mm: 12.7, text: '½ in' }}
    />
  )
}

/** What the drawing names, and where each leader points. */
function labelsOf(depth: number, plan: Plan | undefined) {
  const stack = plan?.stack
  const front = stack?.front?.dimensions.thicknessMm ?? 0
  const rear = stack?.rear?.dimensions.thicknessMm ?? 0
  const at = (x: number, y: number): readonly [number, number] => [x, y]
  return [
    { text: 'caliper', at: at(-front - 6, -7) },
    ...(stack?.front ? [{ text: stack.front.name, at: at(-front + 0.5, -5.5) }] : []),
    { text: 'frame', at: at(depth * 0.45, plan?.stack ? -7 : -5) },
    ...(stack?.rear
      ? [
          {
            text: stack.rear === stack.front ? `${stack.rear.name}, behind` : stack.rear.name,
            at: at(depth + rear - 0.5, -5.5),
          },
        ]
      : []),
    ...(stack?.kind === 'sleeve' ? [{ text: stack.nut.name, at: at(depth + rear + 1, -5) }] : []),
    ...(stack?.kind === 'through'
      ? [{ text: stack.nut.name, at: at(depth + rear + (stack.flat.dimensions.thicknessMm ?? 0) + 2.5, -4.5) }]
      : []),
  ]
}
