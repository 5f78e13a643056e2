import { outcomesOf } from '@overhaul/core/dial-in/turn'
import { formatNumber, type LengthUnit, shownUnit } from '@overhaul/core/quantity/quantity'
import { type Job, readingMark } from '@overhaul/core/run-sheet/job'
import { showReading } from '@overhaul/core/stand/show'
import { type KeyboardEvent, type Ref, useImperativeHandle, useMemo, useRef } from 'react'
import styled from 'styled-components'
import { changeSettings, useMedia, useSettings } from '../app/settings.ts'
import { PHONE, phone, upright } from '../app/theme.ts'
import { BrakeDrawing } from '../drawing/BrakeDrawing.tsx'
import { LeverDrawing } from '../drawing/LeverDrawing.tsx'
import { scaleBar } from '../drawing/ScaleBar.tsx'
import { toField } from './fields.ts'
import { useSpin } from './use-spin.ts'
import { useSqueeze } from './use-squeeze.ts'
import { captionOf, fullTravel, ghostsOf, inputsNow, leadersOf, notesOf } from './view.ts'

export const Drawing = styled.section`
  position: relative;
  border-right: 1px solid var(--rule);
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
  outline-offset: -3px;
  ${upright} {
    border-right: 0;
    border-bottom: 1px solid var(--rule);
  }
`
export const Front = styled.div`
  min-height: 0;
`
const Side = styled.div`
  border-top: 1px solid var(--rule);
  aspect-ratio: 770 / 118;
  ${upright} {
    aspect-ratio: auto;
    height: 96px;
  }
  ${phone} {
    height: auto;
  }
`
interface Props {
  readonly job: Job
  readonly length: LengthUnit
  /** The reading whose field is in hand. */
  readonly focus: string | undefined
  readonly ref: Ref<HTMLElement>
}

/** The brake and its lever, drawn from what is believed; squeezed, only this is drawn anew with each frame. */
export function BrakeBench({ job, length, focus, ref }: Props) {
  const { flipped } = useSettings()
  const narrow = useMedia(PHONE)
  const section = useRef<HTMLElement>(null)
  useImperativeHandle(ref, () => section.current as HTMLElement)
  const reach = job.dimensions.leverReachMm as number
  const q = useMemo(() => inputsNow(job), [job])
  const full = useMemo(() => fullTravel(q, job.model, reach), [q, job, reach])
  const squeeze = useSqueeze(full)
  const { wheelDeg, spin } = useSpin()
  const frame = useMemo(
    () => job.model.frame(q, { travelMm: squeeze.travelMm, wheelDeg, ...(focus && { focus }) }),
    [job, q, squeeze.travelMm, wheelDeg, focus],
  )
  const ghosts = useMemo(() => ghostsOf(job), [job])
  const squeezing = squeeze.travelMm > 0.5
  const [biteId = ''] = job.family.dial.bite
  const bite = job.state.readings[biteId]?.value
  const turn = job.next.kind === 'turn' ? job.next.turn : undefined

  const onSpace = (down: boolean) => (event: KeyboardEvent) => {
    if (event.key !== ' ' || event.target !== section.current) return
    event.preventDefault()
    if (down) squeeze.hold()
    else squeeze.letGo()
  }
  return (
    <Drawing
      ref={section}
      tabIndex={0}
      aria-label="Bench drawing. Hold Space to squeeze the lever."
      onKeyDown={onSpace(true)}
      onKeyUp={onSpace(false)}
      onBlur={() => squeezing && squeeze.letGo()}
    >
      <Front>
        <BrakeDrawing
          frame={frame}
          ghosts={squeezing ? [] : ghosts}
          leaders={leadersOf(job, frame, squeezing, length)}
          notes={notesOf(job, length)}
          flipped={flipped}
          narrow={narrow}
          scaleBar={scaleBar(length)}
          caption={captionOf(job, frame)}
          onFlip={() => changeSettings({ flipped: !flipped })}
          nameOf={job.kit.title}
          onPick={toField}
          {...(frame.turns && { onSpin: spin })}
        />
      </Front>
      <Side>
        <LeverDrawing
          reachMm={reach}
          travelMm={squeeze.travelMm}
          biteTitle={job.kit.title(biteId)}
          biteMm={typeof bite === 'number' ? bite : undefined}
          biteMark={readingMark(job, biteId)}
          expectedBitesMm={turn ? outcomesOf(turn, biteId) : []}
          also={(job.family.dial.lever ?? []).flatMap((id) => {
            const mm = job.state.readings[id]?.value
            return typeof mm === 'number' ? [{ title: job.kit.title(id), mm, mark: readingMark(job, id) }] : []
          })}
          window={job.windows.empty ? undefined : job.windows.of[biteId]}
          narrow={narrow}
          show={(mm) => showReading(job.kit, biteId, mm, length)}
          tick={(mm) => formatNumber(mm, shownUnit('mm', length), length === 'in' ? 1 : 0)}
          onTravel={squeeze.to}
          onLetGo={squeeze.letGo}
        />
      </Side>
    </Drawing>
  )
}
