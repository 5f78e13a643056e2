import { parseNumber } from '@overhaul/core/quantity/number'
import { costsIn, showMoney } from '@overhaul/core/stand/costs'
import type { SpentPart } from '@overhaul/core/stand/entries'
import { useState } from 'react'
import styled from 'styled-components'
import { changeSettings, useSettings } from '../../app/settings.ts'
import { useDrawer, useHeld } from '../../data/drawer.ts'
import { useKept } from '../../data/use-kept.ts'
import { FormRow } from '../../ui/FormRow.tsx'
import { LinkPress, Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Complaint, Label, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

const Parts = styled.ul`
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 14px;
    align-items: center;
    border-top: 1px solid var(--rule);
    padding: 6px 0;
  }
  li > span:first-child {
    flex: 1 1 200px;
  }
`

interface Typed {
  readonly minutes: string
  readonly money: string
}

const NOTHING: Typed = { minutes: '', money: '' }

/** What the job was expected to take and what it took, and the papers that go with the bicycle. */
export function Panel({ job, jobId, write }: NotesProps) {
  const { state } = job
  const costs = costsIn(state.standing)
  const settings = useSettings()
  const currency = costs.currency ?? settings.currency
  const isEnded = state.ended !== undefined
  return (
    <section aria-label="Cost and papers">
      <Label>Minutes and cost</Label>
      <p>
        {costs.estimate
          ? `Estimate: ${costs.estimate.minutes} min, ${showMoney(costs.estimate.cost, currency)}.`
          : 'No estimate was given.'}{' '}
        {costs.minutes > 0 || costs.total > 0
          ? `Spent: ${costs.minutes} min, ${showMoney(costs.labour, currency)} work and ${showMoney(costs.partsCost, currency)} parts, ${showMoney(costs.total, currency)} in all.`
          : ''}
      </p>
      {!isEnded && (
        <>
          <Money
            title="Estimate"
            kept={`overhaul.estimate.${jobId}`}
            currency={currency}
            onLog={(minutes, cost) => write([{ kind: 'estimate', minutes, cost, currency }])}
          />
          <Money
            title="Spent"
            kept={`overhaul.spent.${jobId}`}
            currency={currency}
            onLog={(minutes, labour) => write([{ kind: 'spent', minutes, labour, currency, parts: [] }])}
          />
          <UsedParts
            jobId={jobId}
            currency={currency}
            spent={costs.parts}
            onLog={(parts) => write([{ kind: 'spent', minutes: 0, labour: 0, currency, parts }])}
          />
          {costs.currency === undefined && (
            <Row>
              <TextField
                label="money, by its three letters"
                width={180}
                maxLength={3}
                value={settings.currency}
                onChange={(text) => changeSettings({ currency: text.toUpperCase() })}
              />
              <TextField
                label={`an hour of work, ${currency}`}
                width={180}
                decimal
                value={String(settings.hourly)}
                onChange={(text) => {
                  const read = parseNumber(text, 'an hour')
                  changeSettings({ hourly: read.ok ? read.value : 0 })
                }}
              />
            </Row>
          )}
        </>
      )}
      <Row>
        <LinkPress href={`/jobs/${jobId}/sheet`}>Job sheet</LinkPress>
        <LinkPress href={`/jobs/${jobId}/handover`}>Slip and tag</LinkPress>
      </Row>
    </section>
  )
}

interface MoneyProps {
  readonly title: string
  readonly kept: string
  readonly currency: string
  readonly onLog: (minutes: number, money: number) => boolean
}

/** Minutes and what they cost: by the hour until it is said otherwise. */
function Money({ title, kept, currency, onLog }: MoneyProps) {
  const { hourly } = useSettings()
  const [typed, change] = useKept<Typed>(kept, NOTHING)
  const [fault, setFault] = useState<string>()
  const minutes = parseNumber(typed.minutes, `${title}, minutes`)
  const byTheHour = minutes.ok ? ((minutes.value / 60) * hourly).toFixed(2) : ''
  const log = () => {
    const money = parseNumber(typed.money.trim() === '' ? byTheHour : typed.money, `${title}, ${currency}`)
    if (!minutes.ok) return setFault(minutes.error.message)
    if (!money.ok) return setFault(money.error.message)
    setFault(undefined)
    if (onLog(minutes.value, money.value)) change(() => NOTHING)
  }
  return (
    <FormRow label={title} onDone={log}>
      <TextField
        label={`${title}, minutes`}
        decimal
        width={150}
        value={typed.minutes}
        onChange={(text) => change((now) => ({ ...now, minutes: text }))}
      />
      <TextField
        label={`cost, ${currency}`}
        decimal
        width={120}
        placeholder={byTheHour}
        value={typed.money}
        onChange={(text) => change((now) => ({ ...now, money: text }))}
      />
      <Press type="submit" isDisabled={typed.minutes.trim() === ''}>
        {`Log ${title.toLowerCase()}`}
      </Press>
      {fault && <Complaint>{fault}</Complaint>}
    </FormRow>
  )
}

/** What the job holds of the drawer and has not been put on its bill: at the drawer’s own price. */
function UsedParts({
  jobId,
  currency,
  spent,
  onLog,
}: {
  readonly jobId: string
  readonly currency: string
  readonly spent: readonly SpentPart[]
  readonly onLog: (parts: readonly SpentPart[]) => boolean
}) {
  const held = useHeld(jobId)
  const { data: stock = [] } = useDrawer()
  const open = held.flatMap(({ partId, name, count }) => {
    const billed = spent.filter((each) => each.name === name).reduce((sum, each) => sum + each.count, 0)
    const price = stock.find(({ id }) => id === partId)?.price ?? 0
    return count > billed ? [{ name, count: count - billed, price }] : []
  })
  if (open.length === 0) return null
  return (
    <>
      <Label>Parts used, not yet on the bill</Label>
      <Parts>
        {open.map((each) => (
          <li key={each.name}>
            <span>
              {each.count} × {each.name}{' '}
              <Slate>{each.price > 0 ? `${showMoney(each.price, currency)} each` : 'no price in the drawer'}</Slate>
            </span>
          </li>
        ))}
      </Parts>
      <Press onPress={() => onLog(open)}>Put them on the bill</Press>
    </>
  )
}
