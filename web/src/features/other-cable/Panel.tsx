import type { NotesProps } from '../notes.ts'
import { OtherEnd } from '../other-end/OtherEnd.tsx'

/** How the cable was cut at the other end. */
export const Panel = ({ jobId }: Pick<NotesProps, 'jobId'>) => <OtherEnd jobId={jobId} of="cable" />
