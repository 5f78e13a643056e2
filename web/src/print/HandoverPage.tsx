import { handoverOf } from '@overhaul/core/sheet/handover'
import { useParams } from 'react-router'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { useTag, useWorkshop } from '../data/queries.ts'
import { useJob } from '../data/use-job.ts'
import { LinkPress } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { Cautions, Label, Slate } from '../ui/words.tsx'
import { NoPrint, Paper } from './paper.ts'
import { WhosePaper } from './WhosePaper.tsx'

const Tag = styled.section`
  border: 2px solid var(--ink);
  padding: 16px 20px;
  display: flex;
  gap: 24px;
  align-items: center;
  max-width: 560px;
  break-inside: avoid;
  img {
    width: 128px;
    height: 128px;
    background: #fff;
  }
`
const Words = styled.div`
  display: grid;
  gap: 6px;
`
const Code = styled.p`
  font: 600 54px/1 var(--label);
  letter-spacing: 0.08em;
`

/** The slip for whoever rides the bicycle, and its tag: both to be cut out. */
export default function HandoverPage() {
  const { jobId = '' } = useParams()
  const { length } = useSettings()
  const state = useJob(jobId)
  const code = state.status === 'open' ? (state.open.record.bicycle.code ?? '') : ''
  const { data: tag } = useTag(code)
  const { data: workshop } = useWorkshop()
  if (state.status === 'loading') return <Paper>Fetching the job…</Paper>
  if (state.status === 'failed') return <Paper>{state.error.message}</Paper>
  const { record, job } = state.open
  const slip = handoverOf(job, {
    jobNumber: record.job.number,
    bicycle: record.bicycle.name,
    code,
    ...(tag && { ends: tag.standing }),
    ...(workshop && { from: workshop }),
  })
  return (
    <Paper>
      <title>{`${slip.heading} · Overhaul`}</title>
      <NoPrint>
        <Press go onPress={() => window.print()}>
          Print
        </Press>
        <LinkPress href={`/api/jobs/${jobId}/handover.pdf?unit=${length}`}>As PDF</LinkPress>
        <LinkPress href={`/jobs/${jobId}/sheet`}>Job sheet</LinkPress>
        <WhosePaper from={slip.from} />
        <LinkPress href={`/stand/${jobId}`}>Back to the Stand</LinkPress>
      </NoPrint>
      <div>
        {slip.from && <p>{slip.from}</p>}
        <Label>For whoever rides it</Label>
        <h1>{slip.heading}</h1>
        <p>
          <b>{slip.result}</b>
        </p>
        {slip.unfit.length > 0 && (
          <ul aria-label="Not to be ridden">
            {slip.unfit.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        )}
      </div>
      {slip.parts.map(({ title, lines }) => (
        <section key={title}>
          <Label>{title}</Label>
          {lines.map((each) => (
            <p key={each}>{each}</p>
          ))}
        </section>
      ))}
      <section>
        <Label>{slip.cautionsAre}</Label>
        <Cautions>
          {slip.cautions.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </Cautions>
      </section>
      <Tag aria-label="Tag">
        {tag?.qr && (
          <img
            src={`data:image/svg+xml;utf8,${encodeURIComponent(tag.qr)}`}
            alt={`The address of ${record.bicycle.name}, for a camera: ${tag.address}`}
          />
        )}
        <Words>
          <Code>{code}</Code>
          <p>
            <b>{record.bicycle.name}</b> · {slip.result}
          </p>
          {slip.ends.map((each) => (
            <p key={each}>
              <b>{each}</b>
            </p>
          ))}
          {slip.from && <Slate>{slip.from}</Slate>}
          <Slate>
            {tag?.address ??
              'This code finds the bicycle in the rack’s search; shared, the tag carries its address too.'}
          </Slate>
        </Words>
      </Tag>
    </Paper>
  )
}
