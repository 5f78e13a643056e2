import type { KindSpec } from '../entry-kind.ts'
import { list, number, one, optional, record } from '../fields.ts'
import { showQuantity } from '../show.ts'

export const fields = {
  segments: list(
    record({
      kind: one('housing', 'bare'),
      lengthMm: number({ above: 0, most: 3000 }),
      bendDeg: optional(number({ least: 0, most: 720 })),
      radiusMm: optional(number({ above: 0, most: 1000 })),
      from: optional(one('ferrule', 'bare', 'barrel')),
      to: optional(one('ferrule', 'bare', 'barrel')),
    }),
    20,
    1,
  ),
}

/** The cable’s way from lever to brake, in order. */
export const route: KindSpec<'route'> = {
  fold(draft, entry) {
    draft.route = entry.segments
  },
  say: ({ segments }, { length }) =>
    `cable’s way: ${segments.length} pieces, ${showQuantity(
      segments.reduce((sum, each) => sum + each.lengthMm, 0),
      'mm',
      length,
    )}`,
  station: () => 'cable',
}
