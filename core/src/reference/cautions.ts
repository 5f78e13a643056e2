/** What can hurt, said once where the hand is about to do it, and in print. */
export interface Caution {
  readonly id: string
  readonly text: string
}

export const CAUTIONS = {
  maker: {
    id: 'maker',
    text: 'Brakes are safety parts. The maker’s instructions and local rules come first; if unsure, ask a qualified mechanic.',
  },
  clean: { id: 'clean', text: 'No oil, grease or bare fingers on anything that rubs when it brakes.' },
  tension: {
    id: 'tension',
    text: 'The anchor: never loosen it while springs pull on it; hold the brake by hand, take up the slack, then clamp.',
  },
  carbon: {
    id: 'carbon',
    text: 'Carbon: only with its maker’s written approval and at its maker’s torque, by a torque wrench; never drilled.',
  },
  tyre: { id: 'tyre', text: 'A pad that touches the tyre can burst it. Look at the pads’ height after every change.' },
  walking: { id: 'walking', text: 'Test at walking pace on a clear level place before anybody rides.' },
  slip: { id: 'slip', text: 'A cable that slips in its anchor under a hard squeeze: do not ride.' },
  frayed: {
    id: 'frayed',
    text: 'A broken strand in the inner, at the anchor or at the head in the lever: do not ride, replace it.',
  },
  heavy: { id: 'heavy', text: 'Heavy, assisted or child-carrying bicycles need more brake: never downgrade.' },
  drilling: {
    id: 'drilling',
    text: 'Drilling weakens a frame or fork and cannot be undone. One wall only, never right through; a doubtful, thin, cracked or corroded frame goes to a frame builder, and carbon is never drilled.',
  },
  eyes: { id: 'eyes', text: 'Eye protection while drilling, reaming and cutting cable.' },
  rotor: {
    id: 'rotor',
    text: 'Rotors are hot after use and cut fingers when spinning; no bare fingers on their track.',
  },
  'drum-dust': {
    id: 'drum-dust',
    text: 'Drum dust: wet-clean, never blow or brush it dry. Older linings may hold asbestos; local rules come first.',
  },
  'drum-heat': {
    id: 'drum-heat',
    text: 'A small drum fades on a long descent, and is hot after it: let it cool before a hand goes near.',
  },
  'reaction-arm': {
    id: 'reaction-arm',
    text: 'A reaction arm that is not strapped lets the whole brake turn with the wheel: not to be ridden.',
  },
  'rotor-out': {
    id: 'rotor-out',
    text: 'A fluid caliper is never squeezed while rotor or pads are out: its pads close and do not come back.',
  },
  motor: {
    id: 'motor',
    text: 'Assisted bicycles: battery out before a hand goes near wheel or motor axle. Under power, wheel lifted, stand to the side.',
  },
  shoe: { id: 'shoe', text: 'A shoe with its closed end backward can throw its pad under braking.' },
  'turned-round': {
    id: 'turned-round',
    text: 'On the other side of the bridge the shoes change sides, so that their closed ends still face forward; a shoe the wrong way round can throw its pad.',
  },
  'bolt-length': {
    id: 'bolt-length',
    text: 'The length of bolt and nut decides whether the brake stays on: too short strips, too long bottoms before it clamps.',
  },
  housing: { id: 'housing', text: 'Gear housing may burst under brake load: never on a brake.' },
  hydraulic: {
    id: 'hydraulic',
    text: 'Brakes worked by fluid from the lever are out of scope here: stop and go by the maker’s instructions.',
  },
} as const satisfies Record<string, Caution>

export type CautionId = keyof typeof CAUTIONS
