import { defineCalculation, figure } from '../calculation/calculation.ts'
import { bandCrossings, fitLine } from '../mechanics/regression.ts'
import { tQuantile } from '../mechanics/student.ts'
import { ok, refuse } from '../outcome/outcome.ts'

const orNever = (value: number | null) => (value === null ? 'never' : figure(value))

export const wearForecast = defineCalculation({
  id: 'wear-forecast',
  title: 'Wear forecast',
  summary: 'When a worn thing meets its limit, with the earliest and latest that its readings allow.',
  inputs: {
    x: { type: 'list', unit: '', meaning: 'days, km or uses at each reading' },
    y: { type: 'list', unit: '', meaning: 'the readings' },
    limit: { type: 'number', unit: '', meaning: 'where it is worn out' },
    confidence: {
      type: 'number',
      unit: '',
      min: 0,
      max: 0.9999,
      aboveMin: true,
      default: 0.9,
      meaning: 'of the prediction band, two-sided',
    },
  },
  outputs: {
    slope: { type: 'number', unit: '', meaning: 'wear for one x' },
    intercept: { type: 'number', unit: '', meaning: 'the line at x = 0' },
    residualSd: { type: 'number', unit: '', meaning: 'scatter of the readings about the line' },
    crossing: { type: 'number', unit: '', nullable: true, meaning: 'x where the line meets the limit' },
    crossingEarliest: { type: 'number', unit: '', nullable: true, meaning: 'x where the band first meets it' },
    crossingLatest: { type: 'number', unit: '', nullable: true, meaning: 'x where the band last meets it' },
  },
  sources: [{ kind: 'textbook', title: 'Ordinary least squares; prediction band by Student’s t' }],
  example: { x: [0, 30, 60, 95, 120], y: [4, 3.7, 3.2, 2.9, 2.6], limit: 1.5 },
  run({ x, y, limit, confidence }) {
    if (x.length !== y.length)
      return refuse('out-of-range', 'y', `y has ${y.length} readings and x has ${x.length}. Accepted: as many of each.`)
    if (x.length < 3) return refuse('out-of-range', 'x', `x has ${x.length} readings. Accepted: at least 3.`)
    if (x.every((each) => each === x[0]))
      return refuse('out-of-range', 'x', `Every x is ${x[0]}. Accepted: at least two different ones.`)
    const line = fitLine(x, y)
    const { crossing, earliest, latest } = bandCrossings(line, limit, tQuantile((1 + confidence) / 2, x.length - 2))
    return ok({
      slope: line.slope,
      intercept: line.intercept,
      residualSd: line.residualSd,
      crossing,
      crossingEarliest: earliest,
      crossingLatest: latest,
    })
  },
  working: (i, o) => [
    {
      formula: 'y = intercept + slope·x, least squares',
      numbers: `${figure(o.intercept)} + ${figure(o.slope)}·x, scatter ${figure(o.residualSd)}, from ${i.x.length} readings`,
    },
    {
      formula: 'limit = y ± t·s·√(1 + 1/n + (x − x̄)²/Sxx)',
      numbers: `meets ${figure(i.limit)} at ${orNever(o.crossing)}, earliest ${orNever(o.crossingEarliest)}, latest ${orNever(o.crossingLatest)}`,
    },
  ],
})
