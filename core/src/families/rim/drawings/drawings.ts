import type { Drawings } from '../../../brake/drawings.ts'
import { HUNG_DRAWINGS } from '../../../features/mount/drawings/drawings.ts'
import { ARM_FREE, PIPE_HOOKED } from './acts.ts'
import { FROM_ABOVE, ON_TRACK, WASHERS } from './pads.ts'
import { CAM_PICTURES, GUIDE_PICTURES, RIM_PICTURES } from './pictures.ts'
import { SWING, WALLS } from './wheel.ts'

/** A rim brake’s parts by themselves, by how it hangs and whether a guide pipe leads its cable. */
export function rimDrawings(mount: 'boss' | 'centre-bolt', guided: boolean): Drawings {
  const hung = HUNG_DRAWINGS[mount]
  return {
    details: [
      ...[SWING, WALLS, ON_TRACK, FROM_ABOVE, WASHERS],
      ...(mount === 'boss' ? [ARM_FREE] : []),
      ...(guided ? [PIPE_HOOKED] : []),
      ...hung.details,
    ],
    pictures: { ...RIM_PICTURES, ...hung.pictures, ...(guided ? GUIDE_PICTURES : CAM_PICTURES) },
  }
}
