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
export const TORQUES: readonly TorqueFigure[] = [
  {
    fastener: 'arm on its boss',
    thread: 'M6',
    nm: [5, 7],
    rule: 'grease on the boss, threadlocker on the bolt where the maker says so',
  },
  { fastener: 'rim pad, nut', thread: 'M6', nm: [6, 9], rule: 'dry; hold the shoe' },
  { fastener: 'rim pad, bolt', thread: 'M5', nm: [5, 7], rule: 'dry; hold the shoe' },
  {
    fastener: 'anchor, rim brake',
    thread: 'M5 or M6',
    nm: [6, 8],
    rule: 'light grease on the thread, none on the inner',
  },
  {
    fastener: 'caliper’s centre bolt, nutted or sleeve nut',
    thread: 'M6',
    nm: [8, 10],
    rule: 'light oil on the thread',
  },
  { fastener: 'disc caliper on its mount or bracket', thread: 'M6', nm: [6, 8], rule: 'medium threadlocker, fresh' },
  { fastener: 'bracket on frame or fork', thread: 'M6', nm: [6, 8], rule: 'medium threadlocker, fresh' },
  { fastener: 'rotor, six bolts', thread: 'M5, star key', nm: [4, 6], rule: 'medium threadlocker, never grease' },
  { fastener: 'anchor, disc arm', thread: 'M5 or M6', nm: [4, 6], rule: 'none on the inner' },
  {
    fastener: 'lever clamp, flat bar',
    thread: 'M5',
    nm: [4, 6],
    rule: 'carbon: the maker’s figure and a torque wrench, no exception',
  },
  { fastener: 'lever band, drop bar', thread: 'M6', nm: [6, 8], rule: 'carbon: the maker’s figure, no exception' },
  { fastener: 'reaction arm’s strap, drum lock nut, axle nuts', thread: 'as fitted', rule: 'the maker’s figure only' },
]
