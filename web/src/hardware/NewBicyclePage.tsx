import type { End } from '@overhaul/core/brake/dimension'
import type { Family } from '@overhaul/core/brake/family'
import type { Dimension, Hardware } from '@overhaul/core/stand/hardware'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { checkHardware } from '@overhaul/core/workshop/open'
import { type FormEvent, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { SubjectLine } from '../app/Shell.tsx'
import { useSettings } from '../app/settings.ts'
import { change, type NewChange } from '../data/changes.ts'
import { newId } from '../data/ids.ts'
import { Options } from '../ui/Options.tsx'
import { Choose, Complaint, Field, Page, Press, Row, Slate } from '../ui/parts.tsx'
import { Figures } from './Figures.tsx'
import { following, readFigures, type Typed } from './figures.ts'
import { Bench, Column, Ends } from './layout.ts'
import { ShapeDrawing } from './ShapeDrawing.tsx'

const ENDS = ['front', 'rear'] as const
const NONE = 'none'

interface EndDraft {
  readonly family: string
  readonly typed: Typed
  readonly traits: Readonly<Record<string, string>>
}
const AT_FIRST: EndDraft = { family: FAMILIES[0]?.id ?? NONE, typed: {}, traits: {} }

/** A new bicycle: its name, and at each end a brake of its own family with what was measured of it. */
export default function NewBicyclePage() {
  const navigate = useNavigate()
  const { length, by } = useSettings()
  const [name, setName] = useState('')
  const [description, setDescription] = useState('')
  const [end, setEnd] = useState<End>('front')
  const [drafts, setDrafts] = useState<Readonly<Record<End, EndDraft>>>({ front: AT_FIRST, rear: AT_FIRST })
  const [fault, setFault] = useState<string>()
  const draft = drafts[end]
  const lay = (more: Partial<EndDraft>) => setDrafts({ ...drafts, [end]: { ...draft, ...more } })

  const hangUp = () => {
    const bicycleId = newId()
    const called = name.trim()
    if (called === '') return setFault('The bicycle needs a name or number: it is how it is found on the rail.')
    const hung: NewChange[] = []
    for (const each of ENDS) {
      const { family: familyId, typed, traits } = drafts[each]
      const family = FAMILIES.find(({ id }) => id === familyId)
      if (!family) continue
      const read = readFigures(family, typed, length)
      if (!read.ok) return setFault(`${each}: ${read.error.message}`)
      const since = new Date().toISOString()
      const dimensions = Object.fromEntries(
        Object.entries(read.value).map(([id, value]): [string, Dimension] => [
          id,
          { value, provenance: 'measured', since, by },
        ]),
      )
      const checked = checkHardware({ family: familyId, end: each, dimensions, traits })
      if (!checked.ok) return setFault(`${each}: ${checked.error.message}`)
      hung.push({
        method: 'PUT',
        path: `bicycles/${bicycleId}/ends/${each}`,
        body: { brakeId: newId(), hardware: { family: familyId, dimensions, traits } },
        about: bicycleId,
        says: `${called} ${each}: a ${family.title} brake`,
        undo: [],
      })
    }
    if (hung.length === 0) return setFault('Choose at least one brake: front or rear.')
    change(
      {
        method: 'POST',
        path: 'bicycles',
        body: { id: bicycleId, name: called, description: description.trim() },
        about: bicycleId,
        says: `${called} hangs on the rack`,
        undo: [],
      },
      ...hung,
    )
    navigate('/')
  }

  return (
    <Page>
      <SubjectLine>new bicycle</SubjectLine>
      <Ends
        as="form"
        aria-label="New bicycle"
        onSubmit={(event: FormEvent) => {
          event.preventDefault()
          hangUp()
        }}
      >
        <label>
          name or number
          <Field autoFocus maxLength={80} value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        <label>
          description
          <Field
            maxLength={500}
            placeholder="frame, tyre"
            value={description}
            onChange={(event) => setDescription(event.target.value)}
          />
        </label>
        {ENDS.map((each) => (
          <label key={each}>
            {each} brake
            <Choose
              value={drafts[each].family}
              onFocus={() => setEnd(each)}
              onChange={(event) => {
                setEnd(each)
                setDrafts({ ...drafts, [each]: { family: event.target.value, typed: {}, traits: {} } })
              }}
            >
              {FAMILIES.map((family) => (
                <option key={family.id} value={family.id}>
                  {family.title}
                </option>
              ))}
              <option value={NONE}>none</option>
            </Choose>
          </label>
        ))}
        <Row>
          <Press go type="submit">
            Hang it up
          </Press>
          <Press quiet onPress={() => navigate('/')}>
            Back
          </Press>
        </Row>
      </Ends>
      {fault && <Complaint>{fault}</Complaint>}
      <Options
        legend="figures of"
        options={ENDS.map((id) => ({ id, title: `${id} brake` }))}
        value={end}
        onChange={(id) => setEnd(id as End)}
      />
      <EndFigures key={`${end} ${draft.family}`} end={end} draft={draft} onLay={lay} />
    </Page>
  )
}

interface EndProps {
  readonly end: End
  readonly draft: EndDraft
  readonly onLay: (more: Partial<EndDraft>) => void
}

function EndFigures(props: EndProps) {
  const family = FAMILIES.find(({ id }) => id === props.draft.family)
  return family ? <OwnFigures {...props} family={family} /> : <Slate>No brake hangs in {props.end}.</Slate>
}

function OwnFigures({ end, draft: { typed, traits }, family, onLay }: EndProps & { family: Family }) {
  const { length } = useSettings()
  const [inHand, setInHand] = useState<string>()
  const hardware = useMemo<Hardware>(() => ({ family: family.id, end, dimensions: {}, traits }), [family, end, traits])
  const model = useMemo(() => following(family, hardware, typed, length), [family, hardware, typed, length])
  if (!model.ok) return <Complaint>{model.error.message}</Complaint>
  const title = family.dimensions.find(({ id }) => id === inHand)?.title
  return (
    <Bench>
      <ShapeDrawing model={model.value} inHand={inHand} said={title ?? `${family.title}, by the book until measured`} />
      <Column>
        <Slate>An empty field keeps the figure shown until it is measured; it can be measured later too.</Slate>
        {family.traits.map((trait) => (
          <Options
            key={trait.id}
            legend={trait.title}
            options={trait.options}
            value={traits[trait.id] ?? trait.usual(end)}
            onChange={(value) => onLay({ traits: { ...traits, [trait.id]: value } })}
          />
        ))}
        <Figures
          family={family}
          hardware={hardware}
          model={model.value}
          typed={typed}
          onType={(id, text) => onLay({ typed: { ...typed, [id]: text } })}
          onHand={setInHand}
        />
      </Column>
    </Bench>
  )
}
