import { leverWeightAt } from '@overhaul/core/features/cable/judge'
import { Press } from '../../ui/Press.tsx'
import { Complaint, Label, Read, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

/** What a spring scale on the blade tells: how strong the springs are, and what the cable takes. */
export function Panel({ job, onWorked }: Pick<NotesProps, 'job' | 'onWorked'>) {
  const weight = leverWeightAt(job)
  return (
    <section aria-label="Lever weight">
      <Label>Lever weight</Label>
      {!weight && (
        <Slate>
          With a spring scale on the blade, read as it begins to move (<kbd>lw</kbd>) and as it is let back (
          <kbd>lr</kbd>), springs and cable are told apart.
        </Slate>
      )}
      {weight && !weight.ok && <Complaint>{weight.error.message}</Complaint>}
      {weight?.ok && (
        <>
          <p>
            <Read>{`${weight.value.say} ${weight.value.remedy}`}</Read>
          </p>
          <Press quiet onPress={() => onWorked('lever weight', weight.value.worked)}>
            Working
          </Press>
        </>
      )}
    </section>
  )
}
