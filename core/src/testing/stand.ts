import { kitOf } from '../bench/kit.ts'
import { bookDimensions, hereAt } from '../brake/dimension.ts'
import { dualPivotFamily } from '../families/dual-pivot/family.ts'
import { linearPullFamily } from '../families/linear-pull/family.ts'
import { type RimThrow, rimThrowOf } from '../families/rim/bite.ts'
import { expectOk, type Fault } from '../outcome/outcome.ts'
import { admit } from '../run-sheet/admit/admit.ts'
import { workOut } from '../run-sheet/job.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { openStand } from '../workshop/open.ts'

/** Shared by tests: a book linear-pull brake and a log written in order. */
export const HARDWARE: Hardware = { family: 'linear-pull', end: 'rear', dimensions: {} }
export const DIMENSIONS = bookDimensions(linearPullFamily)
/** Families that between them have every reading. */
const EVERY = [linearPullFamily, dualPivotFamily]

export const KIT = kitOf(linearPullFamily)
export const HERE = hereAt(linearPullFamily, 'rear')
export const MODEL = expectOk(linearPullFamily.fit(DIMENSIONS, HERE))
/** The book brake as a bite school sees it. */
export const THROW = rimThrowOf(MODEL) as RimThrow

export const written = (...bodies: readonly EntryBody[]): readonly Entry[] =>
  bodies.map((body, index) => ({
    ...body,
    id: `entry-${index + 1}`,
    at: new Date(Date.UTC(2026, 2, 1, 9, index)).toISOString().replace('.000', ''),
    by: '1',
    seq: index + 1,
  }))

/** Why something may not be written after a log, or undefined where it may. */
export function refusal(log: readonly EntryBody[], body: EntryBody, hardware: Hardware = HARDWARE): Fault | undefined {
  const stand = expectOk(openStand(hardware, written(...log)))
  const [entry] = written(...log, body).slice(-1) as [Entry]
  const admitted = admit(stand, entry, () => workOut(stand).next)
  return admitted.ok ? undefined : admitted.error
}

export const reading = (id: string, value: number): EntryBody => ({
  kind: 'reading',
  reading: id,
  value,
  unit: kitOf(EVERY.find((family) => kitOf(family).reading(id)) ?? linearPullFamily).reading(id)?.unit ?? 'mm',
})
export const seen = (id: string, value: string): EntryBody => ({ kind: 'reading', reading: id, value, unit: '' })
export const confirm = (step: string, count?: number): EntryBody => ({ kind: 'confirm', step, ...(count && { count }) })
export const turn = (adjuster: string, amount: number): EntryBody => ({
  kind: 'turn',
  adjuster,
  amount,
  unit: adjuster === 'anchor' ? 'mm' : 'turn',
})

/** Wheel seated and sound. */
export const WHEEL: readonly EntryBody[] = [
  seen('motorAt', 'none'),
  confirm('wheel-seated'),
  confirm('hub-play'),
  reading('lateralRunout', 0.4),
  reading('radialRunout', 0.3),
  reading('wheelOffset', 0),
  seen('rimMaterial', 'alloy'),
  reading('rimWall', 1.4),
  seen('wearLine', 'none'),
  seen('trackStep', 'smooth'),
  seen('trackFace', 'clean'),
]

/** Parts that belong together. */
export const MATCHED: readonly EntryBody[] = [
  reading('leverPull', 30),
  reading('leverFinger', 75),
  reading('leverReach', 60),
  reading('ridersMass', 95),
  seen('housingKind', 'coil'),
  reading('housingOuter', 5),
  seen('housingState', 'sound'),
  seen('housingEnds', 'right'),
  seen('innerAnchor', 'whole'),
  seen('innerHead', 'whole'),
  seen('anchorBolt', 'own'),
  seen('guidePipe', 'hooked'),
  seen('guideBoot', 'there'),
  seen('padCompound', 'alloy'),
]

/** Pads sound, the right way round, at their height and toed in. */
export const PADS: readonly EntryBody[] = [
  reading('padLeft', 4),
  reading('padRight', 3.8),
  seen('padFace', 'clean'),
  seen('shoeLeft', 'forward'),
  seen('shoeRight', 'forward'),
  reading('trackTall', 14),
  reading('padTall', 10),
  reading('padEdgeLeft', 1),
  reading('padEdgeRight', 1.1),
  seen('padArc', 'follow'),
  reading('toeLeft', 0.5),
  reading('toeRight', 0.6),
  seen('padsSet', 'applied'),
]

/** Everything up to the pads, set but not yet tight. */
export const PADS_SET: readonly EntryBody[] = [
  ...WHEEL,
  ...MATCHED,
  confirm('untouched'),
  confirm('arms-free'),
  ...PADS,
]

/** Cable laid, free and clamped. */
export const CABLED: readonly EntryBody[] = [
  confirm('cable-run'),
  seen('cableFeel', 'smooth'),
  seen('cableLined', 'lined'),
  reading('barrelOut', 1),
  confirm('cable-clamped'),
]

/** Everything before the dial-in, done. */
export const PREPARED: readonly EntryBody[] = [
  ...PADS_SET,
  confirm('pads-tight'),
  ...CABLED,
  confirm('hard-squeezes', 10),
]

export const measured = (left: number, right: number, bite: number): readonly EntryBody[] => [
  reading('gapLeft', left),
  reading('gapRight', right),
  reading('biteTravel', bite),
]

/** A brake that is right in everything, ready to be signed. */
export const SOUND: readonly EntryBody[] = [
  ...PREPARED,
  ...measured(1, 1, 20),
  seen('padsBack', 'both'),
  confirm('fasteners'),
  reading('reserve', 25),
  seen('spin', 'free'),
  confirm('wheel-fastened'),
  confirm('walk-test'),
]
