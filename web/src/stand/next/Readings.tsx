import type { Picture } from '@overhaul/core/brake/drawings'
import { shownUnit, UNITS } from '@overhaul/core/quantity/quantity'
import type { LastTime } from '@overhaul/core/stand/last-time'
import { showParts } from '@overhaul/core/stand/show'
import { sayShortDay } from '@overhaul/core/stand/when'
import styled from 'styled-components'
import { useDrawings } from '../../data/drawings.ts'
import { Pictured } from '../../drawing/Pictured.tsx'
import { Options } from '../../ui/Options.tsx'
import { TextField } from '../../ui/TextField.tsx'
import type { NextProps } from './parts.tsx'

const Fields = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
`
const picture = (shapes: Picture | undefined) => shapes && <Pictured picture={shapes} />

const Before = styled.small`
  font: 400 0.875rem/1.1 var(--text);
  color: var(--slate);
  max-width: 160px;
`

const Named = styled.div`
  display: grid;
  gap: 6px;
  font: 500 1rem/1 var(--label);
`

/** “last time 1.0, 5 Mar”: what a number was on the visit before. */
const sayLast = (last: LastTime | undefined, show: (value: number) => string) =>
  typeof last?.value === 'number' && <Before>{`last time ${show(last.value)}, ${sayShortDay(last.at)}`}</Before>

/** A field for each reading asked for: a number to type, or one of a few answers to touch. */
export function Readings({
  job: { kit, family, state },
  readings,
  length,
  drafts,
  lastTime,
  optional = false,
  from = 0,
}: Pick<NextProps, 'job' | 'length' | 'drafts' | 'lastTime'> & {
  readings: readonly string[]
  optional?: boolean
  /** How many fields of the same form stand before these. */
  from?: number
}) {
  const drawings = useDrawings(family)
  return (
    <Fields>
      {readings.map((id, index) => {
        const seen = kit.seeing(id)
        const measure = optional ? {} : { measure: from + index }
        const pictures = seen && drawings?.pictures[id]
        if (seen)
          return (
            <Options
              key={id}
              legend={seen.title}
              options={seen.options}
              value={drafts.text[id]}
              onChange={(value) => drafts.set(id, value)}
              {...(pictures && { pictureOf: (answer: string) => picture(pictures[answer]) })}
              {...measure}
            />
          )
        const spec = kit.reading(id)
        const unit = shownUnit(spec?.unit ?? 'mm', length)
        return (
          <Named key={id}>
            <span aria-hidden="true">{kit.title(id)}</span>
            <TextField
              label={`measured ${kit.title(id)}`}
              unseen
              big
              decimal
              width={96}
              placeholder={UNITS[unit].symbol}
              value={drafts.text[id] ?? ''}
              onChange={(text) => drafts.set(id, text)}
              error={drafts.faults[id]}
              draft={id}
              onKeyDown={(event) => {
                const { value } = state.readings[id] ?? {}
                drafts.nudgeOn(event, id, typeof value === 'number' ? value : undefined)
              }}
              {...measure}
            />
            {sayLast(lastTime.get(id), (value) => showParts(kit, id, value, length).number)}
          </Named>
        )
      })}
    </Fields>
  )
}
