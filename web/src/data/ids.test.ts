import { describe, expect, it } from 'vitest'
import { newId } from './ids.ts'

describe('ids made on the screen', () => {
  // RFC 9562, version 4: random, version nibble 4, variant bits 10.
  it('are version 4 UUIDs, each its own', () => {
    const ids = Array.from({ length: 500 }, newId)
    for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/)
    expect(new Set(ids).size).toBe(500)
  })
})
