import { fetchPanels } from '../features/panels.ts'

/** What the Stand fetches only when it is asked for, before the hand asks: it opens while the server is away, too. */
export const fetchParts = () =>
  Promise.all([
    fetchPanels(),
    import('../tape/Tape.tsx'),
    import('./covers.ts'),
    import('./DetailBench.tsx'),
    import('./WrittenBy.tsx'),
    import('./next/SomethingElse.tsx'),
    import('@overhaul/core/bench/drawings/drawings'),
    import('@overhaul/core/simulate/practice'),
  ])
