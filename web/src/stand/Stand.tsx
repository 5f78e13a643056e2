import type { StationId } from '@overhaul/core/brake/station'
import type { Worked } from '@overhaul/core/calculation/calculation'
import { cardOf } from '@overhaul/core/run-sheet/card'
import { runLine, stationInHand } from '@overhaul/core/run-sheet/line'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { lastTimes } from '@overhaul/core/stand/last-time'
import { upper } from '@overhaul/core/stand/words'
import { Suspense, startTransition, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import { lazily } from '../app/lazily.ts'
import { useMedia, useSettings } from '../app/settings.ts'
import { PHONE } from '../app/theme.ts'
import type { OpenJob } from '../data/use-job.ts'
import { sayBad, sift } from '../drafts/drafts.ts'
import { useDrafts } from '../drafts/use-drafts.ts'
import { Hatches } from '../drawing/Hatches.tsx'
import { Log } from '../tape/Log.tsx'
import { Fold } from '../ui/Fold.tsx'
import { dropNotice, notice, takeNotice } from '../ui/notices.ts'
import { Press } from '../ui/Press.tsx'
import { Complaint, Heard } from '../ui/words.tsx'
import { Gauges } from './Gauges.tsx'
import { useHeldWindows } from './held-windows.ts'
import type { Subject } from './Margin.tsx'
import { NextPanel } from './next/NextPanel.tsx'
import { useOnShow } from './next/use-on-show.ts'
import { OnBench } from './OnBench.tsx'
import { practiceGaugeOf } from './practice-gauge.ts'
import { RunLine } from './RunLine.tsx'
import { Bench, Folded, Foot, LogLine, Message, Readings, Right, Room, Scroll, TapeToCome } from './room.ts'
import { SeenBeside } from './SeenBeside.tsx'
import { StationNotes } from './StationNotes.tsx'
import { useBackCloses } from './use-back.ts'
import { useKeys } from './use-keys.ts'
import { toLine, useLanding } from './use-landing.ts'
import { askedNow, lastMoved } from './view.ts'
import { WorkSwitch } from './WorkSwitch.tsx'

/** The act stands before the line that can write anything: its list of words is half as heavy as the rest. */
const Tape = lazily(async () => (await import('../tape/Tape.tsx')).Tape)
const Margin = lazily(async () => (await import('./covers.ts')).Margin)
const KeyList = lazily(async () => (await import('./covers.ts')).KeyList)
const LogList = lazily(async () => (await import('./covers.ts')).LogList)
const WordList = lazily(async () => (await import('./covers.ts')).WordList)

const WrittenBy = lazily(async () => (await import('./WrittenBy.tsx')).WrittenBy)

/** The Stand: one brake, what it reads, what to do next. */
export function Stand({ open }: { open: OpenJob }) {
  const { record, waiting } = open
  const { length } = useSettings()
  const phone = useMedia(PHONE)
  const [seen, setSeenNow] = useState<StationId>()
  /** A station's own panels may have to come first: until then what stood there stays. */
  const setSeen = (id: StationId | undefined) => startTransition(() => setSeenNow(id))
  const [fault, setFault] = useState<string>()
  const [subject, setSubject] = useState<Subject>()
  const [help, setHelp] = useState<'keys' | 'words' | 'log'>()
  const [wrote, setWrote] = useState(false)
  const [picked, setPicked] = useState<string>()
  const drawing = useRef<HTMLElement>(null)
  const tape = useRef<HTMLInputElement>(null)
  /** The tape was asked for before it had come: the hand is led to it when it does. */
  const tapeAsked = useRef(false)
  const tapeCame = (line: HTMLInputElement | null) => {
    tape.current = line
    if (line && tapeAsked.current) {
      tapeAsked.current = false
      line.focus()
    }
  }
  const scroll = useRef<HTMLDivElement>(null)
  const drafts = useDrafts(record.job.id, open.job.kit, length, lastMoved(open.job.state.standing))
  const job = useHeldWindows(open.job, drafts.count > 0)

  const card = useMemo(() => cardOf(job), [job])
  const shownS = useOnShow(card)
  const line = useMemo(() => runLine(job, job.advice), [job])
  const stationOfNext = stationInHand(job.next, job)
  const station = seen ?? stationOfNext
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new act leads back to its own station
  useEffect(() => setSeen(undefined), [stationOfNext])

  const act = `${job.next.kind} ${job.next.step.id}`
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new act is read from its beginning
  useEffect(() => {
    if (scroll.current) scroll.current.scrollTop = 0
  }, [act])

  const landing = useLanding(job, length)
  const toDrawing = () => drawing.current?.focus({ preventScroll: true })
  const write = (bodies: readonly EntryBody[]): boolean => {
    const refused = open.write(bodies)
    setFault(refused?.message)
    if (!refused) {
      setWrote(true)
      dropNotice()
      landing.expect()
    }
    return !refused
  }
  /** What can be written is; a draft that cannot is named, stays, and holds up only itself. */
  const save = (before: EntryBody | readonly EntryBody[] = []) => {
    const first = 'kind' in before ? [before] : before
    const { ready, bad, stopped } = sift(drafts.read(), first, open.check)
    drafts.blame(Object.fromEntries(Object.entries(bad).map(([reading, { message }]) => [reading, message])))
    const says = stopped?.message ?? sayBad(job.kit, bad)
    if (first.length + ready.length > 0 && write([...first, ...ready.map(({ body }) => body)]))
      drafts.drop(...ready.map(({ reading }) => reading))
    if (says) setFault(says)
    const [firstBad] = Object.keys(bad)
    if (firstBad) document.querySelector<HTMLInputElement>(`[data-draft-of="${firstBad}"]`)?.focus()
  }
  const letGo = (reading: string) => {
    const text = drafts.text[reading] ?? ''
    drafts.drop(reading)
    notice(`${upper(job.kit.title(reading))} ${text}: let go`, {
      title: 'Bring back',
      run: () => drafts.set(reading, text),
    })
  }
  const press = (key: string) => {
    if (!covered) document.querySelector<HTMLButtonElement>(`[data-key="${key}"]`)?.click()
  }
  /** A combo box is not given its focus back by the cover over it: the words lead back to the tape they are for. */
  const closeHelp = () => {
    setHelp(undefined)
    setPicked(undefined)
    if (help === 'words') requestAnimationFrame(() => tape.current?.focus())
  }
  /** What happened to an entry is asked in the list, open at it. */
  const ask = (id: string | undefined) => {
    setPicked(id)
    if (id !== undefined) setHelp('log')
  }
  const covered = subject !== undefined || help !== undefined
  useBackCloses(covered, () => {
    setSubject(undefined)
    closeHelp()
  })
  // A cover may come a moment later than it was asked for: where the hand was is kept until it is gone again.
  useLayoutEffect(() => {
    if (!covered) return
    const was = document.activeElement
    return () => {
      requestAnimationFrame(() => {
        if (was instanceof HTMLElement && document.activeElement === document.body) was.focus()
      })
    }
  }, [covered])

  useKeys({
    measure() {
      setSubject(undefined)
      setHelp(undefined)
      toFirstField()
    },
    tape() {
      tapeAsked.current = tape.current === null
      tape.current?.focus()
    },
    press,
    undo: () => takeNotice() || ask(job.state.standing.findLast((entry) => entry.kind !== 'correction')?.id),
    log: () => setHelp((now) => (now ? undefined : 'log')),
    working: () => setSubject((now) => (now ? undefined : { kind: 'advice' })),
    squeeze() {
      toDrawing()
      drawing.current?.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }))
    },
    help: () => setHelp((now) => (now ? undefined : 'keys')),
    station: (index) => {
      const found = line[index]
      if (found) setSeen(found.id)
    },
    escape() {
      const at = document.activeElement
      const draft = at instanceof HTMLElement ? at.dataset.draftOf : undefined
      const back = document.querySelector<HTMLButtonElement>('[data-back]')
      if (help) closeHelp()
      else if (subject) setSubject(undefined)
      else if (draft !== undefined && drafts.text[draft]) {
        letGo(draft)
        toLine()
      } else if (back) back.click()
      else if (fault !== undefined) setFault(undefined)
      else toDrawing()
    },
  })

  const lastTime = useMemo(() => lastTimes(record.visits), [record.visits])
  const onGauge = practiceGaugeOf(record, job, drafts)

  // While something is planned, what it will come to is not measured yet: its ways come first.
  const planning = station === stationOfNext && job.next.kind === 'plan'
  const shownReadings = planning ? [] : job.kit.gauges(station)
  const turn = job.next.kind === 'turn' ? job.next.turn : undefined
  const ended = job.state.ended !== undefined

  const onWorked = (title: string, worked: readonly Worked[]) => setSubject({ kind: 'worked', title, worked })

  const bench = (
    <OnBench
      ref={drawing}
      job={job}
      jobId={record.job.id}
      station={station}
      inHand={station === stationOfNext}
      card={card}
      drafts={drafts}
      length={length}
    />
  )

  return (
    <Room>
      <Hatches />
      <Heard aria-live="polite">{landing.said}</Heard>
      <RunLine stations={line} here={station} onGo={setSeen} />
      <Bench>
        {!phone && bench}
        <Right>
          <Scroll ref={scroll} inert={covered}>
            <NextPanel
              jobId={record.job.id}
              job={job}
              length={length}
              drafts={drafts}
              write={write}
              onSave={save}
              onWhy={() => setSubject({ kind: 'advice' })}
              onGauge={onGauge}
              sheetHref={`/api/jobs/${record.job.id}/sheet`}
              lastTime={lastTime}
              card={card}
              shownS={shownS}
            />
            <Readings aria-label="Readings">
              {station === 'wheel' && <WorkSwitch job={job} write={write} />}
              <Gauges
                job={job}
                readings={shownReadings}
                turn={turn}
                length={length}
                drafts={drafts}
                asked={askedNow(job, card)}
                locked={ended}
                onSave={() => save()}
                onWhy={(reading) => setSubject({ kind: 'reading', reading })}
              />
              <SeenBeside job={job} shown={shownReadings} />
            </Readings>
            {phone && (
              <Folded>
                <Fold title="Drawing of the brake and the lever">{bench}</Fold>
              </Folded>
            )}
            <StationNotes
              job={job}
              jobId={record.job.id}
              drafts={drafts}
              station={station}
              length={length}
              write={write}
              onWorked={onWorked}
            />
          </Scroll>
          <Suspense fallback={null}>
            {subject && !help && (
              <Margin job={job} subject={subject} length={length} onClose={() => setSubject(undefined)} />
            )}
            {help === 'keys' && <KeyList onClose={closeHelp} />}
            {help === 'log' && <LogList job={job} length={length} write={write} about={picked} onClose={closeHelp} />}
            {help === 'words' && <WordList kit={job.kit} model={job.model} onClose={closeHelp} />}
          </Suspense>
        </Right>
      </Bench>
      <Foot>
        {fault && (
          <Message>
            <Complaint>{fault}</Complaint>
            <Press quiet onPress={() => setFault(undefined)}>
              Understood
            </Press>
          </Message>
        )}
        <Suspense fallback={<TapeToCome />}>
          <Tape
            jobId={record.job.id}
            job={job}
            length={length}
            card={card}
            shownS={shownS}
            input={tapeCame}
            check={open.check}
            write={write}
            onDone={toDrawing}
            onEdit={() => setFault(undefined)}
            onWords={() => setHelp('words')}
          />
        </Suspense>
        <LogLine>
          <Log job={job} length={length} waiting={waiting} epoch={record.epoch} onPick={ask} />
          <Suspense fallback={null}>
            <WrittenBy wrote={wrote} />
          </Suspense>
          <Press quiet hint="l" onPress={() => setHelp('log')}>
            Log
          </Press>
          {!phone && (
            <Press quiet hint="?" onPress={() => setHelp('keys')}>
              Keys
            </Press>
          )}
        </LogLine>
      </Foot>
    </Room>
  )
}

/** The first field or answer asked for; where nothing is, the first gauge. */
function toFirstField() {
  const closed = document.querySelector<HTMLButtonElement>('[data-opens-row]')
  // Keys that follow at once are for the field: it is there before they come.
  if (closed) flushSync(() => closed.click())
  toField()
}

function toField() {
  const asked = document.querySelector<HTMLElement>('[data-measure="0"]')
  const field = asked?.matches('input') ? asked : asked?.querySelector<HTMLElement>('input:checked, input')
  ;(field ?? document.querySelector<HTMLInputElement>('[data-reading]'))?.focus()
}
