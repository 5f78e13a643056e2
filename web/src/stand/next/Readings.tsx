import { shownUnit, UNITS } from '@overhaul/core/quantity/quantity'
import styled from 'styled-components'
import { Options } from '../../ui/Options.tsx'
import { Field } from '../../ui/parts.tsx'
import { Entry, type NextProps } from './parts.tsx'

const Fields = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
`

/** A field for each reading asked for: a number to type, or one of a few answers to touch. */
export function Readings({
  job: { kit },
  readings,
  length,
  drafts,
  optional = false,
}: Pick<NextProps, 'job' | 'length' | 'drafts'> & { readings: readonly string[]; optional?: boolean }) {
  return (
    <Fields>
      {readings.map((id, index) => {
        const seen = kit.seeing(id)
        const measure = optional ? {} : { measure: index }
        if (seen)
          return (
            <Options
              key={id}
              legend={seen.title}
              options={seen.options}
              value={drafts.text[id]}
              onChange={(value) => drafts.set(id, value)}
              {...measure}
            />
          )
        const spec = kit.reading(id)
        const unit = shownUnit(spec?.unit ?? 'mm', length)
        return (
          <Entry key={id} title={spec?.how}>
            {kit.title(id)}
            <Field
              {...(!optional && { 'data-measure': index })}
              aria-label={`measured ${kit.title(id)}`}
              inputMode="decimal"
              autoComplete="off"
              placeholder={UNITS[unit].symbol}
              value={drafts.text[id] ?? ''}
              onChange={(event) => drafts.set(id, event.target.value)}
            />
          </Entry>
        )
      })}
    </Fields>
  )
}
