import { bookOf, type DimensionSpec } from '@overhaul/core/brake/dimension'
import type { Family } from '@overhaul/core/brake/family'
import type { BrakeModel } from '@overhaul/core/brake/model'
import type { Dimension, Hardware } from '@overhaul/core/stand/hardware'
import { useMemo } from 'react'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { Fold } from '../ui/Fold.tsx'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'
import { Label, Slate } from '../ui/words.tsx'
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
`
const Under = styled.div`
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 26px;
`
interface Props {
  readonly family: Family
  readonly hardware: Hardware
  readonly model: BrakeModel
  readonly typed: Typed
  readonly onType: (id: string, text: string) => void
  /** What was found wrong with a figure, by its id. */
  readonly faults: Readonly<Record<string, string>>
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
      <Fold title="Assumed until the brake shows otherwise">{fields(assumed)}</Fold>
    </>
  )
}

function Figure({ spec, hardware, typed, faults, onType, onHand, onTakeBack }: Props & { spec: DimensionSpec }) {
  const { length } = useSettings()
  const known = hardware.dimensions[spec.id]
  const now = showFigure(spec, known?.value ?? bookOf(spec, hardware.end), length)
  return (
    <Row>
      <TextField
        label={`${spec.title}, ${unitWords(spec, length)}`}
        decimal
        draft={spec.id}
        placeholder={now}
        value={typed[spec.id] ?? ''}
        onChange={(text) => onType(spec.id, text)}
        onFocus={() => onHand(spec.id)}
        error={faults[spec.id]}
      />
      <Under>
        <Slate>
          {typed[spec.id]?.trim() ? `instead of ${now} ${unitWords(spec, length)}` : provenanceOf(spec, known)}
        </Slate>
        {known?.since && onTakeBack && (
          <Press quiet onPress={() => onTakeBack(spec.id, known)} aria-label={`take back ${spec.title}`}>
            take back
          </Press>
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
