import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import fontkit from '@pdf-lib/fontkit'
import type { PDFDocument, PDFFont } from 'pdf-lib'
import { unpack } from './woff.ts'

const require = createRequire(import.meta.url)

export type Face = 'text' | 'bold' | 'label'

const atkinson = (subset: string, weight: number) =>
  `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`
const barlow = (subset: string) => `@fontsource/barlow-condensed/files/barlow-condensed-${subset}-600-normal.woff`
const noto = (subset: string, weight: number) => `@fontsource/noto-sans/files/noto-sans-${subset}-${weight}-normal.woff`

const SIGNS = '@fontsource/noto-sans-math/files/noto-sans-math-latin-400-normal.woff'

/** What our own faces lack stands in these: the letters of Europe’s other languages, Greek and Cyrillic, and signs such as ≥. */
const fallback = (weight: number): readonly string[] => [
  ...['latin', 'latin-ext', 'greek', 'greek-ext', 'cyrillic', 'cyrillic-ext', 'vietnamese'].map((subset) =>
    noto(subset, weight),
  ),
  SIGNS,
]

const FILES: Readonly<Record<Face, readonly string[]>> = {
  text: [atkinson('latin', 400), atkinson('latin-ext', 400), ...fallback(400)],
  bold: [atkinson('latin', 700), atkinson('latin-ext', 700), ...fallback(700)],
  label: [barlow('latin'), barlow('latin-ext'), barlow('vietnamese'), ...fallback(700)],
}

interface Decoded {
  readonly bytes: Buffer
  readonly has: ReadonlySet<number>
}

const decoded = new Map<string, Decoded>()

/** A face and what it has, read and decoded once. */
function decode(file: string): Decoded {
  const known = decoded.get(file)
  if (known) return known
  const bytes = unpack(readFileSync(require.resolve(file)))
  const has = new Set((fontkit as { create(bytes: Uint8Array): { characterSet: number[] } }).create(bytes).characterSet)
  const each = { bytes, has }
  decoded.set(file, each)
  return each
}

/** A face as it lies in a document, with what it has. */
export interface Laid {
  readonly font: PDFFont
  readonly has: ReadonlySet<number>
}

/** Laying letters out is most of the work of a long sheet, and what stands in a log comes again and again. */
function layingOnce(font: PDFFont): PDFFont {
  const lay = font.encodeText.bind(font)
  const known = new Map<string, ReturnType<typeof lay>>()
  font.encodeText = (text) => {
    const encoded = known.get(text) ?? lay(text)
    known.set(text, encoded)
    return encoded
  }
  return font
}

/** The faces a text needs, in a document: our own always, of the others only those with letters that ours lack. */
export async function layFaces(document: PDFDocument, text: string): Promise<Readonly<Record<Face, readonly Laid[]>>> {
  const letters = [...new Set([...text].map((each) => each.codePointAt(0) ?? 0))]
  const lay = async (face: Face): Promise<readonly Laid[]> => {
    const laid: Laid[] = []
    let missing = letters
    for (const [index, file] of FILES[face].entries()) {
      if (index > 0 && missing.length === 0) break
      const { bytes, has } = decode(file)
      const left = missing.filter((each) => !has.has(each))
      if (index === 0 || left.length < missing.length)
        laid.push({ font: layingOnce(await document.embedFont(bytes, { subset: true })), has })
      missing = left
    }
    return laid
  }
  return { text: await lay('text'), bold: await lay('bold'), label: await lay('label') }
}

/** Characters the shipped faces lack, written out. */
const WRITTEN_OUT: Readonly<Record<string, string>> = {
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
  '−': '-',
  '→': 'to',
}

/** Marks that turn the direction of writing or take no room: of no use on a sheet that is read from the left. */
const UNSEEN = /[\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff]/g

/** A text as it can be set: one line, marks without a shape left out, and what no face has named by its number. */
export function settable(text: string, laid: readonly Laid[]): string {
  return [...text.normalize('NFC').replace(UNSEEN, '').replace(/\s+/g, ' ')]
    .map((each) => {
      const code = each.codePointAt(0) ?? 0
      if (laid.some(({ has }) => has.has(code))) return each
      return WRITTEN_OUT[each] ?? `[U+${code.toString(16).toUpperCase().padStart(4, '0')}]`
    })
    .join('')
}

/** A settable text in pieces, each in the first face that has its letters. */
export function pieces(
  text: string,
  laid: readonly Laid[],
): readonly { readonly font: PDFFont; readonly text: string }[] {
  const found: { font: PDFFont; text: string }[] = []
  for (const each of text) {
    const code = each.codePointAt(0) ?? 0
    const { font } = (laid.find(({ has }) => has.has(code)) ?? laid[0]) as Laid
    const last = found.at(-1)
    if (last?.font === font) last.text += each
    else found.push({ font, text: each })
  }
  return found
}
