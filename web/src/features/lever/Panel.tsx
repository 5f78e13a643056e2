import type { Move } from '@overhaul/core/brake/adjuster'
import { leverFitAt, leverMoves, mostReach } from '@overhaul/core/features/lever-fit/fit'
import { HAND_SOURCE, NOBODY } from '@overhaul/core/features/lever-fit/hands'
import { sayScrew } from '@overhaul/core/features/lever-fit/screw'
import { lastReading, lastSeen } from '@overhaul/core/stand/fold'
import { showReading } from '@overhaul/core/stand/show'
import { upper } from '@overhaul/core/stand/words'
import { useState } from 'react'
import styled from 'styled-components'
import { Press } from '../../ui/Press.tsx'
import { Stepper } from '../../ui/Stepper.tsx'
import { Toggles } from '../../ui/Toggles.tsx'
import { Complaint, Label, Read, Slate, SourceNote } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

const Steppers = styled.div`
  display: grid;
  grid-template-columns: minmax(90px, 1fr) 46px 84px 46px auto;
  gap: 8px;
  align-items: center;
  output {
    text-align: center;
    font: 600 1.375rem/1 var(--label);
    font-variant-numeric: tabular-nums;
  }
`

/** The lever set for a hand: whose, where it belongs on the bar, what that gives, and what is moved. */
export function Panel(props: NotesProps) {
  const { job, write } = props
  const { kit, state } = job
  const rider = lastSeen(state, 'rider') ?? NOBODY
  const front = lastSeen(state, 'frontHand') ?? job.here.traits.frontHand
  const isEnded = state.ended !== undefined
  return (
    <section aria-label="Lever and hand">
      <Label>Set for a hand</Label>
      {isEnded ? (
        <p>{kit.option('rider', rider)?.title}</p>
      ) : (
        <Toggles
          label="whose hand"
          options={(kit.seeing('rider')?.options ?? []).map(({ id, title }) => ({ id, title: upper(title) }))}
          value={rider}
          onChange={(value) => write([{ kind: 'reading', reading: 'rider', value, unit: '' }])}
        />
      )}
      <Slate as="p">
        {rider === NOBODY
          ? 'Name a size, or measure the rider’s hand, and the lever’s place is worked out. No name is kept with it.'
          : `The front brake is worked by ${front === undefined || front === 'unknown' ? 'a hand nobody has asked for yet' : `${front === 'left' ? 'the left' : 'the right'} hand`}; a local rule comes first.`}
      </Slate>
      {rider !== NOBODY && <Place {...props} rider={rider} />}
    </section>
  )
}

function Place({ job, length, write, onWorked, rider }: NotesProps & { readonly rider: string }) {
  const fit = leverFitAt(job)
  // As a rule reads.
  const mm = (value: number) => showReading(job.kit, 'clampAt', value, length)
  if (!fit)
    return <Slate as="p">Measure hand, clamp and blade along the bar: what is asked for stands under Next.</Slate>
  if (!fit.ok) return <Complaint>{fit.error.message}</Complaint>
  const { shiftMm, clash, usableMm, after, leverage, leverageAfter, forceN, forceAfterN, reachWantedMm, angle } =
    fit.value
  const moves = leverMoves(fit.value, job.screw)
  const bite = lastReading(job.state, 'biteTravel')
  const learnt = sayScrew(job.screw)
  const throwWanted = lastSeen(job.state, 'throwWanted')
  const next = fit.value.fingers === 1 ? 'middle' : 'ring'
  return (
    <>
      <p>
        <b>
          {Math.abs(shiftMm) < 1
            ? 'The hook lies under the finger.'
            : `The lever belongs ${mm(Math.abs(shiftMm))} further ${shiftMm > 0 ? 'inboard' : 'outboard'}.`}
        </b>{' '}
        {clash
          ? `Now its end lies over the ${next} finger: ${mm(usableMm)} of ${mm(fit.value.reachMm)} travel left before a knuckle is trapped. `
          : 'Now no knuckle is met. '}
        {clash &&
          (after.clash
            ? `There it still meets the ${next} finger.`
            : `There it clears, and all ${mm(after.usableMm)} are had.`)}
      </p>
      {Math.abs(shiftMm) >= 1 && (
        <p>
          <Read>{`Leverage at the finger ${leverage.toFixed(1)} → ${leverageAfter.toFixed(1)}${forceN === undefined || forceAfterN === undefined ? '' : `; hand force for the wanted stop ${forceN.toFixed(0)} → ${forceAfterN.toFixed(0)} N`}${bite === undefined ? '' : `; bite ${mm(bite)} → ${mm(bite * fit.value.travelFactor)} at the finger`}.`}</Read>
        </p>
      )}
      <p>
        <Read>{`Reach: blade at ${mm(fit.value.reachMm)}, wanted ${mm(reachWantedMm)}, the first crease; at most ${mm(mostReach(rider))} by 16 CFR 1512.5 (from memory).`}</Read>
      </p>
      {angle && (
        <p>
          {`Blade ${angle.wantedDeg.toFixed(0)}° below level puts forearm, wrist and finger in one line${angle.nowDeg === undefined ? '' : `; it stands at ${angle.nowDeg.toFixed(0)}°`}.`}
        </p>
      )}
      {throwWanted && (
        <p>
          {throwWanted === 'short'
            ? 'A short throw is wanted: at Bite, choose a school that bites earlier.'
            : 'A long throw is wanted: at Bite, choose a school that bites later.'}
        </p>
      )}
      {learnt && (
        <p>
          <Read>{learnt}</Read>
        </p>
      )}
      {job.state.ended === undefined && (
        <Moves key={JSON.stringify(moves)} job={job} length={length} write={write} wanted={moves} />
      )}
      <Press quiet onPress={() => onWorked('lever and hand', fit.value.worked)}>
        Working
      </Press>
      <Slate as="p">
        Mark, snug, hands off and back as when riding, wiggle, and measure again. Bite and reserve are read again after
        the reach screw and after ten squeezes.
      </Slate>
      <SourceNote source={HAND_SOURCE} />
    </>
  )
}

/** What is moved at the lever, begun with what was worked out: logged as it was really moved. */
function Moves({
  job,
  length,
  write,
  wanted,
}: Pick<NotesProps, 'job' | 'length' | 'write'> & { readonly wanted: readonly Move[] }) {
  const [amounts, setAmounts] = useState<Readonly<Record<string, number>>>(() =>
    Object.fromEntries(wanted.map(({ adjuster, amount }) => [adjuster, amount])),
  )
  return (
    <Steppers>
      {job.kit.levers.map((spec) => {
        const amount = amounts[spec.id] ?? 0
        return (
          <Stepper
            key={spec.id}
            spec={spec}
            amount={amount}
            length={length}
            onAmount={(now) => setAmounts({ ...amounts, [spec.id]: now })}
          >
            <Press
              isDisabled={amount === 0}
              aria-label={`${spec.title}: log it`}
              onPress={() => write([{ kind: 'turn', adjuster: spec.id, amount, unit: spec.unit }])}
            >
              Did it
            </Press>
          </Stepper>
        )
      })}
    </Steppers>
  )
}
