/** A word of the trade: one name for one thing, on the screen, the tape, the sheet and in the handbook. */
export interface Term {
  readonly id: string
  readonly term: string
  readonly says: string
  /** What else it is called on benches: found by the search, said nowhere. */
  readonly also?: readonly string[]
}

/** The words used here, in the order one meets them. Standard terms of the trade; where one is ours, it says so. */
export const TERMS: readonly Term[] = [
  {
    id: 'linear-pull',
    term: 'linear-pull brake',
    says: 'Long arms on frame bosses, the cable straight from tip to tip.',
  },
  {
    id: 'cantilever',
    term: 'cantilever brake',
    says: 'Arms on the same bosses, pulled by a straddle cable over a yoke.',
  },
  {
    id: 'single-pivot',
    term: 'single-pivot caliper',
    says: 'A side-pull whose two arms turn on the one mounting bolt.',
  },
  {
    id: 'dual-pivot',
    term: 'dual-pivot caliper',
    says: 'A side-pull whose arms turn on two pivots and move both pads together.',
  },
  {
    id: 'centre-pull',
    term: 'centre-pull caliper',
    says: 'Two arms on a bridge plate, pulled by a straddle cable over a yoke.',
  },
  {
    id: 'disc',
    term: 'mechanical disc brake',
    says: 'A cable turns an arm on the caliper, and its cam presses a pad on the rotor.',
  },
  {
    id: 'drum',
    term: 'drum brake',
    says: 'Shoes inside the hub are spread by a cam on a cable’s arm.',
    also: ['hub brake'],
  },
  { id: 'boss', term: 'boss', says: 'The stud on frame or fork that an arm turns on.', also: ['stud', 'post'] },
  { id: 'bridge', term: 'bridge', says: 'The tube between the stays that a rear caliper hangs on.' },
  { id: 'crown', term: 'crown', says: 'The top of the fork, which a front caliper hangs on.' },
  { id: 'dropout', term: 'dropout', says: 'The slot that holds the wheel’s axle.' },
  { id: 'track', term: 'brake track', says: 'The part of the rim that a pad may touch.', also: ['braking surface'] },
  {
    id: 'runout',
    term: 'runout',
    says: 'How far rim or rotor swings in one turn, from its nearest to its farthest.',
    also: ['wobble'],
  },
  {
    id: 'offset',
    term: 'wheel offset',
    says: 'How far the rim stands off the middle between stays or fork legs.',
    also: ['dish'],
  },
  {
    id: 'gap',
    term: 'gap',
    says: 'From pad to rim or rotor with the lever at rest, the mean over one turn.',
    also: ['clearance'],
  },
  {
    id: 'bite',
    term: 'bite',
    says: 'Finger travel from rest until the brake takes hold: at a rim when the first pad touches, at a disc when both pads press, at a drum when the shoes do. Shown in mm and as a share of the reach.',
    also: ['first touch', 'lever throw', 'contact point', 'travel at contact'],
  },
  { id: 'reserve', term: 'reserve', says: 'From blade to bar at a hard squeeze.' },
  {
    id: 'reach',
    term: 'reach',
    says: 'Of a lever: from bar to blade at the finger, at rest. Of a brake: from its mount to the middle of the track.',
  },
  {
    id: 'wall',
    term: 'wall',
    says: 'Where physics forbids, whatever the school: on one side the pad rubs, on the other the lever meets the bar. Our word.',
  },
  {
    id: 'window',
    term: 'window',
    says: 'From where to where a reading is well: what the chosen school wants, cut by the walls. Our word.',
  },
  { id: 'school', term: 'school', says: 'One of several ways that mechanics do the same thing. Our word.' },
  { id: 'pass', term: 'pass', says: 'One turn, one squeeze, one measurement. Our word.' },
  { id: 'toe-in', term: 'toe-in', says: 'How much later the rear of a pad meets the rim than its front.' },
  {
    id: 'drift',
    term: 'drift',
    says: 'How a pad climbs or sinks on the track as it wears, because its arm turns further.',
  },
  { id: 'compound', term: 'compound', says: 'What of a pad wears: its rubber, or the lining on its plate.' },
  { id: 'shoe', term: 'shoe', says: 'What holds a rim pad; in a drum, what carries the lining.' },
  { id: 'centring-screw', term: 'centring screw', says: 'A screw that brings one pad nearer and the other away.' },
  {
    id: 'barrel',
    term: 'barrel',
    says: 'The threaded adjuster that a housing ends in; outwards it takes up cable.',
    also: ['barrel adjuster'],
  },
  { id: 'lock-ring', term: 'lock ring', says: 'What holds a barrel where it was turned to.' },
  {
    id: 'anchor',
    term: 'anchor',
    says: 'The bolt and shaped washer that clamp the inner.',
    also: ['anchor bolt', 'pinch bolt'],
  },
  { id: 'inner', term: 'inner', says: 'The wire that pulls.', also: ['inner wire', 'cable'] },
  {
    id: 'housing',
    term: 'housing',
    says: 'The sheath that the inner runs in; a brake’s is a close coil.',
    also: ['outer', 'casing'],
  },
  { id: 'ferrule', term: 'ferrule', says: 'The cap on a housing’s end, where its stop is made for one.' },
  { id: 'end-cap', term: 'end cap', says: 'What keeps the inner’s end from fraying.' },
  { id: 'straddle', term: 'straddle cable', says: 'The short cable from arm to arm that a yoke pulls up.' },
  { id: 'yoke', term: 'yoke', says: 'What joins the inner to the straddle cable.' },
  {
    id: 'guide-pipe',
    term: 'guide pipe',
    says: 'The bent tube that leads the cable to a linear-pull arm; its boot keeps it in its slot.',
  },
  {
    id: 'provisional-clamp',
    term: 'provisional clamp',
    says: 'The cable clamped for now, so that pads can be set with the lever held.',
  },
  { id: 'rotor', term: 'rotor', says: 'The steel disc on the hub that disc pads press on.', also: ['disc'] },
  { id: 'carrier', term: 'carrier', says: 'The middle of a rotor, by which it is bolted and held in the hand.' },
  { id: 'bracket', term: 'bracket', says: 'What holds a disc caliper off frame or fork, for a rotor of one size.' },
  { id: 'spacer', term: 'spacer', says: 'A ring under a bolt that sets how high a caliper stands.' },
  {
    id: 'bedding-in',
    term: 'bedding-in',
    says: 'Firm stops that lay a new pad’s compound on its rotor.',
  },
  {
    id: 'fixed-pad',
    term: 'fixed pad',
    says: 'The disc pad that stands still: the rotor is bent on to it at each stop.',
    also: ['inner pad', 'static pad'],
  },
  { id: 'moving-pad', term: 'moving pad', says: 'The disc pad that the arm pushes.' },
  { id: 'brake-plate', term: 'brake plate', says: 'The plate that carries a drum’s shoes.' },
  {
    id: 'reaction-arm',
    term: 'reaction arm',
    says: 'What holds a brake plate to the frame, so that it does not turn with the wheel.',
  },
  {
    id: 'linkage-ratio',
    term: 'linkage ratio',
    says: 'Cable pulled over what both gaps close together: the pads press with it times the tension.',
  },
  { id: 'hex-key', term: 'hex key', says: 'A six-sided key.' },
  { id: 'star-key', term: 'star key', says: 'A six-pointed key, T20 or T25 at rotors.' },
  { id: 'threadlocker', term: 'threadlocker', says: 'Medium may be undone by hand, permanent only with heat.' },
]

/** Words that stand for another here: what they are called instead. */
export const NOT_SAID: readonly { readonly word: RegExp; readonly say: string }[] = [
  { word: /\bfirst touch/i, say: 'bite' },
  { word: /\blever throw|\bthrow of the lever/i, say: 'bite' },
  { word: /\btravel (at|to) contact/i, say: 'bite' },
  { word: /\bpinch bolt/i, say: 'anchor' },
  { word: /\bouter (casing|housing)|\bcable casing/i, say: 'housing' },
  { word: /\bwobble/i, say: 'runout' },
  {
    word: /\b(is|are|be|has|was) left\b(?! (pad|arm|side|shoe|of the middle))|\bleft (for|over|to the bar|of it|when|that way)\b|turns left\b/i,
    say: 'remains: left is a side',
  },
]
