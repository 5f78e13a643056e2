import { inflateSync } from 'node:zlib'

const HEADER = { sfnt: 12, woff: 44 } as const
const RECORD = { sfnt: 16, woff: 20 } as const

/** A table begins on a whole word of four bytes. */
const whole = (length: number): number => Math.ceil(length / 4) * 4

/**
 * A compressed face as the plain one it was made of, so that a document need not unpack it again. The layout of both is told by
 * WOFF File Format 1.0 (W3C Recommendation, 2012), chapters 3 to 5. Throws on bytes that are not one.
 */
export function unpack(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('The face is not a WOFF file.')
  const count = woff.readUInt16BE(12)
  const tables = Array.from({ length: count }, (_, index) => {
    const at = HEADER.woff + index * RECORD.woff
    const [offset, packed, length] = [4, 8, 12].map((field) => woff.readUInt32BE(at + field)) as [
      number,
      number,
      number,
    ]
    const bytes = woff.subarray(offset, offset + packed)
    // One that would not have become smaller lies as it is.
    return {
      tag: woff.subarray(at, at + 4),
      sum: woff.readUInt32BE(at + 16),
      bytes: packed < length ? inflateSync(bytes) : bytes,
    }
  })
  const power = 2 ** Math.floor(Math.log2(count))
  const begin = HEADER.sfnt + count * RECORD.sfnt
  const face = Buffer.alloc(tables.reduce((sum, { bytes }) => sum + whole(bytes.length), begin))
  woff.copy(face, 0, 4, 8)
  face.writeUInt16BE(count, 4)
  face.writeUInt16BE(power * RECORD.sfnt, 6)
  face.writeUInt16BE(Math.log2(power), 8)
  face.writeUInt16BE((count - power) * RECORD.sfnt, 10)
  let offset = begin
  for (const [index, { tag, sum, bytes }] of tables.entries()) {
    const at = HEADER.sfnt + index * RECORD.sfnt
    tag.copy(face, at)
    for (const [field, value] of [sum, offset, bytes.length].entries()) face.writeUInt32BE(value, at + 4 + field * 4)
    bytes.copy(face, offset)
    offset += whole(bytes.length)
  }
  return face
}
