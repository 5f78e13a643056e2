import type { Drawings } from '../../../brake/drawings.ts'
import type { DiscKind } from '../../../features/disc-caliper/kind.ts'
import { SEAT, STANDING } from '../../../features/stack/drawings/details.ts'
import { PADS_IN, PADS_OUT } from './acts.ts'
import { CHANGE_PICTURES } from './change-pictures.ts'
import { discPads, HEIGHT, ROTOR } from './details.ts'
import { DISC_PICTURES } from './pictures.ts'
import { ROTORS } from './rotor-change.ts'

/** A disc’s parts by themselves. */
export const discDrawings = (kind: DiscKind): Drawings => ({
  details: [ROTOR, ROTORS, HEIGHT, STANDING, SEAT, discPads(kind), PADS_OUT, PADS_IN],
  pictures: { ...DISC_PICTURES, ...CHANGE_PICTURES },
})
