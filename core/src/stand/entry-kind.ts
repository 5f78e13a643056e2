import type { Fact } from '../brake/graph.ts'
import type { Kit } from '../brake/kit.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { StationId } from '../brake/station.ts'
import type { LengthUnit } from '../quantity/quantity.ts'
import type { Draft } from './draft.ts'
import type { BodyFor, Entry, EntryBody, EntryKind, EntryOf } from './entries.ts'

/** With what an entry is put into words. */
export interface Naming {
  readonly kit: Kit
  readonly model: BrakeModel
  readonly length?: LengthUnit
  /** The entry a correction strikes, if it is at hand. */
  readonly find?: (id: string) => Entry | undefined
}

/** What there is to a kind of entry beside its fields and who admits it. */
export interface KindSpec<K extends EntryKind> {
  /** What it establishes or shakes; nothing if not given. */
  readonly fact?: (entry: BodyFor<K>) => Fact
  /** What it leaves on the stand. `late`: somebody else’s turn that its author had not seen. */
  readonly fold?: (draft: Draft, entry: EntryOf<K>, kit: Kit, model: BrakeModel, late: Entry | undefined) => void
  /** In the words of the bench; `say` for an entry it speaks of. */
  readonly say: (entry: BodyFor<K>, naming: Naming, say: (entry: EntryBody) => string) => string
  /** Where on the run line it belongs; none where it is of the whole job. `of` for an entry it speaks of. */
  readonly station: (entry: BodyFor<K>, kit: Kit, of: (id: string) => StationId | undefined) => StationId | undefined
  /** It is judged by what there is to do next, and not only by how the brake stands. */
  readonly asksNext?: true
}
