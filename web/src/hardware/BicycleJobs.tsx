import type { BicycleRecord } from '@overhaul/core/http/contract'
import { formatNumber, formatQuantity, type LengthUnit, shownUnit } from '@overhaul/core/quantity/quantity'
import type { Before } from '@overhaul/core/sheet/found'
import { sayDay } from '@overhaul/core/stand/when'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { Link } from 'react-router'
import { useSettings } from '../app/settings.ts'
import { Ruled } from '../ui/layout.ts'
import { Label, Slate } from '../ui/words.tsx'

/** A reading as found and as left: “gap left 2.1 → 0.9 mm”. */
const sayIn =
  (length: LengthUnit) =>
  ({ title, unit, decimals, found, left }: Before): string => {
    const shown = shownUnit(unit, length)
    const fine = shown === unit ? decimals : undefined
    const before = found === undefined || found === left ? '' : `${formatNumber(found, shown, fine)} → `
    return `${title} ${before}${formatQuantity(left, shown, fine)}`
  }

/** Every job on what hangs on a bicycle, and on what hung there before, newest first. */
export function BicycleJobs({ bicycle }: { bicycle: BicycleRecord }) {
  const { length } = useSettings()
  const jobs = bicycle.brakes
    .flatMap((brake) => brake.jobs.map((job) => ({ ...job, brake })))
    .sort((a, b) => b.number - a.number)
  if (jobs.length === 0) return <Slate>No job was opened on this bicycle yet.</Slate>
  return (
    <section aria-label="Jobs" style={{ overflowX: 'auto', flex: 'none', minHeight: 'max-content' }}>
      <Label>Jobs</Label>
      <Ruled>
        <thead>
          <tr>
            <th>job</th>
            <th>opened</th>
            <th>brake</th>
            <th>what was wrong</th>
            <th>found and left</th>
            <th>minutes</th>
            <th>how it stands</th>
            <th>sheet</th>
          </tr>
        </thead>
        <tbody>
          {jobs.map(({ id, number, openedAt, releasedAt, closedAt, complaint, says, readings, minutes, brake }) => (
            <tr key={id}>
              <td>
                <Link to={`/stand/${id}`} aria-label={`Job ${number} on the Stand`}>
                  {number}
                </Link>
              </td>
              <td>{sayDay(openedAt)}</td>
              <td>
                {brake.end}, {FAMILIES.find((each) => each.id === brake.hardware.family)?.title}
                {brake.retiredAt && ', hung here before'}
              </td>
              <td>{complaint || '–'}</td>
              <td>{readings.map(sayIn(length)).join('; ') || '–'}</td>
              <td>{minutes > 0 ? minutes : '–'}</td>
              <td>
                {says}
                {releasedAt && ` ${sayDay(releasedAt)}`}
                {closedAt && ` ${sayDay(closedAt)}`}
              </td>
              <td>
                <Link to={`/jobs/${id}/sheet`} aria-label={`Sheet of job ${number}`}>
                  sheet
                </Link>
              </td>
            </tr>
          ))}
        </tbody>
      </Ruled>
    </section>
  )
}
