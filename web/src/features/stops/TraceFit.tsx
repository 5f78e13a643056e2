import type { StopFit } from '@overhaul/core/features/prove/fit'
import type { SpeedUnit } from '@overhaul/core/features/prove/series'
import { type LengthUnit, unitOf } from '@overhaul/core/quantity/quantity'
import { showSpeed, showWay } from '@overhaul/core/stand/show'
import { useRef, useState } from 'react'
import { useMedia } from '../../app/settings.ts'
import { PHONE } from '../../app/theme.ts'
import { Curves } from '../../drawing/Curves.tsx'
import { FormRow } from '../../ui/FormRow.tsx'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Toggles } from '../../ui/Toggles.tsx'
import { Complaint, Slate } from '../../ui/words.tsx'
import type { Stopped, Traced } from './trace.worker.ts'

const UNITS: readonly SpeedUnit[] = ['km/h', 'mph', 'm/s']
/** A start dragged less than this is where it was, s. */
const STEP_S = 0.01

interface Props {
  readonly traced: Traced
  readonly name: string
  readonly length: LengthUnit
  /** What the wheel is by its tyre, mm round. */
  readonly wheelMm: number
  readonly onUnit: ((unit: SpeedUnit) => void) | undefined
  readonly onWheel: (roundMm: number) => void
  readonly refit: (index: number, startS?: number) => Promise<string | undefined>
  readonly onLog: (fits: readonly StopFit[]) => void
  readonly onClose: () => void
}

/** A trace with its stops: each fitted, its begin movable by hand, its residuals under it. */
export function TraceFit({ traced, name, length, wheelMm, onUnit, onWheel, refit, onLog, onClose }: Props) {
  const narrow = useMedia(PHONE)
  const [chosen, setChosen] = useState(0)
  const [fault, setFault] = useState<string>()
  const [moved, setMoved] = useState<{ index: number; from: StopFit }>()
  const busy = useRef(false)
  const index = Math.min(chosen, traced.stops.length - 1)
  const stop = traced.stops[index] as Stopped
  const fits = traced.stops.flatMap(({ fit }) => (fit.ok ? [fit.value] : []))
  const move = async (startS: number) => {
    if (busy.current || (stop.fit.ok && Math.abs(stop.fit.value.startS - startS) < STEP_S)) return
    busy.current = true
    if (stop.fit.ok && moved?.index !== index) setMoved({ index, from: stop.fit.value })
    setFault(await refit(index, startS))
    busy.current = false
  }
  const back = async () => {
    setFault(await refit(index))
    setMoved(undefined)
  }
  const wheelOff = traced.roundMm !== undefined && Math.abs(traced.roundMm / wheelMm - 1) > 0.02
  return (
    <section aria-label="Trace">
      <p>
        <b>{name}</b>{' '}
        <Slate>{`${traced.seconds.toFixed(0)} s, ${traced.stops.length} ${traced.stops.length === 1 ? 'stop' : 'stops'}, speeds in ${traced.unit}`}</Slate>
      </p>
      {!traced.isSure && onUnit && (
        <>
          <Complaint>{`The file does not say what its speeds are in: ${traced.unit} is a guess. Which is it?`}</Complaint>
          <Row>
            {UNITS.map((unit) => (
              <Press key={unit} onPress={() => onUnit(unit)}>
                {unit === traced.unit ? `Yes, ${unit}` : unit}
              </Press>
            ))}
          </Row>
        </>
      )}
      {wheelOff && (
        <>
          <Complaint>{`The logger was told a wheel ${traced.roundMm} mm round; by its tyre this one is about ${wheelMm.toFixed(0)} mm.`}</Complaint>
          <Press onPress={() => onWheel(wheelMm)}>{`Read it with ${wheelMm.toFixed(0)} mm`}</Press>
        </>
      )}
      {traced.stops.length > 1 && (
        <Toggles
          label="stop"
          options={traced.stops.map((_, each) => ({ id: String(each), title: `stop ${each + 1}` }))}
          value={String(index)}
          onChange={(id) => {
            setChosen(Number(id))
            setMoved(undefined)
            setFault(undefined)
          }}
        />
      )}
      {stop.fit.ok ? (
        <Fitted
          stopped={stop}
          fit={stop.fit.value}
          from={moved?.index === index ? moved.from : undefined}
          length={length}
          narrow={narrow}
          onMove={move}
          onBack={back}
        />
      ) : (
        <Complaint>{stop.fit.error.message}</Complaint>
      )}
      {fault && <Complaint>{fault}</Complaint>}
      <Row>
        {stop.fit.ok && (
          <Press go isDisabled={!traced.isSure} onPress={() => stop.fit.ok && onLog([stop.fit.value])}>
            Log this stop
          </Press>
        )}
        {fits.length > 1 && (
          <Press
            isDisabled={!traced.isSure}
            onPress={() => onLog(fits)}
          >{`Log all ${fits.length}, out and back`}</Press>
        )}
        <Press quiet onPress={onClose}>
          Let the trace go
        </Press>
      </Row>
    </section>
  )
}

interface FittedProps {
  readonly stopped: Stopped
  readonly fit: StopFit
  /** As it was found, where the begin was moved. */
  readonly from: StopFit | undefined
  readonly length: LengthUnit
  readonly narrow: boolean
  readonly onMove: (startS: number) => void
  readonly onBack: () => void
}

const MS_KMH = 3.6

function Fitted({ stopped, fit, from, length, narrow, onMove, onBack }: FittedProps) {
  const [typed, setTyped] = useState<string>()
  const { startS, endS, speedMs, decelerationMs2, lowMs2, highMs2, distanceM, plateau, residuals } = fit
  const [a, b] = plateau
  const at = (seconds: number) => fit.lineMs - decelerationMs2 * (seconds - startS)
  const line = [startS, endS].map((x) => ({ x, y: Math.max(0, at(x)) * MS_KMH }))
  const step = Math.max(1, Math.ceil(residuals.length / 300))
  const spread = residuals.filter((_, index) => index % step === 0).map(([x, r]) => ({ x, y: r * MS_KMH }))
  const perKmh = length === 'in' ? 1 / unitOf('mph').size : 1
  const scaled = (points: readonly { x: number; y: number }[]) => points.map(({ x, y }) => ({ x, y: y * perKmh }))
  const unit = length === 'in' ? 'mph' : 'km/h'
  const said = `${showSpeed(speedMs * MS_KMH, length)}, ${decelerationMs2.toFixed(2)} m/s² (${lowMs2.toFixed(2)} to ${highMs2.toFixed(2)}, 9 in 10), ${showWay(distanceM, length)} from where the brake holds`
  return (
    <>
      <Curves
        label="Speed of the trace"
        valueText={said}
        xTitle="seconds"
        narrow={narrow}
        good={[[a, b]]}
        at={startS}
        onDrag={onMove}
        panels={[
          {
            title: `speed, ${unit}`,
            value: `begin ${startS.toFixed(2)} s`,
            lines: [{ points: scaled(stopped.points) }, { points: scaled(line), label: 'fit' }],
          },
          { title: `beyond the line, ${unit}`, lines: [{ points: scaled(spread) }] },
        ]}
      />
      <p>
        <b>{said}.</b>
      </p>
      {from && Math.abs(from.startS - startS) > STEP_S && (
        <p>
          {`Begin moved ${Math.abs(startS - from.startS).toFixed(2)} s ${startS > from.startS ? 'later' : 'earlier'}: ${from.decelerationMs2.toFixed(2)} → ${decelerationMs2.toFixed(2)} m/s², ${showWay(from.distanceM, length)} → ${showWay(distanceM, length)}.`}
        </p>
      )}
      <FormRow
        onDone={() => {
          const value = Number((typed ?? '').replace(',', '.'))
          if (Number.isFinite(value) && typed?.trim()) onMove(value)
        }}
      >
        <TextField
          label="begin, s"
          decimal
          width={110}
          value={typed ?? startS.toFixed(2)}
          onChange={(text) => setTyped(text)}
        />
        <Press type="submit">Put it there</Press>
        {fit.byHand && (
          <Press
            quiet
            onPress={() => {
              setTyped(undefined)
              onBack()
            }}
          >
            As it was found
          </Press>
        )}
      </FormRow>
    </>
  )
}
