import { defineCalculation, figure } from '../calculation/calculation.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { checkBeadSeat } from '../reference/wheel-sizes.ts'
import { lengthAbove0 } from './specs.ts'

export const reachChange = defineCalculation({
  id: 'reach-change',
  title: 'Reach with another wheel size',
  summary: 'How the track moves against the mounting hole or the boss when the wheel changes.',
  inputs: {
    fromBsdMm: lengthAbove0('bead seat diameter of the wheel the frame was built for', 800),
    toBsdMm: lengthAbove0('bead seat diameter of the wheel to be fitted', 800),
    mount: {
      type: 'choice',
      unit: '',
      choices: ['above', 'boss'],
      default: 'above',
      meaning: 'brake hung above the wheel, or on bosses below the track',
    },
  },
  outputs: {
    reachChangeMm: {
      type: 'number',
      unit: 'mm',
      meaning: 'above: positive, the brake must reach further down; boss: positive, the pads sit further from the boss',
    },
  },
  sources: [
    { kind: 'standard', title: 'ISO 5775-1, bead seat diameters' },
    { kind: 'computed', title: 'Half the difference of the diameters' },
  ],
  example: { fromBsdMm: 630, toBsdMm: 622 },
  run({ fromBsdMm, toBsdMm, mount }) {
    const from = checkBeadSeat(fromBsdMm, 'fromBsdMm')
    if (!from.ok) return from
    const to = checkBeadSeat(toBsdMm, 'toBsdMm')
    if (!to.ok) return to
    return ok({ reachChangeMm: ((mount === 'above' ? 1 : -1) * (fromBsdMm - toBsdMm)) / 2 })
  },
  working: (i, o) => [
    {
      formula: i.mount === 'above' ? 'change = (from − to)/2' : 'change = (to − from)/2',
      numbers: `${figure(i.fromBsdMm)} and ${figure(i.toBsdMm)} → ${figure(o.reachChangeMm)} mm`,
    },
  ],
})

export const reachFit = defineCalculation({
  id: 'reach-fit',
  title: 'Do the pads reach the track?',
  summary: 'Where in its slot the pad stands for the reach this frame needs.',
  inputs: {
    reachNeededMm: lengthAbove0('mounting hole to middle of the track, along the stays or fork', 200),
    slotMinMm: lengthAbove0('shortest reach of the caliper', 200),
    slotMaxMm: lengthAbove0('longest reach of the caliper', 200),
  },
  outputs: {
    fits: { type: 'boolean', unit: '', meaning: 'the pads reach the track' },
    slotPosition: { type: 'number', unit: '', meaning: '0 at the shortest reach, 1 at the longest' },
    marginMm: { type: 'number', unit: 'mm', meaning: 'to the nearer end of the slot, negative if it does not fit' },
  },
  sources: [
    { kind: 'computed', title: 'Position in the slot' },
    { kind: 'from-memory', title: 'Common caliper reaches 39–49, 47–57 and 55–73 mm' },
  ],
  example: { reachNeededMm: 53, slotMinMm: 47, slotMaxMm: 57 },
  run({ reachNeededMm, slotMinMm, slotMaxMm }) {
    if (slotMaxMm <= slotMinMm) {
      return refuse(
        'out-of-range',
        'slotMaxMm',
        `slotMaxMm is ${slotMaxMm}. Accepted: more than slotMinMm, ${slotMinMm} mm.`,
      )
    }
    const marginMm = Math.min(reachNeededMm - slotMinMm, slotMaxMm - reachNeededMm)
    return ok({ fits: marginMm >= 0, slotPosition: (reachNeededMm - slotMinMm) / (slotMaxMm - slotMinMm), marginMm })
  },
  working: (i, o) => [
    {
      formula: 'position = (needed − min)/(max − min); margin to the nearer end',
      numbers: `(${figure(i.reachNeededMm)} − ${figure(i.slotMinMm)})/(${figure(i.slotMaxMm)} − ${figure(i.slotMinMm)}) = ${figure(o.slotPosition)}; ${figure(o.marginMm)} mm`,
    },
  ],
})
