import { describe, expect, it } from 'vitest'
import { codeIn } from './use-scanner.ts'

describe('what a scanner reads', () => {
  it.each([
    ['7KXW3', '7KXW3'],
    ['7kxw3', '7KXW3'],
    ['http://192.168.1.5:4117/b/7KXW3', '7KXW3'],
    // A vowel stands in no code, and a shop’s own bar codes are numbers.
    ['7KXA3', undefined],
    ['4006381333931', undefined],
    ['7KXW', undefined],
  ])('%s', (scanned, code) => {
    expect(codeIn(scanned)).toBe(code)
  })
})
