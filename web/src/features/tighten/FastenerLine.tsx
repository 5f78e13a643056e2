import { PROOF_MPA, sayFigure } from '@overhaul/core/bench/fasteners'
import type { Span } from '@overhaul/core/brake/reading'
import type { Worked } from '@overhaul/core/calculation/calculation'
import { boltPreload } from '@overhaul/core/calculations/bolts'
import { pullForTorque } from '@overhaul/core/calculations/torque-from-pull'
import type { Outcome } from '@overhaul/core/outcome/outcome'
import { formatNumber, formatQuantity, shownUnit, UNITS } from '@overhaul/core/quantity/quantity'
import type { FastenerStatus } from '@overhaul/core/run-sheet/fasteners'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { showQuantity } from '@overhaul/core/stand/show'
import { upper } from '@overhaul/core/stand/words'
import { useState } from 'react'
import styled from 'styled-components'
import { Mark, STEP_SHAPES } from '../../drawing/Mark.tsx'
import { FormRow } from '../../ui/FormRow.tsx'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Complaint, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { MakersFigure } from './MakersFigure.tsx'
import { type Means, torqueTold, unitTyped } from './torque-told.ts'

const Figure = styled.span`
  font: 600 1.375rem/1.1 var(--label);
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

interface LineProps extends Pick<NotesProps, 'length' | 'write' | 'onWorked'> {
  readonly held: FastenerStatus
  readonly means: Means
  readonly keyMm: Outcome<number>
  readonly ended: boolean
  readonly titleOf: (step: string) => string
}

/** One fastener: how it stands, its figure, and what the hand tells of it. */
export function FastenerLine({ held, means, keyMm, length, ended, titleOf, write, onWorked }: LineProps) {
  const { spec, state, ticked, torqueNm, instrument, maker, step, loosens } = held
  const [text, setText] = useState('')
  const [unfolded, setUnfolded] = useState<boolean>()
  const [fault, setFault] = useState<string>()
  const wanted = maker ?? spec.nm
  const unit = unitTyped(means, length)

  const tick: readonly EntryBody[] = step ? [{ kind: 'confirm', step }] : []
  const log = () => {
    setFault(undefined)
    if (text.trim() === '') {
      if (tick.length > 0) write(tick)
      return
    }
    const told = torqueTold(text, spec.title, means, keyMm, length)
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
              <FormRow onDone={log}>
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
              </FormRow>
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
