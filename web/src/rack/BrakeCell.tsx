import type { JobRow, RackBicycle } from '@overhaul/core/http/contract'
import { Link } from 'react-router'
import styled from 'styled-components'
import { upright } from '../app/theme.ts'
import { MarkShape, stationWords } from '../drawing/Mark.tsx'
import { linkPress } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { Read } from '../ui/words.tsx'
import { isOpen, tellBrake } from './told.ts'

const Cell = styled.div`
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: start;
  padding: 10px 0;
  min-width: 0;
  p {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  ${upright} {
    border-top: 1px solid var(--rule);
  }
`
const Acts = styled.div`
  display: flex;
  gap: 6px;
  align-self: center;
`
const Go = styled(Link)`
  ${linkPress}
`
const End = styled.span`
  color: var(--slate);
  font-weight: 500;
`
const MARK = 22
const STEP = 21

/** An open job's stations, in the order they are worked. */
function Marks({ job }: { job: JobRow }) {
  const live = job.summary.stations.filter(({ mark }) => mark !== 'left-out')
  return (
    <svg
      viewBox={`0 0 ${live.length * STEP} 18`}
      height="18"
      style={{ maxWidth: '100%', margin: '2px 0' }}
      role="img"
      aria-label={live.map(({ title, mark }) => `${title} ${stationWords(mark)}`).join(', ')}
    >
      {live.map(({ id, mark }, index) => (
        <g key={id} transform={`translate(${index * STEP + 8},9)`}>
          <MarkShape shape={mark} r={6.5} />
        </g>
      ))}
    </svg>
  )
}

interface Props {
  readonly bicycle: string
  readonly brake: RackBicycle['brakes'][number]
  readonly family: string
  readonly today: string
  /** A job asked for is on its way. */
  readonly isWaiting: boolean
  readonly onNewJob: () => void
}

/** One brake on its bicycle's line: how it stands, what is the matter, what was done last, and the way to it. */
export function BrakeCell({ bicycle, brake, family, today, isWaiting, onNewJob }: Props) {
  const { job, end } = brake
  const told = tellBrake(brake, today, family)
  const label = `${bicycle} ${end}`
  const open = isOpen(job) ? job : undefined
  return (
    <Cell role="group" aria-label={`${end}: ${told.headline}`}>
      <svg width={MARK} height={MARK} viewBox={`${-MARK / 2} ${-MARK / 2} ${MARK} ${MARK}`} aria-hidden="true">
        <MarkShape shape={told.shape} r={9} />
      </svg>
      <div style={{ minWidth: 0 }}>
        <p style={{ font: '600 1.1875rem/1.2 var(--label)' }}>
          {told.headline} <End>· {end}</End>
        </p>
        {told.matter && (
          <p style={told.isWrong ? { color: 'var(--out)', fontWeight: 600 } : {}}>
            <Read>{told.matter}</Read>
          </p>
        )}
        {told.complaint && <p>“{told.complaint}”</p>}
        {open && <Marks job={open} />}
        {told.last && (
          <p style={{ color: 'var(--slate)' }}>
            <Read>{told.last}</Read>
          </p>
        )}
      </div>
      <Acts>
        {open ? (
          <Go to={`/stand/${open.id}`} aria-label={`Open job ${open.number}, ${label}`}>
            Open {open.number}
          </Go>
        ) : (
          <>
            {job && (
              <Go to={`/stand/${job.id}`} aria-label={`See job ${job.number}, ${label}`}>
                {job.number}
              </Go>
            )}
            <Press aria-label={`New job, ${label}`} isDisabled={isWaiting} onPress={onNewJob}>
              New job
            </Press>
          </>
        )}
      </Acts>
    </Cell>
  )
}
