import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { describe } from '@overhaul/core/stand/describe'
import type { Entry, EntryBody } from '@overhaul/core/stand/entries'
import type { FoldedEntry } from '@overhaul/core/stand/fold'
import { format } from 'date-fns'
import { useState } from 'react'
import { Button } from 'react-aria-components'
import styled from 'styled-components'
import { drop, isBehind, isHeldBack, type Waiting, writeAgain } from '../data/outbox.ts'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'

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
const Item = styled(Button)<{ $struck: boolean }>`
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
  &[data-focus-visible] {
    outline: 3px solid var(--predicted);
    outline-offset: -3px;
  }
  time {
    font: 500 16px/1 var(--label);
    color: var(--slate);
  }
`
const Ask = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 6px 0;
`

interface Props {
  readonly job: Job
  readonly length: LengthUnit
  readonly waiting: readonly Waiting[]
  readonly write: (bodies: readonly EntryBody[]) => boolean
  /** The entry being asked about. */
  readonly picked: string | undefined
  readonly onPick: (id: string | undefined) => void
}

const clock = (at: string): string => format(new Date(at), 'H:mm')

/** The log, newest first. An entry touched can be struck; a turn can also be turned back. */
export function Log({ job, length, waiting, write, picked, onPick }: Props) {
  const find = (id: string): Entry | undefined => job.state.line.find(({ entry }) => entry.id === id)?.entry
  const naming = { kit: job.kit, model: job.model, length, find }
  const unsent = new Set(waiting.map(({ entry }) => entry.id))
  const chosen = job.state.line.find(({ entry }) => entry.id === picked)
  const refused = waiting.filter((each) => each.refused)
  if (chosen)
    return (
      <AskWhich
        chosen={chosen}
        said={describe(chosen.entry, naming)}
        write={write}
        locked={job.state.ended !== undefined && job.state.ended.id !== chosen.entry.id}
        onClose={() => onPick(undefined)}
      />
    )
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
          <Press onPress={() => writeAgain(first.jobId, job.state.lastSeq)}>Write it on this log</Press>
        )}
        {held.length > 0 && (
          <Press onPress={() => drop(first.entry.id, true)}>Drop it and what was measured after it</Press>
        )}
        <Press onPress={() => drop(first.entry.id)}>{held.length > 0 ? 'Drop it, keep the readings' : 'Drop it'}</Press>
      </Ask>
    )
  }
  if (job.state.line.length === 0)
    return <Ask style={{ minHeight: 46, color: 'var(--slate)' }}>Nothing written yet.</Ask>
  return (
    <Strip aria-label="Log, newest first">
      {[...job.state.line].reverse().map(({ entry, struckBy, overtakenBy }) => (
        <li key={entry.id}>
          <Item
            $struck={struckBy !== undefined}
            onFocus={({ target }) => target.scrollIntoView({ block: 'nearest', inline: 'nearest' })}
            onPress={() => onPick(entry.id)}
            aria-label={`${clock(entry.at)} ${describe(entry, naming)}${struckBy ? ', struck' : ''}`}
          >
            <time dateTime={entry.at}>{clock(entry.at)}</time>
            {describe(entry, naming)}
            {unsent.has(entry.id) && <em>waiting</em>}
            {overtakenBy && <em>overtaken</em>}
          </Item>
        </li>
      ))}
    </Strip>
  )
}

/** Undoing a turn asks which it was: it never happened, or it was turned back. */
function AskWhich({
  chosen,
  said,
  write,
  locked,
  onClose,
}: {
  chosen: FoldedEntry
  said: string
  write: Props['write']
  locked: boolean
  onClose: () => void
}) {
  const { entry, struckBy } = chosen
  const [why, setWhy] = useState('')
  const act = (bodies: readonly EntryBody[]) => {
    if (write(bodies)) onClose()
  }
  const strike = (): EntryBody => ({
    kind: 'correction',
    strikes: struckBy?.id ?? entry.id,
    ...(why.trim() && { why: why.trim() }),
  })
  return (
    <Ask>
      <b>{said}</b>
      <span style={{ color: 'var(--slate)' }}>
        {clock(entry.at)}, by {entry.by}
      </span>
      {!locked && (
        <>
          {!struckBy && <WhyField value={why} onChange={setWhy} />}
          <Press go onPress={() => act([strike()])}>
            {struckBy ? 'It did happen' : entry.kind === 'turn' ? 'It never happened' : 'Strike it'}
          </Press>
          {entry.kind === 'turn' && !struckBy && (
            <Press
              onPress={() => act([{ kind: 'turn', adjuster: entry.adjuster, amount: -entry.amount, unit: entry.unit }])}
            >
              I turned it back
            </Press>
          )}
        </>
      )}
      <Press quiet hint="Esc" onPress={onClose}>
        Leave it
      </Press>
    </Ask>
  )
}

function WhyField({ value, onChange }: { value: string; onChange: (text: string) => void }) {
  return (
    <TextField
      label="why it is struck"
      unseen
      placeholder="why, if you like"
      width={190}
      value={value}
      onChange={onChange}
    />
  )
}
