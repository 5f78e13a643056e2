import type { DetailSpec } from '@overhaul/core/brake/drawings'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { type Job, readingMark } from '@overhaul/core/run-sheet/job'
import { showReading } from '@overhaul/core/stand/show'
import { type Ref, useMemo } from 'react'
import styled from 'styled-components'
import { useMedia } from '../app/settings.ts'
import { PHONE } from '../app/theme.ts'
import { DetailDrawing, type DimensionNote } from '../drawing/DetailDrawing.tsx'
import { scaleBar } from '../drawing/ScaleBar.tsx'
import { Press } from '../ui/Press.tsx'
import { Drawing } from './BrakeBench.tsx'
import { toField } from './fields.ts'

const Back = styled.div`
  position: absolute;
  top: 0;
  right: 0;
  z-index: 1;
`
const Sheets = styled.div`
  min-height: 0;
  display: grid;
  grid-auto-rows: minmax(0, 1fr);
  > * + * {
    border-top: 1px solid var(--rule);
  }
`

/** The room for all of them, shared alike. */
const WIDE = { width: 770, height: 564 }
const NARROW = { width: 362, height: 340 }

interface Props {
  readonly job: Job
  readonly details: readonly DetailSpec[]
  /** Readings of the card in hand: these are dimensioned. */
  readonly readings: readonly string[]
  readonly length: LengthUnit
  readonly focus: string | undefined
  readonly onBrake: () => void
  readonly ref: Ref<HTMLElement>
}

/** The parts that the card in hand is about, each drawn by itself with what is measured at it. */
export function DetailBench({ job, details, readings, length, focus, onBrake, ref }: Props) {
  const narrow = useMedia(PHONE)
  const drawn = useMemo(() => details.map((spec) => spec.draw(job)), [details, job])
  const notes = useMemo(
    () =>
      readings.flatMap((id): readonly DimensionNote[] => {
        if (!job.kit.reading(id)) return []
        const value = job.state.readings[id]?.value
        return [
          {
            id,
            title: job.kit.title(id),
            text: typeof value === 'number' ? showReading(job.kit, id, value, length) : '?',
            mark: readingMark(job, id),
          },
        ]
      }),
    [job, readings, length],
  )
  const { width, height } = narrow ? NARROW : WIDE
  return (
    <Drawing ref={ref} tabIndex={0} aria-label="Bench drawing: what is measured or done now.">
      <Back>
        <Press quiet onPress={onBrake}>
          Show the brake
        </Press>
      </Back>
      <Sheets>
        {details.map((spec, index) => {
          const detail = drawn[index]
          return (
            detail && (
              <DetailDrawing
                key={spec.id}
                detail={detail}
                title={spec.title}
                notes={notes}
                focus={focus}
                width={width}
                height={narrow ? height : height / details.length}
                scaleBar={scaleBar(length)}
                onPick={toField}
              />
            )
          )
        })}
      </Sheets>
    </Drawing>
  )
}
