import { type StepSpec, wholeOr } from '../../brake/step.ts'

/** The wheel the pads press on. */
export const TRACK_STEPS: readonly StepSpec[] = [
  {
    id: 'wheel-true',
    station: 'wheel',
    title: 'wheel true',
    say: 'Spin the wheel. Measure its runout, and how far the rim stands off the middle.',
    more: 'Runout side to side and up and down; the middle is between the stays or the fork’s legs.',
    why: 'Half the runout is the closest a pad can stand without rubbing: it sets the rub wall.',
    cautions: [],
    mayLeave: 'the gaps must be that much wider',
    done: { kind: 'in-window', readings: ['lateralRunout', 'radialRunout', 'wheelOffset'] },
    whenOut: 'Seat the wheel again; if it stays so, true or dish it. No screw of the brake is touched before.',
  },
  {
    id: 'rim-sound',
    posture: 'walk-round',
    station: 'wheel',
    title: 'rim sound',
    say: 'Measure the rim’s wall; look at its wear line, its track, its material.',
    why: 'A rim worn through bursts under the tyre; a step in the track comes from a pad set wrong. A steel rim is not judged by its wall.',
    tools: ['hooked probe or outside caliper'],
    mends: ['wheel'],
    cautions: [],
    mayLeave: 'the rim is near its end',
    done: {
      kind: 'in-window',
      readings: ['rimMaterial', 'rimWall', 'wearLine', 'trackStep', 'trackFace'],
      optional: ['rimMark'],
    },
    exempt: { rimWall: { reading: 'rimMaterial', is: 'steel' } },
    whenOut: 'The rim is near its end: think of replacing it before any work on the brake.',
    when: wholeOr('swap:wheel'),
  },
]
