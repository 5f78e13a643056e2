import { STATIONS } from '@overhaul/core/brake/station'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { describe } from '@overhaul/core/stand/describe'
import type { Entry, EntryBody } from '@overhaul/core/stand/entries'
import type { FoldedEntry } from '@overhaul/core/stand/fold'
import { stationOf } from '@overhaul/core/stand/station-of'
import { sayClock, sayDay } from '@overhaul/core/stand/when'
import { type KeyboardEvent, useState } from 'react'
import { Header, ListBox, ListBoxItem, ListBoxSection } from 'react-aria-components'
import styled from 'styled-components'
import { Cover } from '../ui/Cover.tsx'
import { Row } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'
import { Toggles } from '../ui/Toggles.tsx'
import { Label, Slate } from '../ui/words.tsx'

const List = styled(ListBox)`
  display: grid;
  gap: 14px;
  outline: none;
  header {
    padding-bottom: 4px;
    border-bottom: 1px solid var(--rule);
  }
`
const Line = styled(ListBoxItem)`
  min-height: 44px;
  padding: 6px 8px;
  display: grid;
  grid-template-columns: 62px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
  cursor: pointer;
  time {
    font: 500 1.0625rem/1 var(--label);
    color: var(--slate);
  }
  &[data-selected] {
    background: var(--wash);
  }
  &[data-focus-visible],
  &[data-focused] {
    outline: 3px solid var(--predicted);
    outline-offset: -3px;
  }
  s {
    color: var(--slate);
  }
`
const Foot = styled(Row)`
  position: sticky;
  bottom: -24px;
  padding: 10px 0;
  background: var(--sheet);
  border-top: 1px solid var(--rule);
`

const ORDERS = [
  { id: 'time', title: 'by time' },
  { id: 'station', title: 'by station' },
]

interface Group {
  readonly id: string
  readonly title: string
  readonly lines: readonly FoldedEntry[]
}

/** Newest first under the day, or in working order under the station. */
function grouped(job: Job, order: string, find: (id: string) => Entry | undefined): readonly Group[] {
  const newest = [...job.state.line].reverse()
  if (order === 'time') {
    const days = [...new Set(newest.map(({ entry }) => sayDay(entry.at)))]
    return days.map((day) => ({
      id: day,
      title: day,
      lines: newest.filter(({ entry }) => sayDay(entry.at) === day),
    }))
  }
  const at = (line: FoldedEntry) => stationOf(job.kit, line.entry, find)
  return [...STATIONS, { id: undefined, title: 'The whole job' }]
    .map(({ id, title }) => ({ id: id ?? 'job', title, lines: newest.filter((line) => at(line) === id) }))
    .filter(({ lines }) => lines.length > 0)
}

interface Props {
  readonly job: Job
  readonly length: LengthUnit
  readonly write: (bodies: readonly EntryBody[]) => boolean
  /** The entry it was opened for: done with it, the list is closed again. */
  readonly about: string | undefined
  readonly onClose: () => void
}

/** The whole log as a list: walked by arrow keys, an entry struck or restored where the hand stands. */
export function LogList({ job, length, write, about, onClose }: Props) {
  const [order, setOrder] = useState('time')
  const find = (id: string): Entry | undefined => job.state.line.find(({ entry }) => entry.id === id)?.entry
  const naming = { kit: job.kit, model: job.model, length, find }
  const groups = grouped(job, order, find)
  const [chosen, setChosen] = useState(about ?? groups[0]?.lines[0]?.entry.id)
  const [why, setWhy] = useState('')
  const line = job.state.line.find(({ entry }) => entry.id === chosen)
  const { ended } = job.state
  const may = line && (!ended || ended.id === line.entry.id)

  const act = (body: EntryBody) => {
    if (!write([body])) return
    setWhy('')
    if (about !== undefined) onClose()
  }
  const strike = () => {
    if (may)
      act({
        kind: 'correction',
        strikes: line.struckBy?.id ?? line.entry.id,
        ...(why.trim() && { why: why.trim() }),
      })
  }
  const turnBack = () => {
    if (!may || line.entry.kind !== 'turn' || line.struckBy) return
    const { adjuster, amount, unit } = line.entry
    act({ kind: 'turn', adjuster, amount: -amount, unit })
  }
  const onKey = (event: KeyboardEvent) => {
    const done = { x: strike, b: turnBack }[event.key]
    if (!done || event.repeat) return
    event.preventDefault()
    event.stopPropagation()
    done()
  }

  return (
    <Cover title="Log" onClose={onClose}>
      <Toggles label="Order" options={ORDERS} value={order} onChange={setOrder} />
      {groups.length === 0 && <Slate>Nothing written yet.</Slate>}
      <div onKeyDownCapture={onKey}>
        <List
          aria-label="Log"
          autoFocus={about === undefined ? 'first' : true}
          selectionMode="single"
          selectionBehavior="replace"
          disallowEmptySelection
          selectedKeys={chosen ? [chosen] : []}
          onSelectionChange={(keys) => {
            const [key] = keys === 'all' ? [] : [...keys]
            if (key !== undefined) setChosen(String(key))
          }}
        >
          {groups.map((group) => (
            <ListBoxSection key={group.id}>
              <Header>
                <Label>{group.title}</Label>
              </Header>
              {group.lines.map(({ entry, struckBy, overtakenBy }) => {
                const said = describe(entry, naming)
                return (
                  <Line
                    key={entry.id}
                    id={entry.id}
                    textValue={`${sayClock(entry.at)} ${said}${struckBy ? ', struck' : ''}`}
                  >
                    <time dateTime={entry.at}>{sayClock(entry.at)}</time>
                    <span>
                      {struckBy ? <s>{said}</s> : said}
                      {struckBy && <em>, struck</em>}
                      {overtakenBy && <em> overtaken</em>}
                      {order === 'station' && <Slate>{sayDay(entry.at)}</Slate>}
                    </span>
                    <Slate>by {entry.by}</Slate>
                  </Line>
                )
              })}
            </ListBoxSection>
          ))}
        </List>
      </div>
      {line && (
        <Foot>
          {may ? (
            <>
              {!line.struckBy && (
                <TextField
                  label="why it is struck"
                  unseen
                  placeholder="why, if you like"
                  width={190}
                  value={why}
                  onChange={setWhy}
                />
              )}
              <Press go hint="x" onPress={strike}>
                {line.struckBy ? 'It did happen' : line.entry.kind === 'turn' ? 'It never happened' : 'Strike it'}
              </Press>
              {line.entry.kind === 'turn' && !line.struckBy && (
                <Press hint="b" onPress={turnBack}>
                  I turned it back
                </Press>
              )}
            </>
          ) : (
            <Slate>The job is ended: take that back first.</Slate>
          )}
        </Foot>
      )}
    </Cover>
  )
}
