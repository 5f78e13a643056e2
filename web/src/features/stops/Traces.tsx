import type { StopFit } from '@overhaul/core/features/prove/fit'
import { useState } from 'react'
import { FileDrop } from '../../ui/FileDrop.tsx'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Complaint, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { TraceFit } from './TraceFit.tsx'
import { useTrace } from './use-trace.ts'

/** What the practice rider comes to: a little better after the work. */
const PRACTICE = { before: 3.3, after: 4.6 } as const

/** A stop from a file, or ridden with the practice logger. */
export function Traces({
  job,
  length,
  phase,
  onLog,
}: Pick<NotesProps, 'job' | 'length'> & {
  readonly phase: 'before' | 'after'
  readonly onLog: (fits: readonly StopFit[], name: string) => string | undefined
}) {
  const trace = useTrace()
  const [fault, setFault] = useState<string>()
  const [seed, setSeed] = useState(1)
  const { state } = trace
  const { beadSeatMm = 622, tyreWidthMm = 37 } = job.dimensions
  const wheelMm = Math.PI * (beadSeatMm + 2 * tyreWidthMm)
  if (state.kind === 'read') {
    const { file } = state
    return (
      <>
        <TraceFit
          traced={state.traced}
          name={state.name}
          length={length}
          wheelMm={wheelMm}
          onUnit={file && ((unit) => trace.read(file, unit))}
          onWheel={trace.withWheel}
          refit={trace.refit}
          onLog={(fits) => {
            const wrong = onLog(fits, state.name)
            setFault(wrong)
            if (!wrong) trace.clear()
          }}
          onClose={trace.clear}
        />
        {fault && <Complaint>{fault}</Complaint>}
      </>
    )
  }
  return (
    <>
      <FileDrop
        label="or drop it here: CSV of time and speed, or a GPX track"
        choose="A trace from a file"
        types={['.csv', '.txt', '.gpx']}
        onFile={(file) => trace.read(file)}
      />
      {job.hardware.practiceSeed !== undefined && (
        <Row>
          <Press
            onPress={() => {
              const by = (job.hardware.practiceSeed ?? 1) * 31 + seed
              setSeed(seed + 1)
              trace.record(by, {
                speedMs: 6.6 + (by % 5) / 10,
                decelerationMs2: PRACTICE[phase] + (by % 7) / 20,
                wheelMm,
              })
            }}
            isDisabled={state.kind === 'reading'}
          >
            Ride with the practice logger
          </Press>
        </Row>
      )}
      {job.hardware.practiceSeed !== undefined && (
        <Slate as="p">
          To try it:{' '}
          <a href="/samples/stops-before.csv" download>
            four stops before
          </a>{' '}
          and{' '}
          <a href="/samples/stops-after.csv" download>
            four after
          </a>
          , made up.
        </Slate>
      )}
      {state.kind === 'reading' && <Slate as="p">{state.words}</Slate>}
      {state.kind === 'failed' && (
        <>
          <Complaint>{state.message}</Complaint>
          {state.file && /read as|unit/.test(state.message) && (
            <Row>
              {(['km/h', 'mph', 'm/s'] as const).map((unit) => (
                <Press
                  key={unit}
                  onPress={() => state.file && trace.read(state.file, unit)}
                >{`Its speeds are ${unit}`}</Press>
              ))}
            </Row>
          )}
        </>
      )}
    </>
  )
}
