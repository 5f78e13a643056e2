import type { NotesProps } from '../notes.ts'
import { DriftNotes } from './DriftNotes.tsx'
import { SpareNotes } from './SpareNotes.tsx'
import { ToeNotes } from './ToeNotes.tsx'
import { WasherNotes } from './WasherNotes.tsx'
import { WayRound } from './WayRound.tsx'

/** What is worked out for the pads: their way round, their drift as they wear, washers, what makes the toe-in, and spares. */
export function Panel(props: NotesProps & { readonly jobId: string }) {
  return (
    <>
      <WayRound />
      <DriftNotes {...props} />
      <WasherNotes {...props} />
      <ToeNotes {...props} />
      <SpareNotes {...props} />
    </>
  )
}
