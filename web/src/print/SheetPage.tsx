import { jobSheet } from '@overhaul/core/sheet/job-sheet'
import { sayWhen } from '@overhaul/core/stand/when'
import { useParams } from 'react-router'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { useHeld } from '../data/drawer.ts'
import { useJob } from '../data/use-job.ts'
import { Mark } from '../drawing/Mark.tsx'
import { LinkPress, Ruled } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { Cautions, Label, Slate } from '../ui/words.tsx'

const Paper = styled.main`
  max-width: 900px;
  padding: 24px;
  display: grid;
  gap: 18px;
  h1 {
    font: 600 30px/1.1 var(--label);
  }
  @media print {
    padding: 0;
    font-size: 10.5pt;
  }
`
const NoPrint = styled.div`
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  @media print {
    display: none;
  }
`

/** The job sheet to print: what was found, every turn, readings before and after, cautions, release. */
export default function SheetPage() {
  const { jobId = '' } = useParams()
  const { length } = useSettings()
  const state = useJob(jobId)
  const parts = useHeld(jobId)
  if (state.status === 'loading') return <Paper>Fetching the job…</Paper>
  if (state.status === 'failed') return <Paper>{state.error.message}</Paper>
  const { record, job } = state.open
  const sheet = jobSheet(
    job,
    {
      jobNumber: record.job.number,
      bicycle: record.bicycle.name,
      complaint: record.job.complaint,
      parts,
    },
    length,
  )
  return (
    <Paper>
      <title>{`${sheet.heading} · Overhaul`}</title>
      <NoPrint>
        <Press go onPress={() => window.print()}>
          Print
        </Press>
        <LinkPress href={`/api/jobs/${jobId}/sheet.pdf?unit=${length}`}>As PDF</LinkPress>
        <LinkPress href={`/stand/${jobId}`}>Back to the Stand</LinkPress>
      </NoPrint>
      <div>
        <h1>{sheet.heading}</h1>
        <p>
          <b>{sheet.released ?? sheet.closed ?? 'Not released: work in progress, do not ride.'}</b>
        </p>
        {sheet.unfit.length > 0 && (
          <ul aria-label="Not to be ridden">
            {sheet.unfit.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        )}
        <p>
          Complaint: {sheet.complaint || 'none given'}. Bite school: {sheet.school}.
        </p>
      </div>
      <section>
        <Label>Cautions</Label>
        <Cautions>
          {sheet.cautions.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </Cautions>
      </section>
      <section>
        <Label>Readings, as found and now</Label>
        <Ruled>
          <thead>
            <tr>
              <th>reading</th>
              <th>as found</th>
              <th>now</th>
              <th>window</th>
              <th>state</th>
            </tr>
          </thead>
          <tbody>
            {sheet.readings.map((each) => (
              <tr key={each.title}>
                <td>{each.title}</td>
                <td>{each.found}</td>
                <td>{each.left}</td>
                <td>{each.window}</td>
                <td>{each.mark === 'noted' ? 'noted' : <Mark shape={each.mark} size={18} />}</td>
              </tr>
            ))}
          </tbody>
        </Ruled>
        {sheet.readings.length === 0 && <Slate>Nothing measured yet.</Slate>}
      </section>
      <section>
        <Label>Steps</Label>
        <Ruled>
          <tbody>
            {sheet.steps.map((each) => (
              <tr key={each.title}>
                <td>{each.title}</td>
                <td>{each.state}</td>
                <td>{each.remark}</td>
              </tr>
            ))}
          </tbody>
        </Ruled>
      </section>
      {sheet.sections.map(({ title, lines }) => (
        <section key={title}>
          <Label>{title}</Label>
          {lines.map((each) => (
            <p key={each}>{each}</p>
          ))}
        </section>
      ))}
      <section>
        <Label>Every entry</Label>
        <Ruled>
          <tbody>
            {sheet.log.map((each, index) => (
              <tr
                key={index}
                style={each.struck ? { textDecoration: 'line-through', color: 'var(--slate)' } : undefined}
              >
                <td style={{ whiteSpace: 'nowrap' }}>{sayWhen(each.at)}</td>
                <td>{each.by}</td>
                <td>{each.text}</td>
              </tr>
            ))}
          </tbody>
        </Ruled>
      </section>
      <section>
        <Label>Figures used</Label>
        <Slate>{sheet.figures.join('; ')}.</Slate>
      </section>
    </Paper>
  )
}
