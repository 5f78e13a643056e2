import { bookDimensions, hereAt } from '@overhaul/core/brake/dimension'
import { detailsFor } from '@overhaul/core/brake/drawings'
import type { Kit } from '@overhaul/core/brake/kit'
import { STATIONS } from '@overhaul/core/brake/station'
import { asksFor, type StepSpec } from '@overhaul/core/brake/step'
import { CAUTIONS } from '@overhaul/core/reference/cautions'
import { showQuantity } from '@overhaul/core/stand/show'
import { useMemo } from 'react'
import styled from 'styled-components'
import { useMedia, useSettings } from '../app/settings.ts'
import { PHONE } from '../app/theme.ts'
import { useDrawings } from '../data/drawings.ts'
import { DetailDrawing } from '../drawing/DetailDrawing.tsx'
import { Pictured } from '../drawing/Pictured.tsx'
import { scaleBar } from '../drawing/ScaleBar.tsx'
import { Cautions, Label, Read, Slate } from '../ui/words.tsx'
import { saidOf } from './entries.ts'

const StepPart = styled.article`
  border-top: 1px solid var(--rule);
  padding: 12px 0;
  display: grid;
  gap: 6px;
  max-width: 1000px;
  h3 {
    font: 600 1.375rem/1.15 var(--label);
  }
  dt {
    font: 600 1.0625rem/1.3 var(--label);
  }
`
const Answers = styled.ul`
  list-style: none;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  li {
    width: 108px;
    display: grid;
    gap: 2px;
    justify-items: center;
    text-align: center;
    align-content: start;
    font: 500 1rem/1.1 var(--label);
  }
`

/** A station of the run sheet: what is done there and why, how each thing is measured, and what right and wrong look like. */
export function StationPage({ kit, station }: { kit: Kit; station: string }) {
  const found = STATIONS.find((each) => each.id === station)
  if (!found)
    return (
      <p>
        There is no station “{station}”. Accepted: {STATIONS.map(({ id }) => id).join(', ')}.
      </p>
    )
  const steps = kit.steps.filter((step) => step.station === station)
  return (
    <section aria-label={`Station ${found.title}`}>
      <h2>
        {found.title}, {kit.family.title}
      </h2>
      {steps.map((step) => (
        <StepArticle key={step.id} kit={kit} step={step} />
      ))}
    </section>
  )
}

function StepArticle({ kit, step }: { kit: Kit; step: StepSpec }) {
  const { length } = useSettings()
  const narrow = useMedia(PHONE)
  const drawings = useDrawings(kit.family)
  const ids = asksFor(step)
  const measured = ids.flatMap((id) => kit.reading(id) ?? [])
  const seen = ids.flatMap((id) => kit.seeing(id) ?? [])
  const at = useMemo(
    () => ({
      dimensions: bookDimensions(kit.family),
      here: hereAt(kit.family, 'rear'),
      number: () => undefined,
      seen: () => undefined,
    }),
    [kit],
  )
  const details = detailsFor(
    drawings?.details ?? [],
    measured.map(({ id }) => id),
  )
  const answers = step.done.kind === 'confirmed' ? drawings?.pictures[step.id] : undefined
  return (
    <StepPart id={step.id}>
      <h3>{step.title}</h3>
      <p>
        <Read>{`${saidOf(step.say)} ${saidOf(step.more)}`}</Read>
      </p>
      {step.cautions.length > 0 && (
        <Cautions>
          {step.cautions.map((id) => (
            <li key={id}>
              <Read>{CAUTIONS[id].text}</Read>
            </li>
          ))}
        </Cautions>
      )}
      <Slate as="p">{step.why}</Slate>
      {step.done.kind === 'confirmed' && (
        <>
          {answers && (
            <Answers>
              {answers.well && (
                <li>
                  <Pictured picture={answers.well} />
                  {step.done.well}
                </li>
              )}
              {answers.ill && (
                <li>
                  <Pictured picture={answers.ill} />
                  {step.done.ill}
                </li>
              )}
            </Answers>
          )}
          <p>
            <Read>{`${step.done.ill}: ${step.done.remedy}`}</Read>
          </p>
        </>
      )}
      {details.map((spec) => {
        const detail = spec.draw(at)
        const width = narrow ? 358 : 700
        const height = narrow ? 320 : 340
        return (
          <div key={spec.id} style={{ maxWidth: width }}>
            <DetailDrawing
              detail={detail}
              title={spec.title}
              notes={measured.map(({ id, title, shorthand }) => ({ id, title, text: shorthand, mark: 'unmeasured' }))}
              focus={undefined}
              width={width}
              height={height}
              scaleBar={scaleBar(length)}
              onPick={(id) => document.getElementById(id)?.scrollIntoView({ block: 'center' })}
            />
          </div>
        )
      })}
      {measured.length > 0 && (
        <dl>
          {measured.map((spec) => (
            <div key={spec.id} id={spec.id}>
              <dt>
                {spec.title} <Slate>{spec.shorthand} on the tape</Slate>
              </dt>
              <dd>
                <Read>{spec.how}</Read>{' '}
                <Slate>
                  {spec.instrument}, ±{showQuantity(spec.sd, spec.unit, length)}.
                </Slate>{' '}
                {spec.limit && <Slate>{spec.limit.text}</Slate>}
              </dd>
            </div>
          ))}
        </dl>
      )}
      {seen.map((spec) => {
        const pictures = drawings?.pictures[spec.id]
        return (
          <div key={spec.id} id={spec.id}>
            <Label>{spec.title}</Label>
            <p>{spec.how}</p>
            <Answers>
              {spec.options.map((each) => {
                const picture = pictures?.[each.id]
                return (
                  <li key={each.id}>
                    {picture && <Pictured picture={picture} />}
                    {each.title}
                  </li>
                )
              })}
            </Answers>
            {spec.options.map(
              (each) =>
                each.remedy && (
                  <p key={each.id}>
                    <b>{each.title}:</b> <Read>{each.remedy}</Read>
                  </p>
                ),
            )}
          </div>
        )
      })}
    </StepPart>
  )
}
