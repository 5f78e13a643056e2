import type { EntryKind } from './entries.ts'
import type { KindSpec } from './entry-kind.ts'
import { anew, fields as anewFields } from './kinds/anew.ts'
import { close, fields as closeFields } from './kinds/close.ts'
import { complaint, fields as complaintFields } from './kinds/complaint.ts'
import { confirm, fields as confirmFields } from './kinds/confirm.ts'
import { correction, fields as correctionFields } from './kinds/correction.ts'
import { estimate, fields as estimateFields } from './kinds/estimate.ts'
import { figure, fields as figureFields } from './kinds/figure.ts'
import { note, fields as noteFields } from './kinds/note.ts'
import { park, fields as parkFields } from './kinds/park.ts'
import { plan, fields as planFields } from './kinds/plan.ts'
import { reading, fields as readingFields } from './kinds/reading.ts'
import { release, fields as releaseFields } from './kinds/release.ts'
import { route, fields as routeFields } from './kinds/route.ts'
import { run, fields as runFields } from './kinds/run.ts'
import { skip, fields as skipFields } from './kinds/skip.ts'
import { spent, fields as spentFields } from './kinds/spent.ts'
import { swap, fields as swapFields } from './kinds/swap.ts'
import { torque, fields as torqueFields } from './kinds/torque.ts'
import { turn, fields as turnFields } from './kinds/turn.ts'

/** The fields of every kind of entry. The shapes are part of the product’s interface: fields are added, never changed. */
export const FIELDS = {
  reading: readingFields,
  turn: turnFields,
  swap: swapFields,
  confirm: confirmFields,
  skip: skipFields,
  plan: planFields,
  route: routeFields,
  torque: torqueFields,
  figure: figureFields,
  estimate: estimateFields,
  spent: spentFields,
  run: runFields,
  correction: correctionFields,
  note: noteFields,
  complaint: complaintFields,
  anew: anewFields,
  park: parkFields,
  release: releaseFields,
  close: closeFields,
} as const

/** All else there is to each kind. */
const KINDS: { readonly [K in EntryKind]: KindSpec<K> } = {
  reading,
  turn,
  swap,
  confirm,
  skip,
  plan,
  route,
  torque,
  figure,
  estimate,
  spent,
  run,
  correction,
  note,
  complaint,
  anew,
  park,
  release,
  close,
}

export const ENTRY_KINDS = Object.keys(FIELDS) as readonly EntryKind[]

/** What there is to the kind of an entry: it is only ever handed entries of that kind. */
export const kindOf = ({ kind }: { readonly kind: EntryKind }): KindSpec<EntryKind> =>
  KINDS[kind] as unknown as KindSpec<EntryKind>
