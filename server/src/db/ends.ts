import type { EndsStand } from '@overhaul/core/sheet/tag'
import { eq } from 'drizzle-orm'
import { hanging } from './schema.ts'
import type { Db } from './store.ts'

/** How the brakes that hang on a bicycle stand, by end. */
export async function endsOf(db: Db, bicycleId: string): Promise<EndsStand> {
  const rows = await db
    .select({ end: hanging.end, state: hanging.state, lookAgain: hanging.lookAgain })
    .from(hanging)
    .where(eq(hanging.bicycleId, bicycleId))
  return Object.fromEntries(rows.map(({ end, state, lookAgain }) => [end, { state, ...(lookAgain && { lookAgain }) }]))
}
