import type { End } from '@overhaul/core/brake/dimension'
import type { EndState } from '@overhaul/core/sheet/tag'
import { eq } from 'drizzle-orm'
import { hanging } from './schema.ts'
import type { Db } from './store.ts'

/** How the brakes that hang on a bicycle stand, by end. */
export async function endsOf(db: Db, bicycleId: string): Promise<Readonly<Partial<Record<End, EndState>>>> {
  const rows = await db
    .select({ end: hanging.end, state: hanging.state })
    .from(hanging)
    .where(eq(hanging.bicycleId, bicycleId))
  return Object.fromEntries(rows.map(({ end, state }) => [end, state]))
}
