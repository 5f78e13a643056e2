import { workerData } from 'node:worker_threads'
import { type Db, reader } from '../db/store.ts'

/** What of something that reads the workshop’s data can be asked from another thread. */
export type Askable<T> = {
  [K in keyof T]: T[K] extends (...args: never[]) => Promise<unknown> ? K : never
}[keyof T] &
  string

/** A question on its way to a worker. */
export interface Asked {
  readonly method: string
  readonly args: readonly unknown[]
}

/** What a worker that reads is given: where the workshop’s data lies. */
export interface Data {
  readonly directory: string
}

/** The side of a worker: something that reads the data, asked by its methods’ names. */
export async function answering<T>(make: (db: Db) => T): Promise<(asked: Asked) => unknown> {
  const { directory } = workerData as Data
  const made = make(await reader(directory))
  return ({ method, args }) => (made[method as keyof T] as (...args: readonly unknown[]) => unknown).call(made, ...args)
}
