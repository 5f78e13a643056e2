import { boltMountOf, checkMeasured } from '@overhaul/core/features/mount/measured'
import { definePanel } from '../define-panel.ts'
import { isPlanned } from './is-planned.ts'
import { measuredWith } from './measured-with.ts'

export const panel = definePanel({
  order: 10,
  stations: ['mount'],
  serves: isPlanned,
  bench: {
    label: 'the mount in section',
    claims: isPlanned,
    // Once all of it is known, be it only typed, the mount is shown with the ways it can be fitted.
    overDetails: (job, drafts) => {
      const measured = measuredWith(job, drafts)
      return checkMeasured(measured).ok && boltMountOf(measured) !== undefined
    },
  },
})
