import type { Part } from '../drawer/part.ts'
import type { BoltMount } from '../features/mount/measured.ts'

/** Shared by tests: the rear bridge of an older steel tourer, a 16 × 1 mm tube with 6 mm holes. */
export const BRIDGE: BoltMount = {
  end: 'rear',
  holeFrontMm: 6,
  holeBackMm: 6,
  depthMm: 16,
  tubeMm: 16,
  wallMm: 1,
  curveFrontMm: 8,
  curveBackMm: 8,
  roomMm: 95,
  boltOutMm: 18,
  threadedMm: 14,
  drillHeadMm: 70,
  caliperDepthMm: undefined,
  material: 'steel',
  cracked: false,
  rust: 'none',
  nutted: false,
  boltClass: '8.8',
  approved: false,
  makerNm: undefined,
}

/** Its fork crown: solid round the hole, flat behind. */
export const CROWN: BoltMount = {
  ...BRIDGE,
  end: 'front',
  depthMm: 28,
  tubeMm: 24,
  wallMm: undefined,
  curveFrontMm: 18,
  curveBackMm: 0,
  roomMm: 60,
  boltOutMm: 25,
  threadedMm: 16,
}

const part = (
  code: string,
  kind: Part['kind'],
  name: string,
  dimensions: Record<string, number>,
  material = '',
): Part => ({
  id: code,
  code,
  kind,
  name,
  dimensions,
  material,
  minimum: 0,
  count: 4,
})

export const sleeve = (shankMm: number, threadDepthMm = 10, material = 'steel'): Part =>
  part(
    `SN-${shankMm}-${threadDepthMm}-${material}`,
    'sleeve-nut',
    `Sleeve nut ${shankMm}`,
    { shankMm, threadDepthMm, outerMm: 8, threadMm: 6 },
    material,
  )

export const concave = (radiusMm: number, thicknessMm = 2.5, holeMm = 6.2): Part =>
  part(`CW-${radiusMm}-${thicknessMm}`, 'concave-washer', `Concave washer R${radiusMm}`, {
    radiusMm,
    thicknessMm,
    holeMm,
  })

export const DRAWER: readonly Part[] = [
  sleeve(10),
  sleeve(13),
  sleeve(16),
  sleeve(20, 14),
  concave(8),
  concave(18, 3),
  part('FW-1', 'flat-washer', 'Flat washer', { thicknessMm: 1, holeMm: 6.4, outerMm: 12 }),
  part('HN', 'hex-nut', 'Hex nut M6', { heightMm: 5, threadMm: 6, pitchMm: 1 }, 'steel'),
]
