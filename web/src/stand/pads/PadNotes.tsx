import type { NotesProps } from '../notes.ts'
import { DriftNotes } from './DriftNotes.tsx'
import { ToeNotes } from './ToeNotes.tsx'
import { WasherNotes } from './WasherNotes.tsx'
import { WayRound } from './WayRound.tsx'

/** What is worked out for the pads: their way round, their drift as they wear, washers, and what makes the toe-in. */
export function PadNotes(props: NotesProps) {
  return (
    <>
      <WayRound />
      <DriftNotes {...props} />
      <WasherNotes {...props} />
      <ToeNotes {...props} />
    </>
  )
}
