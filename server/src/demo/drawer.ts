import type { PartShape } from '@overhaul/core/drawer/part'

export type DemoPart = PartShape & { readonly count: number }

/** What a piece costs at Lockside Hire, EUR; made up. */
const PRICES: Partial<Record<PartShape['kind'], number>> = {
  'sleeve-nut': 3.2,
  'hex-nut': 0.4,
  'concave-washer': 0.9,
  'flat-washer': 0.1,
  spacer: 0.6,
  bolt: 0.8,
  bracket: 14,
  rotor: 22,
  'disc-pads': 11.5,
  pads: 6.9,
  cable: 2.4,
  housing: 3.1,
}

const part = (
  code: string,
  kind: PartShape['kind'],
  name: string,
  dimensions: Readonly<Record<string, number>>,
  count: number,
  minimum = 0,
  material = '',
): DemoPart => ({ code, kind, name, dimensions, count, minimum, material, price: PRICES[kind] ?? null })

const sleeveNut = (shankMm: number, threadDepthMm: number, count: number): DemoPart =>
  part(
    `SN-${shankMm}`,
    'sleeve-nut',
    `Sleeve nut ${shankMm} mm`,
    { shankMm, threadDepthMm, outerMm: 8, threadMm: 6 },
    count,
    2,
    'steel',
  )

const concaveWasher = (radiusMm: number, thicknessMm: number, count: number): DemoPart =>
  part(
    `CW-${radiusMm}`,
    'concave-washer',
    `Concave washer R${radiusMm}`,
    { radiusMm, thicknessMm, holeMm: 6.2 },
    count,
    4,
  )

const bolt = (underHeadMm: number, count: number): DemoPart =>
  part(
    `BO-${underHeadMm}`,
    'bolt',
    `Bolt M6 × ${underHeadMm}`,
    { underHeadMm, threadMm: 6, pitchMm: 1 },
    count,
    4,
    '8.8',
  )

const bracket = (spacingMm: number, riseMm: number, count: number): DemoPart =>
  part(
    `BR-${spacingMm}-${riseMm}`,
    'bracket',
    `Bracket ${spacingMm} mm, rise ${riseMm} mm`,
    { spacingMm, riseMm, footMm: 8, threadDepthMm: 12 },
    count,
    0,
    'aluminium',
  )

const rotor = (diameterMm: number, trackMm: number, bolts: number, count: number): DemoPart =>
  part(
    `RO-${diameterMm}`,
    'rotor',
    `Rotor ${diameterMm} mm`,
    { diameterMm, trackMm, thicknessMm: 1.8, leastMm: 1.5, bolts },
    count,
  )

/** The drawer of small parts. */
export const DRAWER: readonly DemoPart[] = [
  sleeveNut(10, 8, 5),
  sleeveNut(13, 10, 3),
  sleeveNut(16, 12, 4),
  sleeveNut(20, 14, 1),
  sleeveNut(25, 14, 2),
  part(
    'SN-18A',
    'sleeve-nut',
    'Sleeve nut 18 mm, light',
    { shankMm: 18, threadDepthMm: 14, outerMm: 8, threadMm: 6 },
    2,
    0,
    'aluminium',
  ),
  concaveWasher(8, 2.5, 8),
  concaveWasher(10, 2.5, 6),
  concaveWasher(18, 3, 3),
  part('FW-1', 'flat-washer', 'Flat washer M6, 1 mm', { thicknessMm: 1, holeMm: 6.4, outerMm: 12 }, 40, 10),
  part('FW-16', 'flat-washer', 'Flat washer M6, 1.6 mm', { thicknessMm: 1.6, holeMm: 6.4, outerMm: 12 }, 25, 10),
  part('HN-6', 'hex-nut', 'Hex nut M6', { heightMm: 5, threadMm: 6, pitchMm: 1 }, 30, 10, 'steel'),
  part('HN-6T', 'hex-nut', 'Hex nut M6, thin', { heightMm: 3.2, threadMm: 6, pitchMm: 1 }, 12, 0, 'steel'),
  part('SP-05', 'spacer', 'Spacer 0.5 mm', { thicknessMm: 0.5, holeMm: 6.2 }, 12),
  part('SP-2', 'spacer', 'Spacer 2 mm', { thicknessMm: 2, holeMm: 6.2 }, 8),
  part('SP-5', 'spacer', 'Spacer 5 mm', { thicknessMm: 5, holeMm: 6.2 }, 10),
  part('SH-P', 'shim', 'Paper, one layer', { thicknessMm: 0.1 }, 200),
  part('SH-C', 'shim', 'Business card', { thicknessMm: 0.35 }, 20),
  part('SH-B', 'shim', 'Bank card', { thicknessMm: 0.76 }, 2),
  part('PD-70', 'pads', 'Pads, threaded post', { lengthMm: 70, heightMm: 10, thicknessMm: 12 }, 14, 8, 'alloy'),
  part('PD-55', 'pads', 'Pads, cartridge', { lengthMm: 55, heightMm: 10, thicknessMm: 10 }, 3, 4, 'alloy'),
  part('IN-17', 'cable', 'Inner for the rear', { lengthMm: 1700, diameterMm: 1.6 }, 12, 6),
  part('HO-5', 'housing', 'Brake housing, a roll', { lengthMm: 10000, diameterMm: 5 }, 1, 1),
  bolt(16, 6),
  bolt(18, 10),
  bolt(20, 12),
  bolt(25, 4),
  bolt(30, 1),
  bracket(74, 10, 1),
  bracket(74, 21.5, 0),
  bracket(51, 32, 2),
  rotor(160, 16, 6, 3),
  rotor(180, 16, 6, 1),
  rotor(203, 16, 6, 1),
  part('DP-A', 'disc-pads', 'Disc pads, fluid caliper', { lengthMm: 22, heightMm: 15, compoundMm: 2.5 }, 4, 2, 'resin'),
  part('DP-C', 'disc-pads', 'Disc pads, round', { lengthMm: 19, heightMm: 19, compoundMm: 2.4 }, 2, 2, 'sintered'),
]
