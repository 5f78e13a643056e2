import { frameStops } from '@overhaul/core/features/mount/drilling'
import type { Plan } from '@overhaul/core/features/mount/plan'
import type { PlanState } from '@overhaul/core/features/mount/reasons'
import { wayName } from '@overhaul/core/features/mount/ways'
import { showQuantity } from '@overhaul/core/stand/show'
import styled from 'styled-components'
import { Mark, type Shape } from '../../drawing/Mark.tsx'
import { Fold } from '../../ui/Fold.tsx'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Complaint, Label, Read, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { ChooseIt } from '../plans/ChooseIt.tsx'
import { Choice, Opened } from '../plans/choice.ts'
import { planInHand } from '../plans/in-hand.ts'
import { TakeParts } from '../plans/TakeParts.tsx'
import { SchoolChoice } from '../SchoolChoice.tsx'
import { canBeChosen, choiceOf } from './choice-of.ts'
import { pickWay, usePlans } from './use-plans.ts'

const List = styled.ul`
  display: grid;
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
export function Panel(props: NotesProps) {
  const { job, jobId, drafts, write } = props
  const plans = usePlans(job, jobId, drafts)
  const { state } = job
  const stops = plans.mount ? frameStops(plans.mount) : []
  if (stops.length > 0)
    return (
      <section aria-label="Ways of mounting">
        <Label>Nothing is mounted here</Label>
        {stops.map(({ say }) => (
          <p key={say} style={{ color: 'var(--out)', fontWeight: 600 }}>
            <Read>{say}</Read>
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
              <Choice $open={open} aria-expanded={open} onPress={() => pickWay(plan.way.id)}>
                <Mark shape={shape} size={22} label={words} />
                <span>{wayName(plan.way)}</span>
                <Slate>{state.plans.mount?.value.to === plan.way.id ? 'chosen' : words}</Slate>
              </Choice>
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
    <Opened>
      <p>
        <Read>{plan.way.says}</Read>
      </p>
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
      {!ended && canBeChosen(plan) && !chosen && planInHand(job) !== 'mount' && (
        <ChooseIt {...choiceOf(plan)} say="Choose this way" write={write} />
      )}
      {chosen && <TakeParts parts={plan.parts} jobId={jobId} />}
    </Opened>
  )
}
