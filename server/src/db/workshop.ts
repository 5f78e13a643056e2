import { UNNAMED, type Workshop } from '@overhaul/core/sheet/workshop'
import { eq } from 'drizzle-orm'
import { workshop } from './schema.ts'
import type { Db } from './store.ts'

/** Its one row. */
export const THE_WORKSHOP = 1

/** The workshop as its papers name it; unnamed until somebody told. */
export async function workshopIn(db: Db): Promise<Workshop> {
  const { name, address, telephone } = workshop
  const [row] = await db.select({ name, address, telephone }).from(workshop).where(eq(workshop.id, THE_WORKSHOP))
  return row ?? UNNAMED
}
