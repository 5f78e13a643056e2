import type { End } from '@overhaul/core/brake/dimension'
import type { Family } from '@overhaul/core/brake/family'
import type { BicycleRecord, BrakeRecord } from '@overhaul/core/http/contract'
import type { Fault } from '@overhaul/core/outcome/outcome'
import type { Dimension } from '@overhaul/core/stand/hardware'
import { changedBy, type HardwareChange } from '@overhaul/core/stand/history'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { checkHardware } from '@overhaul/core/workshop/open'
import { useMemo, useState } from 'react'
import { type FieldErrors, useWatch } from 'react-hook-form'
import { Link, useParams } from 'react-router'
import { SubjectLine } from '../app/Shell.tsx'
import { useSettings } from '../app/settings.ts'
import { type Change, change, useChanges } from '../data/changes.ts'
import { useBicycle } from '../data/queries.ts'
import { useKeptForm } from '../drafts/use-kept-form.ts'
import { Page } from '../ui/layout.ts'
import { Options } from '../ui/Options.tsx'
import { Press } from '../ui/Press.tsx'
import { Complaint, Slate } from '../ui/words.tsx'
import { WaitingChanges } from '../waiting/WaitingChanges.tsx'
import { BicycleJobs } from './BicycleJobs.tsx'
import { Figures, WriteDown } from './Figures.tsx'
import { following, readFigures, showFigure, type Typed, unitWords, wrongWith } from './figures.ts'
import { Hanging } from './Hanging.tsx'
import { Bench, Column, Ends } from './layout.ts'
import { Naming } from './Naming.tsx'
import { ShapeDrawing } from './ShapeDrawing.tsx'

const ENDS = [
  { id: 'front', title: 'front' },
  { id: 'rear', title: 'rear' },
] as const

/** A bicycle's hardware sheet: what it is called, what hangs at each end, and what was measured of it. */
export default function HardwarePage() {
  const { bicycleId = '' } = useParams()
  const { data: bicycle, error, refetch } = useBicycle(bicycleId)
  const [end, setEnd] = useState<End>('front')
  if (!bicycle) {
    return (
      <Page>
        {error ? (
          <>
            <h1>This bicycle cannot be shown</h1>
            <Complaint>{error.message}</Complaint>
            <Press onPress={() => refetch()}>Try again</Press>
            <Link to="/">To the rack</Link>
          </>
        ) : (
          <Slate>Fetching the bicycle…</Slate>
        )}
      </Page>
    )
  }
  const hanging = bicycle.brakes.find((each) => each.end === end && each.retiredAt === null)
  const family = FAMILIES.find(({ id }) => id === hanging?.hardware.family)
  return (
    <Page>
      <title>{`${bicycle.name}, hardware · Overhaul`}</title>
      <SubjectLine>
        {bicycle.name} · hardware{bicycle.retiredAt && ' · off the rack'}
      </SubjectLine>
      <Ends>
        <div style={{ flex: 1, minWidth: 220 }}>
          <h1 style={{ font: '600 1.75rem/1.1 var(--label)' }}>{bicycle.name}</h1>
          <Slate>{bicycle.description}</Slate>
        </div>
        <Options legend="end" options={ENDS} value={end} onChange={(id) => setEnd(id as End)} />
        <Naming key={bicycle.name} bicycle={bicycle} />
      </Ends>
      <WaitingChanges about={bicycle.id} />
      {hanging && family ? (
        <BrakeSheet key={hanging.id} bicycle={bicycle} brake={hanging} family={family} />
      ) : (
        <Hanging key={end} bicycle={bicycle} end={end} hanging={undefined} />
      )}
      <BicycleJobs bicycle={bicycle} />
    </Page>
  )
}

/** What waits to be written of this brake, so that the sheet already shows it. */
const waitingOf = (waiting: readonly Change[], path: string): readonly HardwareChange[] =>
  waiting.flatMap((each) =>
    each.path === path && !each.refused ? (each.body as { changes: readonly HardwareChange[] }).changes : [],
  )

interface Measured {
  readonly typed: Typed
}

/** What is wrong with each figure, by its id. */
const sayFaults = (errors: FieldErrors<Measured>['typed']): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(errors ?? {}).map(([id, error]) => [id, String((error as { message?: string }).message)]),
  )

function BrakeSheet({ bicycle, brake, family }: { bicycle: BicycleRecord; brake: BrakeRecord; family: Family }) {
  const { length, by } = useSettings()
  const { waiting } = useChanges()
  const form = useKeptForm<Measured>(`overhaul.hardware.${brake.id}`, { typed: {} })
  const { setError, setValue } = form
  const typed = useWatch({ control: form.control, name: 'typed' })
  const faults = sayFaults(form.formState.errors.typed)
  const [inHand, setInHand] = useState<string>()
  const [fault, setFault] = useState<Fault>()
  const path = `brakes/${brake.id}`
  const hardware = useMemo(() => {
    const changed = changedBy(brake.hardware, waitingOf(waiting, path))
    return changed.ok ? changed.value : brake.hardware
  }, [brake, waiting, path])
  const model = useMemo(() => following(family, hardware, typed, length), [family, hardware, typed, length])
  if (!model.ok) return <Complaint>{model.error.message}</Complaint>

  const blame = (error: Fault) => {
    setFault(error)
    for (const [id, message] of Object.entries(wrongWith(family, error))) setError(`typed.${id}`, { message })
  }
  const specOf = (id: string) => family.dimensions.find((each) => each.id === id)
  const write = (changes: readonly HardwareChange[], says: string, undo: readonly HardwareChange[]): boolean => {
    const changed = changedBy(hardware, changes)
    const checked = changed.ok ? checkHardware(changed.value) : changed
    if (!checked.ok) {
      blame(checked.error)
      return false
    }
    setFault(undefined)
    change({
      method: 'PATCH',
      path,
      body: { changes },
      about: bicycle.id,
      says: `${bicycle.name} ${brake.end}: ${says}`,
      undo: [{ method: 'PATCH', path, body: { changes: undo } }],
    })
    return true
  }
  const writeDown = form.handleSubmit((measured) => {
    const read = readFigures(family, measured.typed, length)
    if (!read.ok) return blame(read.error)
    const since = new Date().toISOString()
    const changes = Object.entries(read.value).map(
      ([dimension, value]): HardwareChange => ({ dimension, value, provenance: 'measured', since, by }),
    )
    const says = Object.entries(read.value)
      .map(([id, value]) => {
        const spec = specOf(id)
        return spec ? `${spec.title} ${showFigure(spec, value, length)} ${unitWords(spec, length)}` : id
      })
      .join(', ')
    const undo = changes.map(({ dimension }): HardwareChange => ({ dimension, takeBack: since }))
    if (write(changes, says, undo)) form.done()
  })
  const takeBack = (id: string, known: Dimension) => {
    const { value, provenance, since = '', by: whose = by } = known
    write([{ dimension: id, takeBack: since }], `${specOf(id)?.title} taken back`, [
      { dimension: id, value, provenance, since, by: whose },
    ])
  }
  const spec = inHand === undefined ? undefined : specOf(inHand)
  return (
    <Bench>
      <ShapeDrawing
        family={family}
        model={model.value}
        inHand={inHand}
        said={spec?.title ?? `${family.title}, as its figures say`}
      />
      <Column>
        <form onSubmit={writeDown}>
          <Figures
            family={family}
            hardware={hardware}
            model={model.value}
            typed={typed}
            faults={faults}
            onType={(id, text) => {
              form.clearErrors(`typed.${id}`)
              setValue(`typed.${id}`, text)
            }}
            onHand={setInHand}
            onTakeBack={takeBack}
          />
          {fault && <Complaint>{fault.message}</Complaint>}
          <WriteDown typed={typed} words="Write down what was measured" />
        </form>
        <Hanging key={brake.id} bicycle={bicycle} end={brake.end} hanging={brake} />
      </Column>
    </Bench>
  )
}
