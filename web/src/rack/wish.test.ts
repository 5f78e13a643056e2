import type { RackWish } from '@overhaul/core/http/contract'
import { describe, expect, it } from 'vitest'
import { queryOf, wishIn } from './wish.ts'

const read = (query: string): RackWish => wishIn(new URLSearchParams(query))

describe('what the rack is asked for, in its address', () => {
  it.each<[string, RackWish]>([
    ['', { part: 'hanging', q: '', sort: 'name' }],
    ['part=out&q=hire+07', { part: 'out', q: 'hire 07', sort: 'name' }],
    [
      'part=due&brake=drum&station=bite&sort=recent',
      { part: 'due', q: '', family: 'drum', station: 'bite', sort: 'recent' },
    ],
  ])('“%s” is read and written the same', (query, wish) => {
    expect(read(query)).toEqual(wish)
    expect(queryOf(wish).toString()).toBe(query)
    expect(wishIn(queryOf(wish))).toEqual(wish)
  })

  it('what it cannot mean is left out, and the rest stands', () => {
    expect(read('part=lost&station=attic&sort=colour&q=blue')).toEqual({ part: 'hanging', q: 'blue', sort: 'name' })
  })
})
