import type { Source } from '../calculation/source.ts'

/** A figure to start from where the maker gives none. */
export interface TorqueFigure {
  readonly fastener: string
  readonly thread: string
  /** N·m; none where only the maker’s figure will do. */
  readonly nm?: readonly [number, number]
  readonly rule: string
}

export const TORQUE_SOURCE: Source = {
  kind: 'from-memory',
  title: 'A figure to start from; the maker’s comes first, and both are shown',
}

/** Every fastener of a brake, as the bench goes over them. All from memory. */
export const TORQUES = {
  boss: {
    fastener: 'arm on its boss',
    thread: 'M6',
    nm: [5, 7],
    rule: 'grease on the boss, threadlocker on the bolt where the maker says so',
  },
  'rim-pad': { fastener: 'rim pad, nut', thread: 'M6', nm: [6, 9], rule: 'dry; hold the shoe' },
  'rim-pad-bolt': { fastener: 'rim pad, bolt', thread: 'M5', nm: [5, 7], rule: 'dry; hold the shoe' },
  'anchor-rim': {
    fastener: 'anchor, rim brake',
    thread: 'M5 or M6',
    nm: [6, 8],
    rule: 'light grease on the thread, none on the inner',
  },
  'centre-bolt': {
    fastener: 'caliper’s centre bolt, nutted or sleeve nut',
    thread: 'M6',
    nm: [8, 10],
    rule: 'light oil on the thread',
  },
  caliper: {
    fastener: 'disc caliper on its mount or bracket',
    thread: 'M6',
    nm: [6, 8],
    rule: 'medium threadlocker, fresh',
  },
  bracket: { fastener: 'bracket on frame or fork', thread: 'M6', nm: [6, 8], rule: 'medium threadlocker, fresh' },
  rotor: {
    fastener: 'rotor, six bolts',
    thread: 'M5, star key',
    nm: [4, 6],
    rule: 'medium threadlocker, never grease',
  },
  'lock-ring': {
    fastener: 'rotor’s lock ring',
    thread: 'fine',
    nm: [40, 40],
    rule: 'a light film on its thread, no threadlocker; the figure stands on the ring',
  },
  'anchor-disc': { fastener: 'anchor, disc arm', thread: 'M5 or M6', nm: [4, 6], rule: 'none on the inner' },
  'lever-clamp': {
    fastener: 'lever clamp, flat bar',
    thread: 'M5',
    nm: [4, 6],
    rule: 'carbon: the maker’s figure and a torque wrench, no exception',
  },
  'lever-band': {
    fastener: 'lever band, drop bar',
    thread: 'M6',
    nm: [6, 8],
    rule: 'carbon: the maker’s figure, no exception',
  },
  'makers-own': {
    fastener: 'reaction arm’s strap, drum lock nut, axle nuts',
    thread: 'as fitted',
    rule: 'the maker’s figure only',
  },
} as const satisfies Readonly<Record<string, TorqueFigure>>

export type TorqueId = keyof typeof TORQUES
