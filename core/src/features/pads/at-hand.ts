import { toeShim } from '../../calculations/toe-shim.ts'
import type { Part } from '../../drawer/part.ts'
import type { EntryBody } from '../../stand/entries.ts'

/** Toe-in wanted: the front meets the rim this far before the rear (common practice). */
export const FRONT_TOUCH_MM = 0.5

/** Something in the drawer that makes the toe, laid at the rear edge while the shoe is tightened. */
export interface ToeShim {
  readonly name: string
  readonly layers: number
  readonly thicknessMm: number
  readonly rearGapMm: number
  readonly toeDeg: number
}

const MOST_LAYERS = 8

/** Which things at hand make the toe, the nearest first. A shim thicker than twice what is wanted is left out. */
export function toeShims(stock: readonly Part[], padLengthMm: number, wantedMm = FRONT_TOUCH_MM): readonly ToeShim[] {
  return stock
    .filter((part) => part.kind === 'shim' && part.count > 0)
    .flatMap((part): readonly ToeShim[] => {
      const each = part.dimensions.thicknessMm ?? 0
      const layers = Math.min(MOST_LAYERS, part.count, Math.max(1, Math.round(wantedMm / each)))
      const worked = toeShim.work({ padLengthMm, shimThicknessMm: each * layers, shimFromFrontMm: padLengthMm })
      if (!worked.ok) return []
      const { rearGapMm, toeDeg } = worked.value.outputs
      return rearGapMm > 2 * wantedMm
        ? []
        : [{ name: part.name, layers, thicknessMm: each * layers, rearGapMm, toeDeg }]
    })
    .sort((a, b) => Math.abs(a.rearGapMm - wantedMm) - Math.abs(b.rearGapMm - wantedMm))
}

/** What is known of the pads to be replaced and of the track, in mm; each only where it was measured. */
export interface PadsWanted {
  readonly rim: string | undefined
  readonly lengthMm: number | undefined
  readonly heightMm: number | undefined
  readonly trackMm: number | undefined
}

/** A pair of pads in the drawer that may go on, and how it differs from the pair that is on. */
export interface SparePads {
  readonly part: Part
  readonly say: string
}

/** Lengths and heights nearer than this are the same size. Our choice. */
const SAME_MM = 1

const differs = (unlike: number, more: string, less: string): readonly string[] =>
  Math.abs(unlike) <= SAME_MM ? [] : [`${Math.abs(unlike).toFixed(0)} mm ${unlike > 0 ? more : less}`]

/**
 * Pads at hand for this rim, those nearest in size to the old ones first. Left out are those made for another rim and
 * those taller than the track; old pads have no spares of their maker's and are matched by shape and size.
 */
export function sparePads(
  stock: readonly Part[],
  { rim, lengthMm, heightMm, trackMm }: PadsWanted,
): readonly SparePads[] {
  return stock
    .filter(
      (part) =>
        part.kind === 'pads' &&
        part.count > 0 &&
        (part.material === '' || rim === undefined || part.material === rim) &&
        (part.dimensions.heightMm ?? 0) <= (trackMm ?? Number.POSITIVE_INFINITY),
    )
    .map((part) => {
      const longer = lengthMm === undefined ? 0 : (part.dimensions.lengthMm ?? lengthMm) - lengthMm
      const taller = heightMm === undefined ? 0 : (part.dimensions.heightMm ?? heightMm) - heightMm
      const unlike = [...differs(longer, 'longer', 'shorter'), ...differs(taller, 'taller', 'lower')]
      const compared = lengthMm !== undefined && heightMm !== undefined
      return {
        part,
        say: unlike.join(', ') || (compared ? 'the same size' : ''),
        away: Math.abs(longer) + Math.abs(taller),
      }
    })
    .sort((a, b) => a.away - b.away)
    .map(({ part, say }) => ({ part, say }))
}

/** What is written when a pair out of the drawer goes on: what the drawer knows of it need not be measured again. */
export function puttingOn({ name, material, dimensions }: Part): readonly EntryBody[] {
  const known = [
    { reading: 'padCompound', value: material, unit: '' },
    { reading: 'padLength', value: dimensions.lengthMm, unit: 'mm' },
    { reading: 'padTall', value: dimensions.heightMm, unit: 'mm' },
  ] as const
  return [
    { kind: 'swap', part: 'pads', to: name },
    ...known.flatMap(({ reading, value, unit }): readonly EntryBody[] =>
      value === undefined || value === '' ? [] : [{ kind: 'reading', reading, value, unit, instrument: 'drawer' }],
    ),
  ]
}
