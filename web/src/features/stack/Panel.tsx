import type { Laid, StackPlan } from '@overhaul/core/features/stack/plan'
import { showQuantity } from '@overhaul/core/stand/show'
import { Mark } from '../../drawing/Mark.tsx'
import { Row, Ruled } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Complaint, Label, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { ChooseIt } from '../plans/ChooseIt.tsx'
import { Choice, Opened } from '../plans/choice.ts'
import { TakeParts } from '../plans/TakeParts.tsx'
import { choiceOf, nameOf } from './choice-of.ts'
import { isStackInHand } from './is-stacked.ts'
import { pickStack, useStacks } from './use-stacks.ts'

const FROM: Readonly<Record<Laid['from'], string>> = {
  bicycle: 'on the bicycle',
  drawer: 'in the drawer',
  shop: 'to buy',
}

/** Every stack that clears the body and covers the track, the fewest parts first; one of them open. */
export function Panel(props: NotesProps) {
  const { job, jobId } = props
  const { now, missing, plans, shown, buy, drawerAway } = useStacks(job, jobId)
  const chosen = job.state.plans.stack
  if (!now)
    return (
      <section aria-label="Bracket and spacers">
        <Label>Bracket and spacers</Label>
        <Slate>{`Worked out once it is measured. Still to come: ${missing.map(job.kit.title).join(', ')}.`}</Slate>
      </section>
    )
  return (
    <section aria-label="Bracket and spacers">
      <Label>Bracket and spacers</Label>
      {drawerAway && <Complaint>The drawer cannot be reached: worked out as if it were empty.</Complaint>}
      {plans.length === 0 && (
        <>
          <Complaint>Nothing in the drawer clears the body and covers the track. What would do:</Complaint>
          <ul>
            {buy.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        </>
      )}
      <ul>
        {plans.map((plan) => {
          const open = plan === shown
          const isChosen = chosen?.status === 'current' && sameFigures(plan, chosen.value.figures)
          return (
            <li key={plan.key}>
              <Choice $open={open} aria-expanded={open} onPress={() => pickStack(plan.key)}>
                <Mark
                  shape={plan.state === 'ready' ? 'in' : 'high'}
                  size={22}
                  label={plan.state === 'ready' ? 'ready' : 'something to buy'}
                />
                <span>{nameOf(plan)}</span>
                <Slate>{isChosen ? 'chosen' : plan.state === 'ready' ? 'ready' : 'to buy'}</Slate>
              </Choice>
              {open && <StackDetail {...props} plan={plan} isChosen={isChosen} />}
            </li>
          )
        })}
      </ul>
    </section>
  )
}

const sameFigures = ({ figures }: StackPlan, of: Readonly<Record<string, number>> = {}): boolean =>
  Object.entries(figures).every(([id, value]) => of[id] === value)

function StackDetail({
  job,
  jobId,
  plan,
  isChosen,
  length,
  write,
  onWorked,
}: NotesProps & { plan: StackPlan; isChosen: boolean }) {
  const mm = (value: number) => showQuantity(value, 'mm', length)
  const { lies, caliperBolt, bracketBolt, parts } = plan
  const bolt = (title: string, each: Laid) => (
    <tr>
      <th scope="row">{title}</th>
      <td>
        {each.name}, {FROM[each.from]}
      </td>
    </tr>
  )
  return (
    <Opened>
      <Ruled>
        <tbody>
          <tr>
            <th scope="row">body clear above, below</th>
            <td>
              <b>{mm(lies.topMm)}</b>, <b>{mm(lies.bottomMm)}</b>
            </td>
          </tr>
          <tr>
            <th scope="row">pad on the track, past it</th>
            <td>
              <b>{mm(lies.coverMm)}</b>, {mm(lies.hungMm)}
            </td>
          </tr>
          {bolt('caliper bolts', caliperBolt)}
          {bracketBolt && bolt('bracket bolts', bracketBolt)}
        </tbody>
      </Ruled>
      <Row>
        <Press quiet onPress={() => onWorked('bracket and spacers', plan.worked)}>
          Working
        </Press>
      </Row>
      {!job.state.ended && !isChosen && !isStackInHand(job) && (
        <ChooseIt {...choiceOf(plan)} say="Choose these" write={write} />
      )}
      {isChosen && <TakeParts parts={parts} jobId={jobId} />}
    </Opened>
  )
}
