import { PROOF_MPA, sayFigure } from '@overhaul/core/bench/fasteners'
import type { Span } from '@overhaul/core/brake/reading'
import type { Worked } from '@overhaul/core/calculation/calculation'
import { boltPreload } from '@overhaul/core/calculations/bolts'
import { pullForTorque, torqueFromPull } from '@overhaul/core/calculations/torque-from-pull'
import type { Outcome } from '@overhaul/core/outcome/outcome'
import { ok } from '@overhaul/core/outcome/outcome'
import { formatNumber, parseQuantity, shownUnit, UNITS, type UnitId } from '@overhaul/core/quantity/quantity'
import { type FastenerStatus, fastenersOf } from '@overhaul/core/run-sheet/fasteners'
import type { StepState } from '@overhaul/core/run-sheet/step-state'
import { showQuantity } from '@overhaul/core/stand/describe'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { upper } from '@overhaul/core/stand/words'
import { useMemo, useState } from 'react'
import styled from 'styled-components'
import { useKept } from '../../data/use-kept.ts'
import { Mark, type Shape } from '../../drawing/Mark.tsx'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Toggles } from '../../ui/Toggles.tsx'
import { Complaint, Label, Read, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

const List = styled.ul`
  display: grid;
  > li {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr);
    gap: 2px 10px;
    padding: 10px 0;
    border-top: 1px solid var(--rule);
  }
  > li > div {
    display: grid;
    gap: 6px;
    min-width: 0;
  }
`
const Figure = styled.span`
  font: 600 22px/1.1 var(--label);
  font-variant-numeric: tabular-nums;
`
const SHAPES: Readonly<Record<StepState, Shape>> = {
  done: 'in',
  skipped: 'skipped',
  recheck: 'recheck',
  out: 'high',
  open: 'unmeasured',
}

/** How the hand comes to a torque: by a wrench that shows it, or by a pull on a key of known length. */
interface Means {
  readonly by: 'wrench' | 'key'
  readonly key: string
  readonly pullIn: 'N' | 'kgf' | 'lbf'
}

/** Every fastener of this brake with thread, tool, figure and rule; each loosened one is ticked off by itself. */
export function TightenNotes({ job, length, write, onWorked }: NotesProps) {
  const [means, change] = useKept<Means>('overhaul.torque-means', {
    by: 'wrench',
    key: length === 'in' ? '4' : '100',
    pullIn: length === 'in' ? 'lbf' : 'N',
  })
  const all = useMemo(() => fastenersOf(job), [job])
  const lengthUnit = shownUnit('mm', length)
  const key = parseQuantity(means.key, lengthUnit, 'length of key')
  const open = all.filter(({ state }) => state !== 'done').length
  return (
    <section aria-label="Fasteners">
      <Label>{`Fasteners · ${all.length - open} of ${all.length} tight`}</Label>
      <Row>
        <Toggles
          label="torque by"
          options={[
            { id: 'wrench', title: 'Torque wrench' },
            { id: 'key', title: 'Pull on a key' },
          ]}
          value={means.by}
          onChange={(by) => change((now) => ({ ...now, by: by as Means['by'] }))}
        />
        {means.by === 'key' && (
          <>
            <TextField
              label={`length of key, ${lengthUnit}`}
              value={means.key}
              onChange={(text) => change((now) => ({ ...now, key: text }))}
              decimal
              width={150}
            />
            <Toggles
              label="pull in"
              options={(['N', 'kgf', 'lbf'] as const).map((id) => ({ id, title: id }))}
              value={means.pullIn}
              onChange={(pullIn) => change((now) => ({ ...now, pullIn: pullIn as Means['pullIn'] }))}
            />
          </>
        )}
      </Row>
      {means.by === 'key' && !key.ok && <Complaint>{key.error.message}</Complaint>}
      <List>
        {all.map((each) => (
          <Line
            key={each.spec.id}
            held={each}
            means={means}
            keyMm={key}
            length={length}
            ended={job.state.ended !== undefined}
            write={write}
            onWorked={onWorked}
          />
        ))}
      </List>
      <Slate as="p">
        A loosened one comes back unticked. The rest is one answer: all tight. The maker’s figure comes first; ours are
        from memory. Carbon: the maker’s figure and a torque wrench, no exception.
      </Slate>
    </section>
  )
}

interface LineProps extends Pick<NotesProps, 'length' | 'write' | 'onWorked'> {
  readonly held: FastenerStatus
  readonly means: Means
  readonly keyMm: Outcome<number>
  readonly ended: boolean
}

function Line({ held, means, keyMm, length, ended, write, onWorked }: LineProps) {
  const { spec, state, ticked, cause, torqueNm, instrument, maker, step, loosens } = held
  const [text, setText] = useState('')
  const [telling, setTelling] = useState(false)
  const [fault, setFault] = useState<string>()
  const wanted = maker ?? spec.nm
  const unit: UnitId = means.by === 'key' ? means.pullIn : shownUnit('Nm', length)

  /** What was typed as a torque, N·m, and how it was come to. */
  const read = (): Outcome<{
    readonly nm: number
    readonly instrument: string
    readonly worked: readonly Worked[]
  }> => {
    const value = parseQuantity(text, unit, spec.title)
    if (!value.ok) return value
    if (means.by === 'wrench') return ok({ nm: value.value, instrument: 'torque wrench', worked: [] })
    if (!keyMm.ok) return keyMm
    const worked = torqueFromPull.work({ forceN: value.value, lengthMm: keyMm.value })
    if (!worked.ok) return worked
    return ok({
      nm: worked.value.outputs.torqueNm as number,
      instrument: `a pull of ${showQuantity(value.value, 'N')} at ${showQuantity(keyMm.value, 'mm', length)} of key`,
      worked: [worked.value],
    })
  }
  const tick: readonly EntryBody[] = step ? [{ kind: 'confirm', step }] : []
  const log = () => {
    setFault(undefined)
    if (text.trim() === '') {
      if (tick.length > 0) write(tick)
      return
    }
    const told = read()
    if (!told.ok) return setFault(told.error.message)
    const torque: EntryBody = {
      kind: 'torque',
      fastener: spec.id,
      valueNm: told.value.nm,
      instrument: told.value.instrument,
    }
    if (write([torque, ...tick])) setText('')
  }
  const showWorking = () => {
    const nm = torqueNm ?? wanted?.high
    if (nm === undefined) return
    const pulls = means.by === 'key' && keyMm.ok ? [pullForTorque.work({ torqueNm: nm, lengthMm: keyMm.value })] : []
    const preload = spec.bolt ? [boltPreload.work({ torqueNm: nm, ...spec.bolt, proofStressMpa: PROOF_MPA })] : []
    onWorked(
      spec.title,
      [...pulls, ...preload].flatMap((each): readonly Worked[] => (each.ok ? [each.value] : [])),
    )
  }
  return (
    <li>
      <Mark shape={SHAPES[state]} size={22} label={state === 'done' ? `tight, ${ticked}` : state} />
      <div>
        <span>
          <b>{upper(spec.title)}</b>{' '}
          <Slate>
            {state === 'done'
              ? `tight, ${ticked === 'alone' ? 'ticked off by itself' : 'with all'}`
              : (cause ?? (step ? 'loosened: tick it off' : 'open'))}
          </Slate>
        </span>
        <span>
          <Figure>
            <Read>{torqueNm === undefined ? sayFigure(spec, maker) : `${showQuantity(torqueNm, 'Nm')} logged`}</Read>
          </Figure>{' '}
          <Slate>{[torqueNm !== undefined && sayFigure(spec, maker), instrument].filter(Boolean).join('; ')}</Slate>
        </span>
        <Slate>{`${spec.thread} · ${spec.tool} · ${spec.rule}`}</Slate>
        <Pulls wanted={wanted} means={means} keyMm={keyMm} length={length} />
        <Proof held={held} onWorked={showWorking} />
        {!ended && (
          <Row
            as="form"
            onSubmit={(event: { preventDefault(): void }) => {
              event.preventDefault()
              log()
            }}
          >
            <TextField
              label={`${spec.title}, ${UNITS[unit].symbol}`}
              unseen
              placeholder={UNITS[unit].symbol}
              decimal
              width={92}
              value={text}
              onChange={setText}
            />
            <Press type="submit" isDisabled={text.trim() === '' && tick.length === 0} aria-label={`${spec.id} tight`}>
              Tight
            </Press>
            {loosens && (
              <Press
                quiet
                aria-label={`${spec.id} loosened`}
                onPress={() => write([{ kind: 'confirm', step: loosens }])}
              >
                Loosened
              </Press>
            )}
            <Press quiet aria-label={`maker’s figure of the ${spec.id}`} onPress={() => setTelling(!telling)}>
              Maker’s figure
            </Press>
          </Row>
        )}
        {telling && !ended && (
          <MakersFigure held={held} length={length} write={write} onDone={() => setTelling(false)} />
        )}
        {fault && <Complaint>{fault}</Complaint>}
      </div>
    </li>
  )
}

/** What the hand pulls at its key for the figure. */
function Pulls({
  wanted,
  means,
  keyMm,
  length,
}: Pick<LineProps, 'means' | 'keyMm' | 'length'> & { readonly wanted: Span | undefined }) {
  if (means.by !== 'key' || !keyMm.ok || !wanted) return null
  const pulls = [wanted.low, wanted.high].map((torqueNm) => pullForTorque.work({ torqueNm, lengthMm: keyMm.value }))
  const said = pulls.map((each) => (each.ok ? formatNumber(each.value.outputs.forceN as number, means.pullIn) : '?'))
  return (
    <span>{`a pull of ${said.join('–')} ${UNITS[means.pullIn].symbol} at ${showQuantity(keyMm.value, 'mm', length)}, square to the key`}</span>
  )
}

/** How near its proof load the bolt comes. */
function Proof({ held: { spec, torqueNm, maker }, onWorked }: { held: FastenerStatus; onWorked: () => void }) {
  const nm = torqueNm ?? (maker ?? spec.nm)?.high
  if (!spec.bolt || nm === undefined) return null
  const worked = boltPreload.work({ torqueNm: nm, ...spec.bolt, proofStressMpa: PROOF_MPA })
  if (!worked.ok) return null
  const { preloadN, proofFraction } = worked.value.outputs
  return (
    <span>
      <Slate>{`${((preloadN as number) / 1000).toFixed(1)} kN in an M${spec.bolt.diameterMm} at ${showQuantity(nm, 'Nm')}: ${(100 * (proofFraction as number)).toFixed(0)} % of proof, steel 8.8, dry`}</Slate>{' '}
      <Press quiet onPress={onWorked} aria-label={`working of the ${spec.id}`}>
        Working
      </Press>
    </span>
  )
}

/** The maker’s figure told: kept with the brake, shown beside ours. */
function MakersFigure({
  held: { spec, maker },
  length,
  write,
  onDone,
}: Pick<LineProps, 'held' | 'length' | 'write'> & { readonly onDone: () => void }) {
  const unit = shownUnit('Nm', length)
  const shown = (nm: number | undefined) => (nm === undefined ? '' : formatNumber(nm, unit))
  const [low, setLow] = useState(shown(maker?.low))
  const [high, setHigh] = useState(shown(maker?.high))
  const [fault, setFault] = useState<string>()
  const log = () => {
    const from = parseQuantity(low, unit, 'maker’s figure, from')
    const to = high.trim() === '' ? from : parseQuantity(high, unit, 'maker’s figure, to')
    if (!from.ok) return setFault(from.error.message)
    if (!to.ok) return setFault(to.error.message)
    if (write([{ kind: 'figure', fastener: spec.id, lowNm: from.value, highNm: to.value }])) onDone()
  }
  return (
    <Row
      as="form"
      onSubmit={(event: { preventDefault(): void }) => {
        event.preventDefault()
        log()
      }}
    >
      <TextField
        label={`maker’s, from, ${UNITS[unit].symbol}`}
        decimal
        width={150}
        value={low}
        onChange={setLow}
        autoFocus
      />
      <TextField label={`to, ${UNITS[unit].symbol}`} decimal width={110} value={high} onChange={setHigh} />
      <Press type="submit" isDisabled={low.trim() === ''}>
        Keep it
      </Press>
      {fault && <Complaint>{fault}</Complaint>}
    </Row>
  )
}
