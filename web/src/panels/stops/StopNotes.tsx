import type { StopFit } from '@overhaul/core/prove/fit'
import { limitsFor, rulesBeside } from '@overhaul/core/prove/limits'
import { type RunEntry, runsIn } from '@overhaul/core/prove/runs'
import { verdictOf, WORTH_M } from '@overhaul/core/prove/verdict'
import { parseNumber } from '@overhaul/core/quantity/number'
import { parseQuantity } from '@overhaul/core/quantity/quantity'
import { CAUTIONS } from '@overhaul/core/reference/cautions'
import { showSpeed, showWay } from '@overhaul/core/stand/describe'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { useMemo, useState } from 'react'
import { useKept } from '../../data/use-kept.ts'
import { FileDrop } from '../../ui/FileDrop.tsx'
import { Fold } from '../../ui/Fold.tsx'
import { Row, Ruled } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Toggles } from '../../ui/Toggles.tsx'
import { Cautions, Complaint, Label, Slate, SourceNote } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { TraceFit } from './TraceFit.tsx'
import { useTrace } from './use-trace.ts'

/** What is the same from run to run. */
interface Set {
  readonly phase: 'before' | 'after'
  readonly surface: 'dry' | 'wet'
  readonly brakes: 'this' | 'both'
  readonly load: string
  readonly pressure: string
  readonly reaction: string
  readonly inside: boolean
  readonly worth: string
}

const other = { out: 'back', back: 'out' } as const

/** Stops ridden before and after the work: whether it stops shorter, how sure that is, and how many more would tell. */
export function StopNotes({ job, jobId, length, write, onWorked }: NotesProps) {
  const { state, dimensions: d } = job
  const runs = useMemo(() => runsIn(state.standing), [state.standing])
  const [set, change] = useKept<Set>(`overhaul.stops.${jobId}`, {
    phase: state.standing.some(({ kind }) => kind === 'turn') ? 'after' : 'before',
    surface: 'dry',
    brakes: 'both',
    load: String(d.loadedMassKg ?? ''),
    pressure: '',
    reaction: '0.7',
    inside: false,
    worth: '',
  })
  const lay = (more: Partial<Set>) => change((now) => ({ ...now, ...more }))
  const worth = parseQuantity(set.worth, length === 'in' ? 'ft' : 'm', 'gain worth having')
  const worthM = set.worth.trim() !== '' && worth.ok && worth.value > 0 ? worth.value / 1000 : WORTH_M
  const verdict = useMemo(() => verdictOf(runs, worthM, length), [runs, worthM, length])
  const isEnded = state.ended !== undefined
  const nextWay = (phase: 'before' | 'after'): 'out' | 'back' =>
    other[runs.findLast((run) => run.phase === phase)?.direction ?? 'back']
  /** What is told with every run of this set. */
  const told = (): { readonly body: Partial<RunEntry>; readonly fault?: string } => {
    const load = set.load.trim() === '' ? undefined : parseNumber(set.load, 'load, kg')
    const pressure = set.pressure.trim() === '' ? undefined : parseNumber(set.pressure, 'pressure, bar')
    const reaction = set.inside ? parseNumber(set.reaction, 'reaction, s') : undefined
    const wrong = [load, pressure, reaction].find((each) => each && !each.ok)
    return {
      body: {
        surface: set.surface,
        brakes: set.brakes,
        ...(load?.ok && { loadKg: load.value }),
        ...(pressure?.ok && { pressureBar: pressure.value }),
        ...(reaction?.ok && { reactionS: reaction.value }),
      },
      ...(wrong && !wrong.ok && { fault: wrong.error.message }),
    }
  }
  return (
    <section aria-label="Stop tests">
      <Label>Stop tests</Label>
      <p>
        <b>{verdict.say}</b>
      </p>
      {runs.length > 0 && <Runs runs={runs} verdict={verdict} length={length} onWorked={onWorked} />}
      {!isEnded && (
        <>
          <Cautions>
            <li>
              Optional. Same rider, same clear level place, same speed, a mark on the ground; never while something
              stands against riding it. {CAUTIONS.walking.text}
            </li>
          </Cautions>
          <Setting set={set} onLay={lay} length={length} />
          <ByMark
            jobId={jobId}
            length={length}
            way={nextWay(set.phase)}
            onLog={(speedKmh, distanceM, direction) => {
              const { body, fault } = told()
              if (fault) return fault
              write([
                {
                  kind: 'run',
                  phase: set.phase,
                  direction,
                  speedKmh,
                  distanceM,
                  ...body,
                  instrument: 'mark on the ground',
                } as EntryBody,
              ])
              return undefined
            }}
          />
          <Traces
            job={job}
            length={length}
            phase={set.phase}
            onLog={(fits, name) => {
              const { body, fault } = told()
              if (fault) return fault
              let direction = nextWay(set.phase)
              const bodies = fits.map((fit): EntryBody => {
                const entry = {
                  kind: 'run',
                  phase: set.phase,
                  direction,
                  speedKmh: Number((fit.speedMs * 3.6).toFixed(2)),
                  distanceM: Number(fit.distanceM.toFixed(2)),
                  ...body,
                  instrument: `trace, ${name}`.slice(0, 80),
                  decelerationMs2: Number(fit.decelerationMs2.toFixed(3)),
                  decelerationSdMs2: Number(fit.sdMs2.toFixed(3)),
                } as EntryBody & { reactionS?: number }
                // A trace begins where the brake holds: nobody’s reaction is in it.
                const { reactionS: _, ...without } = entry
                direction = other[direction]
                return without as EntryBody
              })
              write(bodies)
              return undefined
            }}
          />
        </>
      )}
      <Beside job={job} runs={runs} length={length} onWorked={onWorked} />
    </section>
  )
}

function Runs({
  runs,
  verdict,
  length,
  onWorked,
}: Pick<NotesProps, 'length' | 'onWorked'> & {
  readonly runs: readonly RunEntry[]
  readonly verdict: ReturnType<typeof verdictOf>
}) {
  return (
    <>
      <Ruled>
        <thead>
          <tr>
            <th>run</th>
            <th>speed</th>
            <th>distance</th>
            <th>{`from ${showSpeed(verdict.nominalKmh, length)}`}</th>
            <th>plateau</th>
          </tr>
        </thead>
        <tbody>
          {(['before', 'after'] as const).flatMap((phase) =>
            runs
              .filter((run) => run.phase === phase)
              .map((run, index) => (
                <tr key={run.id}>
                  <td>{`${phase}, ${run.direction}`}</td>
                  <td style={{ whiteSpace: 'nowrap' }}>{showSpeed(run.speedKmh, length)}</td>
                  <td style={{ whiteSpace: 'nowrap' }}>{showWay(run.distanceM, length)}</td>
                  <td style={{ whiteSpace: 'nowrap' }}>
                    <b>{showWay(verdict[phase]?.corrected[index] ?? 0, length)}</b>
                  </td>
                  <td style={{ whiteSpace: 'nowrap' }}>
                    {run.decelerationMs2 === undefined ? '' : `${run.decelerationMs2.toFixed(1)} m/s²`}
                  </td>
                </tr>
              )),
          )}
        </tbody>
      </Ruled>
      <Press quiet onPress={() => onWorked('distances corrected to one speed', verdict.worked)}>
        Working
      </Press>
    </>
  )
}

function Setting({
  set,
  onLay,
  length,
}: {
  set: Set
  onLay: (more: Partial<Set>) => void
  length: NotesProps['length']
}) {
  return (
    <>
      <Row>
        <Toggles
          label="when"
          options={[
            { id: 'before', title: 'Before the work' },
            { id: 'after', title: 'After it' },
          ]}
          value={set.phase}
          onChange={(phase) => onLay({ phase: phase as Set['phase'] })}
        />
        <Toggles
          label="ground"
          options={[
            { id: 'dry', title: 'dry' },
            { id: 'wet', title: 'wet' },
          ]}
          value={set.surface}
          onChange={(surface) => onLay({ surface: surface as Set['surface'] })}
        />
        <Toggles
          label="brakes"
          options={[
            { id: 'both', title: 'both brakes' },
            { id: 'this', title: 'this one' },
          ]}
          value={set.brakes}
          onChange={(brakes) => onLay({ brakes: brakes as Set['brakes'] })}
        />
      </Row>
      <Row>
        <TextField
          label="bicycle, rider, load, kg"
          decimal
          width={170}
          value={set.load}
          onChange={(load) => onLay({ load })}
        />
        <TextField
          label="tyre, bar"
          decimal
          width={100}
          placeholder="as it is"
          value={set.pressure}
          onChange={(pressure) => onLay({ pressure })}
        />
        <TextField
          label={`gain worth having, ${length === 'in' ? 'ft' : 'm'}`}
          decimal
          width={170}
          placeholder={showWay(WORTH_M, length).replace(/ .*/, '')}
          value={set.worth}
          onChange={(worth) => onLay({ worth })}
        />
      </Row>
      <Row>
        <Toggles
          label="reaction"
          options={[
            { id: 'outside', title: 'From the mark where it is braked' },
            { id: 'inside', title: 'Reaction inside' },
          ]}
          value={set.inside ? 'inside' : 'outside'}
          onChange={(id) => onLay({ inside: id === 'inside' })}
        />
        {set.inside && (
          <TextField
            label="reaction, s"
            decimal
            width={110}
            value={set.reaction}
            onChange={(reaction) => onLay({ reaction })}
          />
        )}
      </Row>
    </>
  )
}

interface Typed {
  readonly speed: string
  readonly distance: string
}

/** A stop measured on the ground: speed and distance, in this workshop’s units or with their own. */
function ByMark({
  jobId,
  length,
  way,
  onLog,
}: {
  readonly jobId: string
  readonly length: NotesProps['length']
  readonly way: 'out' | 'back'
  readonly onLog: (speedKmh: number, distanceM: number, direction: 'out' | 'back') => string | undefined
}) {
  const [typed, change] = useKept<Typed>(`overhaul.stop.${jobId}`, { speed: '', distance: '' })
  const [turned, setTurned] = useState(false)
  const [fault, setFault] = useState<string>()
  const direction = turned ? other[way] : way
  const [speedUnit, wayUnit] = length === 'in' ? (['mph', 'ft'] as const) : (['kmh', 'm'] as const)
  const log = () => {
    const speed = parseQuantity(typed.speed, speedUnit, 'speed')
    if (!speed.ok) return setFault(speed.error.message)
    const distance = parseQuantity(typed.distance, wayUnit, 'distance')
    if (!distance.ok) return setFault(distance.error.message)
    const wrong = onLog(speed.value, distance.value / 1000, direction)
    setFault(wrong)
    setTurned(false)
    if (!wrong) change(() => ({ speed: '', distance: '' }))
  }
  return (
    <Row
      as="form"
      aria-label="A run"
      onSubmit={(event: { preventDefault(): void }) => {
        event.preventDefault()
        log()
      }}
    >
      <TextField
        label={`speed, ${length === 'in' ? 'mph' : 'km/h'}`}
        decimal
        width={110}
        value={typed.speed}
        onChange={(speed) => change((now) => ({ ...now, speed }))}
      />
      <TextField
        label={`distance, ${wayUnit}`}
        decimal
        width={110}
        value={typed.distance}
        onChange={(distance) => change((now) => ({ ...now, distance }))}
      />
      <Toggles
        label="direction"
        options={[
          { id: 'out', title: 'out' },
          { id: 'back', title: 'back' },
        ]}
        value={direction}
        onChange={(id) => setTurned(id !== way)}
      />
      <Press type="submit" isDisabled={typed.speed.trim() === '' || typed.distance.trim() === ''}>
        Log this run
      </Press>
      {fault && <Complaint>{fault}</Complaint>}
    </Row>
  )
}

/** What the practice rider comes to: a little better after the work. */
const PRACTICE = { before: 3.3, after: 4.6 } as const

function Traces({
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

/** What no brake of this bicycle does better, and what the public rules ask. */
function Beside({
  job,
  runs,
  length,
  onWorked,
}: Pick<NotesProps, 'job' | 'length' | 'onWorked'> & { readonly runs: readonly RunEntry[] }) {
  const { limits, worked } = limitsFor(job)
  const rules = rulesBeside(runs, job.here.end)
  return (
    <Fold title="Limits of this bicycle, and public rules">
      {limits.map(({ id, title, g, ms2 }) => (
        <p key={id}>{`At ${g.toFixed(2)} g, ${ms2.toFixed(1)} m/s², ${title}.`}</p>
      ))}
      <Press quiet onPress={() => onWorked('limits of this bicycle', worked)}>
        Working
      </Press>
      <Ruled>
        <thead>
          <tr>
            <th>rule</th>
            <th>brakes</th>
            <th>after the work</th>
          </tr>
        </thead>
        <tbody>
          {rules.map(({ rule, meanM, holds }) => (
            <tr key={rule.id}>
              <td>
                {rule.title}
                <br />
                <Slate>{rule.says}</Slate>
                <br />
                <SourceNote source={rule.source} />
              </td>
              <td>{rule.brakes === 'both' ? 'both' : `${rule.brakes} alone`}</td>
              <td>
                {meanM === undefined
                  ? 'no run of its kind'
                  : `${showWay(meanM, length)}, ${holds ? 'held' : 'not held'}`}
              </td>
            </tr>
          ))}
        </tbody>
      </Ruled>
    </Fold>
  )
}
