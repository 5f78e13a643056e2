import type { End } from '@overhaul/core/brake/dimension'
import type { Family } from '@overhaul/core/brake/family'
import type { Dimension, Hardware } from '@overhaul/core/stand/hardware'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { checkHardware } from '@overhaul/core/workshop/open'
import { useMemo, useState } from 'react'
import { Controller, useWatch } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { SubjectLine } from '../app/Shell.tsx'
import { useSettings } from '../app/settings.ts'
import { change, type NewChange } from '../data/changes.ts'
import { newId } from '../data/ids.ts'
import { useKeptForm } from '../drafts/use-kept-form.ts'
import { Choose } from '../ui/Choose.tsx'
import { Fold } from '../ui/Fold.tsx'
import { FormField } from '../ui/FormField.tsx'
import { Page, Row } from '../ui/layout.ts'
import { Options } from '../ui/Options.tsx'
import { Press } from '../ui/Press.tsx'
import { Title } from '../ui/Title.tsx'
import { Complaint, Slate } from '../ui/words.tsx'
import { Figures } from './Figures.tsx'
import { following, readFigures, type Typed, wrongWith } from './figures.ts'
import { Bench, Column, Ends } from './layout.ts'
import { Namesake } from './Namesake.tsx'
import { ShapeDrawing } from './ShapeDrawing.tsx'

const ENDS = ['front', 'rear'] as const
const NONE = 'none'
const HANGING = [...FAMILIES.map(({ id, title }) => ({ id, title })), { id: NONE, title: 'none' }]

interface EndDraft {
  readonly family: string
  readonly typed: Typed
  readonly traits: Readonly<Record<string, string>>
}
interface BicycleDraft {
  readonly name: string
  readonly description: string
  readonly front: EndDraft
  readonly rear: EndDraft
}
const AT_FIRST: EndDraft = { family: FAMILIES[0]?.id ?? NONE, typed: {}, traits: {} }

/** What is wrong at one end, and with which of its figures. */
interface Wrong {
  readonly end: End
  readonly say: string
  readonly faults: Readonly<Record<string, string>>
}

/** A new bicycle: its name, and at each end a brake of its own family with what was measured of it. */
export default function NewBicyclePage() {
  const navigate = useNavigate()
  const { length, by } = useSettings()
  const form = useKeptForm<BicycleDraft>('overhaul.new-bicycle', {
    name: '',
    description: '',
    front: AT_FIRST,
    rear: AT_FIRST,
  })
  const { control, setError, setValue, formState } = form
  const drafts = useWatch({ control }) as BicycleDraft
  const [end, setEnd] = useState<End>('front')
  const [isOpen, setOpen] = useState(false)
  const [wrong, setWrong] = useState<Wrong>()
  const draft = drafts[end]
  const lay = (at: End, more: Partial<EndDraft>) => setValue(at, { ...drafts[at], ...more })

  const hangUp = form.handleSubmit((typed) => {
    const bicycleId = newId()
    const called = typed.name.trim()
    setWrong(undefined)
    if (called === '')
      return setError('name', {
        message: 'The bicycle needs a name or number: it is how it is found on the rail.',
      })
    const hung: NewChange[] = []
    for (const each of ENDS) {
      const family = FAMILIES.find(({ id }) => id === typed[each].family)
      if (!family) continue
      const read = readFigures(family, typed[each].typed, length)
      const since = new Date().toISOString()
      const dimensions = Object.fromEntries(
        Object.entries(read.ok ? read.value : {}).map(([id, value]): [string, Dimension] => [
          id,
          { value, provenance: 'measured', since, by },
        ]),
      )
      const { traits } = typed[each]
      const checked = read.ok ? checkHardware({ family: family.id, end: each, dimensions, traits }) : read
      if (!checked.ok) {
        setEnd(each)
        return setWrong({
          end: each,
          say: `${each}: ${checked.error.message}`,
          faults: wrongWith(family, checked.error),
        })
      }
      hung.push({
        method: 'PUT',
        path: `bicycles/${bicycleId}/ends/${each}`,
        body: { brakeId: newId(), hardware: { family: family.id, dimensions, traits } },
        about: bicycleId,
        says: `${called} ${each}: a ${family.title} brake`,
        undo: [],
      })
    }
    if (hung.length === 0) return setError('root', { message: 'Choose at least one brake: front or rear.' })
    change(
      {
        method: 'POST',
        path: 'bicycles',
        body: { id: bicycleId, name: called, description: typed.description.trim() },
        about: bicycleId,
        says: `${called} hangs on the rack`,
        undo: [],
      },
      ...hung,
    )
    form.done()
    navigate('/')
  })
  const fault = wrong?.say ?? formState.errors.root?.message

  return (
    <Page>
      <Title>New bicycle</Title>
      <SubjectLine>new bicycle</SubjectLine>
      <Ends as="form" aria-label="New bicycle" onSubmit={hangUp}>
        <FormField control={control} name="name" label="name or number" autoFocus maxLength={80} width={170} />
        <FormField
          control={control}
          name="description"
          label="description"
          placeholder="frame, tyre"
          maxLength={500}
          width={240}
        />
        {ENDS.map((each) => (
          <Controller
            key={each}
            control={control}
            name={`${each}.family`}
            render={({ field }) => (
              <Choose
                label={`${each} brake`}
                options={HANGING}
                value={field.value}
                onFocus={() => setEnd(each)}
                onChange={(family) => {
                  setEnd(each)
                  lay(each, { family, typed: {}, traits: {} })
                }}
              />
            )}
          />
        ))}
        <Row>
          <Press go type="submit">
            Hang it up
          </Press>
          <Press
            quiet
            onPress={() => {
              form.done()
              navigate('/')
            }}
          >
            Back
          </Press>
        </Row>
      </Ends>
      <Namesake name={drafts.name} />
      {fault && <Complaint>{fault}</Complaint>}
      <Fold
        title={`Figures of the ${end} brake and its lever: by the book until they are measured`}
        open={isOpen || wrong !== undefined}
        onOpen={setOpen}
      >
        <Options
          legend="figures of"
          options={ENDS.map((id) => ({ id, title: `${id} brake` }))}
          value={end}
          onChange={(id) => setEnd(id as End)}
        />
        <EndFigures
          key={`${end} ${draft.family}`}
          end={end}
          draft={draft}
          faults={wrong?.end === end ? wrong.faults : {}}
          onLay={(more) => lay(end, more)}
        />
      </Fold>
    </Page>
  )
}

interface EndProps {
  readonly end: End
  readonly draft: EndDraft
  readonly faults: Readonly<Record<string, string>>
  readonly onLay: (more: Partial<EndDraft>) => void
}

function EndFigures(props: EndProps) {
  const family = FAMILIES.find(({ id }) => id === props.draft.family)
  return family ? <OwnFigures {...props} family={family} /> : <Slate>No brake hangs in {props.end}.</Slate>
}

function OwnFigures({ end, draft: { typed, traits }, faults, family, onLay }: EndProps & { family: Family }) {
  const { length } = useSettings()
  const [inHand, setInHand] = useState<string>()
  const hardware = useMemo<Hardware>(() => ({ family: family.id, end, dimensions: {}, traits }), [family, end, traits])
  const model = useMemo(() => following(family, hardware, typed, length), [family, hardware, typed, length])
  if (!model.ok) return <Complaint>{model.error.message}</Complaint>
  const title = family.dimensions.find(({ id }) => id === inHand)?.title
  return (
    <Bench>
      <ShapeDrawing
        family={family}
        model={model.value}
        inHand={inHand}
        said={title ?? `${family.title}, by the book until measured`}
      />
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
          faults={faults}
          onType={(id, text) => onLay({ typed: { ...typed, [id]: text } })}
          onHand={setInHand}
        />
      </Column>
    </Bench>
  )
}
