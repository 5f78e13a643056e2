import type { Turn } from '@overhaul/core/dial-in/turn'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { useState } from 'react'
import styled from 'styled-components'
import { phone } from '../../app/theme.ts'
import { Ends } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Stepper } from '../../ui/Stepper.tsx'
import { Tick } from '../../ui/Tick.tsx'
import { BACK, type NextProps } from './parts.tsx'

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
    font: 600 1.375rem/1 var(--label);
  }
`

/** What was really turned, and whether it stopped at its end. */
export function SomethingElse({
  job,
  length,
  write,
  turn,
  onClose,
}: Pick<NextProps, 'job' | 'length' | 'write'> & { turn: Turn; onClose: () => void }) {
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
        {job.model.adjusters.map((spec) => (
          <Stepper
            key={spec.id}
            spec={spec}
            amount={amounts[spec.id] ?? 0}
            length={length}
            onAmount={(amount) => setAmounts({ ...amounts, [spec.id]: amount })}
          >
            {spec.travel === undefined ? (
              <span />
            ) : (
              <Tick on={ended[spec.id] ?? false} onChange={(on) => setEnded({ ...ended, [spec.id]: on })}>
                stopped at its end
              </Tick>
            )}
          </Stepper>
        ))}
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
