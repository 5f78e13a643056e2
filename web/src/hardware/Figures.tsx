import { bookOf, type DimensionSpec } from '@overhaul/core/brake/dimension'
import type { Family } from '@overhaul/core/brake/family'
import type { BrakeModel } from '@overhaul/core/brake/model'
import type { Dimension, Hardware } from '@overhaul/core/stand/hardware'
import { useMemo } from 'react'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { Field, foldSummary, Label, Press, Slate } from '../ui/parts.tsx'
import { groupsOf, provenanceOf, showFigure, type Typed, unitWords } from './figures.ts'

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(206px, 1fr));
  gap: 6px 18px;
  padding-bottom: 8px;
`
const Row = styled.div`
  display: grid;
  gap: 2px;
  align-content: start;
  label {
    display: grid;
    gap: 5px;
    font: 500 17px/1.15 var(--label);
  }
  label > span {
    display: flex;
    align-items: baseline;
    gap: 6px;
  }
  input {
    width: 100%;
    min-width: 0;
  }
`
const Under = styled.div`
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 26px;
`
const Back = styled.button`
  all: unset;
  cursor: pointer;
  min-height: 44px;
  text-decoration: underline;
  text-underline-offset: 3px;
  font-size: 16px;
  &:focus-visible {
    outline: 3px solid var(--predicted);
  }
`
const Fold = styled.details`
  border-top: 1px solid var(--rule);
  summary {
    min-height: 48px;
    ${foldSummary}
  }
`

interface Props {
  readonly family: Family
  readonly hardware: Hardware
  readonly model: BrakeModel
  readonly typed: Typed
  readonly onType: (id: string, text: string) => void
  /** The field in hand, for the drawing. */
  readonly onHand: (id: string | undefined) => void
  readonly onTakeBack?: (id: string, known: Dimension) => void
}

/** A family’s own dimensions, each a field with where its figure comes from. */
export function Figures(props: Props) {
  const { family, model } = props
  const { shape, told, assumed } = useMemo(() => groupsOf(family, model), [family, model])
  const fields = (specs: readonly DimensionSpec[]) => (
    <Grid>
      {specs.map((spec) => (
        <Figure key={spec.id} spec={spec} {...props} />
      ))}
    </Grid>
  )
  return (
    <>
      <Label>Shape of the brake</Label>
      {fields(shape)}
      <Label>Lever, cable, wheel and load</Label>
      {fields(told)}
      <Fold>
        <summary>Assumed until the brake shows otherwise</summary>
        {fields(assumed)}
      </Fold>
    </>
  )
}

function Figure({ spec, hardware, typed, onType, onHand, onTakeBack }: Props & { spec: DimensionSpec }) {
  const { length } = useSettings()
  const known = hardware.dimensions[spec.id]
  const now = showFigure(spec, known?.value ?? bookOf(spec, hardware.end), length)
  return (
    <Row>
      <label>
        {spec.title}
        <span>
          <Field
            inputMode="decimal"
            autoComplete="off"
            placeholder={now}
            value={typed[spec.id] ?? ''}
            onChange={(event) => onType(spec.id, event.target.value)}
            onFocus={() => onHand(spec.id)}
          />
          {unitWords(spec, length)}
        </span>
      </label>
      <Under>
        <Slate>
          {typed[spec.id]?.trim() ? `instead of ${now} ${unitWords(spec, length)}` : provenanceOf(spec, known)}
        </Slate>
        {known?.since && onTakeBack && (
          <Back type="button" onClick={() => onTakeBack(spec.id, known)} aria-label={`take back ${spec.title}`}>
            take back
          </Back>
        )}
      </Under>
    </Row>
  )
}

/** The button under the figures: nothing to write while nothing is typed. */
export function WriteDown({ typed, words }: { typed: Typed; words: string }) {
  const count = Object.values(typed).filter((text) => text.trim() !== '').length
  return (
    <Press go type="submit" isDisabled={count === 0}>
      {words}
    </Press>
  )
}
