import type { Part } from '@overhaul/core/drawer/part'
import { lastReading } from '@overhaul/core/stand/fold'
import { showQuantity } from '@overhaul/core/stand/show'
import { useDrawer } from '../../data/drawer.ts'
import type { NotesProps } from '../notes.ts'
import { FromDrawer } from '../plans/FromDrawer.tsx'

/** Heights nearer than this are the same. Our choice. */
const SAME_MM = 0.5

/** Pads in the drawer, those as high as the old ones first: what kind they are is matched by shape and size. */
export function Panel({ job, jobId, length, write }: NotesProps) {
  const { data: stock = [] } = useDrawer()
  const high = lastReading(job.state, 'padHigh')
  const off = ({ dimensions }: Part) => Math.abs((dimensions.heightMm ?? 0) - (high ?? dimensions.heightMm ?? 0))
  const mm = (value: number | undefined) => showQuantity(value ?? 0, 'mm', length)
  return (
    <section aria-label="Pads in the drawer">
      <FromDrawer
        title="Pads in the drawer"
        none="None for a disc."
        jobId={jobId}
        ended={job.state.ended !== undefined}
        parts={stock.filter(({ kind, count }) => kind === 'disc-pads' && count > 0).toSorted((a, b) => off(a) - off(b))}
        say={(part) =>
          [
            `${mm(part.dimensions.lengthMm)} × ${mm(part.dimensions.heightMm)}, compound ${mm(part.dimensions.compoundMm)}`,
            part.material,
          ]
            .filter(Boolean)
            .join(', ')
        }
        fits={(part) =>
          high === undefined ? undefined : off(part) <= SAME_MM ? 'as high as the old ones' : 'of another height'
        }
        take="Put on"
        onTake={(part) => write([{ kind: 'swap', part: 'pads', to: part.name }])}
      />
    </section>
  )
}
