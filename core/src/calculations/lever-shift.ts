import { defineCalculation, figure } from '../calculation/calculation.ts'
import { ok } from '../outcome/outcome.ts'
import { lengthAbove0, lengthFrom0 } from './specs.ts'

/** Edges that just touch do not clash: what tenths of a millimetre leave behind when they are added, mm. */
const TOUCHING_MM = 1e-6

export const leverShift = defineCalculation({
  id: 'lever-shift',
  title: 'Where the lever belongs along the bar',
  summary: 'How far to move the lever so that the index finger lies in its hook. Positions from the bar’s outer end.',
  inputs: {
    handOffsetMm: lengthFrom0('bar’s end to the outer edge of the hand', 300),
    handBreadthMm: lengthAbove0('hand across the four fingers', 150),
    fingerBreadthMm: lengthAbove0('index finger', 40),
    clampMm: lengthAbove0('bar’s end to the lever’s clamp', 500),
    clampToHookMm: lengthFrom0('clamp to the hook of the blade, outwards', 300),
    clampToTipMm: lengthFrom0('clamp to the outer end of the blade', 300),
    reachMm: lengthAbove0('bar to blade at the finger', 150),
  },
  outputs: {
    shiftInboardMm: { type: 'number', unit: 'mm', meaning: 'how far the lever should move, inwards positive' },
    knuckleClash: {
      type: 'boolean',
      unit: '',
      meaning: 'the blade’s end lies over another finger: it traps the knuckle',
    },
    usableTravelMm: { type: 'number', unit: 'mm', meaning: 'travel to be had before the shift' },
  },
  sources: [{ kind: 'computed', title: 'Positions along the bar; a finger taken as thick as it is broad' }],
  example: {
    handOffsetMm: 10,
    handBreadthMm: 85,
    fingerBreadthMm: 20,
    clampMm: 150,
    clampToHookMm: 90,
    clampToTipMm: 110,
    reachMm: 60,
  },
  run(i) {
    const index = i.handOffsetMm + i.handBreadthMm - i.fingerBreadthMm / 2
    const knuckleClash = i.clampMm - i.clampToTipMm < index - i.fingerBreadthMm / 2 - TOUCHING_MM
    return ok({
      shiftInboardMm: index - (i.clampMm - i.clampToHookMm),
      knuckleClash,
      usableTravelMm: knuckleClash ? Math.max(0, i.reachMm - i.fingerBreadthMm) : i.reachMm,
    })
  },
  working: (i, o) => [
    {
      formula: 'index = hand offset + breadth − finger/2; hook = clamp − clamp to hook',
      numbers: `${figure(i.handOffsetMm + i.handBreadthMm - i.fingerBreadthMm / 2)} and ${figure(i.clampMm - i.clampToHookMm)} mm`,
    },
    { formula: 'shift = index − hook', numbers: `${figure(o.shiftInboardMm)} mm` },
  ],
})
