import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import fontkit from '@pdf-lib/fontkit'
import { describe, expect, it } from 'vitest'
import { unpack } from './woff.ts'

const require = createRequire(import.meta.url)
const FACES = [
  '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff',
  '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff',
]
const read = (name: string) => readFileSync(require.resolve(name))

interface Face {
  readonly characterSet: readonly number[]
  glyphForCodePoint(code: number): { readonly advanceWidth: number; readonly path: { toSVG(): string } }
}
const faceOf = (bytes: Uint8Array) => (fontkit as unknown as { create(bytes: Uint8Array): Face }).create(bytes)

describe.each(FACES)('%s, unpacked', (name) => {
  const packed = read(name)
  const plain = unpack(packed)

  // The reference library reads both forms: every letter has the outline and the width it had.
  it('has every letter as it was', () => {
    const [was, is] = [faceOf(packed), faceOf(plain)]
    expect(is.characterSet).toEqual(was.characterSet)
    for (const code of was.characterSet) {
      const [before, after] = [was.glyphForCodePoint(code), is.glyphForCodePoint(code)]
      expect(after.advanceWidth).toBe(before.advanceWidth)
      expect(after.path.toSVG()).toBe(before.path.toSVG())
    }
  })

  // OpenType specification, “Organization of an OpenType font”: search range 16 × the greatest power of two of the count, the
  // rest in range shift; tables begin on words of four bytes; each table’s words sum to its checksum, the head’s apart.
  it('is laid out as the specification says', () => {
    const count = plain.readUInt16BE(4)
    const [range, selector, shift] = [6, 8, 10].map((at) => plain.readUInt16BE(at)) as [number, number, number]
    expect(range).toBe(16 * 2 ** selector)
    expect(range / 16).toBeLessThanOrEqual(count)
    expect(range / 8).toBeGreaterThan(count)
    expect(shift).toBe(count * 16 - range)
    for (let index = 0; index < count; index += 1) {
      const at = 12 + index * 16
      const [sum, offset, length] = [4, 8, 12].map((field) => plain.readUInt32BE(at + field)) as [
        number,
        number,
        number,
      ]
      expect(offset % 4).toBe(0)
      if (plain.toString('latin1', at, at + 4) === 'head') continue
      let words = 0
      for (let word = 0; word < Math.ceil(length / 4); word += 1)
        words = (words + plain.readUInt32BE(offset + word * 4)) >>> 0
      expect(words).toBe(sum)
    }
  })
})

it('anything else is not taken for a face', () => {
  expect(() => unpack(Buffer.alloc(60))).toThrow('not a WOFF file')
})
