import { sayFindings } from '@overhaul/core/run-sheet/findings'
import type { Act as NextAct } from '@overhaul/core/run-sheet/next'
import type { Row } from '@overhaul/core/stand/card'
import { sayWhen } from '@overhaul/core/stand/when'
import { Suspense } from 'react'
import styled from 'styled-components'
import { lazily } from '../../app/lazily.ts'
import { phone } from '../../app/theme.ts'
import { useDrawings } from '../../data/drawings.ts'
import { useKept } from '../../data/use-kept.ts'
import { Ends, Row as Line, LinkPress } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Read } from '../../ui/words.tsx'
import { measuredOn } from '../view.ts'
import { ActCautions } from './ActCautions.tsx'
import { Answer } from './Answer.tsx'
import { LooksCard } from './LooksCard.tsx'
import { MakeTurn } from './MakeTurn.tsx'
import { Measure } from './Measure.tsx'
import { Mend } from './Mend.tsx'
import { Act, type NextProps, Says, Skip, Tools, Top } from './parts.tsx'

const ReadyWay = lazily(async () => (await import('../../features/plans/ReadyWay.tsx')).ReadyWay)

const Panel = styled.section`
  padding: 10px 24px 6px;
  border-bottom: 1px solid var(--rule);
  display: grid;
  gap: 6px;
  form {
    display: grid;
    gap: 6px;
  }
  ${phone} {
    padding: 12px 16px 14px;
  }
`

/** The one thing to do next, and the controls to say it was done. */
export function NextPanel(props: NextProps) {
  const { job } = props
  const { next } = job
  return (
    <Panel aria-label="Next" data-testid="next">
      {job.state.parked && (
        <Read>{`Parked, not to be ridden: ${job.state.parked.why}. The next thing done to the brake takes the job up again.`}</Read>
      )}
      <Carded key={keyOf(next)} {...props} />
    </Panel>
  )
}

const keyOf = (next: NextAct): string =>
  `${next.kind} ${next.step.id} ${next.kind === 'turn' ? JSON.stringify(next.turn.moves) : ''}`

/** The act in hand, on its card where it has one of several rows. */
function Carded(props: NextProps) {
  const { job, card, shownS } = props
  if (!card || card.rows.length < 2 || measuredOn(job, card)) return <Body {...props} />
  return (
    <LooksCard
      {...props}
      card={card}
      shownS={shownS}
      act={(row) => <Body {...props} job={row.step.id === job.next.step.id ? job : { ...job, next: actOf(row) }} />}
    />
  )
}

/** A row as an act by itself. */
const actOf = ({ act, step, readings }: Row): NextAct =>
  act === 'confirm' ? { kind: 'confirm', step } : { kind: 'measure', step, readings }

function Body(props: NextProps) {
  const { next } = props.job
  switch (next.kind) {
    case 'confirm':
      return <Confirm {...props} next={next} />
    case 'measure':
      return <Measure {...props} next={next} />
    case 'mend':
      return <Mend {...props} next={next} />
    case 'plan':
      return <ChooseWay {...props} again={next.again} />
    case 'turn':
      return <MakeTurn {...props} turn={next.turn} />
    case 'stuck':
      return (
        <>
          <Top label="Next" />
          <Says job={props.job} />
          <ActCautions job={props.job} />
          <Ends>
            <Press hint="w" data-ends="" onPress={props.onWhy}>
              Why
            </Press>
            <Skip {...props} />
          </Ends>
        </>
      )
    case 'sign':
      return <Sign {...props} />
    case 'released':
      return (
        <>
          <Top label="Released">{sayWhen(next.release.at)}</Top>
          <Act>Released by {next.release.initials}. Nothing more can be written to this job.</Act>
          <SheetLinks href={props.sheetHref} />
          <TakeBack strikes={next.release.id} what="release" write={props.write} />
        </>
      )
    case 'closed':
      return (
        <>
          <Top label="Not to be ridden">{sayWhen(next.close.at)}</Top>
          <Act>{next.close.why}</Act>
          <ul>
            {sayFindings(next.findings).map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
          <p>Closed unreleased by {next.close.initials}. What was found opens the next job on this brake.</p>
          <SheetLinks href={props.sheetHref} />
          <TakeBack strikes={next.close.id} what="closing" write={props.write} />
        </>
      )
  }
}

/** A release or a closing is undone like any entry: a correction strikes it, and the job is open again. */
function TakeBack({ strikes, what, write }: Pick<NextProps, 'write'> & { strikes: string; what: string }) {
  return (
    <Line>
      <Press quiet onPress={() => write([{ kind: 'correction', strikes, why: `${what} taken back` }])}>
        {`Take the ${what} back`}
      </Press>
    </Line>
  )
}

function SheetLinks({ href }: { href: string }) {
  return (
    <Line>
      <LinkPress href={`${href}.pdf`}>Job sheet, PDF</LinkPress>
      <LinkPress href={href.replace('/api', '')}>Job sheet, to print</LinkPress>
      <LinkPress href={href.replace('/api', '').replace('/sheet', '/handover')}>Slip and tag</LinkPress>
    </Line>
  )
}

/** Every confirmation has two answers: it is well, or it is not and then this is done. */
function Confirm({ jobId, job, next, write, onWhy }: NextProps & { next: NextAct & { kind: 'confirm' } }) {
  const { step, again, ill } = next
  const pictures = useDrawings(job.family)?.pictures[step.id]
  if (step.done.kind !== 'confirmed') return null
  const { count, well, ill: notWell } = step.done
  const answer = (more: object = {}) => write([{ kind: 'confirm', step: step.id, ...(count && { count }), ...more }])
  return (
    <>
      <Top label={ill ? 'Put right' : again ? 'Look again' : 'Next'}>{ill ? `${step.title}: ${again}` : again}</Top>
      <Says job={job} />
      <ActCautions job={job} />
      <p>
        <Read>{ill ? step.say : step.why}</Read>
      </p>
      {ill?.stop && <p>Not to be ridden like this. It is put right, or the job is closed unreleased.</p>}
      <Tools step={step} />
      <Ends>
        <Press go hint="d" data-key="did-it" data-ends="" onPress={() => answer()}>
          <Answer picture={pictures?.well}>{well}</Answer>
        </Press>
        {!ill && (
          <Press hint="n" data-key="not-well" onPress={() => answer({ well: false })}>
            <Answer picture={pictures?.ill}>{notWell}</Answer>
          </Press>
        )}
        <Press hint="w" onPress={onWhy}>
          Why
        </Press>
        <Skip jobId={jobId} job={job} write={write} />
      </Ends>
    </>
  )
}

function ChooseWay({ jobId, job, write, drafts, again, onWhy }: NextProps & { again: string | undefined }) {
  return (
    <>
      <Top label={again ? 'Choose again' : 'Next'}>{again}</Top>
      <Says job={job} />
      <p>
        <Read>{job.next.step.why}</Read>
      </p>
      <Suspense fallback={null}>
        <ReadyWay
          cautions={(ticked) => <ActCautions job={job} except={ticked} />}
          job={job}
          jobId={jobId}
          write={write}
          drafts={drafts}
          beside={
            <>
              <Press quiet hint="w" onPress={onWhy}>
                Why
              </Press>
              <Skip jobId={jobId} job={job} write={write} />
            </>
          }
        />
      </Suspense>
    </>
  )
}

/** Half a year on: our choice, until the workshop says another day. */
function inHalfAYear(): string {
  const day = new Date()
  day.setMonth(day.getMonth() + 6)
  return day.toISOString().slice(0, 10)
}

function Sign({ jobId, job, write, sheetHref }: NextProps) {
  const [initials, setInitials] = useKept(`overhaul.sign.${jobId}`, '')
  const [again, setAgain] = useKept(`overhaul.again.${jobId}`, inHalfAYear())
  return (
    <>
      <Top label="Release" hint="m">
        everything is in its window or skipped with a reason
      </Top>
      <Says job={job} />
      <ActCautions job={job} />
      <Line
        as="form"
        onSubmit={(event) => {
          event.preventDefault()
          const lookAgain = again.trim()
          write([{ kind: 'release', initials, ...(lookAgain && { lookAgain }) }])
        }}
      >
        <TextField
          label="initials or number"
          big
          width={120}
          maxLength={20}
          value={initials}
          onChange={(text) => setInitials(() => text)}
          measure={0}
        />
        <TextField
          label="look again by"
          width={150}
          placeholder="year-month-day"
          value={again}
          onChange={(text) => setAgain(() => text)}
        />
        <Press go type="submit" hint="Enter" data-ends="" isDisabled={initials.trim() === ''}>
          Release
        </Press>
      </Line>
      <SheetLinks href={sheetHref} />
    </>
  )
}
