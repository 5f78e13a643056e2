import { outcomesOf, type Turn } from '@overhaul/core/dial-in/turn'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { sayAfterTurn, sayHow, sayMoves } from '@overhaul/core/run-sheet/say'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { showParts, showReading } from '@overhaul/core/stand/show'
import { Suspense, useState } from 'react'
import styled from 'styled-components'
import { lazily } from '../../app/lazily.ts'
import { Ends } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Read } from '../../ui/words.tsx'
import { ActCautions } from './ActCautions.tsx'
import { Act, type NextProps, Top } from './parts.tsx'

const SomethingElse = lazily(async () => (await import('./SomethingElse.tsx')).SomethingElse)

const inTen = (chance: number): string => {
  const tenths = Math.round(chance * 10)
  return tenths >= 10 ? 'more than 9 in 10' : tenths <= 0 ? 'less than 1 in 10' : `${tenths} in 10`
}

/** The turn to make, what it will give and how sure that is. */
export function MakeTurn({ job, turn, length, write, onWhy }: NextProps & { turn: Turn }) {
  const [other, setOther] = useState(false)
  return (
    <>
      <Top label="Next turn">{inTen(turn.chance)} that all comes right</Top>
      {sayMoves(job, turn, length).map((line) => (
        <Act key={line}>{line}</Act>
      ))}
      {sayHow(job, turn).map((line) => (
        <p key={line}>
          <Read>{line}</Read>
        </p>
      ))}
      {turn.probes && (
        <p>
          Which way the {job.model.adjusters.find((each) => each.id === turn.probes)?.title} works differs by design and
          is not known here yet. This turn shows it.
        </p>
      )}
      {job.next.kind === 'turn' && job.next.why && (
        <p>
          <Read>{job.next.why}</Read>
        </p>
      )}
      <ActCautions job={job} />
      <p>{sayAfterTurn(job)}</p>
      <Gives job={job} turn={turn} length={length} />
      {other ? (
        <Suspense fallback={null}>
          <SomethingElse job={job} length={length} write={write} turn={turn} onClose={() => setOther(false)} />
        </Suspense>
      ) : (
        <Ends>
          <Press
            go
            hint="d"
            data-key="did-it"
            data-ends=""
            onPress={() => write(turn.moves.map((move): EntryBody => ({ kind: 'turn', ...move })))}
          >
            Did it
          </Press>
          <Press hint="e" data-key="else" onPress={() => setOther(true)}>
            Did something else
          </Press>
          <Press hint="w" onPress={onWhy}>
            Why
          </Press>
        </Ends>
      )}
    </>
  )
}

const Given = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  font: 500 1.1875rem/1.2 var(--label);
  b {
    font-weight: 600;
    color: var(--predicted);
  }
`

/** What the turn will do, beside what was measured; where it may go either way, both. */
function Gives({ job, turn, length }: { job: Job; turn: Turn; length: LengthUnit }) {
  const measured = turn.expected.filter(({ reading }) => job.state.readings[reading])
  return (
    <Given>
      {measured.map(({ reading }) => {
        const now = job.state.readings[reading]?.value
        const [last, ...before] = outcomesOf(turn, reading).toReversed()
        return (
          <span key={reading} style={{ whiteSpace: 'nowrap' }}>
            {job.kit.title(reading)} {typeof now === 'number' ? showParts(job.kit, reading, now, length).number : '–'} →{' '}
            <b>
              {before.map((each) => `${showParts(job.kit, reading, each, length).number} or `)}
              {showReading(job.kit, reading, last as number, length)}
            </b>
          </span>
        )
      })}
    </Given>
  )
}
