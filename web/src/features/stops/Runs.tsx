import type { RunEntry } from '@overhaul/core/features/prove/runs'
import type { verdictOf } from '@overhaul/core/features/prove/verdict'
import { showSpeed, showWay } from '@overhaul/core/stand/show'
import { Ruled } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import type { NotesProps } from '../notes.ts'

/** Every run with its distance corrected to the one speed. */
export function Runs({
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
