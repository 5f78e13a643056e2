import { sayDay } from '@overhaul/core/stand/when'
import { useDeferredValue, useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import styled from 'styled-components'
import type { JobRow, RackBicycle } from '../data/api.ts'
import { change, useChanges } from '../data/changes.ts'
import { newId } from '../data/ids.ts'
import { useRack } from '../data/queries.ts'
import { MarkShape, stationWords } from '../drawing/Mark.tsx'
import { linkPress, Page } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { SearchField } from '../ui/SearchField.tsx'
import { TextField } from '../ui/TextField.tsx'
import { Title } from '../ui/Title.tsx'
import { Toggles } from '../ui/Toggles.tsx'
import { Complaint, Label, Slate } from '../ui/words.tsx'
import { WaitingChanges } from '../waiting/WaitingChanges.tsx'
import { FILTERS, type FilterId, isDue, matches } from './filter.ts'

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  align-items: center;
`
const Rail = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(290px, 1fr));
  gap: 0 20px;
`
const Tag = styled.li`
  border-top: 3px solid var(--ink);
  margin-top: 14px;
  padding: 0 0 14px;
  position: relative;
  &::before {
    content: '';
    position: absolute;
    left: 10px;
    top: -14px;
    height: 14px;
    border-left: 1.5px solid var(--ink);
  }
  h2 a {
    display: flex;
    align-items: center;
    min-height: 44px;
    font: 600 24px/1.1 var(--label);
    text-decoration: underline dotted var(--control);
    text-underline-offset: 4px;
    color: inherit;
  }
`
const BrakeRow = styled.div`
  display: grid;
  grid-template-columns: 44px 1fr auto;
  gap: 2px 10px;
  align-items: center;
  min-height: 60px;
  border-top: 1px solid var(--rule);
  margin-top: 8px;
  font-size: 16px;
`
const OpenLink = styled(Link)`
  ${linkPress}
`

const MOST_SHOWN = 120

/** Every bicycle hanging in the workshop, as tags on a rail: what state each brake is in and what is next. */
export default function RackPage() {
  const rack = useRack()
  const [search, setSearch] = useState('')
  const [filter, setFilter] = useState<FilterId>('all')
  const navigate = useNavigate()
  const addBicycle = () => navigate('/bicycles/new')
  const sought = useDeferredValue(search)
  const found = useMemo(
    () => (rack.data ?? []).filter((each) => matches(each, sought, filter)),
    [rack.data, sought, filter],
  )

  return (
    <Page>
      <Title>Rack</Title>
      <Tools>
        <SearchField
          label="Search the rack"
          placeholder="number, tyre, complaint"
          value={search}
          onChange={setSearch}
        />
        <Toggles
          label="Show"
          options={FILTERS.map(({ id, title }) => ({
            id,
            title: `${title} ${rack.data?.filter((each) => matches(each, '', id)).length ?? ''}`,
          }))}
          value={filter}
          onChange={(id) => setFilter(id as FilterId)}
        />
        <span style={{ marginLeft: 'auto' }} />
        <Press onPress={addBicycle}>New bicycle</Press>
      </Tools>
      <WaitingChanges />
      {rack.isLoading && <Slate>Fetching the rack…</Slate>}
      {rack.error && !rack.data && (
        <div>
          <Complaint>{rack.error.message}</Complaint>
          <Press onPress={() => rack.refetch()}>Try again</Press>
        </div>
      )}
      {rack.data?.length === 0 && (
        <div style={{ display: 'grid', gap: 12, justifyItems: 'start', padding: '40px 0' }}>
          <Label>The rail is empty</Label>
          <p>Hang up the first bicycle: its number, its brakes, and what was measured of them.</p>
          <Press go onPress={addBicycle}>
            New bicycle
          </Press>
        </div>
      )}
      {rack.data && rack.data.length > 0 && found.length === 0 && (
        <div style={{ display: 'grid', gap: 12, justifyItems: 'start' }}>
          <p>
            {search.trim() === ''
              ? `Nothing on the rail is here: ${FILTERS.find((each) => each.id === filter)?.title}.`
              : `Nothing on the rail matches “${search}”${filter === 'all' ? '' : ' in this part of it'}.`}
          </p>
          <Press
            onPress={() => {
              setSearch('')
              setFilter('all')
            }}
          >
            Show all
          </Press>
        </div>
      )}
      <Rail aria-label="Bicycles">
        {found.slice(0, MOST_SHOWN).map((bicycle) => (
          <BicycleTag key={bicycle.id} bicycle={bicycle} />
        ))}
      </Rail>
      {found.length > MOST_SHOWN && (
        <Slate>{found.length - MOST_SHOWN} more hang further along the rail: search to narrow it down.</Slate>
      )}
    </Page>
  )
}

function BicycleTag({ bicycle }: { bicycle: RackBicycle }) {
  return (
    <Tag>
      <h2>
        <Link to={`/bicycles/${bicycle.id}`} aria-label={`Hardware of ${bicycle.name}`}>
          {bicycle.name}
        </Link>
      </h2>
      <Slate>{[bicycle.code, bicycle.description].filter(Boolean).join(' · ')}</Slate>
      {bicycle.brakes.map((brake) => (
        <BrakeRow key={brake.id}>
          {isOpen(brake.job) && <JobMarks job={brake.job} />}
          <span style={{ font: '600 17px/1 var(--label)' }}>{brake.end}</span>
          {brake.job ? <JobState job={brake.job} /> : <Slate>{brake.family}, no job yet</Slate>}
          {isOpen(brake.job) ? (
            <OpenLink
              to={`/stand/${brake.job.id}`}
              aria-label={`Open job ${brake.job.number}, ${bicycle.name} ${brake.end}`}
            >
              Open
            </OpenLink>
          ) : (
            <NewJob bicycleId={bicycle.id} brakeId={brake.id} last={brake.job} label={`${bicycle.name} ${brake.end}`} />
          )}
          {brake.job?.closedAt && <Unfit job={brake.job} />}
        </BrakeRow>
      ))}
    </Tag>
  )
}

const isOpen = (job: JobRow | null): job is JobRow => job !== null && !job.releasedAt && !job.closedAt

/** Closed unreleased: what was found against riding it. */
function Unfit({ job }: { job: JobRow }) {
  return (
    <ul style={{ gridColumn: '1 / -1', paddingBottom: 8 }}>
      {(job.summary.unfit ?? []).map((each) => (
        <li key={each}>{each}</li>
      ))}
    </ul>
  )
}

/** What is told of an ended job has the line to itself; its buttons stand under it. */
const WHOLE_LINE = { minWidth: 0, gridColumn: '2 / -1', paddingTop: 8 } as const

function JobState({ job }: { job: JobRow }) {
  const said = job.complaint || job.summary.nextSay
  if (job.closedAt)
    return (
      <div style={WHOLE_LINE}>
        <b style={{ color: 'var(--out)' }}>Not to be ridden</b> <Slate>{sayDay(job.closedAt)}</Slate>
      </div>
    )
  return (
    <div style={job.releasedAt ? WHOLE_LINE : { minWidth: 0 }}>
      {job.releasedAt ? <Slate>{`${job.summary.nextSay.replace(/\.$/, '')}, ${sayDay(job.releasedAt)}`}</Slate> : said}
      {job.releasedAt && job.summary.lookAgain && (
        <div>
          {isDue(job) ? (
            <b style={{ color: 'var(--recheck)' }}>{`Look again: due ${sayDay(job.summary.lookAgain)}`}</b>
          ) : (
            <Slate>{`look again by ${sayDay(job.summary.lookAgain)}`}</Slate>
          )}
        </div>
      )}
    </div>
  )
}

/** An open job's stations, on a line of their own. */
function JobMarks({ job }: { job: JobRow }) {
  const live = job.summary.stations.filter(({ mark }) => mark !== 'left-out')
  return (
    <svg
      viewBox={`0 0 ${live.length * 22} 20`}
      height="20"
      style={{ gridColumn: '1 / -1', maxWidth: '100%', marginTop: 8 }}
      role="img"
      aria-label={live.map(({ title, mark }) => `${title} ${stationWords(mark)}`).join(', ')}
    >
      {live.map(({ id, mark }, index) => (
        <g key={id} transform={`translate(${index * 22 + 9},10)`}>
          <MarkShape shape={mark} r={7} />
        </g>
      ))}
    </svg>
  )
}

/** A job asked for: known by its id, so that one sent again after a lost answer is opened once. */
interface NewJobBody {
  readonly id: string
  readonly brakeId: string
  readonly complaint: string
}

/** Opens a job on a brake that has none open, asking only what is wrong. */
function NewJob({
  bicycleId,
  brakeId,
  last,
  label,
}: {
  bicycleId: string
  brakeId: string
  last: JobRow | null
  label: string
}) {
  const navigate = useNavigate()
  const [complaint, setComplaint] = useState<string>()
  const { waiting } = useChanges()
  const path = 'jobs'
  const isWaiting = waiting.some((each) => each.path === path && (each.body as NewJobBody).brakeId === brakeId)
  const open = async () => {
    const body: NewJobBody = { id: newId(), brakeId, complaint: complaint ?? '' }
    const says = `a job on ${label}`
    setComplaint(undefined)
    if (await change({ method: 'POST', path, body, about: bicycleId, says, undo: [] })) navigate(`/stand/${body.id}`)
  }
  if (complaint === undefined) {
    return (
      <span style={{ display: 'flex', gap: 6, ...(last && { gridColumn: '2 / -1', paddingBottom: 8 }) }}>
        {last && (
          <OpenLink to={`/stand/${last.id}`} aria-label={`See job ${last.number}, ${label}`}>
            {last.number}
          </OpenLink>
        )}
        <Press aria-label={`New job, ${label}`} isDisabled={isWaiting} onPress={() => setComplaint('')}>
          New job
        </Press>
      </span>
    )
  }
  return (
    <form
      style={{ gridColumn: '1 / -1', display: 'flex', gap: 8, flexWrap: 'wrap', paddingBottom: 10 }}
      onSubmit={(event) => {
        event.preventDefault()
        open()
      }}
    >
      <TextField
        label="What is wrong?"
        unseen
        placeholder="what is wrong?"
        autoFocus
        value={complaint}
        onChange={setComplaint}
      />
      <Press go type="submit">
        Open job
      </Press>
      <Press quiet onPress={() => setComplaint(undefined)}>
        Back
      </Press>
    </form>
  )
}
