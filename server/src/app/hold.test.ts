import { expect, it } from 'vitest'
import { hold } from './hold.ts'

it('of more than it may hold, the longest untouched is let go', () => {
  const held = new Map<string, number>()
  for (const [at, key] of ['a', 'b', 'c'].entries()) hold(held, key, at, 3)
  hold(held, 'a', 9, 3)
  expect([...held.keys()]).toEqual(['b', 'c', 'a'])
  hold(held, 'd', 4, 3)
  expect([...held]).toEqual([
    ['c', 2],
    ['a', 9],
    ['d', 4],
  ])
})
