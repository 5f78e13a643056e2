import { defineCalculation, figure } from '../calculation/calculation.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0, lengthFrom0 } from './specs.ts'

/** Beyond the wall, so that the lips are through and not only the point. */
const THROUGH_MM = 1

export const drillAccess = defineCalculation({
  id: 'drill-access',
  title: 'Does a drill fit?',
  summary: 'Whether a right-angle drill and a short bit fit in the room there is, and how long the bit may be.',
  inputs: {
    roomMm: lengthFrom0('free length along the hole, from the face to be drilled', 500),
    headMm: lengthAbove0('drill, back of its head to the mouth of its chuck', 400),
    cutMm: lengthAbove0('wall to be drilled, or depth of the recess', 100),
    bitMm: lengthAbove0('diameter of the bit', 20),
    pointDeg: { type: 'number', unit: '°', min: 60, max: 160, default: 118, meaning: 'angle of the bit’s point' },
  },
  outputs: {
    longestBitMm: {
      type: 'number',
      unit: 'mm',
      meaning: 'bit standing out of the chuck, at most',
    },
    shortestBitMm: {
      type: 'number',
      unit: 'mm',
      meaning: 'bit standing out of the chuck, at least: the cut, its point and a little more',
    },
    fits: { type: 'boolean', unit: '', meaning: 'the longest is not shorter than the shortest' },
  },
  sources: [
    { kind: 'computed', title: 'Point of a bit: half its diameter over the tangent of half its angle' },
    { kind: 'common-practice', title: 'Point angle 118°; 1 mm beyond the wall' },
  ],
  example: { roomMm: 95, headMm: 70, cutMm: 1, bitMm: 8 },
  run({ roomMm, headMm, cutMm, bitMm, pointDeg }) {
    if (headMm >= roomMm)
      return refuse(
        'impossible-geometry',
        'headMm',
        `The drill’s head is ${figure(headMm)} mm, the room ${figure(roomMm)} mm: no bit goes before it. Accepted: a head shorter than the room.`,
      )
    const longestBitMm = roomMm - headMm
    const point = bitMm / 2 / Math.tan(((pointDeg / 2) * Math.PI) / 180)
    const shortestBitMm = cutMm + point + THROUGH_MM
    return ok({ longestBitMm, shortestBitMm, fits: longestBitMm >= shortestBitMm })
  },
  working: (i, o) => [
    {
      formula: 'longest = room − head',
      numbers: `${figure(i.roomMm)} − ${figure(i.headMm)} = ${figure(o.longestBitMm)} mm`,
    },
    {
      formula: 'shortest = cut + (d/2)/tan(point/2) + 1',
      numbers: `${figure(i.cutMm)} + ${figure(o.shortestBitMm - i.cutMm - THROUGH_MM)} + 1 = ${figure(o.shortestBitMm)} mm`,
    },
  ],
})

export const reaming = defineCalculation({
  id: 'reaming',
  title: 'How much to ream',
  summary: 'What remains for the reamer after the last bit, so that the sleeve nut just slides.',
  inputs: {
    bitMm: lengthAbove0('diameter of the last bit; 5/16 in is 7.9375 mm', 20),
    nutMm: lengthAbove0('outside diameter of the nut’s sleeve', 20),
    clearanceMm: { type: 'number', unit: 'mm', min: 0, max: 1, default: 0.05, meaning: 'so that it just slides' },
  },
  outputs: {
    holeMm: { type: 'number', unit: 'mm', meaning: 'finished hole' },
    reamMm: { type: 'number', unit: 'mm', meaning: 'to take out on the diameter; 0 where the bit is wide enough' },
  },
  sources: [
    { kind: 'unit-definition', title: 'Inch 25.4 mm' },
    { kind: 'our-choice', title: '0.05 mm of clearance: slides by hand, does not rattle' },
  ],
  example: { bitMm: 7.9375, nutMm: 8 },
  run({ bitMm, nutMm, clearanceMm }) {
    const holeMm = nutMm + clearanceMm
    return ok({ holeMm, reamMm: Math.max(0, holeMm - bitMm) })
  },
  working: (i, o) => [
    {
      formula: 'ream = nut + clearance − bit',
      numbers: `${figure(i.nutMm)} + ${figure(i.clearanceMm)} − ${figure(i.bitMm)} = ${figure(o.reamMm)} mm`,
    },
  ],
})
