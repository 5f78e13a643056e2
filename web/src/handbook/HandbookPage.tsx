import { kitOf } from '@overhaul/core/bench/kit'
import type { Family } from '@overhaul/core/brake/family'
import { type SchoolOption, type SchoolSpec, usualOf } from '@overhaul/core/brake/school'
import type { Circumstances, StepSpec } from '@overhaul/core/brake/step'
import { CALCULATIONS } from '@overhaul/core/calculations/registry'
import { BITE, convertBite, type RimThrow, rimThrowOf } from '@overhaul/core/families/rim/bite'
import { CAUTIONS } from '@overhaul/core/reference/cautions'
import { showQuantity } from '@overhaul/core/stand/describe'
import { vocabulary } from '@overhaul/core/tape/words'
import { FAMILIES, fitFamily } from '@overhaul/core/workshop/families'
import { useState } from 'react'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { Choose } from '../ui/Choose.tsx'
import { Ruled } from '../ui/layout.ts'
import { SearchField } from '../ui/SearchField.tsx'
import { Title } from '../ui/Title.tsx'
import { Cautions, Label, Slate, SourceNote } from '../ui/words.tsx'

const Room = styled.main`
  position: relative;
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
const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
`

/** Before anything of the brake is known, all of it to be done. */
const NOWHERE: Circumstances = {
  end: 'rear',
  work: 'fit',
  number: () => undefined,
  seen: () => undefined,
  way: () => undefined,
  cableAnew: true,
  loosened: () => false,
}
const saidOf = ({ say }: StepSpec): string => (typeof say === 'string' ? say : say(NOWHERE))

/** Cautions; for one family the steps, the schools and the tape’s words; every calculation with its source. */
export default function HandbookPage() {
  const [search, setSearch] = useState('')
  const [family, setFamily] = useState<Family>(FAMILIES[0] as Family)
  const found = (...texts: readonly string[]) => texts.join(' ').toLowerCase().includes(search.trim().toLowerCase())
  const cautions = Object.values(CAUTIONS).filter((each) => found(each.text))
  const kit = kitOf(family)
  const steps = kit.steps.filter((each) => found(each.title, saidOf(each), each.why))
  const calculations = CALCULATIONS.filter((each) => found(each.id, each.title, each.summary))
  const model = fitFamily(family.id, {})
  const brake = model.ok ? rimThrowOf(model.value) : undefined
  return (
    <Room>
      <Title>Handbook</Title>
      <Head>
        <SearchField
          label="Search the handbook"
          placeholder="search the handbook"
          value={search}
          onChange={setSearch}
        />
        <Choose
          label="For this brake"
          unseen
          options={FAMILIES}
          value={family.id}
          onChange={(id) => setFamily(FAMILIES.find((each) => each.id === id) ?? family)}
        />
      </Head>
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
          <Ruled>
            <tbody>
              {steps.map((step) => (
                <tr key={step.id}>
                  <td>
                    <b>{step.title}</b>
                  </td>
                  <td>
                    {saidOf(step)}
                    <br />
                    <Slate>{step.why}</Slate>
                  </td>
                </tr>
              ))}
            </tbody>
          </Ruled>
        </section>
      )}
      {search.trim() === '' &&
        kit.schools.filter((each) => each !== BITE).map((school) => <SchoolList key={school.id} school={school} />)}
      {brake && search.trim() === '' && <BiteTable family={family} brake={brake} />}
      {calculations.length > 0 && <Calculations found={calculations} />}
      {model.ok && search.trim() === '' && (
        <section aria-label="Tape">
          <Label>The tape’s words</Label>
          <Ruled>
            <tbody>
              {vocabulary({ kit, model: model.value }).map((each) => (
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
          </Ruled>
        </section>
      )}
      {cautions.length + steps.length + calculations.length === 0 && <p>Nothing in the handbook matches “{search}”.</p>}
    </Room>
  )
}

/** The ways one thing is done, with where each comes from. */
function SchoolList({ school }: { school: SchoolSpec }) {
  return (
    <section aria-label={`Schools: ${school.title}`}>
      <Label>Schools: {school.title}</Label>
      <Ruled>
        <tbody>
          {school.options.map((each) => (
            <tr key={each.id}>
              <td style={{ width: 220 }}>
                <b>{each.title}</b>
              </td>
              <td>
                {each.says} <SourceNote source={each.source} />
              </td>
            </tr>
          ))}
        </tbody>
      </Ruled>
    </section>
  )
}

function BiteTable({ family, brake }: { family: Family; brake: RimThrow }) {
  const { length } = useSettings()
  const said = (school: SchoolOption, other: SchoolOption) => {
    const { amount = 0 } = convertBite(usualOf(school), other.id, brake)
    return other.amount?.unit === 'mm' ? showQuantity(amount, 'mm', length) : `${Math.round(100 * amount)} %`
  }
  return (
    <section aria-label="Bite schools">
      <Label>Bite schools, each said in the words of the others</Label>
      <Slate>
        For a {family.title} brake of the book and its lever. On the Stand they convert for the brake at hand.
      </Slate>
      <div style={{ overflowX: 'auto' }}>
        <Ruled>
          <thead>
            <tr>
              <th>school</th>
              {BITE.options.map((each) => (
                <th key={each.id}>{each.title}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {BITE.options.map((school) => (
              <tr key={school.id}>
                <td>
                  <b>{school.title}</b>
                  <br />
                  {school.says} <SourceNote source={school.source} />
                </td>
                {BITE.options.map((other) => (
                  <td key={other.id}>{said(school, other)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Ruled>
      </div>
    </section>
  )
}

function Calculations({ found }: { found: typeof CALCULATIONS }) {
  return (
    <section aria-label="Calculations">
      <Label>Calculations</Label>
      <Ruled>
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
      </Ruled>
    </section>
  )
}
