import type { Part } from '@overhaul/core/drawer/part'
import { puttingOn, sparePads } from '@overhaul/core/features/pads/at-hand'
import { formatNumber, shownUnit } from '@overhaul/core/quantity/quantity'
import { lastReading, lastSeen } from '@overhaul/core/stand/fold'
import { useDrawer } from '../../data/drawer.ts'
import type { NotesProps } from '../notes.ts'
import { FromDrawer } from '../plans/FromDrawer.tsx'

/** Pads in the drawer that may go on this rim: taken for this job and written as put on in one act. */
export function SpareNotes({ job, jobId, length, write }: Omit<NotesProps, 'onWorked'> & { readonly jobId: string }) {
  const { data: stock = [] } = useDrawer()
  const [lengthMm, heightMm, trackMm] = ['padLength', 'padTall', 'trackTall'].map((id) => lastReading(job.state, id))
  const spares = sparePads(stock, { rim: lastSeen(job.state, 'rimMaterial'), lengthMm, heightMm, trackMm })
  const shown = shownUnit('mm', length)
  const size = ({ dimensions }: Part) =>
    `${[dimensions.lengthMm, dimensions.heightMm, dimensions.thicknessMm]
      .map((each) => formatNumber(each as number, shown, shown === 'in' ? 2 : 0))
      .join(' × ')} ${shown}`
  return (
    <section aria-label="Pads in the drawer">
      <FromDrawer
        title="Pads in the drawer"
        none="None that suit this rim and fit on its track."
        jobId={jobId}
        ended={job.state.ended !== undefined}
        parts={spares.map(({ part }) => part)}
        say={size}
        fits={(part) => spares.find((each) => each.part === part)?.say}
        take="Put on"
        onTake={(part) => write(puttingOn(part))}
      />
    </section>
  )
}
