import { wayName } from '@overhaul/core/features/mount/ways'
import type { ReactNode } from 'react'
import { Ends } from '../../ui/layout.ts'
import { Read, Slate } from '../../ui/words.tsx'
import { canBeChosen, choiceOf as mountChoice } from '../mount/choice-of.ts'
import { usePlans } from '../mount/use-plans.ts'
import type { NotesProps } from '../notes.ts'
import { nameOf, choiceOf as stackChoice } from '../stack/choice-of.ts'
import { useStacks } from '../stack/use-stacks.ts'
import { ChooseIt } from './ChooseIt.tsx'
import { planInHand } from './in-hand.ts'

type Props = Pick<NotesProps, 'job' | 'jobId' | 'write' | 'drafts'> & {
  beside: ReactNode
  /** What can hurt in the act, but for what is read and ticked. */
  cautions: (ticked: readonly string[]) => ReactNode
}

/** The way that is looked at, to be chosen in the act itself; the others stand below, where another is opened. */
export function ReadyWay(props: Props) {
  return planInHand(props.job) === 'stack' ? <ReadyStack {...props} /> : <ReadyMount {...props} />
}

function ReadyMount({ job, jobId, drafts, write, beside, cautions }: Props) {
  const { shown, fault, missing } = usePlans(job, jobId, drafts)
  if (!shown || !canBeChosen(shown))
    return (
      <None beside={beside} cautions={cautions}>
        {fault ??
          (missing.length > 0
            ? `Nothing can be chosen yet. Still to be measured: ${missing.map(job.kit.title).join(', ')}.`
            : 'No way of mounting stands open here: why stands below each of them.')}
      </None>
    )
  return (
    <>
      {cautions(mountChoice(shown).cautions)}
      <Way>{wayName(shown.way)}</Way>
      {shown.state === 'buy' && <Slate>Something is to be bought for it, as it says below.</Slate>}
      <ChooseIt {...mountChoice(shown)} say="Choose this way" write={write} beside={beside} />
    </>
  )
}

function ReadyStack({ job, jobId, write, beside, cautions }: Props) {
  const { now, missing, shown } = useStacks(job, jobId)
  if (!shown)
    return (
      <None beside={beside} cautions={cautions}>
        {now
          ? 'Nothing in the drawer clears the body and covers the track: what would do stands below.'
          : `Nothing can be chosen yet. Still to be measured: ${missing.map(job.kit.title).join(', ')}.`}
      </None>
    )
  return (
    <>
      {cautions(stackChoice(shown).cautions)}
      <Way>{nameOf(shown)}</Way>
      {shown.state !== 'ready' && <Slate>Something is to be bought for it, as it says below.</Slate>}
      <ChooseIt {...stackChoice(shown)} say="Choose these" write={write} beside={beside} />
    </>
  )
}

const Way = ({ children }: { children: string }) => (
  <p>
    <b>
      <Read>{children}</Read>
    </b>
  </p>
)

function None({ children, beside, cautions }: { children: string } & Pick<Props, 'beside' | 'cautions'>) {
  return (
    <>
      {cautions([])}
      <p>
        <Read>{children}</Read>
      </p>
      <Ends data-ends="">{beside}</Ends>
    </>
  )
}
