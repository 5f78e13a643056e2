import type { AnyCalculation, OutputSpec } from '@overhaul/core/calculation/calculation'
import { CALCULATIONS } from '@overhaul/core/calculations/registry'
import { type LengthUnit, lengthOf } from '@overhaul/core/quantity/quantity'
import { resultIn } from '@overhaul/core/quantity/read-in'
import { useMemo, useState } from 'react'
import styled from 'styled-components'
import { useMedia, useSettings } from '../app/settings.ts'
import { PHONE } from '../app/theme.ts'
import { Curves } from '../drawing/Curves.tsx'
import { Choose } from '../ui/Choose.tsx'
import { Row, Ruled } from '../ui/layout.ts'
import { Options } from '../ui/Options.tsx'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'
import { Complaint, Grey, Label, Slate, SourceNote } from '../ui/words.tsx'
import { asText, fieldUnit, fromText, type Texts } from './form.ts'
import { sweepOf } from './sweep.ts'

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 12px 20px;
  align-items: end;
`

/** One calculation with a live form: what goes in, what comes out, its working, its source, and one figure over another. */
export function CalculationPage({ id }: { id: string }) {
  const calculation = CALCULATIONS.find((each) => each.id === id)
  if (!calculation) return <p>There is no calculation “{id}”. The index lists them all.</p>
  return <Calculated calculation={calculation} />
}

const unitOf = (unit: string, length: LengthUnit) => {
  const shown = fieldUnit(unit, length)
  return shown ? `, ${shown}` : ''
}

function showOut(value: unknown, spec: OutputSpec, length: LengthUnit): string {
  const number = (each: number) => {
    const shown = spec.unit === 'mm' ? lengthOf(each, length) : each
    return `${Number(shown.toPrecision(4))} ${fieldUnit(spec.unit, length)}`.trim()
  }
  if (typeof value === 'number') return number(value)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value)) return value.map((each) => number(Number(each))).join(', ')
  return 'never'
}

function Calculated({ calculation }: { calculation: AnyCalculation }) {
  const { length } = useSettings()
  const specs = Object.entries(calculation.inputs)
  const example = useMemo(
    () => Object.fromEntries(specs.map(([name, spec]) => [name, asText(spec, calculation.example[name], length)])),
    [specs, calculation, length],
  )
  const [own, setOwn] = useState<Texts>({})
  const texts: Texts = { ...example, ...own }
  const inputs = Object.fromEntries(specs.map(([name, spec]) => [name, fromText(spec, texts[name] ?? '', length)]))
  const worked = calculation.work(inputs)
  const fault = worked.ok ? undefined : worked.error
  const change = (name: string) => (text: string) => setOwn((now) => ({ ...now, [name]: text }))
  return (
    <>
      <section aria-label={calculation.title}>
        <h2>{calculation.title}</h2>
        <p>
          {calculation.summary} <Slate>{calculation.id}</Slate>
        </p>
        <Fields>
          {specs.map(([name, spec]) =>
            spec.type === 'choice' ? (
              <Options
                key={name}
                legend={spec.meaning}
                options={spec.choices.map((each) => ({ id: each, title: each }))}
                value={texts[name] || spec.default}
                onChange={change(name)}
              />
            ) : (
              <TextField
                key={name}
                label={`${spec.meaning}${unitOf(spec.unit, length)}`}
                decimal={spec.type === 'number'}
                placeholder={spec.type === 'number' ? '' : 'numbers, apart by spaces'}
                value={texts[name] ?? ''}
                onChange={change(name)}
                error={fault?.field === name ? fault.message : undefined}
              />
            ),
          )}
        </Fields>
        <Row>
          <Press quiet isDisabled={Object.keys(own).length === 0} onPress={() => setOwn({})}>
            The example again
          </Press>
        </Row>
        {fault && <Complaint>{fault.message}</Complaint>}
      </section>
      {worked.ok && (
        <>
          <section aria-label="Comes out">
            <Label>Comes out</Label>
            <Ruled>
              <tbody>
                {Object.entries(calculation.outputs).map(([name, spec]) => (
                  <tr key={name}>
                    <td>
                      {spec.meaning} <Slate>{name}</Slate>
                    </td>
                    <td style={{ whiteSpace: 'nowrap' }}>
                      <b>{showOut(worked.value.outputs[name], spec, length)}</b>
                    </td>
                  </tr>
                ))}
              </tbody>
            </Ruled>
          </section>
          <Plot
            calculation={calculation}
            inputs={worked.value.inputs}
            length={length}
            onPick={(name, value) => change(name)(asText(calculation.inputs[name] as never, value, length))}
          />
          <section aria-label="Working">
            <Label>Working</Label>
            {worked.value.working.map((line) => (
              <p key={line.formula}>
                {line.formula}
                <br />
                <Grey>{resultIn(line.numbers, length)}</Grey>
              </p>
            ))}
            {calculation.sources.map((source) => (
              <SourceNote key={source.title} source={source} />
            ))}
          </section>
        </>
      )}
    </>
  )
}

/** One figure over another, the rest as they stand in the form; dragged, the form follows. */
function Plot({
  calculation,
  inputs,
  length,
  onPick,
}: {
  calculation: AnyCalculation
  inputs: Readonly<Record<string, unknown>>
  length: LengthUnit
  onPick: (name: string, value: number) => void
}) {
  const narrow = useMedia(PHONE)
  const xs = Object.entries(calculation.inputs).filter(
    ([name, spec]) => spec.type === 'number' && typeof inputs[name] === 'number',
  )
  const ys = Object.entries(calculation.outputs).filter(([, spec]) => spec.type === 'number')
  const [xName, setX] = useState(xs[0]?.[0])
  const [yName, setY] = useState(ys[0]?.[0])
  const x = xs.find(([name]) => name === xName) ?? xs[0]
  const y = ys.find(([name]) => name === yName) ?? ys[0]
  const points = useMemo(() => (x && y ? sweepOf(calculation, inputs, x[0], y[0]) : []), [calculation, inputs, x, y])
  if (!x || !y || points.length < 2) return null
  const named = (spec: { unit: string; meaning: string }) =>
    spec.unit === 'mm' || spec.unit === '' ? spec.meaning : `${spec.meaning}, ${spec.unit}`
  const at = Number(inputs[x[0]])
  return (
    <section aria-label="Plot">
      <Label>One over another</Label>
      <Row>
        <Choose
          label="this"
          options={ys.map(([id, spec]) => ({ id, title: spec.meaning }))}
          value={y[0]}
          onChange={setY}
        />
        <Choose
          label="over this"
          options={xs.map(([id, spec]) => ({ id, title: spec.meaning }))}
          value={x[0]}
          onChange={setX}
        />
      </Row>
      <Curves
        narrow={narrow}
        label={`${y[1].meaning} over ${x[1].meaning}`}
        panels={[{ title: named(y[1]), lines: [{ points }], ...(y[1].unit === 'mm' && { length }) }]}
        xTitle={named(x[1])}
        {...(x[1].unit === 'mm' && { xLength: length })}
        at={at}
        valueText={`at ${at}`}
        onDrag={(value) => onPick(x[0], Number(value.toPrecision(4)))}
      />
    </section>
  )
}
