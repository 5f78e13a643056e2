import { SHOES_LOOSE } from '../../bench/unsettled.ts'
import type { Feature } from '../../brake/feature.ts'
import type { SeenSpec } from '../../brake/reading.ts'
import { fitting, type StepSpec } from '../../brake/step.ts'

/** How a linear-pull’s arms stand while its pads are on the rim: the washers of the shoes decide it. */
const ARMS_STAND: SeenSpec = {
  id: 'armsStand',
  keeps: 'hardware',
  title: 'arms, pads on the rim',
  shorthand: 'arms-at',
  practice: 'upright',
  standsOn: ['swap:pads', 'swap:wheel', 'swap:brake', ...SHOES_LOOSE],
  how: 'Squeeze and hold; look along the wheel at both arms.',
  options: [
    { id: 'upright', title: 'upright and parallel' },
    {
      id: 'apart',
      title: 'lean apart at the top',
      remedy: 'A wide rim: the thin pair of washers between shoe and arm, the thick pair outside, each in its order.',
    },
    {
      id: 'together',
      title: 'lean together at the top',
      remedy: 'A narrow rim: the thick pair of washers between shoe and arm, the thin pair outside, each in its order.',
    },
    {
      id: 'no-washers',
      title: 'lean, and the shoes have no washers to swap',
      remark: 'the arms do not stand upright: the pads drift more as they wear, look sooner',
    },
  ],
}

const UPRIGHT: StepSpec = {
  id: 'arms-upright',
  station: 'pads',
  before: 'pads-height',
  title: 'arms upright where the pads meet the rim',
  say: 'Squeeze and hold: both arms must stand upright and parallel, pads on the rim.',
  more: 'Domed and dished washers stay in pairs; only the thick and the thin pair change places, inside to outside.',
  why: 'Arms that lean pull askew on their cable, and carry the pads up or down the track as they wear.',
  cautions: ['tyre'],
  loosens: 'shoes-loosened',
  mayLeave: 'the pads drift more as they wear',
  done: { kind: 'in-window', readings: ['armsStand'] },
  when: (here) => fitting(here) || here.happened(['swap:pads', ...SHOES_LOOSE]),
}

/** Arms of a linear-pull set upright by the washers of its shoes, before their height is. */
export const UPRIGHT_ARMS: Feature = { id: 'upright-arms', seen: [ARMS_STAND], steps: [UPRIGHT] }
