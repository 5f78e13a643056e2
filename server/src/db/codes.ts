import { randomInt } from 'node:crypto'
import { eq, isNull } from 'drizzle-orm'
import type { BatchItem } from 'drizzle-orm/batch'
import type { LibSQLDatabase } from 'drizzle-orm/libsql'
import * as schema from './schema.ts'

const { bicycles } = schema

/** No vowels, so that no code is a word; nothing that is read as something else. */
const LETTERS = '23456789BCDFGHJKMNPQRSTVWXZ'
const LENGTH = 5
const A_BATCH = 200

/** A short code for a bicycle’s tag. */
export const newCode = (): string => Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('')

/** Bicycles hung up before there were codes get theirs. */
export async function giveCodes(db: LibSQLDatabase<typeof schema>): Promise<void> {
  const without = await db.select({ id: bicycles.id }).from(bicycles).where(isNull(bicycles.code))
  if (without.length === 0) return
  const taken = new Set((await db.select({ code: bicycles.code }).from(bicycles)).map(({ code }) => code))
  const given = without.map(({ id }) => {
    let code = newCode()
    while (taken.has(code)) code = newCode()
    taken.add(code)
    return db.update(bicycles).set({ code }).where(eq(bicycles.id, id))
  })
  for (let at = 0; at < given.length; at += A_BATCH)
    await db.batch(given.slice(at, at + A_BATCH) as unknown as [BatchItem<'sqlite'>])
}
