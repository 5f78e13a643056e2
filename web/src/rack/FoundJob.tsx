import { Link } from 'react-router'
import { useJobNumbered } from '../data/queries.ts'

/** A job sought by its number, however long ago it was ended. */
export function FoundJob({ sought }: { sought: string }) {
  const number = /^\s*(?:job\s*)?0*(\d{3,})\s*$/i.exec(sought)?.[1]
  const { data: job } = useJobNumbered(number === undefined ? undefined : Number(number))
  if (!job) return null
  return (
    <p role="status">
      <Link to={`/stand/${job.id}`}>Job {job.number}</Link>
      {job.complaint && `, “${job.complaint}”`}: {job.summary.nextSay}
    </p>
  )
}
