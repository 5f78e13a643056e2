import { type ComponentType, lazy } from 'react'

const AGAIN_MS = 2000

/** Tries until it comes: while the server is away nothing can be fetched from it, and what is shown stays. */
export async function untilThere<T>(fetch: () => Promise<T>, againMs = AGAIN_MS): Promise<T> {
  for (;;) {
    try {
      return await fetch()
    } catch {
      await new Promise((resolve) => setTimeout(resolve, againMs))
    }
  }
}

/** A part that is fetched when it is first shown. */
export const lazily = <P>(fetch: () => Promise<ComponentType<P>>) =>
  lazy(async () => ({ default: await untilThere(fetch) }))
