/** Something that can be established or can unsettle: a reading, a confirmation, a turn, a swap, a plan, a torque. */
export type Fact = `${'reading' | 'confirm' | 'turn' | 'swap' | 'plan' | 'torque'}:${string}`

/** Each thing that can be established, and what it stands on. */
export type Graph = Readonly<Record<string, readonly Fact[]>>

/** Any adjuster of the brake: what it moves is the model's business, that it moves something is enough here. */
export const ANY_TURN: Fact = 'turn:any'

type Standing = { readonly id: string; readonly standsOn?: readonly Fact[] }

/**
 * The graph of a run sheet, gathered from its definitions: each thing that can be established, and what it stands on. When
 * something it stands on is done again, directly or through others, it must be looked at again. Readings stand on what moves
 * the parts, not on other readings, except where one is judged against another.
 */
export function graphOf(own: {
  readonly readings: readonly Standing[]
  readonly seen: readonly Standing[]
  readonly steps: readonly Standing[]
  readonly plans: readonly Standing[]
}): Graph {
  const of = (kind: 'reading' | 'confirm' | 'plan', all: readonly Standing[]): readonly Graph[] =>
    all.flatMap(({ id, standsOn }) => (standsOn ? [{ [`${kind}:${id}`]: standsOn }] : []))
  return [
    ...of('reading', own.readings),
    ...of('reading', own.seen),
    ...of('confirm', own.steps),
    ...of('plan', own.plans),
  ].reduce(joined, {})
}

/** Two graphs as one: what both speak of stands on what either says. */
export function joined(one: Graph, other: Graph): Graph {
  const keys = new Set([...Object.keys(one), ...Object.keys(other)])
  return Object.fromEntries([...keys].map((key) => [key, [...new Set([...(one[key] ?? []), ...(other[key] ?? [])])]]))
}

/** A graph searched: what stands on a fact, and what a fact stands on, directly or through others. */
export interface Grounds {
  readonly unsettledBy: (fact: Fact) => ReadonlySet<string>
  readonly groundsOf: (fact: Fact) => ReadonlySet<Fact>
}

/** `apart`: turns that move no part of the brake, and shake only what stands on them by name. */
export function groundsIn(graph: Graph, apart: readonly Fact[] = []): Grounds {
  const known = new Map<Fact, ReadonlySet<string>>()
  const standingOn = (fact: Fact): ReadonlySet<string> => {
    const found = new Set<string>()
    const visit = (ground: string) => {
      for (const [each, grounds] of Object.entries(graph)) {
        if (found.has(each) || !grounds.includes(ground as Fact)) continue
        found.add(each)
        visit(each)
      }
    }
    visit(fact)
    return found
  }
  return {
    /** A turn unsettles what any turn does, and what stands on this adjuster. */
    unsettledBy(fact) {
      const found =
        known.get(fact) ??
        (fact.startsWith('turn:') && !apart.includes(fact)
          ? new Set([...standingOn(ANY_TURN), ...standingOn(fact)])
          : standingOn(fact))
      known.set(fact, found)
      return found
    },
    groundsOf(fact) {
      const found = new Set<Fact>()
      const visit = (each: string) => {
        for (const ground of graph[each] ?? []) {
          if (found.has(ground)) continue
          found.add(ground)
          visit(ground)
        }
      }
      visit(fact)
      return found
    },
  }
}
