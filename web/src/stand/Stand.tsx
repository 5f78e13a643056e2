import type { StationId } from '@overhaul/core/brake/station'
import type { Worked } from '@overhaul/core/calculation/calculation'
import type { Job } from '@overhaul/core/run-sheet/job'
import { runLine, stationInHand } from '@overhaul/core/run-sheet/line'
import { practiceGauge } from '@overhaul/core/simulate/practice'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { useEffect, useMemo, useRef, useState } from 'react'
import styled from 'styled-components'
import { useMedia, useSettings } from '../app/settings.ts'
import { phone as onPhone, PHONE, upright } from '../app/theme.ts'
import type { OpenJob } from '../data/use-job.ts'
import { useDrafts } from '../drafts/use-drafts.ts'
import { Hatches } from '../drawing/Hatches.tsx'
import { isPlanned } from '../panels/mount/MountPlans.tsx'
import { MountSection } from '../panels/mount/MountSection.tsx'
import { usePlans } from '../panels/mount/use-plans.ts'
import { Log } from '../tape/Log.tsx'
import { Tape } from '../tape/Tape.tsx'
import { Complaint, foldSummary } from '../ui/parts.tsx'
import { BrakeBench, Drawing, Front } from './BrakeBench.tsx'
import { Gauges } from './Gauges.tsx'
import { useHeldWindows } from './held-windows.ts'
import { KeyList } from './KeyList.tsx'
import { Margin, type Subject } from './Margin.tsx'
import { NextPanel } from './next/NextPanel.tsx'
import { RunLine } from './RunLine.tsx'
import { StationNotes } from './StationNotes.tsx'
import { useKeys } from './use-keys.ts'
import { lastMoved } from './view.ts'
import { WorkSwitch } from './WorkSwitch.tsx'

const Room = styled.div`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  grid-template-columns: minmax(0, 1fr);
  ${upright} {
    display: block;
    padding-bottom: 130px;
  }
`
const Bench = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 770fr) minmax(0, 510fr);
  min-height: 0;
  ${upright} {
    grid-template-columns: minmax(0, 1fr);
  }
`
const FoldedDrawing = styled.details`
  order: 2;
  border-bottom: 1px solid var(--rule);
  summary {
    min-height: 52px;
    padding: 0 24px;
    ${foldSummary}
  }
`
const Right = styled.div`
  position: relative;
  min-height: 0;
  overflow-y: auto;
  ${onPhone} {
    order: 1;
    overflow: visible;
  }
`
const Readings = styled.section`
  padding: 4px 24px;
`
const Foot = styled.footer`
  border-top: 1px solid var(--rule);
  padding: 0 24px;
  background: var(--sheet);
  ${upright} {
    position: fixed;
    bottom: 0;
    left: 0;
    right: 0;
    z-index: 3;
  }
`
const Message = styled.div`
  padding: 8px 0 0;
`

/** The Stand: one brake, what it reads, what to do next. */
export function Stand({ open }: { open: OpenJob }) {
  const { record, waiting } = open
  const { length } = useSettings()
  const phone = useMedia(PHONE)
  const [seen, setSeen] = useState<StationId>()
  const [fault, setFault] = useState<string>()
  const [subject, setSubject] = useState<Subject>()
  const [help, setHelp] = useState(false)
  const [picked, setPicked] = useState<string>()
  const drawing = useRef<HTMLElement>(null)
  const tape = useRef<HTMLInputElement>(null)
  const drafts = useDrafts(record.job.id, open.job.kit, length, lastMoved(open.job.state.standing))
  const job = useHeldWindows(open.job, drafts.count > 0)

  const line = useMemo(() => runLine(job, job.advice), [job])
  const stationOfNext = stationInHand(job.next, job)
  const station = seen ?? stationOfNext
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new act leads back to its own station
  useEffect(() => setSeen(undefined), [stationOfNext])

  const write = (bodies: readonly EntryBody[]): boolean => {
    const refused = open.write(bodies)
    setFault(refused?.message)
    if (!refused) drawing.current?.focus({ preventScroll: true })
    return !refused
  }
  const save = (first?: EntryBody) => {
    const bodies = drafts.bodies()
    if (!bodies.ok) {
      setFault(bodies.error.message)
      return
    }
    if (bodies.value.length === 0) return
    if (write(first ? [first, ...bodies.value] : bodies.value)) drafts.drop()
  }

  useKeys({
    measure: () =>
      (
        document.querySelector<HTMLInputElement>('[data-measure="0"]') ??
        document.querySelector<HTMLInputElement>('[data-reading]')
      )?.focus(),
    tape: () => tape.current?.focus(),
    didIt: () => document.querySelector<HTMLButtonElement>('[data-key="did-it"]')?.click(),
    notWell: () => document.querySelector<HTMLButtonElement>('[data-key="not-well"]')?.click(),
    undo: () => setPicked(job.state.standing.findLast((entry) => entry.kind !== 'correction')?.id),
    working: () => setSubject((now) => (now ? undefined : { kind: 'advice' })),
    help: () => setHelp((now) => !now),
    station: (index) => {
      const found = line[index]
      if (found) setSeen(found.id)
    },
    escape() {
      setSubject(undefined)
      setHelp(false)
      setPicked(undefined)
      setFault(undefined)
      drafts.drop()
      drawing.current?.focus({ preventScroll: true })
    },
  })

  const onGauge =
    record.hardware.practiceSeed === undefined
      ? undefined
      : (readings: readonly string[]) => {
          const shown = practiceGauge(record.hardware, job.dimensions, job.here, job.state.standing)
          const { beside } = job.family.dial
          const wanted =
            beside && readings.some((id) => job.model.needed.includes(id)) ? [...readings, beside] : readings
          for (const id of wanted) {
            const value = shown?.[id]
            if (typeof value === 'number') drafts.setValue(id, value)
            else if (value !== undefined) drafts.set(id, value)
          }
        }

  const shownReadings = job.family.gauges[station] ?? []
  const turn = job.next.kind === 'turn' ? job.next.turn : undefined
  const ended = job.state.ended !== undefined

  const plans = usePlans(job, record.job.id, drafts)
  const mounting = station === 'mount' && isPlanned(job)
  const onWorked = (title: string, worked: readonly Worked[]) => setSubject({ kind: 'worked', title, worked })

  const bench = mounting ? (
    <Drawing ref={drawing} tabIndex={0} aria-label="Bench drawing: the mount in section.">
      <Front>
        <MountSection kit={job.kit} plans={plans} length={length} />
      </Front>
    </Drawing>
  ) : (
    <BrakeBench ref={drawing} job={job} length={length} />
  )

  return (
    <Room>
      <Hatches />
      <RunLine stations={line} here={station} onGo={setSeen} />
      <Bench>
        {phone ? (
          <FoldedDrawing>
            <summary>Drawing of the brake and the lever</summary>
            {bench}
          </FoldedDrawing>
        ) : (
          bench
        )}
        <Right>
          <NextPanel
            job={job}
            length={length}
            drafts={drafts}
            write={write}
            onSave={save}
            onWhy={() => setSubject({ kind: 'advice' })}
            onGauge={onGauge}
            sheetHref={`/api/jobs/${record.job.id}/sheet`}
          />
          <Readings aria-label="Readings">
            {station === 'wheel' && <WorkSwitch job={job} write={write} />}
            <Gauges
              job={job}
              readings={shownReadings}
              turn={turn}
              length={length}
              drafts={drafts}
              locked={ended}
              onSave={() => save()}
              onWhy={(reading) => setSubject({ kind: 'reading', reading })}
            />
            <SeenBeside job={job} shown={shownReadings} />
          </Readings>
          <StationNotes
            job={job}
            jobId={record.job.id}
            plans={plans}
            station={station}
            length={length}
            write={write}
            onWorked={onWorked}
          />
          {subject && <Margin job={job} subject={subject} length={length} onClose={() => setSubject(undefined)} />}
          {help && <KeyList onClose={() => setHelp(false)} />}
        </Right>
      </Bench>
      <Foot>
        {fault && (
          <Message>
            <Complaint>{fault}</Complaint>
          </Message>
        )}
        <Tape
          jobId={record.job.id}
          job={job}
          length={length}
          input={tape}
          write={write}
          onDone={() => drawing.current?.focus({ preventScroll: true })}
        />
        <Log job={job} length={length} waiting={waiting} write={write} picked={picked} onPick={setPicked} />
      </Foot>
    </Room>
  )
}

/** What is seen beside the readings of the dial-in, where they are shown. */
function SeenBeside({ job, shown }: { job: Job; shown: readonly string[] }) {
  const { kit, family, model, state } = job
  const { beside } = family.dial
  const found = beside === undefined ? undefined : state.readings[beside]
  if (!beside || !found || !model.needed.every((id) => shown.includes(id))) return null
  return (
    <p style={{ padding: '10px 0', font: '500 17px/1.2 var(--label)' }}>
      {kit.title(beside)}: {kit.option(beside, found.value)?.title ?? found.value}
      {found.status === 'recheck' && ' (look again)'}
    </p>
  )
}
