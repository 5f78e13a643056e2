import { outcomesOf, type Turn } from '@overhaul/core/dial-in/turn'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { sayMove, showParts, showQuantity, showReading } from '@overhaul/core/stand/describe'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { useState } from 'react'
import styled from 'styled-components'
import { phone } from '../../app/theme.ts'
import { Press } from '../../ui/Press.tsx'
import { Tick } from '../../ui/Tick.tsx'
import { ActCautions } from './ActCautions.tsx'
import { Act, BACK, Ends, type NextProps, Top } from './parts.tsx'

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
      {turn.moves.map((move) => {
        const spec = job.model.adjusters.find((each) => each.id === move.adjuster)
        return <Act key={move.adjuster}>{spec && `${sayMove(spec, move, length)}.`}</Act>
      })}
      {turn.probes && (
        <p>
          Which way the {job.model.adjusters.find((each) => each.id === turn.probes)?.title} works differs by design and
          is not known here yet: this turn also finds out.
        </p>
      )}
      {job.next.kind === 'turn' && job.next.why && <p>{job.next.why}</p>}
      <ActCautions job={job} />
      <p>Squeeze ten times, then measure {job.family.dial.say}.</p>
      <Gives job={job} turn={turn} length={length} />
      {other ? (
        <SomethingElse job={job} write={write} turn={turn} onClose={() => setOther(false)} />
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
  font: 500 19px/1.2 var(--label);
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

const Steppers = styled.div`
  display: grid;
  grid-template-columns: auto repeat(3, auto) 1fr;
  gap: 6px 8px;
  align-items: center;
  ${phone} {
    grid-template-columns: repeat(3, auto) 1fr;
    > div > span:first-child {
      grid-column: 1 / -1;
    }
  }
  output {
    min-width: 74px;
    text-align: center;
    font: 600 22px/1 var(--label);
  }
`

/** What was really turned, and whether it stopped at its end. */
function SomethingElse({
  job,
  write,
  turn,
  onClose,
}: Pick<NextProps, 'job' | 'write'> & { turn: Turn; onClose: () => void }) {
  const [amounts, setAmounts] = useState<Readonly<Record<string, number>>>(() =>
    Object.fromEntries(turn.moves.map(({ adjuster, amount }) => [adjuster, amount])),
  )
  const [ended, setEnded] = useState<Readonly<Record<string, boolean>>>({})
  /** Nothing moved: what was asked for is what the hand tried. */
  const triedIn = (id: string, amount: number) => {
    const asked = turn.moves.find(({ adjuster }) => adjuster === id)?.amount
    return amount === 0 && ended[id] && asked ? { tried: asked } : {}
  }
  const log = () => {
    const bodies = job.model.adjusters.flatMap(({ id, unit }): readonly EntryBody[] => {
      const amount = amounts[id] ?? 0
      return amount === 0 && !ended[id]
        ? []
        : [{ kind: 'turn', adjuster: id, amount, unit, ...(ended[id] && { endReached: true }), ...triedIn(id, amount) }]
    })
    if (bodies.length > 0 && write(bodies)) onClose()
  }
  return (
    <>
      <Steppers>
        {job.model.adjusters.map((spec) => {
          const amount = amounts[spec.id] ?? 0
          const step = (by: number) =>
            setAmounts({ ...amounts, [spec.id]: Number((amount + by * spec.step).toFixed(4)) })
          return (
            <Stepper key={spec.id}>
              <span>{amount < 0 ? spec.minus : spec.plus}</span>
              <Press aria-label={`${spec.title} less`} onPress={() => step(-1)}>
                −
              </Press>
              <output>{amount === 0 ? '0' : showQuantity(Math.abs(amount), spec.unit)}</output>
              <Press aria-label={`${spec.title} more`} onPress={() => step(1)}>
                +
              </Press>
              {spec.travel === undefined ? (
                <span />
              ) : (
                <Tick on={ended[spec.id] ?? false} onChange={(on) => setEnded({ ...ended, [spec.id]: on })}>
                  stopped at its end
                </Tick>
              )}
            </Stepper>
          )
        })}
      </Steppers>
      <Ends>
        <Press go data-ends="" onPress={log}>
          Log what was turned
        </Press>
        <Press quiet {...BACK} onPress={onClose}>
          Back
        </Press>
      </Ends>
    </>
  )
}

const Stepper = styled.div`
  display: contents;
`
