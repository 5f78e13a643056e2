import type { ReadingSpec } from '@overhaul/core/brake/reading'
import type { Window } from '@overhaul/core/brake/window'
import { outcomesOf, type Turn } from '@overhaul/core/dial-in/turn'
import { formatNumber, type LengthUnit, shownUnit, unitOf } from '@overhaul/core/quantity/quantity'
import { type Job, readingMark } from '@overhaul/core/run-sheet/job'
import { showParts } from '@overhaul/core/stand/show'
import type { KeyboardEvent } from 'react'
import { Button, FieldError, Input, TextField } from 'react-aria-components'
import styled from 'styled-components'
import { phone } from '../app/theme.ts'
import type { Drafts } from '../drafts/use-drafts.ts'
import { WindowGauge } from '../drawing/WindowGauge.tsx'
import { fieldFault } from '../ui/field.ts'

const Row = styled.div`
  display: grid;
  grid-template-columns: 92px 1fr 128px;
  align-items: center;
  gap: 6px;
  min-height: 46px;
  border-bottom: 1px solid var(--rule);
  ${phone} {
    grid-template-columns: 1fr 128px;
    padding-bottom: 6px;
    > svg {
      grid-column: 1 / -1;
      grid-row: 2;
    }
  }
`

const Name = styled(Button)`
  all: unset;
  cursor: pointer;
  min-height: 44px;
  display: grid;
  align-content: center;
  font: 500 1.0625rem/1.15 var(--label);
  letter-spacing: 0.02em;
  text-decoration: underline dotted var(--control);
  text-underline-offset: 4px;
  &[data-focus-visible] {
    outline: 3px solid var(--predicted);
  }
`

const Value = styled.div`
  display: flex;
  align-items: baseline;
  justify-content: flex-end;
  gap: 4px;
  font: 500 1.0625rem/1 var(--label);
  color: var(--slate);
  position: relative;
  [slot='errorMessage'] {
    ${fieldFault}
    text-align: right;
  }
  input {
    width: 76px;
    height: 44px;
    border: 0;
    border-bottom: 1.5px solid var(--control);
    background: none;
    text-align: right;
    font: 600 1.875rem/1 var(--label);
    font-variant-numeric: tabular-nums;
    color: var(--ink);
    border-radius: 0;
    &[data-invalid] {
      border-bottom: 3px solid var(--out);
    }
    &[data-draft='true'] {
      background: var(--wash);
      border-bottom: 3px solid var(--ink);
    }
  }
`

/** What is typed in the act’s own field, as it will stand here. */
const Typed = styled.span`
  min-width: 76px;
  text-align: right;
  font: 600 1.875rem/44px var(--label);
  font-variant-numeric: tabular-nums;
  color: var(--ink);
  &[data-draft='true'] {
    background: var(--wash);
  }
`

const Share = styled.span`
  display: block;
  white-space: nowrap;
  font-size: 1rem;
`

interface Props {
  readonly job: Job
  readonly readings: readonly string[]
  readonly turn: Turn | undefined
  readonly length: LengthUnit
  readonly drafts: Drafts
  readonly onSave: () => void
  readonly onWhy: (reading: string) => void
  /** Readings that the act in hand asks for: they have their field there, and none here. */
  readonly asked: readonly string[]
  readonly locked: boolean
}

/** The ends of a gauge's scale: room for the walls, the reading and what is expected. */
function domainOf(
  spec: ReadingSpec,
  window: Window | undefined,
  reach: number,
  values: readonly number[],
): readonly [number, number] {
  if (spec.id === 'biteTravel' || spec.id === 'reserve') return [0, reach]
  if (spec.min < 0) {
    const most = Math.max(2, ...values.map(Math.abs))
    return [-most * 1.1, most * 1.1]
  }
  const wall = window?.wallHigh ?? window?.high ?? spec.max / 4
  if (window && window.low > 0 && window.wallLow === undefined && window.high >= spec.max * 0.6)
    return [0, Math.max(2 * window.low, 1.2 * Math.max(0, ...values))]
  return [0, Math.max(wall * 1.35, 1.2 * Math.max(0, ...values))]
}

/** Readings that share one scale, so that left and right can be compared at a glance. */
const alike = ({ model }: Job, id: string): readonly string[] =>
  model.derived.find(({ of }) => of.includes(id))?.of ?? [id]

/** The readings that matter at this station, each as a window gauge that can be typed into, nudged and dragged. */
export function Gauges({ job, readings, turn, length, drafts, onSave, onWhy, asked, locked }: Props) {
  const { kit, state, windows, dimensions } = job
  const measured = (id: string): number | undefined => {
    const value = state.readings[id]?.value
    return typeof value === 'number' ? value : undefined
  }
  return readings.map((id) => {
    const spec = kit.reading(id)
    if (!spec) return null
    const value = measured(id)
    const window = windows.of[id]
    const expected = turn ? outcomesOf(turn, id) : []
    const draft = drafts.value(id)
    const earlier = state.earlier[id] ?? []
    const reach = dimensions.leverReachMm as number
    const [low, high] = domainOf(
      spec,
      window,
      reach,
      [...alike(job, id).map(measured), ...expected, draft].filter((each) => each !== undefined),
    )
    const shown = shownUnit(spec.unit, length)
    const parts = value === undefined ? undefined : showParts(kit, id, value, length)
    const text = drafts.text[id] ?? parts?.number ?? ''

    return (
      <Row key={id}>
        <Name onPress={() => onWhy(id)} aria-label={`${spec.title}: working and sources`}>
          {spec.title}
        </Name>
        <WindowGauge
          label={spec.title}
          low={low}
          high={high}
          window={window}
          bracket={!(windows.empty && window?.wallHigh !== undefined)}
          value={value}
          sd={spec.sd}
          mark={readingMark(job, id)}
          expected={expected}
          earlier={earlier}
          draft={draft}
          tick={(each) => formatNumber(each, shown, shown === 'in' ? 2 : high - low > 10 ? 0 : 1)}
          valueText={parts ? `${parts.number} ${parts.unit}` : 'not measured'}
          {...(!locked && { onDrag: (each: number) => drafts.setValue(id, each) })}
        />
        <Value>
          {asked.includes(id) ? (
            <Typed data-draft={drafts.text[id] !== undefined}>{text || '–'}</Typed>
          ) : (
            <GaugeField spec={spec} drafts={drafts} text={text} from={value} locked={locked} onSave={onSave} />
          )}
          <span>
            {unitOf(shown).symbol}
            {id === 'biteTravel' && value !== undefined && <Share>{Math.round((100 * value) / reach)} %</Share>}
          </span>
        </Value>
      </Row>
    )
  })
}

interface FieldProps extends Pick<Props, 'drafts' | 'onSave' | 'locked'> {
  readonly spec: ReadingSpec
  readonly text: string
  /** Where the arrow keys begin. */
  readonly from: number | undefined
}

/** A reading typed at its gauge: Enter saves, arrows nudge. */
function GaugeField({ spec: { id, title }, drafts, text, from, locked, onSave }: FieldProps) {
  const isDraft = drafts.text[id] !== undefined
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') onSave()
    else drafts.nudgeOn(event, id, from)
  }
  return (
    <TextField
      aria-label={title}
      value={text}
      onChange={(typed) => drafts.set(id, typed)}
      isReadOnly={locked}
      isInvalid={drafts.faults[id] !== undefined}
      validationBehavior="aria"
    >
      <Input
        data-reading={id}
        data-draft={isDraft}
        {...(isDraft && { 'data-draft-of': id })}
        inputMode="decimal"
        autoComplete="off"
        placeholder="–"
        onFocus={(event) => event.target.select()}
        onKeyDown={onKeyDown}
      />
      <FieldError>{drafts.faults[id]}</FieldError>
    </TextField>
  )
}
