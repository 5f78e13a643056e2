import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import fontkit from '@pdf-lib/fontkit'
import { PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib'

const require = createRequire(import.meta.url)
const font = (name: string) => readFileSync(require.resolve(name))

const INK = rgb(0.09, 0.13, 0.17)
const SLATE = rgb(0.34, 0.38, 0.43)
const RULE = rgb(0.73, 0.7, 0.64)
const PAGE = { width: 595.28, height: 841.89, margin: 48 }

export type Face = 'text' | 'bold' | 'label'

/** Characters the shipped faces lack, written out. */
const WRITTEN_OUT: Readonly<Record<string, string>> = {
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
  '−': '-',
  '→': 'to',
}

/** Sets lines, tables and rules on A4, opening a new page when one is full. */
export class TypeSetter {
  private page!: PDFPage
  private y = 0
  readonly width = PAGE.width - 2 * PAGE.margin

  private constructor(
    private readonly document: PDFDocument,
    private readonly faces: Record<Face, PDFFont>,
    private readonly foot: string,
  ) {
    this.newPage()
  }

  static async start(title: string, foot: string): Promise<TypeSetter> {
    const document = await PDFDocument.create()
    document.registerFontkit(fontkit)
    document.setTitle(title)
    const embed = (name: string) => document.embedFont(font(name), { subset: true })
    return new TypeSetter(
      document,
      {
        text: await embed(
          '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
        ),
        bold: await embed(
          '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
        ),
        label: await embed('@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff'),
      },
      foot,
    )
  }

  private newPage(): void {
    this.page = this.document.addPage([PAGE.width, PAGE.height])
    this.y = PAGE.height - PAGE.margin
    const number = this.document.getPageCount()
    this.page.drawText(`${this.foot} · page ${number}`, {
      x: PAGE.margin,
      y: 28,
      size: 8,
      font: this.faces.text,
      color: SLATE,
    })
  }

  private room(height: number): void {
    if (this.y - height < PAGE.margin) this.newPage()
  }

  space(points: number): void {
    this.y -= points
  }

  heading(text: string): void {
    this.room(40)
    this.space(14)
    this.write(text.toUpperCase(), 'label', 11)
    this.rule()
  }

  rule(): void {
    this.page.drawLine({
      start: { x: PAGE.margin, y: this.y },
      end: { x: PAGE.width - PAGE.margin, y: this.y },
      thickness: 0.6,
      color: RULE,
    })
    this.y -= 4
  }

  /** A paragraph, broken at words. */
  write(text: string, face: Face = 'text', size = 9.5, struck = false): void {
    for (const line of this.lines(text, face, size, this.width)) {
      this.room(size * 1.4)
      this.y -= size * 1.15
      this.draw(line, PAGE.margin, face, size, struck)
      this.y -= size * 0.3
    }
  }

  /** One row of a table; columns by share of the width, long cells broken. */
  row(cells: readonly string[], shares: readonly number[], face: Face = 'text', struck = false): void {
    const size = 9.5
    const total = shares.reduce((sum, share) => sum + share, 0)
    const widths = shares.map((share) => (share / total) * this.width)
    const broken = cells.map((cell, index) => this.lines(cell, face, size, (widths[index] ?? 0) - 6))
    const height = Math.max(...broken.map((lines) => lines.length)) * size * 1.35 + 3
    this.room(height)
    let x = PAGE.margin
    broken.forEach((lines, column) => {
      lines.forEach((line, index) => {
        this.draw(line, x, face, size, struck, this.y - size * 1.1 - index * size * 1.35)
      })
      x += widths[column] ?? 0
    })
    this.y -= height
  }

  private draw(text: string, x: number, face: Face, size: number, struck: boolean, y = this.y): void {
    const set = this.faces[face]
    this.page.drawText(text, { x, y, size, font: set, color: struck ? SLATE : INK })
    if (!struck) return
    const middle = y + size * 0.28
    this.page.drawLine({
      start: { x, y: middle },
      end: { x: x + set.widthOfTextAtSize(text, size), y: middle },
      thickness: 0.7,
      color: SLATE,
    })
  }

  private lines(text: string, face: Face, size: number, width: number): string[] {
    const set = this.faces[face]
    const lines: string[] = []
    let line = ''
    for (const word of this.plain(text).split(' ')) {
      const longer = line === '' ? word : `${line} ${word}`
      if (line !== '' && set.widthOfTextAtSize(longer, size) > width) {
        lines.push(line)
        line = word
      } else line = longer
    }
    return [...lines, line]
  }

  private plain(text: string): string {
    const known = new Set(this.faces.text.getCharacterSet())
    return [...text.replace(/\s+/g, ' ')]
      .map((each) => WRITTEN_OUT[each] ?? (known.has(each.codePointAt(0) ?? 0) ? each : '?'))
      .join('')
  }

  save(): Promise<Uint8Array> {
    return this.document.save()
  }
}
