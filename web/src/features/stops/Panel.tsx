import { type RunEntry, runsIn } from '@overhaul/core/features/prove/runs'
import { verdictOf, WORTH_M } from '@overhaul/core/features/prove/verdict'
import { parseNumber } from '@overhaul/core/quantity/number'
import { parseQuantity } from '@overhaul/core/quantity/quantity'
import { CAUTIONS } from '@overhaul/core/reference/cautions'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { lastSeen } from '@overhaul/core/stand/fold'
import { useMemo } from 'react'
import { useKept } from '../../data/use-kept.ts'
import { Row } from '../../ui/layout.ts'
import { Toggles } from '../../ui/Toggles.tsx'
import { Cautions, Label } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { Beside } from './Beside.tsx'
import { ByMark } from './ByMark.tsx'
import { Runs } from './Runs.tsx'
import { RunsDrawing } from './RunsDrawing.tsx'
import { Setting } from './Setting.tsx'
import { other, type StopSetting } from './stop-setting.ts'
import { Traces } from './Traces.tsx'

/** Stops ridden before and after the work: whether it stops shorter, how sure that is, and how many more would tell. */
export function Panel({ job, jobId, length, write, onWorked }: NotesProps) {
  const { state, dimensions: d } = job
  const runs = useMemo(() => runsIn(state.standing), [state.standing])
  const [set, change] = useKept<StopSetting>(`overhaul.stops.${jobId}`, {
    phase: state.standing.some(({ kind }) => kind === 'turn') ? 'after' : 'before',
    surface: 'dry',
    brakes: 'both',
    load: String(d.loadedMassKg ?? ''),
    pressure: '',
    reaction: '0.7',
    inside: false,
    worth: '',
  })
  const lay = (more: Partial<StopSetting>) => change((now) => ({ ...now, ...more }))
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
      <RunsDrawing verdict={verdict} length={length} />
      {runs.length > 0 && <Runs runs={runs} verdict={verdict} length={length} onWorked={onWorked} />}
      {!isEnded && (
        <>
          <Cautions>
            <li>
              Optional. Same rider, same clear level place, same speed, a mark on the ground; never while something
              stands against riding it. {CAUTIONS.walking.text}
            </li>
          </Cautions>
          <Row>
            <Label>Rider to the throw</Label>
            <Toggles
              label="rider to the throw"
              options={(job.kit.seeing('throwSaid')?.options ?? []).map(({ id, title }) => ({ id, title }))}
              value={lastSeen(state, 'throwSaid') ?? ''}
              onChange={(value) => write([{ kind: 'reading', reading: 'throwSaid', value, unit: '' }])}
            />
          </Row>
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
