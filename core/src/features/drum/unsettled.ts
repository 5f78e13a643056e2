import type { Fact } from '../../brake/graph.ts'

/** The plate off, or another one. */
export const OPENED: readonly Fact[] = ['confirm:plate-off', 'swap:pads', 'swap:wheel']
