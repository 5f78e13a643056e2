import { type JobSheet, jobSheet } from '@overhaul/core/sheet/job-sheet'
import { sayWhen } from '@overhaul/core/stand/when'
import { useState } from 'react'
import { useParams } from 'react-router'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { useHeld } from '../data/drawer.ts'
import { useWorkshop } from '../data/queries.ts'
import { useJob } from '../data/use-job.ts'
import { Mark } from '../drawing/Mark.tsx'
import { LinkPress, Ruled } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { OnOff } from '../ui/Toggles.tsx'
import { Cautions, Label, Slate } from '../ui/words.tsx'
import { NoPrint, Paper } from './paper.ts'
import { SheetDrawing } from './SheetDrawing.tsx'
import { WhosePaper } from './WhosePaper.tsx'

const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 3fr);
  gap: 12px 28px;
  align-items: start;
  > div {
    display: grid;
    gap: 12px;
  }
  @media screen and (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
  }
`
const Columned = styled(Cautions)`
  columns: 2;
  column-gap: 28px;
  display: block;
  li {
    break-inside: avoid;
    margin-bottom: 4px;
  }
  @media screen and (max-width: 760px) {
    columns: 1;
  }
`

const PAPERS = [
  { id: 'a4', title: 'PDF, A4' },
  { id: 'letter', title: 'PDF, letter' },
] as const

/** The job sheet: result and readings first, the brake drawn, what was done, cautions; every entry behind it if wanted. */
export default function SheetPage() {
  const { jobId = '' } = useParams()
  const { length } = useSettings()
  const [whole, setWhole] = useState(false)
  const state = useJob(jobId)
  const parts = useHeld(jobId)
  const { data: workshop } = useWorkshop()
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
      code: record.bicycle.code,
      ...(workshop && { from: workshop }),
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
        {PAPERS.map(({ id, title }) => (
          <LinkPress
            key={id}
            href={`/api/jobs/${jobId}/sheet.pdf?unit=${length}&paper=${id}${whole ? '&whole=true' : ''}`}
          >
            {title}
          </LinkPress>
        ))}
        <OnOff on={whole} onChange={setWhole}>
          With every entry
        </OnOff>
        <LinkPress href={`/jobs/${jobId}/handover`}>Slip and tag</LinkPress>
        <WhosePaper from={sheet.from} />
        <LinkPress href={`/stand/${jobId}`}>Back to the Stand</LinkPress>
      </NoPrint>
      <div>
        {sheet.from && <p>{sheet.from}</p>}
        <h1>{sheet.heading}</h1>
        <p>
          <b>{sheet.result}</b>
        </p>
        {sheet.unfit.length > 0 && (
          <ul aria-label="Not to be ridden">
            {sheet.unfit.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        )}
        <p>{sheet.about}</p>
      </div>
      <Halves>
        <section>
          <Label>Readings, as found and as left</Label>
          <Readings readings={sheet.readings} />
        </section>
        <div>
          <section>
            <Label>{`This brake, ${sheet.drawing.seenFrom ?? 'from the saddle'}`}</Label>
            <SheetDrawing frame={sheet.drawing} length={length} />
          </section>
          <Lines title="What was done" lines={sheet.done} />
          <Lines title="Fasteners" lines={sheet.fasteners} />
          <Lines title="Cost" lines={sheet.costs} />
        </div>
      </Halves>
      {(sheet.noted || sheet.well || sheet.kept) && (
        <section>
          {sheet.noted && <p>{`Measured: ${sheet.noted}.`}</p>}
          {sheet.kept && <p>{`Kept from earlier visits: ${sheet.kept}.`}</p>}
          {sheet.well && <p>{`Looked at: ${sheet.well}.`}</p>}
        </section>
      )}
      <Lines title="Open, and to keep an eye on" lines={sheet.open} />
      {sheet.sections.map(({ title, lines }) => (
        <Lines key={title} title={title} lines={lines} />
      ))}
      <section>
        <Label>Cautions</Label>
        <Columned>
          {sheet.cautions.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </Columned>
      </section>
      {whole && <Whole sheet={sheet} />}
    </Paper>
  )
}

function Readings({ readings }: Pick<JobSheet, 'readings'>) {
  if (readings.length === 0) return <Slate>Nothing measured yet.</Slate>
  return (
    <Ruled>
      <thead>
        <tr>
          <th>reading</th>
          <th>as found</th>
          <th>as left</th>
          <th>window</th>
          <th>state</th>
        </tr>
      </thead>
      <tbody>
        {readings.map((each) => (
          <tr key={each.title}>
            <td>{each.title}</td>
            <td>{each.found}</td>
            <td>{each.left}</td>
            <td>{each.window}</td>
            <td>{each.mark !== 'noted' && <Mark shape={each.mark} size={18} />}</td>
          </tr>
        ))}
      </tbody>
    </Ruled>
  )
}

function Lines({ title, lines }: { title: string; lines: readonly string[] }) {
  if (lines.length === 0) return null
  return (
    <section>
      <Label>{title}</Label>
      {lines.map((each) => (
        <p key={each}>{each}</p>
      ))}
    </section>
  )
}

/** What stands behind the sheet: every step, every entry, every figure. */
function Whole({ sheet }: { sheet: JobSheet }) {
  return (
    <>
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
    </>
  )
}
