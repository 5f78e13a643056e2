import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readText, readTime } from './text.ts'

const NAME = { field: 'name', what: 'The name', most: 10 } as const

describe('what is told in words', () => {
  it('is kept whole: nothing is cut', () => {
    expect(readText('Hire 07', NAME)).toEqual({ ok: true, value: 'Hire 07' })
    expect(readText('0123456789', NAME).ok).toBe(true)
    expect(readText('01234567890', NAME)).toMatchObject({
      error: { code: 'too-long', field: 'name', message: 'The name is 11 characters long. Accepted: at most 10.' },
    })
  })

  // Unicode Bidirectional Algorithm, UAX #9: marks and embeddings that turn what is read.
  it.each(['\u202e', '\u200f', '\u2066', '\ufeff', '\u0007', '\u009b', '\u0000'])('has no mark %j', (mark) => {
    const refused = readText(`a${mark}b`, NAME)
    const code = mark.charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')
    expect(refused).toMatchObject({ error: { code: 'unreadable', message: expect.stringContaining(`U+${code}`) } })
  })

  it('has lines only where lines belong, and is empty only where it may be', () => {
    expect(readText('a\nb', NAME).ok).toBe(false)
    expect(readText('a\n\tb', { ...NAME, lines: true }).ok).toBe(true)
    expect(readText('  ', NAME)).toMatchObject({ error: { code: 'missing' } })
    expect(readText('', { ...NAME, optional: true }).ok).toBe(true)
  })

  // Unicode: U+200B, U+2060 and U+3164 are ignorable; a surrogate alone is ill-formed.
  it.each(['\u200b', '\u2060 \u200b', '\u3164'])('of nothing but letters nobody sees is empty: %j', (text) =>
    expect(readText(text, NAME)).toMatchObject({ error: { code: 'missing' } }),
  )
  it.each(['a\ud83d', '\udeb2b'])('half a letter is none: %j', (text) =>
    expect(readText(text, NAME)).toMatchObject({
      error: { code: 'unreadable', message: expect.stringMatching(/half/) },
    }),
  )

  it('in any script', () => {
    for (const text of ['Ångström', 'велосипед', '自転車', 'דלת']) expect(readText(text, NAME).ok).toBe(true)
  })
})

describe('a moment', () => {
  // ISO 8601; the Gregorian calendar for the days.
  it.each([
    '2026-03-01T09:00:00Z',
    '2026-03-01T09:00Z',
    '2024-02-29T23:59:59.123+02:00',
    '1970-01-01T00:00:00Z',
    '2100-12-31T23:59:59Z',
  ])('%s is one', (text) => expect(readTime(text, 'at')).toEqual({ ok: true, value: text }))
  it.each([
    '2026-02-29T09:00:00Z',
    '2026-02-30T09:00:00Z',
    '2026-13-01T09:00:00Z',
    '2026-00-01T09:00:00Z',
    '2026-04-31T09:00:00Z',
    '2026-03-01T24:30:00Z',
    '2026-03-01T09:61:00Z',
    '2026-03-01T09:00:00',
    '2026-03-01',
    '1969-12-31T23:59:59Z',
    '2101-01-01T00:00:00Z',
    '+020260-03-01T09:00:00Z',
    'yesterday',
    '',
  ])('%j is none', (text) => {
    expect(readTime(text, 'at')).toMatchObject({ error: { code: 'not-a-time', field: 'at' } })
  })
  it('as every clock of ours writes it', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1970-01-01T00:00:00Z'), max: new Date('2100-12-31T23:59:59Z'), noInvalidDate: true }),
        (date) => readTime(date.toISOString(), 'at').ok,
      ),
    )
  })
})
