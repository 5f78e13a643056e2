import type { Entry } from '@overhaul/core/stand/entries'
import { describe, expect, it } from 'vitest'
import { lastWithoutGap, mergeEntries } from './merge.ts'

const note = (id: string, seq?: number): Entry => ({
  id,
  at: '2026-03-01T09:00:00Z',
  by: '1',
  kind: 'note',
  text: id,
  ...(seq !== undefined && { seq }),
})

describe('one log from several tellings', () => {
  it('has each entry once, with its seq if anybody knows it', () => {
    const merged = mergeEntries([note('a', 1)], [note('b')], [note('b', 2), note('a')], [note('c')])
    expect(merged.map(({ id, seq }) => [id, seq])).toEqual([
      ['a', 1],
      ['b', 2],
      ['c', undefined],
    ])
  })

  it('asks again from before a gap', () => {
    expect(lastWithoutGap([note('a', 1), note('b', 2), note('d', 4), note('w')])).toBe(2)
    expect(lastWithoutGap([])).toBe(0)
  })
})
