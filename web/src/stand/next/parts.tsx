import type { Step } from '@overhaul/core/brake/step'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { type KeyboardEvent, useState } from 'react'
import styled from 'styled-components'
import { useSettings } from '../../app/settings.ts'
import type { Drafts } from '../../drafts/use-drafts.ts'
import { Field, Press, Row, Slate } from '../../ui/parts.tsx'

/** What every face of the Next panel is given. */
export interface NextProps {
  readonly job: Job
  readonly length: LengthUnit
  readonly drafts: Drafts
  readonly write: (bodies: readonly EntryBody[]) => boolean
  /** Logs what is typed; `first` is written before it, such as squeezes, or a shoe loosened. */
  readonly onSave: (first?: EntryBody) => void
  readonly onWhy: () => void
  /** Fills the drafts from the practice gauge, where the brake has one. */
  readonly onGauge?: ((readings: readonly string[]) => void) | undefined
  readonly sheetHref: string
}

export const Top = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 16px;
`
export const Act = styled.p`
  font: 600 30px/1.12 var(--label);
  text-wrap: balance;
`
export const Entry = styled.label`
  display: grid;
  gap: 6px;
  font: 500 16px/1 var(--label);
  input {
    width: 84px;
    font: 600 26px/1 var(--label);
    height: 50px;
  }
`

/** What to have at hand. */
export function Tools({ step }: { step: Step }) {
  return step.tools ? <Slate>At hand: {step.tools.join(', ')}.</Slate> : null
}

/** Enter in a field does what the button beside it does: these stand inside the readings’ form, which is not theirs. */
const onEnter = (act: () => void) => (event: KeyboardEvent) => {
  if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return
  event.preventDefault()
  act()
}

/** Skipping asks for a reason, and the reason stands on the job sheet. What is not to be ridden is closed instead. */
export function Skip({ job, write }: Pick<NextProps, 'job' | 'write'>) {
  const [reason, setReason] = useState<string>()
  if (!maySkip(job)) return <CloseUnreleased write={write} />
  if (reason === undefined) {
    return (
      <Press quiet onPress={() => setReason('')}>
        Skip
      </Press>
    )
  }
  const skip = () => write([{ kind: 'skip', step: job.next.step.id, reason }])
  return (
    <Row role="group" onKeyDown={onEnter(skip)}>
      <Entry>
        why is it skipped?
        <Field
          style={{ width: 240, font: 'inherit' }}
          autoFocus
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </Entry>
      <Press onPress={skip}>Skip, with this reason</Press>
    </Row>
  )
}

/** A brake that cannot be put right does not hold its job open: closed with why, not to be ridden. */
export function CloseUnreleased({ write }: Pick<NextProps, 'write'>) {
  const { by } = useSettings()
  const [why, setWhy] = useState<string>()
  const [initials, setInitials] = useState(by)
  if (why === undefined) {
    return (
      <Press quiet onPress={() => setWhy('')}>
        Cannot be put right
      </Press>
    )
  }
  const close = () => write([{ kind: 'close', initials, why }])
  return (
    <Row role="group" onKeyDown={onEnter(close)}>
      <Entry>
        why is it not to be ridden?
        <Field
          style={{ width: 260, font: 'inherit' }}
          autoFocus
          value={why}
          onChange={(event) => setWhy(event.target.value)}
        />
      </Entry>
      <Entry>
        initials
        <Field maxLength={20} value={initials} onChange={(event) => setInitials(event.target.value)} />
      </Entry>
      <Press onPress={close} isDisabled={why.trim() === '' || initials.trim() === ''}>
        Close unreleased
      </Press>
      <Press quiet onPress={() => setWhy(undefined)}>
        Back
      </Press>
    </Row>
  )
}

/** What must be done, and what was found not to be ridden, is not skipped. */
function maySkip({ next }: Job): boolean {
  if (next.step.mustBeDone) return false
  if (next.kind === 'mend') return !next.stop
  return !(next.kind === 'confirm' && next.ill?.stop)
}
