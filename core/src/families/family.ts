import type { Point } from '../calculation/calculation.ts'
import type { Source } from '../calculation/source.ts'
import type { Lever } from '../mechanics/lever.ts'
import type { Outcome } from '../outcome/outcome.ts'
import type { UnitId } from '../quantity/quantity.ts'

/** A dimension of the hardware: measured on this bicycle, or the book figure until it is. */
export interface DimensionSpec {
  readonly id: string
  readonly title: string
  readonly unit: UnitId | 'N/mm' | 'GPa' | 'mm²' | ''
  readonly book: number
  /** Where a front brake’s usual figure is another: its cable is half as long. */
  readonly bookFront?: number
  readonly min: number
  readonly max: number
  readonly source: Source
}

export type Dimensions = Readonly<Record<string, number>>

export type End = 'front' | 'rear'

/** Hardware that is no number: one of a few answers, usual ones until somebody has looked. */
export interface TraitSpec {
  readonly id: string
  readonly title: string
  readonly options: readonly string[]
  readonly usual: (end: End) => string
  readonly source: Source
}

/** Where a brake hangs and how it was built, beside its dimensions. */
export interface Here {
  readonly end: End
  readonly traits: Readonly<Record<string, string>>
}

/** Something a hand can turn, clamp or move, and what is believed of it before anyone has tried. */
export interface AdjusterSpec {
  readonly id: string
  readonly title: string
  /** Bench shorthand on the tape. */
  readonly shorthand: string
  readonly unit: 'turn' | 'mm' | 'hole'
  /** The smallest step a hand can make. */
  readonly step: number
  /** What the hand does for a positive and for a negative amount: “Left screw in”. */
  readonly plus: string
  readonly minus: string
  /** The model input it drives and the book effect on it, per unit. */
  readonly input: string
  readonly book: number
  /** Standard deviation of the logarithm of its true effect over the book's. */
  readonly effectSpread: number
  /** Lost motion on reversal, in its own unit. */
  readonly play?: { readonly mean: number; readonly sd: number }
  /** Scatter each time it is set, in its own unit: a clamp creeps as it is tightened. */
  readonly settingSd: number
  /** Between its two ends, in its own unit; absent where nothing limits it. */
  readonly travel?: number
  /** The reading that tells how far it stands from its lower end. */
  readonly positionReading?: string
  /** Position taken before anyone has looked, from its lower end. */
  readonly assumedPosition?: number
  /** Which way it works differs by design: `book` holds one way, the other is as likely until the brake shows. */
  readonly eitherWay?: true
  /** Only when nothing gentler is left: a spring moved to another hole. */
  readonly lastResort?: true
  /** What touching it costs, as a share of the chance of success. */
  readonly price: number
}

/** A quantity nobody has measured on this bike, with its prior. Logarithmic ones are factors. */
export interface ModelInput {
  readonly id: string
  readonly title: string
  readonly mean: number
  readonly sd: number
  /** Belongs to the brake and is kept for its next visit; otherwise it belongs to this setting. */
  readonly lasting: boolean
}

/** From model inputs `q` to readings `y`, both in the family's order. Writes into `y`; allocates nothing. */
export type Predict = (q: Float64Array, y: Float64Array) => void

/** As `predict`, and how each reading follows each input at `q`: dy/dq, readings × inputs. Leaves `q` as it was. */
export type Slopes = (q: Float64Array, y: Float64Array, jacobian: Float64Array) => void

export type ShapeRole =
  | 'arm'
  | 'pad'
  | 'shoe'
  | 'post'
  | 'rim'
  | 'rim-void'
  | 'tyre'
  | 'tube'
  | 'cable'
  | 'housing'
  | 'boss'
  | 'bolt'
  | 'screw'
  | 'axis'

/** One shape of a drawing, in mm. */
export type Shape<Role extends string = ShapeRole> =
  | { readonly kind: 'polygon'; readonly role: Role; readonly points: readonly Point[] }
  | { readonly kind: 'line'; readonly role: Role; readonly points: readonly Point[] }
  | { readonly kind: 'circle'; readonly role: Role; readonly centre: Point; readonly radius: number }

export interface Outline {
  /** Parts that never move. */
  readonly fixed: readonly Shape[]
  readonly left: readonly Shape[]
  readonly right: readonly Shape[]
  readonly cable: readonly Shape[]
  /** Where leader lines point: gaps, screws, anchor, barrel. */
  readonly anchors: Readonly<Record<string, Point>>
  readonly bounds: { readonly min: Point; readonly max: Point }
}

/** A pose of the brake for drawing: pad gaps from the rim's own sides, and how far the rim is pushed aside. */
export interface Pose {
  readonly gapLeftMm: number
  readonly gapRightMm: number
  readonly rimShiftMm: number
}

/** How far the brake has closed at a finger travel. */
export interface Squeeze extends Pose {
  readonly travelMm: number
  /** Tension in the cable at the brake, N; 0 before both pads press. */
  readonly tensionN: number
}

/** What happens to a belief when something upstream changes: extra doubt about these inputs. */
export type Disturbance = 'wheel' | 'pads' | 'cable' | 'mount'

/** What a bite school needs to know of a brake. */
export interface Throw {
  readonly lever: Lever
  /** Cable (mm) pulled before it is taut: the book's guess. */
  readonly freePlayMm: number
  /** Cable (mm) from contact for the same gap (mm) at each pad. */
  readonly cableForGap: (gapMm: number) => number
  /**
   * Tension at the brake (N) in the one squeeze that reserve and force are judged at: a hard one, or what the stop asked
   * of this brake needs if that is more; and what wire, housing and brake give way to it (N/mm at the cable).
   */
  readonly squeezeTensionN: number
  readonly stiffnessNPerMm: number
  /** Finger travel (mm) from contact to that squeeze: stretch of cable, housing and arms. */
  readonly stretchTravelMm: number
  /** Linkage ratio at contact, where the pads press: cable over both pads’ closing, pad force over tension. */
  readonly contactRatio: number
}

export interface PadArm {
  readonly inMm: number
  readonly upMm: number
}

export interface FamilyModel {
  /** Pad face against its pivot at contact, mm: in towards the wheel, and up. The pad turns about it as it wears. */
  readonly padArm: { readonly left: PadArm; readonly right: PadArm }
  readonly throw: Throw
  readonly inputs: readonly ModelInput[]
  /** Readings the model predicts, in the order of `y`. */
  readonly readings: readonly string[]
  readonly adjusters: readonly AdjusterSpec[]
  readonly predict: Predict
  readonly slopes: Slopes
  /** A new cable lets out this much more as it beds in, a share 1 − 1/e of it within `squeezes`. */
  readonly bedding: {
    readonly input: string
    readonly mean: number
    readonly sd: number
    readonly worn: number
    readonly squeezes: number
  }
  /** Standard deviation added to each input by a disturbance. */
  readonly disturbances: Readonly<Record<Disturbance, Readonly<Record<string, number>>>>
  /** The brake drawn at a pose, in mm, seen from the saddle. */
  readonly outline: (pose: Pose) => Outline
  /** The brake at a finger travel, from model inputs. */
  readonly squeeze: (q: Float64Array, travelMm: number) => Squeeze
}

/** How a brake hangs on the frame: arms on bosses, or one bolt through bridge or crown. */
export type Mount = 'boss' | 'centre-bolt'

/** What the pads press on. */
export type Track = 'rim' | 'rotor' | 'drum'

export interface Family {
  readonly mount: Mount
  readonly track: Track
  readonly id: string
  readonly title: string
  readonly dimensions: readonly DimensionSpec[]
  readonly traits: readonly TraitSpec[]
  /** The model for one set of dimensions, hung here; refuses impossible geometry. */
  readonly fit: (d: Dimensions, here: Here) => Outcome<FamilyModel>
}
