import { STATIONS } from '@overhaul/core/brake/station'
import type { RackPart, RackWish } from '@overhaul/core/http/contract'

/** Parts of the rail, as they are called on the screen. */
export const PARTS: readonly { readonly id: RackPart; readonly title: string }[] = [
  { id: 'hanging', title: 'all' },
  { id: 'open', title: 'job open' },
  { id: 'out', title: 'out of window' },
  { id: 'unfit', title: 'not to be ridden' },
  { id: 'released', title: 'released' },
  { id: 'due', title: 'due' },
  { id: 'retired', title: 'off the rack' },
]

export const SORTS: readonly { readonly id: RackWish['sort']; readonly title: string }[] = [
  { id: 'name', title: 'by name' },
  { id: 'recent', title: 'last touched first' },
]

const oneOf = <T extends string>(known: readonly { readonly id: T }[], id: string | null): T | undefined =>
  known.find((each) => each.id === id)?.id

/** What the address asks the rack for: kept there, so that it is the same again on coming back. What it cannot mean is left out. */
export function wishIn(query: URLSearchParams): RackWish {
  const family = query.get('brake')
  const station = oneOf(STATIONS, query.get('station'))
  return {
    part: oneOf(PARTS, query.get('part')) ?? 'hanging',
    q: query.get('q') ?? '',
    sort: oneOf(SORTS, query.get('sort')) ?? 'name',
    ...(family && { family }),
    ...(station && { station }),
  }
}

/** The address for a wish; what is usual is not written. */
export function queryOf({ part, q, family, station, sort }: RackWish): URLSearchParams {
  const written = {
    ...(part !== 'hanging' && { part }),
    ...(q !== '' && { q }),
    ...(family && { brake: family }),
    ...(station && { station }),
    ...(sort !== 'name' && { sort }),
  }
  return new URLSearchParams(written)
}
