import type { Step } from '@overhaul/core/brake/step'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { sayAct } from '@overhaul/core/run-sheet/say'
import { heldAt } from '@overhaul/core/run-sheet/status'
import type { Card } from '@overhaul/core/stand/card'
import type { EntryBody } from '@overhaul/core/stand/entries'
import type { LastTime } from '@overhaul/core/stand/last-time'
import { upper } from '@overhaul/core/stand/words'
import type { KeyboardEvent, ReactNode } from 'react'
import styled from 'styled-components'
import { useSettings } from '../../app/settings.ts'
import { phone } from '../../app/theme.ts'
import { useKept } from '../../data/use-kept.ts'
import type { Drafts } from '../../drafts/use-drafts.ts'
import { Row } from '../../ui/layout.ts'
import { Key, Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Label, Read, Slate } from '../../ui/words.tsx'
import { toLine } from '../use-landing.ts'

/** What every face of the Next panel is given. */
export interface NextProps {
  readonly jobId: string
  readonly job: Job
  readonly length: LengthUnit
  readonly drafts: Drafts
  readonly write: (bodies: readonly EntryBody[]) => boolean
  /** Logs what is typed; `first` is written before it, such as squeezes, or a shoe loosened. */
  readonly onSave: (first?: EntryBody | readonly EntryBody[]) => void
  readonly onWhy: () => void
  /** What is done in the posture of the act in hand. */
  readonly card: Card | undefined
  /** How long it has been on show, seconds. */
  readonly shownS: () => number
  /** Fills the drafts from the practice gauge, where the brake has one. */
  readonly onGauge?: ((readings: readonly string[]) => void) | undefined
  readonly sheetHref: string
  /** The ways of mounting, where they are chosen from. */
  /** What each reading was on the visit before. */
  readonly lastTime: ReadonlyMap<string, LastTime>
}

const TopLine = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 16px;
  > :first-child {
    display: flex;
    align-items: center;
    gap: 10px;
    white-space: nowrap;
  }
`

interface TopProps {
  readonly label: string
  /** The key that leads to its first field. */
  readonly hint?: string
  readonly children?: ReactNode
}

/** What kind of act it is, and beside it why now. */
export const Top = ({ label, hint, children }: TopProps) => (
  <TopLine data-top="">
    <span>
      <Label>{label}</Label>
      {hint && <Key aria-hidden="true">{hint}</Key>}
    </span>
    {children && <Slate>{children}</Slate>}
  </TopLine>
)

const Line = styled.p`
  font: 600 1.875rem/1.12 var(--label);
  text-wrap: balance;
  &:focus {
    outline: none;
  }
  ${phone} {
    font-size: 1.625rem;
  }
`

/** What to do, in one line. */
export const Act = ({ children }: { children: ReactNode }) => (
  <Line data-act="" tabIndex={-1}>
    {children}
  </Line>
)

/** What the act in hand says: its line, and the rest under it. */
export function Says({ job }: Pick<NextProps, 'job'>) {
  const { line, more } = sayAct(job, job.next)
  return (
    <>
      <Act>
        <Read>{line}</Read>
      </Act>
      {more && (
        <p>
          <Read>{more}</Read>
        </p>
      )}
    </>
  )
}

/** To the button that saves, once there is something to save. */
function toSave(frames = 20): void {
  requestAnimationFrame(() => {
    const save = document.querySelector<HTMLButtonElement>('button[data-ends]')
    if (save && !save.disabled) save.focus()
    else if (frames > 0) toSave(frames - 1)
  })
}

/** Reads the practice gauge into the fields; what is left to do is to save them. */
export function PracticeGauge({ onGauge }: { onGauge: () => void }) {
  return (
    <Press
      hint="g"
      data-key="gauge"
      onPress={() => {
        // Out of the field first: a key that comes at once would be written into what it now says.
        toLine()
        onGauge()
        toSave()
      }}
    >
      Read the practice gauge
    </Press>
  )
}

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

/** Marks what Esc closes first, by the button that closes it. */
export const BACK = { 'data-back': '' } as const

type Asked = Pick<NextProps, 'jobId' | 'job' | 'write'>

/** A reason asked for, and as far as it is typed. */
interface Reason {
  readonly asked: boolean
  readonly why: string
}
const NO_REASON: Reason = { asked: false, why: '' }

/**
 * A step that need not be looked at is skipped, one that was found unwanted is left, both with a reason that stands on the job
 * sheet. What must be put right is that, or the job is closed; what must be looked at has no way round it.
 */
export function Skip({ jobId, job, write }: Asked) {
  const { step } = job.next
  const [{ asked, why }, change] = useKept<Reason>(`overhaul.skipping.${jobId}.${step.id}`, NO_REASON)
  const held = heldAt(step, job)
  if (held === 'unlooked') return null
  if (held)
    return (
      <>
        <Park jobId={jobId} write={write} />
        <CloseUnreleased jobId={jobId} write={write} />
      </>
    )
  const leaves = job.next.kind === 'mend' || job.next.kind === 'turn' || job.next.kind === 'stuck' || isIll(job)
  const act = leaves ? 'Leave it' : 'Skip'
  const lost = leaves ? step.mayLeave : step.maySkip
  if (!asked) {
    return (
      <Press quiet hint="s" data-key="skip" onPress={() => change(() => ({ asked: true, why }))}>
        {act}
      </Press>
    )
  }
  const skip = () => {
    if (write([{ kind: 'skip', step: step.id, reason: why }])) change(() => NO_REASON)
  }
  return (
    <AskWhy
      title={act}
      label={leaves ? 'why is it left?' : 'why is it skipped?'}
      act={`${act}, with this reason`}
      why={why}
      onWhy={(text) => change(() => ({ asked, why: text }))}
      onAct={skip}
      onBack={() => change(() => ({ asked: false, why }))}
    >
      {lost && <Slate>{`${upper(lost)}.`}</Slate>}
    </AskWhy>
  )
}

interface AskWhyProps {
  readonly title: string
  readonly label: string
  readonly act: string
  readonly why: string
  readonly onWhy: (text: string) => void
  readonly onAct: () => void
  readonly onBack: () => void
  readonly placeholder?: string
  readonly isDisabled?: boolean
  /** Asked beside the reason. */
  readonly beside?: ReactNode
  /** Said behind it. */
  readonly children?: ReactNode
}

/** A reason asked for, and what is then done; Enter does it too. */
function AskWhy({
  title,
  label,
  act,
  why,
  onWhy,
  onAct,
  onBack,
  placeholder = '',
  isDisabled = false,
  beside,
  children,
}: AskWhyProps) {
  return (
    <Row role="group" aria-label={title} onKeyDown={onEnter(onAct)} style={{ flexBasis: '100%' }}>
      <TextField label={label} autoFocus width={240} placeholder={placeholder} value={why} onChange={onWhy} />
      {beside}
      <Press onPress={onAct} isDisabled={isDisabled}>
        {act}
      </Press>
      <Press quiet {...BACK} onPress={onBack}>
        Back
      </Press>
      {children}
    </Row>
  )
}

const isIll = ({ next }: Job): boolean => next.kind === 'confirm' && next.ill !== undefined

/** What is another bench’s work, or waits for a part, lets the job wait for it: open, and not to be ridden. */
function Park({ jobId, write }: Omit<Asked, 'job'>) {
  const [{ asked, why }, change] = useKept<Reason>(`overhaul.park.${jobId}`, NO_REASON)
  if (!asked)
    return (
      <Press quiet onPress={() => change(() => ({ asked: true, why }))}>
        Park the job
      </Press>
    )
  const park = () => {
    if (write([{ kind: 'park', why }])) change(() => NO_REASON)
  }
  return (
    <AskWhy
      title="Park the job"
      label="what does it wait for?"
      placeholder="hub bearings"
      act="Park it"
      why={why}
      onWhy={(text) => change(() => ({ asked, why: text }))}
      onAct={park}
      isDisabled={why.trim() === ''}
      onBack={() => change(() => ({ asked: false, why }))}
    />
  )
}

interface Closing extends Reason {
  readonly initials?: string
}

/** A brake that cannot be put right does not hold its job open: closed with why, not to be ridden. */
export function CloseUnreleased({ jobId, write }: Omit<Asked, 'job'>) {
  const { by } = useSettings()
  const [{ asked, why, initials = by }, change] = useKept<Closing>(`overhaul.close.${jobId}`, NO_REASON)
  const lay = (more: Partial<Closing>) => change((now) => ({ ...now, ...more }))
  if (!asked) {
    return (
      <Press quiet onPress={() => lay({ asked: true })}>
        Cannot be put right
      </Press>
    )
  }
  const close = () => {
    if (write([{ kind: 'close', initials, why }])) lay(NO_REASON)
  }
  return (
    <AskWhy
      title="Close unreleased"
      label="why is it not to be ridden?"
      act="Close unreleased"
      why={why}
      onWhy={(text) => lay({ why: text })}
      onAct={close}
      isDisabled={why.trim() === '' || initials.trim() === ''}
      onBack={() => lay({ asked: false })}
      beside={
        <TextField
          label="initials"
          width={90}
          maxLength={20}
          value={initials}
          onChange={(text) => lay({ initials: text })}
        />
      }
    />
  )
}
