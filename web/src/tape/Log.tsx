import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { describe } from '@overhaul/core/stand/describe'
import type { Entry } from '@overhaul/core/stand/entries'
import { sayClock, sayDay } from '@overhaul/core/stand/when'
import { Fragment, memo } from 'react'
import styled from 'styled-components'
import { drop, isBehind, isHeldBack, type Waiting, writeAgain } from '../data/outbox.ts'
import { Press } from '../ui/Press.tsx'

const Strip = styled.ol`
  display: flex;
  overflow-x: auto;
  align-items: stretch;
  scrollbar-width: thin;
  li {
    flex: none;
    border-right: 1px solid var(--rule);
  }
`
const Item = styled.button<{ $struck: boolean }>`
  all: unset;
  cursor: pointer;
  min-height: 46px;
  padding: 0 14px;
  display: flex;
  gap: 8px;
  align-items: center;
  white-space: nowrap;
  text-decoration: ${({ $struck }) => ($struck ? 'line-through' : 'none')};
  color: ${({ $struck }) => ($struck ? 'var(--slate)' : 'inherit')};
  &:focus-visible {
    outline: 3px solid var(--predicted);
    outline-offset: -3px;
  }
  time {
    font: 500 1rem/1 var(--label);
    color: var(--slate);
  }
`
const Day = styled.li`
  display: grid;
  align-items: center;
  padding: 0 12px;
  font: 600 1rem/1 var(--label);
  color: var(--slate);
`
const Ask = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 6px 0;
`

interface LineProps {
  readonly id: string
  readonly at: string
  readonly said: string
  readonly struck: boolean
  readonly unsent: boolean
  readonly overtaken: boolean
  readonly onPick: (id: string) => void
}

/** One entry. A long log stands still while its newest is written: only what changed is drawn again. */
const LogEntry = memo(function LogEntry({ id, at, said, struck, unsent, overtaken, onPick }: LineProps) {
  return (
    <li>
      <Item
        type="button"
        $struck={struck}
        onFocus={({ target }) => target.scrollIntoView({ block: 'nearest', inline: 'nearest' })}
        onClick={() => onPick(id)}
        aria-label={`${sayClock(at)} ${said}${struck ? ', struck' : ''}`}
      >
        <time dateTime={at}>{sayClock(at)}</time>
        {said}
        {unsent && <em>waiting</em>}
        {overtaken && <em>overtaken</em>}
      </Item>
    </li>
  )
})

interface Props {
  readonly job: Job
  readonly length: LengthUnit
  readonly waiting: readonly Waiting[]
  /** Of the data as it is now. */
  readonly epoch: string
  /** An entry was touched: it is asked what happened to it. */
  readonly onPick: (id: string) => void
}

/** The log, newest first, on one line. An entry touched is opened in the list. */
export function Log({ job, length, waiting, epoch, onPick }: Props) {
  const find = (id: string): Entry | undefined => job.state.line.find(({ entry }) => entry.id === id)?.entry
  const naming = { kit: job.kit, model: job.model, length, find }
  const unsent = new Set(waiting.map(({ entry }) => entry.id))
  const refused = waiting.filter((each) => each.refused)
  if (refused[0]) {
    const [first] = refused
    const held = waiting.filter((each) => !each.refused && isHeldBack(each, [first]))
    return (
      <Ask role="alert">
        <b style={{ color: 'var(--out)' }}>Not taken: {describe(refused[0].entry, naming)}.</b>{' '}
        {refused[0].refused?.message}
        {held.length > 0 && (
          <span>Measured after it, and waiting: {held.map(({ entry }) => describe(entry, naming)).join(' · ')}.</span>
        )}
        {isBehind(first) && (
          <Press onPress={() => writeAgain(first.jobId, job.state.lastSeq, epoch)}>Write it on this log</Press>
        )}
        {held.length > 0 && (
          <Press onPress={() => drop(first.entry.id, true)}>Drop it and what was measured after it</Press>
        )}
        <Press onPress={() => drop(first.entry.id)}>{held.length > 0 ? 'Drop it, keep the readings' : 'Drop it'}</Press>
      </Ask>
    )
  }
  const newest = [...job.state.line].reverse()
  if (job.state.line.length === 0)
    return <Ask style={{ minHeight: 46, color: 'var(--slate)' }}>Nothing written yet.</Ask>
  return (
    <Strip aria-label="Log, newest first">
      {newest.map(({ entry, struckBy, overtakenBy }, index) => (
        <Fragment key={entry.id}>
          {sayDay(entry.at) !== sayDay(newest[index - 1]?.entry.at ?? '1970-01-01T00:00:00Z') && (
            <Day aria-hidden="true">{sayDay(entry.at)}</Day>
          )}
          <LogEntry
            id={entry.id}
            at={entry.at}
            said={describe(entry, naming)}
            struck={struckBy !== undefined}
            unsent={unsent.has(entry.id)}
            overtaken={overtakenBy !== undefined}
            onPick={onPick}
          />
        </Fragment>
      ))}
    </Strip>
  )
}
