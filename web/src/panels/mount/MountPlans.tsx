import { frameStops } from '@overhaul/core/mount/drilling'
import type { Plan } from '@overhaul/core/mount/plan'
import type { PlanState } from '@overhaul/core/mount/reasons'
import { wayName } from '@overhaul/core/mount/ways'
import { CAUTIONS } from '@overhaul/core/reference/cautions'
import { showQuantity } from '@overhaul/core/stand/describe'
import { useState } from 'react'
import { Button } from 'react-aria-components'
import styled from 'styled-components'
import { useSettings } from '../../app/settings.ts'
import { DRAWER, moveParts, useHeld, useIsMoving } from '../../data/drawer.ts'
import { Mark, type Shape } from '../../drawing/Mark.tsx'
import { Fold } from '../../ui/Fold.tsx'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Tick } from '../../ui/Tick.tsx'
import { Complaint, Label, Slate } from '../../ui/words.tsx'
import { WaitingChanges } from '../../waiting/WaitingChanges.tsx'
import type { NotesProps } from '../notes.ts'
import { SchoolChoice } from '../SchoolChoice.tsx'

const List = styled.ul`
  display: grid;
`
const Way = styled(Button)<{ $open: boolean }>`
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  width: 100%;
  min-height: 52px;
  display: grid;
  grid-template-columns: 26px 1fr auto;
  gap: 10px;
  align-items: center;
  border-top: 1px solid var(--rule);
  font: ${({ $open }) => ($open ? 600 : 500)} 19px/1.15 var(--label);
  &[data-focus-visible] {
    outline: 3px solid var(--predicted);
  }
`
const Detail = styled.div`
  display: grid;
  gap: 8px;
  padding: 0 0 14px 36px;
  ol {
    padding-left: 22px;
    list-style: decimal;
    display: grid;
    gap: 4px;
  }
`
const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  justify-content: space-between;
  padding-bottom: 6px;
`

const STATES: Readonly<Record<PlanState, { readonly shape: Shape; readonly words: string }>> = {
  ready: { shape: 'in', words: 'ready' },
  buy: { shape: 'high', words: 'something to buy' },
  measure: { shape: 'unmeasured', words: 'something to measure' },
  no: { shape: 'left-out', words: 'not here' },
}

/** Every way of mounting this brake here, the best first; one of them open, to be looked at and chosen. */
export function MountPlans(props: NotesProps) {
  const { job, plans, write } = props
  const { state } = job
  const stops = plans.mount ? frameStops(plans.mount) : []
  if (stops.length > 0)
    return (
      <section aria-label="Ways of mounting">
        <Label>Nothing is mounted here</Label>
        {stops.map(({ say }) => (
          <p key={say} style={{ color: 'var(--out)', fontWeight: 600 }}>
            {say}
          </p>
        ))}
      </section>
    )
  if (plans.plans.length === 0) return null
  return (
    <section aria-label="Ways of mounting">
      <Head>
        <Label>Ways of mounting</Label>
        <SchoolChoice id="mount" job={job} write={write} />
      </Head>
      {plans.drawerAway && (
        <Complaint>The drawer cannot be reached: the ways are worked out as if it were empty.</Complaint>
      )}
      <List>
        {plans.plans.map((plan) => {
          const open = plan === plans.shown
          const { shape, words } = STATES[plan.state]
          return (
            <li key={plan.way.id}>
              <Way $open={open} aria-expanded={open} onPress={() => plans.pick(plan.way.id)}>
                <Mark shape={shape} size={22} label={words} />
                <span>{wayName(plan.way)}</span>
                <Slate>{state.plans.mount?.value.to === plan.way.id ? 'chosen' : words}</Slate>
              </Way>
              {open && <PlanDetail {...props} plan={plan} />}
            </li>
          )
        })}
      </List>
    </section>
  )
}

const percent = (share: number) => `${Math.round(100 * share)} %`

function PlanDetail({ job, jobId, plan, length, write, onWorked }: NotesProps & { plan: Plan }) {
  const mm = (value: number) => showQuantity(value, 'mm', length)
  const { tube, bit } = plan
  const { plans, ended } = job.state
  const chosen = plans.mount?.value.to === plan.way.id && plans.mount.status === 'current'
  return (
    <Detail>
      <p>{plan.way.says}</p>
      {plan.reasons.map(({ kind, say }) => (
        <p key={say} style={kind === 'stop' ? { color: 'var(--out)', fontWeight: 600 } : undefined}>
          {say}
        </p>
      ))}
      {tube && (
        <p>
          Left of the tube at the hole: section {percent(tube.sectionBefore)} → <b>{percent(tube.sectionAfter)}</b>,
          bending stiffness {percent(tube.bendingBefore)} → <b>{percent(tube.bendingAfter)}</b>.
        </p>
      )}
      {bit && (
        <p>
          Bit out of the chuck: {mm(bit.shortestMm)} to <b>{mm(bit.longestMm)}</b>.
        </p>
      )}
      {plan.steps.length > 0 && (
        <Fold title="What to do, in order">
          <ol>
            {plan.steps.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ol>
          <Slate>At hand: {plan.tools.join(', ')}.</Slate>
        </Fold>
      )}
      {plan.worked.length > 0 && (
        <Row>
          <Press quiet onPress={() => onWorked(wayName(plan.way), plan.worked)}>
            Working
          </Press>
        </Row>
      )}
      {!ended && (plan.state === 'ready' || plan.state === 'buy') && !chosen && <ChooseIt plan={plan} write={write} />}
      {chosen && <TakeParts plan={plan} jobId={jobId} />}
    </Detail>
  )
}

/** Chosen only with each of its cautions read. */
function ChooseIt({ plan, write }: { plan: Plan; write: NotesProps['write'] }) {
  const [read, setRead] = useState<readonly string[]>([])
  const { cautions, id } = plan.way
  return (
    <>
      {cautions.map((caution) => (
        <Tick
          key={caution}
          on={read.includes(caution)}
          onChange={(on) => setRead(on ? [...read, caution] : read.filter((each) => each !== caution))}
        >
          {CAUTIONS[caution].text}
        </Tick>
      ))}
      <Row>
        <Press
          go
          onPress={() => write([{ kind: 'plan', plan: 'mount', to: id, parts: plan.parts, acknowledged: read }])}
        >
          Choose this way
        </Press>
        {read.length < cautions.length && <Slate>read and tick each caution first</Slate>}
      </Row>
    </>
  )
}

/** What the chosen way needs of the drawer: taken for this job, or given back. */
function TakeParts({ plan, jobId }: { plan: Plan; jobId: string }) {
  const { by } = useSettings()
  const held = useHeld(jobId)
  const isMoving = useIsMoving()
  if (plan.parts.length === 0 && held.length === 0) return null
  const wanted = plan.parts.flatMap(({ partId, name, count }) => {
    const has = held.find((each) => each.partId === partId)?.count ?? 0
    return partId && count > has ? [{ partId, name, delta: has - count }] : []
  })
  return (
    <>
      {held.length > 0 && <p>Taken for this job: {held.map(({ name, count }) => `${count} × ${name}`).join(', ')}.</p>}
      <Row>
        {wanted.length > 0 && (
          <Press go isDisabled={isMoving} onPress={() => moveParts(wanted.map((each) => ({ ...each, jobId, by })))}>
            {`Take from the drawer: ${wanted.map(({ name, delta }) => `${-delta} × ${name}`).join(', ')}`}
          </Press>
        )}
        {held.length > 0 && (
          <Press
            isDisabled={isMoving}
            onPress={() =>
              moveParts(held.map(({ partId, name, count }) => ({ partId, name, delta: count, jobId, by })))
            }
          >
            Give back
          </Press>
        )}
      </Row>
      <WaitingChanges about={DRAWER} />
    </>
  )
}
