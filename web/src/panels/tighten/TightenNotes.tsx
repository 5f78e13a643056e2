import { PROOF_MPA, sayFigure } from '@overhaul/core/bench/fasteners'
import type { Span } from '@overhaul/core/brake/reading'
import type { Worked } from '@overhaul/core/calculation/calculation'
import { boltPreload } from '@overhaul/core/calculations/bolts'
import { pullForTorque, torqueFromPull } from '@overhaul/core/calculations/torque-from-pull'
import type { Outcome } from '@overhaul/core/outcome/outcome'
import { ok } from '@overhaul/core/outcome/outcome'
import {
  formatNumber,
  formatQuantity,
  parseQuantity,
  shownUnit,
  UNITS,
  type UnitId,
} from '@overhaul/core/quantity/quantity'
import { type FastenerStatus, fastenersOf } from '@overhaul/core/run-sheet/fasteners'
import { showQuantity } from '@overhaul/core/stand/describe'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { upper } from '@overhaul/core/stand/words'
import { useMemo, useState } from 'react'
import styled from 'styled-components'
import { useKept } from '../../data/use-kept.ts'
import { Mark, STEP_SHAPES } from '../../drawing/Mark.tsx'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Toggles } from '../../ui/Toggles.tsx'
import { Complaint, Label, Slate } from '../../ui/words.tsx'
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
const Head = styled.span`
  display: flex;
  justify-content: space-between;
  gap: 4px 14px;
  align-items: baseline;
  flex-wrap: wrap;
`
const Inside = styled.div`
  display: grid;
  gap: 8px;
  padding: 6px 0 4px;
`
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
            titleOf={job.kit.stepTitle}
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
  readonly titleOf: (step: string) => string
}

function Line({ held, means, keyMm, length, ended, titleOf, write, onWorked }: LineProps) {
  const { spec, state, ticked, torqueNm, instrument, maker, step, loosens } = held
  const [text, setText] = useState('')
  const [unfolded, setUnfolded] = useState<boolean>()
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
  const open = unfolded ?? (state !== 'done' && step !== undefined && spec.tick === undefined)
  return (
    <li>
      <Mark shape={STEP_SHAPES[state]} size={22} label={state === 'done' ? `tight, ${ticked}` : state} />
      <div>
        <Head>
          <span>
            <b>{upper(spec.title)}</b> <Slate>{wordsOf(held, titleOf)}</Slate>
          </span>
          <Figure>{torqueNm === undefined ? sayFigure(spec, maker) : showQuantity(torqueNm, 'Nm', length)}</Figure>
        </Head>
        <Slate>
          {[spec.thread, spec.tool, spec.nm && spec.rule, torqueNm !== undefined && sayFigure(spec, maker), instrument]
            .filter(Boolean)
            .join(' · ')}
        </Slate>
        <Pulls wanted={wanted} means={means} keyMm={keyMm} length={length} />
        <Row>
          <Press
            quiet
            aria-expanded={open}
            aria-label={`${spec.id}: torque, loosened, maker’s figure`}
            onPress={() => setUnfolded(!open)}
          >
            {open ? 'Close' : 'Log it'}
          </Press>
        </Row>
        {open && (
          <Inside>
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
                <Press
                  type="submit"
                  isDisabled={text.trim() === '' && tick.length === 0}
                  aria-label={`${spec.id} tight`}
                >
                  Tight
                </Press>
                {loosens && (
                  <Press aria-label={`${spec.id} loosened`} onPress={() => write([{ kind: 'confirm', step: loosens }])}>
                    Loosened
                  </Press>
                )}
              </Row>
            )}
            {fault && <Complaint>{fault}</Complaint>}
            <Proof held={held} onWorked={showWorking} />
            {!ended && <MakersFigure held={held} length={length} write={write} />}
          </Inside>
        )}
      </div>
    </li>
  )
}

/** How one stands, in words. */
function wordsOf({ spec, state, ticked, cause, step }: FastenerStatus, titleOf: (step: string) => string): string {
  if (state === 'done') return ticked === 'alone' ? 'tight, ticked off by itself' : 'tight, with all'
  if (cause) return cause
  if (step === undefined) return 'open: one answer for all that nobody touched'
  return spec.tick ? `open: ${titleOf(step)}` : 'loosened: tick it off'
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
    <span>{`a pull of ${said.join('–')} ${UNITS[means.pullIn].symbol} at ${formatQuantity(keyMm.value, shownUnit('mm', length), length === 'mm' ? 0 : 2)} of key, square to it`}</span>
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
function MakersFigure({ held: { spec, maker }, length, write }: Pick<LineProps, 'held' | 'length' | 'write'>) {
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
    setFault(undefined)
    write([{ kind: 'figure', fastener: spec.id, lowNm: from.value, highNm: to.value }])
  }
  return (
    <Row
      as="form"
      aria-label={`maker’s figure of the ${spec.id}`}
      onSubmit={(event: { preventDefault(): void }) => {
        event.preventDefault()
        log()
      }}
    >
      <TextField label={`maker’s, ${UNITS[unit].symbol}, from`} decimal width={140} value={low} onChange={setLow} />
      <TextField label="to" decimal width={80} value={high} onChange={setHigh} />
      <Press type="submit" isDisabled={low.trim() === ''}>
        Keep it
      </Press>
      {fault && <Complaint>{fault}</Complaint>}
    </Row>
  )
}
