import { limitsFor, rulesBeside } from '@overhaul/core/features/prove/limits'
import type { RunEntry } from '@overhaul/core/features/prove/runs'
import { showWay } from '@overhaul/core/stand/show'
import { Fold } from '../../ui/Fold.tsx'
import { Ruled } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Slate, SourceNote } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

/** What no brake of this bicycle does better, and what the public rules ask. */
export function Beside({
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
