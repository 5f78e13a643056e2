import type { NotesProps } from '../notes.ts'
import { OtherEnd } from '../other-end/OtherEnd.tsx'

/** How far the pads had to reach at the other end. */
export const Panel = ({ jobId }: Pick<NotesProps, 'jobId'>) => <OtherEnd jobId={jobId} of="reach" />
