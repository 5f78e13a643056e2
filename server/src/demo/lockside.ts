import type { End } from '@overhaul/core/brake/dimension'
import type { Workshop } from '@overhaul/core/sheet/workshop'
import type { EntryBody } from '@overhaul/core/stand/entries'
import type { Dimension, Hardware } from '@overhaul/core/stand/hardware'
import type { StopAt } from './mechanic.ts'

/** Lockside Hire, a made-up canal-towpath hire shed. Everything here is invented; numbers, not people's names. */
export interface DemoBicycle {
  readonly name: string
  readonly description: string
  readonly brakes: readonly DemoBrake[]
}

export interface DemoBrake {
  readonly hardware: Hardware
  /** Jobs on this brake, oldest first. */
  readonly jobs: readonly DemoJob[]
}

export interface DemoJob {
  readonly complaint: string
  readonly daysAgo: number
  /** Where the work was laid down; done to the end where it is not given. */
  readonly stopAt?: StopAt
  readonly by: string
  /** What the job is for, if it is more than adjusting. */
  readonly work?: 'fit' | 'rub' | 'new-rotor' | 'new-pads' | 'service'
  /** Whose hand the lever is set for. */
  readonly rider?: 'medium'
  /** Stops ridden before the work and after it, m from about 25 km/h. */
  readonly runs?: { readonly before: readonly number[]; readonly after: readonly number[] }
  /** What the gauge showed on that day where it was not what it shows now. */
  readonly shown?: Readonly<Record<string, number>>
  /** What was found where it was laid down, and why it was closed unreleased. */
  readonly closed?: { readonly found: readonly EntryBody[]; readonly why: string }
}

/** Laid down with the next turn on the screen, this many turns made. */
const turning = (turns: number): StopAt => ({ step: 'dial-in', turns })

const measured = (value: number, instrument = 'caliper'): Dimension => ({ value, provenance: 'measured', instrument })

/** This shed knows which of its bicycles has a motor. */
const NO_MOTOR = { motorAt: 'none' } as const

const linearPull = (end: End, practiceSeed: number, own: Readonly<Record<string, Dimension>> = {}): Hardware => ({
  family: 'linear-pull',
  end,
  practiceSeed,
  dimensions: { rimWidthMm: measured(24), tyreWidthMm: measured(37, 'rule'), ...own },
  traits: NO_MOTOR,
})

/** Newer dual-pivot calipers, short bolts and sleeve nuts, for the tourer’s older crown and bridge. */
const caliper = (end: End, practiceSeed: number): Hardware => ({
  family: 'dual-pivot',
  end,
  practiceSeed,
  dimensions: {
    caliperReachMm: measured(53, 'rule'),
    beadSeatMm: { value: 622, provenance: 'maker', instrument: 'printed on the tyre' },
    rimWidthMm: measured(20),
    tyreWidthMm: measured(28, 'rule'),
  },
  traits: NO_MOTOR,
})

const of = (
  family: string,
  end: End,
  practiceSeed: number,
  dimensions: Readonly<Record<string, Dimension>>,
): Hardware => ({ family, end, practiceSeed, dimensions, traits: NO_MOTOR })

const CARGO = { loadedMassKg: measured(180, 'scale'), rotorDiameterMm: measured(180, 'printed on the rotor') }
const CARGO_FRONT = { ...CARGO, rotorDiameterMm: measured(203, 'printed on the rotor') }
/** Its maker lets both brakes share the stop. */
const together = (hardware: Hardware): Hardware => ({
  ...hardware,
  traits: { ...hardware.traits, stopsWith: 'both' },
})
const assisted = (end: End, practiceSeed: number): Hardware => ({
  ...of('disc-both-move', end, practiceSeed, { loadedMassKg: measured(95, 'scale') }),
  // A motor in the rear hub.
  traits: { assisted: 'yes', motorAt: end === 'rear' ? 'this' : 'other', fluid: 'yes' },
})

/** A hub drum, its lever short-pull as a drum wants it. */
const drum = (end: End, practiceSeed: number, acrossMm: 70 | 90): Hardware =>
  of('drum', end, practiceSeed, {
    drumRadiusMm: measured(acrossMm / 2, 'inside caliper'),
    beadSeatMm: measured(622, 'printed on the tyre'),
    loadedMassKg: measured(85, 'scale'),
  })

const brake = (hardware: Hardware, ...jobs: readonly DemoJob[]): DemoBrake => ({ hardware, jobs })

const WIDE = { rimWidthMm: measured(27), tyreWidthMm: measured(47, 'rule'), padStandoffMm: measured(26.5) }
const NARROW = { rimWidthMm: measured(20), tyreWidthMm: measured(28, 'rule'), padStandoffMm: measured(30) }
const SHORT_REACH = {
  leverReachMm: measured(48, 'rule'),
  leverFingerArmMm: measured(62, 'rule'),
  beadSeatMm: measured(507, 'printed on the tyre'),
}

const weekly = (practiceSeed: number, end: End, daysAgo: number, stopAt?: StopAt): DemoBrake =>
  brake(linearPull(end, practiceSeed), {
    complaint: 'Weekly check',
    daysAgo,
    by: '3',
    ...(stopAt && { stopAt }),
  })

/** The hire bicycle whose rear brake rubs left and bites late: nobody has begun on it. */
export const STORY = { bicycle: 'Hire 07', end: 'rear' } as const

/** As its papers name it. */
export const LOCKSIDE_HIRE: Workshop = {
  name: 'Lockside Hire',
  address: '3 Lock Lane, Towpath Basin',
  telephone: '01632 960 117',
}

export const LOCKSIDE: readonly DemoBicycle[] = [
  { name: 'Hire 01', description: 'Step-through, 37-622', brakes: [weekly(101, 'front', 6), weekly(102, 'rear', 6)] },
  {
    name: 'Hire 02',
    description: 'Step-through, 37-622',
    brakes: [weekly(103, 'front', 5), weekly(180, 'rear', 5, turning(1))],
  },
  { name: 'Hire 03', description: 'Diamond frame, 37-622', brakes: [weekly(105, 'front', 4), weekly(106, 'rear', 4)] },
  {
    name: 'Hire 04',
    description: 'Diamond frame, wide tyres, 47-622',
    brakes: [
      brake(linearPull('front', 107, WIDE), {
        complaint: 'Lever comes near the bar',
        daysAgo: 1,
        stopAt: turning(1),
        by: '3',
      }),
      brake(linearPull('rear', 108, WIDE), {
        complaint: 'Season check',
        daysAgo: 20,
        by: '5',
        runs: { before: [8.9, 9.4, 8.6], after: [6.6, 6.9, 6.3] },
      }),
    ],
  },
  { name: 'Hire 05', description: 'Step-through, 37-622', brakes: [weekly(109, 'front', 3), weekly(110, 'rear', 3)] },
  {
    name: 'Hire 06',
    description: 'Diamond frame, narrow rims, 28-622',
    brakes: [
      brake(linearPull('front', 111, NARROW)),
      brake(linearPull('rear', 112, NARROW), {
        complaint: 'Squeals when wet',
        daysAgo: 2,
        stopAt: { step: 'pads-height' },
        by: '5',
      }),
    ],
  },
  {
    name: 'Hire 07',
    description: 'Diamond frame, 37-622',
    brakes: [
      weekly(113, 'front', 2),
      brake(
        linearPull('rear', 267),
        { complaint: 'Season check', daysAgo: 90, by: '5' },
        {
          complaint: 'Rubs on the left, bites late. Knocked over at the lock.',
          daysAgo: 0,
          stopAt: { step: 'wheel-fast' },
          by: '3',
        },
      ),
    ],
  },
  { name: 'Hire 08', description: 'Diamond frame, 37-622', brakes: [weekly(115, 'front', 9), weekly(116, 'rear', 9)] },
  {
    name: 'Hire 09',
    description: 'Child’s bicycle, short reach, 47-507',
    brakes: [
      brake(linearPull('front', 117, SHORT_REACH), {
        complaint: 'Small hands cannot reach',
        daysAgo: 1,
        stopAt: turning(1),
        by: '3',
      }),
      brake(linearPull('rear', 118, SHORT_REACH)),
    ],
  },
  { name: 'Hire 10', description: 'Step-through, 37-622', brakes: [weekly(119, 'front', 8), weekly(120, 'rear', 8)] },
  {
    name: 'Hire 11',
    description: 'Step-through, 37-622',
    brakes: [weekly(121, 'front', 7, { step: 'rim-sound' }), weekly(122, 'rear', 7)],
  },
  {
    name: 'Hire 12',
    description: 'Diamond frame, 37-622',
    brakes: [weekly(123, 'front', 12), weekly(124, 'rear', 12)],
  },
  {
    name: 'Hire 14',
    description: 'Tandem, wide tyres, 47-622',
    brakes: [
      brake(linearPull('front', 125, WIDE), {
        complaint: 'Judders since the spring',
        daysAgo: 5,
        by: '5',
        stopAt: { step: 'rim-sound' },
        closed: {
          found: [
            { kind: 'reading', reading: 'rimMaterial', value: 'alloy', unit: '' },
            { kind: 'reading', reading: 'rimWall', value: 0.5, unit: 'mm' },
          ],
          why: 'rim worn through, no wheel in the drawer',
        },
      }),
      brake(linearPull('rear', 126, WIDE)),
    ],
  },
  { name: 'Hire 15', description: 'Step-through, 37-622', brakes: [weekly(127, 'front', 14), weekly(128, 'rear', 14)] },
  {
    name: 'Hire 16',
    description: 'Step-through, 37-622',
    brakes: [weekly(129, 'front', 13), weekly(130, 'rear', 13, { step: 'pads-toe' })],
  },
  {
    name: 'Hire 17',
    description: 'Diamond frame, 37-622',
    brakes: [weekly(131, 'front', 11), weekly(132, 'rear', 11)],
  },
  {
    name: 'Hire 18',
    description: 'Diamond frame, 37-622',
    brakes: [weekly(133, 'front', 10), weekly(134, 'rear', 10)],
  },
  {
    name: 'Hire 19',
    description: 'Child’s bicycle, 47-406',
    brakes: [brake(linearPull('rear', 135, SHORT_REACH), { complaint: 'Weekly check', daysAgo: 10, by: '5' })],
  },
  {
    name: 'Hire 20',
    description: 'Cargo bicycle, rear wheel 47-559',
    brakes: [
      brake(linearPull('rear', 136, WIDE), {
        complaint: 'Weak with load',
        daysAgo: 3,
        stopAt: { step: 'dial-in', measuring: true },
        by: '3',
      }),
    ],
  },
  { name: 'Hire 21', description: 'Step-through, 37-622', brakes: [weekly(137, 'front', 15), weekly(138, 'rear', 15)] },
  {
    name: 'Hire 22',
    description: 'Step-through, new this spring, 37-622',
    brakes: [
      brake(linearPull('front', 139), {
        complaint: 'The blade traps a finger at a hard stop',
        daysAgo: 0,
        stopAt: { step: 'lever-place', found: true },
        by: '5',
        rider: 'medium',
      }),
      brake(linearPull('rear', 140)),
    ],
  },
  {
    name: 'Folder 1',
    description: 'Small-wheel folder, 37-349, dual-pivot calipers',
    brakes: [
      brake(of('dual-pivot', 'front', 161, { beadSeatMm: measured(349, 'printed on the tyre') }), {
        complaint: 'One pad rubs; nobody knows which way its screw turns',
        daysAgo: 1,
        stopAt: turning(0),
        by: '3',
      }),
      brake(of('dual-pivot', 'rear', 162, { beadSeatMm: measured(349, 'printed on the tyre') })),
    ],
  },
  {
    name: 'Cross 1',
    description: 'Cyclo-cross bicycle, 35-622, cantilevers',
    brakes: [
      brake(of('cantilever', 'front', 169, { tyreWidthMm: measured(35, 'rule') }), {
        complaint: 'Lever comes near the bar',
        daysAgo: 2,
        stopAt: turning(0),
        by: '5',
      }),
      brake(of('cantilever', 'rear', 164, { tyreWidthMm: measured(35, 'rule') }), {
        complaint: 'Season check',
        daysAgo: 12,
        by: '5',
      }),
    ],
  },
  {
    name: 'Roadster 1',
    description: 'Old roadster, 32-630, single-pivot and centre-pull',
    brakes: [
      brake(of('centre-pull', 'front', 165, { beadSeatMm: measured(630, 'printed on the tyre') }), {
        complaint: 'Squeals',
        daysAgo: 4,
        stopAt: { step: 'pads-toe' },
        by: '3',
      }),
      brake(of('single-pivot', 'rear', 166, { beadSeatMm: measured(630, 'printed on the tyre') }), {
        complaint: 'Rubs on the right',
        daysAgo: 4,
        stopAt: turning(0),
        by: '3',
      }),
    ],
  },
  {
    name: 'Roadster 2',
    description: 'Roadster with hub drums, 70 mm in front, 90 mm behind, 47-622',
    brakes: [
      brake(
        drum('front', 183, 70),
        { complaint: 'Season check', daysAgo: 420, by: '5', shown: { armApplied: 38 } },
        { complaint: 'Season check', daysAgo: 230, by: '3', shown: { armApplied: 33 } },
        { complaint: 'Lever comes further in', daysAgo: 90, by: '3', shown: { armApplied: 28 } },
        {
          complaint: 'Squeals after standing in the rain, and comes to the bar',
          daysAgo: 0,
          stopAt: { step: 'wear-angle' },
          by: '3',
          work: 'service',
        },
      ),
      brake(drum('rear', 188, 90), {
        complaint: 'Lever comes near the bar',
        daysAgo: 1,
        stopAt: turning(0),
        by: '5',
      }),
    ],
  },
  {
    name: 'Cargo 1',
    description: 'Long cargo bicycle, mechanical discs, carries 180 kg; 203 mm in front',
    brakes: [
      brake(together(of('disc-fixed-pad', 'front', 171, CARGO_FRONT)), {
        complaint: 'Drags after the wheel was out',
        daysAgo: 1,
        stopAt: turning(1),
        by: '5',
      }),
      brake(
        together(of('disc-two-adjusters', 'rear', 172, CARGO)),
        { complaint: 'Lever comes near the bar', daysAgo: 3, by: '5' },
        {
          complaint: 'Chain oil on the pads: new ones',
          daysAgo: 0,
          stopAt: { step: 'pads-out' },
          by: '5',
          work: 'new-pads',
        },
      ),
    ],
  },
  {
    name: 'Assisted 1',
    description: 'Assisted step-through, cable-pulled hydraulic calipers, 160 mm',
    brakes: [
      brake(assisted('front', 173), {
        complaint: 'Pulses, and touches once a turn',
        daysAgo: 0,
        stopAt: { step: 'rotor-sound' },
        by: '3',
      }),
      brake(
        assisted('rear', 174),
        { complaint: 'Season check', daysAgo: 8, by: '3' },
        {
          complaint: 'A 180 mm rotor for the 160, new pads, another bracket',
          daysAgo: 0,
          stopAt: { step: 'stack-plan' },
          by: '3',
          work: 'new-rotor',
        },
      ),
    ],
  },
  {
    name: 'Tourer 1',
    description: 'Restored steel tourer, 1970s style; 630 wheels going to 622, 6 mm crown and bridge',
    brakes: [
      brake(caliper('front', 151), {
        complaint: 'Fit the newer dual-pivot caliper to the crown; wheels go from 630 to 622',
        daysAgo: 1,
        by: '5',
        work: 'fit',
      }),
      brake(caliper('rear', 152), {
        complaint: 'Fit the newer dual-pivot caliper to the bridge; wheels go from 630 to 622',
        daysAgo: 0,
        stopAt: { step: 'wheel-seated' },
        by: '5',
        work: 'fit',
      }),
    ],
  },
]
