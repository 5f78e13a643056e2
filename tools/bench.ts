import { parseArgs } from 'node:util'
import { kitOf } from '@overhaul/core/bench/kit'
import { bookDimensions, hereAt } from '@overhaul/core/brake/dimension'
import { advise } from '@overhaul/core/dial-in/advice'
import { believe, standingWalk } from '@overhaul/core/dial-in/belief'
import type { Part } from '@overhaul/core/drawer/part'
import { straddleAt, straddleCurve } from '@overhaul/core/features/cable/straddle'
import { planMount } from '@overhaul/core/features/mount/plan'
import { driftOutline } from '@overhaul/core/features/pads/drift-outline'
import { driftOf } from '@overhaul/core/features/pads/pads'
import { planStacks } from '@overhaul/core/features/stack/plan'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { contestOf } from '@overhaul/core/passes/contest'
import { type Bicycle, bookBicycle } from '@overhaul/core/passes/fleet'
import { judged } from '@overhaul/core/passes/trial'
import { runLine } from '@overhaul/core/run-sheet/line'
import { sheetOf } from '@overhaul/core/run-sheet/status'
import type { Entry } from '@overhaul/core/stand/entries'
import { fold } from '@overhaul/core/stand/fold'
import { BRIDGE } from '@overhaul/core/testing/mount'
import { FAMILIES, findFamily } from '@overhaul/core/workshop/families'
import { openJob } from '@overhaul/core/workshop/open'
import { type Line, quantile } from './bench-lines.ts'
import { benchScreen } from './bench-screen.ts'
import { benchServer } from './bench-server.ts'
import { benchStops } from './bench-stops.ts'
import { benchTenYears } from './bench-ten-years.ts'

/** What must be quick, measured: printed against its limit, never asserted in a timed test. */
const bicycles: readonly Bicycle[] = FAMILIES.map(bookBicycle)

const LONG = 60

/** A log as long as a stubborn brake makes it, by the hand that needs most passes. */
function longLog(bicycle: Bicycle): readonly Entry[] {
  const { draw, habit } = contestOf(bicycle)
  for (let seed = 1; ; seed += 1) {
    const { log } = judged(bicycle, draw(seed, 'usual'), habit)
    if (log.length >= LONG) return log.slice(0, LONG)
  }
}

function adviceLine(bicycle: Bicycle): Line {
  const { family, model } = bicycle
  const kit = kitOf(family)
  const log = longLog(bicycle)
  const windows = model.windows(bicycle.schools, { number: () => undefined, seen: () => undefined })
  const times = Array.from({ length: 1000 }, () => {
    const start = performance.now()
    const state = fold(kit, model, log)
    advise(believe(kit, model, state), state, windows)
    return performance.now() - start
  }).slice(400)
  return {
    what: `advice after a new reading, log of ${LONG} entries, p95: ${family.id}`,
    value: quantile(times, 0.95),
    unit: 'ms',
    limit: 5,
  }
}

function frameLine(bicycle: Bicycle): Line {
  const { family, model } = bicycle
  const kit = kitOf(family)
  const log = longLog(bicycle)
  const belief = believe(kit, model, fold(kit, model, log))
  const { q } = standingWalk(belief)
  const times = Array.from({ length: 2000 }, (_, index) => {
    const start = performance.now()
    model.frame(q, { travelMm: (index % 60) + 0.5, wheelDeg: 0 })
    return performance.now() - start
  }).slice(200)
  return {
    what: `one frame of a squeeze, p95: ${family.id}`,
    value: quantile(times, 0.95),
    unit: 'ms',
    limit: 0.2,
  }
}

function sheetLine(bicycle: Bicycle): Line {
  const { family } = bicycle
  const log = longLog(bicycle)
  const job = expectOk(openJob({ family: family.id, end: 'rear', dimensions: {} }, log))
  const times = Array.from({ length: 2000 }, () => {
    const start = performance.now()
    sheetOf(job, job.advice)
    runLine(job, job.advice)
    return performance.now() - start
  }).slice(200)
  return { what: `sheet and run line together, p95: ${family.id}`, value: quantile(times, 0.95), unit: 'ms', limit: 1 }
}

function driftLine(): Line {
  const times = Array.from({ length: 2000 }, (_, index) => {
    const { model } = bicycles[index % bicycles.length] as Bicycle
    const start = performance.now()
    const drift = expectOk(
      driftOf(model.padArm?.left ?? { inMm: 28, upMm: 28 }, 1 + (index % 20) / 10, { trackMm: 16, padMm: 8 }),
    )
    driftOutline(drift, 1, 4, { rimWidthMm: 24, tyreWidthMm: 37 })
    return performance.now() - start
  }).slice(200)
  return { what: 'drift over a pad’s life, drawn, p95', value: quantile(times, 0.95), unit: 'ms', limit: 5 }
}

/** One frame of dragging the yoke works out one point; the curve is made once for a brake. */
function straddleLines(): readonly Line[] {
  const cantilever = expectOk(findFamily('cantilever'))
  const d = bookDimensions(cantilever)
  const time = (count: number, work: (index: number) => void) =>
    Array.from({ length: count }, (_, index) => {
      const start = performance.now()
      work(index)
      return performance.now() - start
    }).slice(count / 10)
  const point = time(1000, (index) =>
    straddleAt(cantilever, d, hereAt(cantilever, 'front'), 1.5, 20 + (index % 200) / 2),
  )
  const curve = time(100, (index) =>
    straddleCurve(cantilever, { ...d, loadedMassKg: 80 + (index % 20) }, hereAt(cantilever, 'front'), 1.5),
  )
  return [
    { what: 'straddle under a dragged yoke, one frame, p95', value: quantile(point, 0.95), unit: 'ms', limit: 4 },
    { what: 'straddle, the whole curve, p95', value: quantile(curve, 0.95), unit: 'ms', limit: 100 },
  ]
}

/** A drawer of 500 kinds, half of them nuts, half washers for the very faces of the mount: the most there is to try. */
function fullDrawer(): readonly Part[] {
  const part = (index: number, kind: Part['kind'], dimensions: Record<string, number>): Part => ({
    id: String(index),
    code: String(index),
    kind,
    name: String(index),
    dimensions,
    material: kind === 'sleeve-nut' ? 'steel' : '',
    minimum: 0,
    count: 4,
  })
  return Array.from({ length: 500 }, (_, index) => {
    if (index % 4 === 0)
      return part(index, 'sleeve-nut', {
        shankMm: 5 + (index % 97) / 4,
        threadDepthMm: 6 + (index % 9),
        outerMm: 8,
        threadMm: 6,
      })
    if (index % 4 === 1) return part(index, 'hex-nut', { heightMm: 3 + (index % 31) / 10, threadMm: 6, pitchMm: 1 })
    if (index % 4 === 2)
      return part(index, 'concave-washer', {
        thicknessMm: 1 + (index % 53) / 10,
        radiusMm: 7 + (index % 21) / 10,
        holeMm: 6.2,
      })
    return part(index, 'flat-washer', { thicknessMm: 0.5 + (index % 41) / 20, holeMm: 6.4, outerMm: 12 })
  })
}

function plansLine(): Line {
  const stock = fullDrawer()
  const times = Array.from({ length: 300 }, (_, index) => {
    const start = performance.now()
    planMount({ ...BRIDGE, boltOutMm: 18 + (index % 20) / 10, caliperDepthMm: 25 }, stock, 'reversible')
    return performance.now() - start
  }).slice(50)
  return {
    what: 'every plan for one mount, drawer of 500 kinds, p95',
    value: quantile(times, 0.95),
    unit: 'ms',
    limit: 20,
  }
}

/** A caliper on posts, a larger rotor, and a drawer of spacers, bolts and brackets of many sizes. */
function stacksLine(): Line {
  const part = (kind: Part['kind'], index: number, dimensions: Record<string, number>): Part => ({
    id: `${kind}${index}`,
    code: `${kind}${index}`,
    kind,
    name: `${kind} ${index}`,
    dimensions,
    material: '',
    minimum: 0,
    count: index % 5,
  })
  const stock = Array.from({ length: 60 }, (_, index) => [
    part('spacer', index, { thicknessMm: 0.25 * (1 + (index % 30)), holeMm: 6.2 }),
    part('bolt', index, { threadMm: 6, pitchMm: 1, underHeadMm: 12 + (index % 30) }),
    part('bracket', index, { spacingMm: 74, riseMm: index / 2, footMm: 8, threadDepthMm: 12 }),
  ]).flat()
  const times = Array.from({ length: 60 }, (_, index) => {
    const start = performance.now()
    planStacks(
      {
        rotorBeforeMm: 160,
        rotorAfterMm: 180,
        trackBeforeMm: 16,
        trackAfterMm: 16,
        spacingMm: 74,
        bracketMm: 0,
        spacersMm: 0,
        topMm: 1 + (index % 10) / 10,
        bottomMm: 1.5,
        padEdgeMm: 0.5,
        padHeightMm: 15,
        earMm: 8,
        boltMm: 20,
        frameThreadMm: 14,
        frameMetal: 'aluminium',
        bracketThreadMm: undefined,
      },
      stock,
    )
    return performance.now() - start
  }).slice(10)
  return {
    what: 'stacks of bracket and spacers, drawer of 180 kinds, p95',
    value: quantile(times, 0.95),
    unit: 'ms',
    limit: 50,
  }
}

const usual = async (): Promise<readonly Line[]> => [
  ...bicycles.map(adviceLine),
  ...bicycles.map(frameLine),
  ...bicycles.map(sheetLine),
  driftLine(),
  ...straddleLines(),
  plansLine(),
  stacksLine(),
  ...benchStops(),
  ...(await benchServer()),
  ...(await benchScreen()),
]

/** `--ten-years` measures a workshop of ten years instead, made anew, or in a directory that was filled with it: `--data DIR`. */
const { values: asked } = parseArgs({ options: { 'ten-years': { type: 'boolean' }, data: { type: 'string' } } })
const lines = asked['ten-years'] ? await benchTenYears(asked.data) : await usual()
for (const { what, value, unit, limit } of lines) {
  console.log(
    `${value <= limit ? 'within' : 'OVER  '}  ${value.toFixed(value < 1 ? 3 : 1).padStart(8)} ${unit.padEnd(3)} of ${limit} ${unit}  ${what}`,
  )
}
process.exitCode = lines.every(({ value, limit }) => value <= limit) ? 0 : 1
