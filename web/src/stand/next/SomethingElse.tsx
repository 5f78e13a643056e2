import { type AdjusterSpec, bestFound, type From } from '@overhaul/core/brake/adjuster'
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

/** How it is found anew: as it was asked for, else as it is found best. */
const foundFirst = ({ id, contact }: AdjusterSpec, { moves }: Turn): From | undefined =>
  moves.find(({ adjuster }) => adjuster === id)?.from ?? (contact && { contact: bestFound(contact) })

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
  /** What is found anew before it is moved: as it was asked for, until the hand says otherwise. */
  const [founds, setFounds] = useState<Readonly<Record<string, From | undefined>>>(() =>
    Object.fromEntries(turn.moves.map(({ adjuster, from }) => [adjuster, from])),
  )
  /** Nothing moved: what was asked for is what the hand tried. */
  const triedIn = (id: string, amount: number) => {
    const asked = turn.moves.find(({ adjuster }) => adjuster === id)?.amount
    return amount === 0 && ended[id] && asked ? { tried: asked } : {}
  }
  const log = () => {
    const bodies = job.model.adjusters.flatMap(({ id, unit, contact }): readonly EntryBody[] => {
      const amount = amounts[id] ?? 0
      // At its end before it met anything, it was found nowhere.
      const from = ended[id] && !contact?.gives ? undefined : founds[id]
      const end = ended[id] && { endReached: true as const, ...triedIn(id, amount) }
      const stays = from && contact?.gives
      if (amount === 0 && !end && !stays) return []
      return [{ kind: 'turn', adjuster: id, amount, unit, ...(from && { from }), ...end }]
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
            <span>
              {spec.contact && (
                <Tick
                  on={founds[spec.id] !== undefined}
                  onChange={(on) => setFounds({ ...founds, [spec.id]: on ? foundFirst(spec, turn) : undefined })}
                >
                  {spec.contact.gives ? 'floated and squeezed' : 'from contact'}
                </Tick>
              )}
              {(spec.travel !== undefined || spec.contact?.gives) && (
                <Tick on={ended[spec.id] ?? false} onChange={(on) => setEnded({ ...ended, [spec.id]: on })}>
                  {spec.contact?.gives ? 'does not slide' : 'stopped at its end'}
                </Tick>
              )}
            </span>
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
