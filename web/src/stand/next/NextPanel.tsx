import { CAUTIONS } from '@overhaul/core/reference/cautions'
import { sayFindings } from '@overhaul/core/run-sheet/findings'
import type { Act as NextAct } from '@overhaul/core/run-sheet/next'
import { format } from 'date-fns'
import { useState } from 'react'
import styled from 'styled-components'
import { Cautions, Field, Label, linkPress, Press, Row, Slate } from '../../ui/parts.tsx'
import { MakeTurn } from './MakeTurn.tsx'
import { Measure } from './Measure.tsx'
import { Mend } from './Mend.tsx'
import { Act, Entry, type NextProps, Skip, Tools, Top } from './parts.tsx'

const Panel = styled.section`
  padding: 14px 24px 16px;
  border-bottom: 1px solid var(--rule);
  display: grid;
  gap: 8px;
`

/** The one thing to do next, and the controls to say it was done. */
export function NextPanel(props: NextProps) {
  const { job } = props
  const { next } = job
  return (
    <Panel aria-label="Next" data-testid="next">
      <Body key={keyOf(next)} {...props} />
      {next.step.cautions.length > 0 && next.kind !== 'released' && next.kind !== 'closed' && (
        <Cautions aria-label="Cautions">
          {next.step.cautions.map((id) => (
            <li key={id}>{CAUTIONS[id].text}</li>
          ))}
        </Cautions>
      )}
    </Panel>
  )
}

const keyOf = (next: NextAct): string =>
  `${next.kind} ${next.step.id} ${next.kind === 'turn' ? JSON.stringify(next.turn.moves) : ''}`

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
          <Top>
            <Label>Next</Label>
          </Top>
          <Act>{next.say}</Act>
          <Row>
            <Press hint="w" onPress={props.onWhy}>
              Why
            </Press>
            <Skip {...props} />
          </Row>
        </>
      )
    case 'sign':
      return <Sign {...props} />
    case 'released':
      return (
        <>
          <Top>
            <Label>Released</Label>
            <Slate>{format(new Date(next.release.at), 'd MMM yyyy, H:mm')}</Slate>
          </Top>
          <Act>Released by {next.release.initials}. Nothing more can be written to this job.</Act>
          <SheetLinks href={props.sheetHref} />
          <TakeBack strikes={next.release.id} what="release" write={props.write} />
        </>
      )
    case 'closed':
      return (
        <>
          <Top>
            <Label>Not to be ridden</Label>
            <Slate>{format(new Date(next.close.at), 'd MMM yyyy, H:mm')}</Slate>
          </Top>
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
    <Row>
      <Press quiet onPress={() => write([{ kind: 'correction', strikes, why: `${what} taken back` }])}>
        {`Take the ${what} back`}
      </Press>
    </Row>
  )
}

function SheetLinks({ href }: { href: string }) {
  return (
    <Row>
      <LinkLike href={`${href}.pdf`}>Job sheet, PDF</LinkLike>
      <LinkLike href={href.replace('/api', '')}>Job sheet, to print</LinkLike>
    </Row>
  )
}

const LinkLike = styled.a`
  ${linkPress}
`

/** Every confirmation has two answers: it is well, or it is not and then this is done. */
function Confirm({ job, next, write, onWhy }: NextProps & { next: NextAct & { kind: 'confirm' } }) {
  const { step, again, ill } = next
  if (step.done.kind !== 'confirmed') return null
  const { count, well, ill: notWell } = step.done
  const answer = (more: object = {}) => write([{ kind: 'confirm', step: step.id, ...(count && { count }), ...more }])
  return (
    <>
      <Top>
        <Label>{ill ? 'Put right' : again ? 'Look again' : 'Next'}</Label>
        <Slate>{ill ? `${step.title}: ${again}` : again}</Slate>
      </Top>
      <Act>{ill?.say ?? step.say}</Act>
      <p>{ill ? step.say : step.why}</p>
      {ill?.stop && <p>Not to be ridden like this. It is put right, or the job is closed unreleased.</p>}
      <Tools step={step} />
      <Row>
        <Press go hint="d" data-key="did-it" onPress={() => answer()}>
          {well}
        </Press>
        {!ill && (
          <Press hint="n" data-key="not-well" onPress={() => answer({ well: false })}>
            {notWell}
          </Press>
        )}
        <Press hint="w" onPress={onWhy}>
          Why
        </Press>
        <Skip job={job} write={write} />
      </Row>
    </>
  )
}

function ChooseWay({ job, write, again, onWhy }: NextProps & { again: string | undefined }) {
  return (
    <>
      <Top>
        <Label>{again ? 'Choose again' : 'Next'}</Label>
        <Slate>{again}</Slate>
      </Top>
      <Act>{job.next.step.say}</Act>
      <p>{job.next.step.why}</p>
      <Row>
        <Press quiet onPress={onWhy}>
          Why
        </Press>
        <Skip job={job} write={write} />
      </Row>
    </>
  )
}

function Sign({ job, write, sheetHref }: NextProps) {
  const [initials, setInitials] = useState('')
  return (
    <>
      <Top>
        <Label>Release</Label>
        <Slate>everything is in its window or skipped with a reason</Slate>
      </Top>
      <Act>{job.next.step.say}</Act>
      <Row
        as="form"
        onSubmit={(event) => {
          event.preventDefault()
          write([{ kind: 'release', initials }])
        }}
      >
        <Entry>
          initials or number
          <Field
            aria-label="initials or number"
            maxLength={20}
            value={initials}
            onChange={(event) => setInitials(event.target.value)}
          />
        </Entry>
        <Press go type="submit" isDisabled={initials.trim() === ''}>
          Release
        </Press>
      </Row>
      <SheetLinks href={sheetHref} />
    </>
  )
}
