import { bookDimensions } from '@overhaul/core/brake/dimension'
import type { Family } from '@overhaul/core/brake/family'
import { type SchoolOption, type SchoolSpec, usualOf } from '@overhaul/core/brake/school'
import { BITE, biteSetting, convertBite, type RimThrow, rimThrowOf } from '@overhaul/core/families/rim/bite'
import { lengthOf, parseQuantity } from '@overhaul/core/quantity/quantity'
import { showQuantity } from '@overhaul/core/stand/show'
import { fitFamily } from '@overhaul/core/workshop/families'
import { useState } from 'react'
import { useSettings } from '../app/settings.ts'
import { Choose } from '../ui/Choose.tsx'
import { Row, Ruled } from '../ui/layout.ts'
import { TextField } from '../ui/TextField.tsx'
import { Complaint, Label, Read, Slate, SourceNote } from '../ui/words.tsx'

/** The ways one thing is done, with where each comes from; the bite said in the words of every school. */
export function SchoolsPage({ family }: { family: Family }) {
  return (
    <>
      <h2>Schools, {family.title}</h2>
      {family.schools.map((school) => (
        <section key={school.id} id={school.id} aria-label={`Schools: ${school.title}`}>
          <Label>{school.title}</Label>
          <SchoolTable school={school} />
          {school === BITE && <Conversions family={family} />}
        </section>
      ))}
    </>
  )
}

function SchoolTable({ school }: { school: SchoolSpec }) {
  return (
    <Ruled>
      <tbody>
        {school.options.map((each) => (
          <tr key={each.id}>
            <td style={{ width: 220 }}>
              <b>{each.title}</b>
            </td>
            <td>
              <Read>{each.says ?? ''}</Read> <SourceNote source={each.source} />
            </td>
          </tr>
        ))}
      </tbody>
    </Ruled>
  )
}

const LEVER = [
  { id: 'leverCableArmMm', title: 'lever pivot to cable end' },
  { id: 'leverFingerArmMm', title: 'lever pivot to finger' },
  { id: 'leverReachMm', title: 'lever reach' },
] as const

/** One setting of a lever that can be changed, said by each school in its own words. */
function Conversions({ family }: { family: Family }) {
  const { length } = useSettings()
  const book = bookDimensions(family)
  const inUnit = (mm: number) => String(Number(lengthOf(mm, length).toFixed(length === 'in' ? 3 : 1)))
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  const [schoolId, setSchoolId] = useState<string>(BITE.options[0]?.id ?? '')
  const school = BITE.options.find(({ id }) => id === schoolId) as SchoolOption
  const usual = usualOf(school).amount ?? 0
  const ofLength = school.amount?.unit === 'mm'
  const shownAmount = texts[school.id] ?? (ofLength ? inUnit(usual) : String(Math.round(100 * usual)))
  const read = (text: string, what: string) => parseQuantity(text, length, what)
  const dims = LEVER.map(({ id, title }) => read(texts[id] ?? inUnit(book[id] as number), title))
  const amount = ofLength ? read(shownAmount, school.title) : parseQuantity(shownAmount, 'count', school.title)
  const wrong = [...dims, amount].find((each) => !each.ok)
  const own = Object.fromEntries(LEVER.map(({ id }, index) => [id, dims[index]?.ok ? dims[index].value : book[id]]))
  const model = fitFamily(family.id, own as Record<string, number>)
  const brake = model.ok ? rimThrowOf(model.value) : undefined
  const change = (id: string) => (text: string) => setTexts((now) => ({ ...now, [id]: text }))
  const fault = wrong && !wrong.ok ? wrong.error.message : !model.ok ? model.error.message : undefined
  return (
    <>
      <Slate as="p">
        For a {family.title} brake of the book. Change the lever to another; on the Stand they convert for the brake at
        hand.
      </Slate>
      <Row>
        {LEVER.map(({ id, title }) => (
          <TextField
            key={id}
            label={`${title}, ${length}`}
            decimal
            width={110}
            value={texts[id] ?? inUnit(book[id] as number)}
            onChange={change(id)}
          />
        ))}
      </Row>
      <Row>
        <Choose label="a setting by this school" options={BITE.options} value={schoolId} onChange={setSchoolId} />
        <TextField
          label={ofLength ? `its figure, ${length}` : 'its figure, %'}
          decimal
          width={110}
          value={shownAmount}
          onChange={change(school.id)}
        />
      </Row>
      {fault && <Complaint>{fault}</Complaint>}
      {brake && amount.ok && (
        <Said brake={brake} school={school} amount={ofLength ? amount.value : amount.value / 100} length={length} />
      )}
    </>
  )
}

function Said({
  brake,
  school,
  amount,
  length,
}: {
  brake: RimThrow
  school: SchoolOption
  amount: number
  length: 'mm' | 'in'
}) {
  const chosen = { option: school.id, amount }
  const setting = biteSetting(chosen, brake)
  const say = (other: SchoolOption) => {
    const { amount: figure = 0 } = convertBite(chosen, other.id, brake)
    return other.amount?.unit === 'mm' ? showQuantity(figure, 'mm', length) : `${Math.round(100 * figure)} %`
  }
  return (
    <Ruled>
      <tbody>
        {BITE.options.map((each) => (
          <tr key={each.id}>
            <td style={{ width: 220 }}>
              <b>{each.title}</b>
            </td>
            <td>
              <b>{say(each)}</b>
            </td>
          </tr>
        ))}
        <tr>
          <td>
            <b>bite</b>
          </td>
          <td>
            {showQuantity(setting.travelMm, 'mm', length)}, {Math.round(100 * setting.share)} % of the reach; gap{' '}
            {showQuantity(setting.gapMm, 'mm', length)} a side
          </td>
        </tr>
      </tbody>
    </Ruled>
  )
}
