import type { HousingEnd, RouteSegment } from '@overhaul/core/brake/route'
import { routeOf } from '@overhaul/core/features/cable/route'
import { lengthOf, mmOf } from '@overhaul/core/quantity/quantity'
import { showQuantity } from '@overhaul/core/stand/show'
import { useState } from 'react'
import styled from 'styled-components'
import { Choose } from '../../ui/Choose.tsx'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Complaint, Label, Read, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

const Piece = styled.li`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) 48px;
  gap: 6px 10px;
  align-items: end;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
  > b {
    grid-column: 1 / -1;
    font: 600 1.125rem/1.2 var(--label);
  }
  > div:nth-of-type(4) {
    grid-column: 1;
  }
  > button {
    grid-column: 4;
  }
`
const Named = styled.div`
  display: grid;
  gap: 3px;
  min-width: 0;
  > span {
    font: 500 1rem/1.1 var(--label);
  }
`

const START: readonly RouteSegment[] = [
  { kind: 'housing', lengthMm: 420, bendDeg: 110, radiusMm: 90, from: 'barrel', to: 'ferrule' },
  { kind: 'bare', lengthMm: 600 },
  { kind: 'housing', lengthMm: 260, bendDeg: 120, radiusMm: 70, from: 'ferrule', to: 'ferrule' },
]

const ENDS: readonly { readonly id: HousingEnd; readonly title: string }[] = [
  { id: 'ferrule', title: 'ferrule' },
  { id: 'bare', title: 'bare' },
  { id: 'barrel', title: 'barrel' },
]

/** The cable's way from lever to brake: pieces typed as they will lie, cut list and losses as they are typed. */
export function Panel({ job, length, write, onWorked }: NotesProps) {
  const written = job.state.route
  const [own, setOwn] = useState<readonly RouteSegment[]>()
  const segments = own ?? (written.length > 0 ? written : START)
  const route = routeOf(segments, job.dimensions, job.model.throw.squeezeTensionN)
  const mm = (value: number) => showQuantity(value, 'mm', length)
  const change = (index: number, part: Partial<RouteSegment>) =>
    setOwn(segments.map((each, k) => (k === index ? { ...each, ...part } : each)))
  const shown = (field: string, value: number | undefined) =>
    value === undefined
      ? ''
      : String(field === 'bendDeg' ? value : Number(lengthOf(value, length).toFixed(length === 'in' ? 2 : 1)))
  const kept = (field: string, value: number) => (field === 'bendDeg' ? value : mmOf(value, length))
  const number = (
    index: number,
    field: 'lengthMm' | 'bendDeg' | 'radiusMm',
    title: string,
    value: number | undefined,
  ) => (
    <Named>
      <span aria-hidden="true">{title}</span>
      <TextField
        unseen
        decimal
        label={`piece ${index + 1}, ${title}`}
        value={shown(field, value)}
        onChange={(text) => change(index, { [field]: kept(field, Number(text.replace(',', '.')) || 0) })}
      />
    </Named>
  )
  const end = (index: number, field: 'from' | 'to', value: HousingEnd | undefined) => (
    <Named>
      <span aria-hidden="true">{field}</span>
      <Choose
        unseen
        label={`piece ${index + 1}, ${field}`}
        options={ENDS}
        value={value ?? 'ferrule'}
        onChange={(id) => change(index, { [field]: id as HousingEnd })}
      />
    </Named>
  )
  return (
    <section aria-label="Cable’s way">
      <Label>The cable’s way, from the lever</Label>
      {written.length === 0 && !own && <Slate>An example; change it to what lies on this bicycle.</Slate>}
      <ul>
        {segments.map((segment, index) => (
          <Piece key={index}>
            <b>
              {index + 1} · {segment.kind === 'housing' ? 'housing' : 'bare run'}
            </b>
            {number(index, 'lengthMm', `length, ${length}`, segment.lengthMm)}
            {segment.kind === 'housing' && (
              <>
                {number(index, 'bendDeg', 'bend, °', segment.bendDeg)}
                {number(index, 'radiusMm', `radius, ${length}`, segment.radiusMm)}
                {end(index, 'from', segment.from)}
                {end(index, 'to', segment.to)}
              </>
            )}
            <Press
              aria-label={`remove piece ${index + 1}`}
              onPress={() => setOwn(segments.filter((_, k) => k !== index))}
            >
              −
            </Press>
          </Piece>
        ))}
      </ul>
      <Row>
        <Press
          onPress={() =>
            setOwn([
              ...segments,
              { kind: 'housing', lengthMm: 300, bendDeg: 90, radiusMm: 80, from: 'ferrule', to: 'ferrule' },
            ])
          }
        >
          Add housing
        </Press>
        <Press onPress={() => setOwn([...segments, { kind: 'bare', lengthMm: 300 }])}>Add bare run</Press>
        {own && !job.state.ended && (
          <Press go onPress={() => write([{ kind: 'route', segments }]) && setOwn(undefined)}>
            Save this way
          </Press>
        )}
      </Row>
      {route.ok ? (
        <>
          <ul>
            {route.value.cuts.map((each) => (
              <li key={each}>
                <Read>{each}</Read>
              </li>
            ))}
          </ul>
          {route.value.warnings.map((each) => (
            <Complaint key={each}>{each}</Complaint>
          ))}
          <p>
            Bends {Math.round(route.value.bendDeg)}° in all: <b>{Math.round(100 * route.value.efficiencyNew)} %</b> of
            the pull arrives clean, {Math.round(100 * route.value.efficiencyGritty)} % gritty. A hard squeeze stretches
            the wire {mm(route.value.stretchMm)} and shortens the housing {mm(route.value.compressionMm)}:{' '}
            <b>{mm(route.value.fingerMm)}</b> of finger travel.
          </p>
          <Press quiet onPress={() => onWorked('cable’s way', route.value.worked)}>
            Working
          </Press>
        </>
      ) : (
        <Complaint>{route.error.message}</Complaint>
      )}
    </section>
  )
}
