import { CALCULATIONS } from '@overhaul/core/calculations/registry'
import { bookDimensions, FAMILIES, fitFamily } from '@overhaul/core/families/registry'
import { CAUTIONS } from '@overhaul/core/reference/cautions'
import { STEPS, sayOf } from '@overhaul/core/run-sheet/steps/steps'
import { showQuantity } from '@overhaul/core/stand/describe'
import { amountOf, convertSchool, parseSchool, SCHOOLS } from '@overhaul/core/stand/schools'
import { vocabulary } from '@overhaul/core/tape/tape'
import { useState } from 'react'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { Cautions, Label, Slate, SourceNote, Table } from '../ui/parts.tsx'

const Room = styled.main`
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 18px 24px 60px;
  display: grid;
  gap: 28px;
  align-content: start;
  section {
    display: grid;
    gap: 10px;
    max-width: 1000px;
  }
  td b {
    font: 600 19px/1.2 var(--label);
  }
`
const SearchField = styled.input`
  height: 46px;
  max-width: 360px;
  border: 1.5px solid var(--control);
  background: none;
  padding: 0 12px;
`

/** Cautions, the steps, the schools and how they convert, every calculation with its source, the tape's words. */
export default function HandbookPage() {
  const [search, setSearch] = useState('')
  const found = (...texts: readonly string[]) => texts.join(' ').toLowerCase().includes(search.trim().toLowerCase())
  const cautions = Object.values(CAUTIONS).filter((each) => found(each.text))
  const steps = STEPS.filter((each) => found(each.title, sayOf(each), each.why))
  const calculations = CALCULATIONS.filter((each) => found(each.id, each.title, each.summary))
  const family = FAMILIES[0]
  const model = family && fitFamily(family.id, bookDimensions(family))
  return (
    <Room>
      <SearchField
        type="search"
        aria-label="Search the handbook"
        placeholder="search the handbook"
        value={search}
        onChange={(event) => setSearch(event.target.value)}
      />
      {cautions.length > 0 && (
        <section aria-label="Cautions">
          <Label>Cautions</Label>
          <Cautions>
            {cautions.map((each) => (
              <li key={each.id}>{each.text}</li>
            ))}
          </Cautions>
        </section>
      )}
      {steps.length > 0 && (
        <section aria-label="Steps">
          <Label>In working order</Label>
          <Table>
            <tbody>
              {steps.map((step) => (
                <tr key={step.id}>
                  <td>
                    <b>{step.title}</b>
                  </td>
                  <td>
                    {sayOf(step)}
                    <br />
                    <Slate>{step.why}</Slate>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </section>
      )}
      {model?.ok && search.trim() === '' && <SchoolTable brake={model.value.throw} />}
      {calculations.length > 0 && <Calculations found={calculations} />}
      {model?.ok && search.trim() === '' && (
        <section aria-label="Tape">
          <Label>The tape’s words</Label>
          <Table>
            <tbody>
              {vocabulary(model.value).map((each) => (
                <tr key={each.word}>
                  <td>
                    <b>{each.word}</b>
                  </td>
                  <td>{each.means}</td>
                  <td>
                    <Slate>{each.form}</Slate>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </section>
      )}
      {cautions.length + steps.length + calculations.length === 0 && <p>Nothing in the handbook matches “{search}”.</p>}
    </Room>
  )
}

function SchoolTable({ brake }: { brake: Parameters<typeof convertSchool>[2] }) {
  const { length } = useSettings()
  return (
    <section aria-label="Bite schools">
      <Label>Bite schools, each said in the words of the others</Label>
      <Slate>
        For a typical linear-pull brake and long-pull lever. On the Stand they convert for the brake at hand.
      </Slate>
      <div style={{ overflowX: 'auto' }}>
        <Table>
          <thead>
            <tr>
              <th>school</th>
              {SCHOOLS.map((each) => (
                <th key={each.id}>{each.title}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {SCHOOLS.map((each) => {
              const school = parseSchool(each.id)
              return (
                <tr key={each.id}>
                  <td>
                    <b>{each.title}</b>
                    <br />
                    {each.says} <SourceNote source={each.source} />
                  </td>
                  {school.ok &&
                    SCHOOLS.map((other) => {
                      const amount = amountOf(convertSchool(school.value, other.id, brake))
                      return (
                        <td key={other.id}>
                          {other.id === 'third' ? `${Math.round(100 * amount)} %` : showQuantity(amount, 'mm', length)}
                        </td>
                      )
                    })}
                </tr>
              )
            })}
          </tbody>
        </Table>
      </div>
    </section>
  )
}

function Calculations({ found }: { found: typeof CALCULATIONS }) {
  return (
    <section aria-label="Calculations">
      <Label>Calculations</Label>
      <Table>
        <tbody>
          {found.map((each) => {
            const worked = each.work(each.example)
            return (
              <tr key={each.id}>
                <td style={{ width: 220 }}>
                  <b>{each.title}</b>
                  <br />
                  <Slate>{each.id}</Slate>
                </td>
                <td>
                  {each.summary}
                  {worked.ok &&
                    worked.value.working.map((line) => (
                      <div key={line.formula}>
                        {line.formula} <Slate>— {line.numbers}</Slate>
                      </div>
                    ))}
                  {each.sources.map((source) => (
                    <div key={source.title}>
                      <SourceNote source={source} />
                    </div>
                  ))}
                </td>
              </tr>
            )
          })}
        </tbody>
      </Table>
    </section>
  )
}
