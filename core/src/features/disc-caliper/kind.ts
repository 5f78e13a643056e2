/** What moves in a caliper: one pad, one pad with a knob of its own, or both together. */
export type DiscKind = 'fixed-pad' | 'two-adjusters' | 'both-move'

/** The gaps of a caliper as its hand calls them: the inner pad is next to the wheel, the outer one away from it. */
export interface Gaps {
  readonly inner: { readonly reading: string; readonly name: string }
  readonly outer: { readonly reading: string; readonly name: string }
}

export const gapsOf = (kind: DiscKind): Gaps =>
  kind === 'both-move'
    ? { inner: { reading: 'gapInner', name: 'inner pad' }, outer: { reading: 'gapOuter', name: 'outer pad' } }
    : { inner: { reading: 'gapFixed', name: 'fixed pad' }, outer: { reading: 'gapMoving', name: 'moving pad' } }
