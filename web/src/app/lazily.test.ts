import { describe, expect, it } from 'vitest'
import { untilThere } from './lazily.ts'

describe('a part fetched while the server is away', () => {
  it('is tried again until it comes, and fails nobody meanwhile', async () => {
    let tries = 0
    const part = await untilThere(async () => {
      tries += 1
      if (tries < 4) throw new Error('away')
      return 'the part'
    }, 1)
    expect([part, tries]).toEqual(['the part', 4])
  })
})
