import type { Frame, Shape } from '@overhaul/core/brake/frame'
import { type LengthUnit, UNITS } from '@overhaul/core/quantity/quantity'
import fontkit from '@pdf-lib/fontkit'
import { PDFDocument, type PDFPage, rgb } from 'pdf-lib'
import { type Face, type Laid, layFaces, pieces, settable } from './faces.ts'

const INK = rgb(0.09, 0.13, 0.17)
const SLATE = rgb(0.34, 0.38, 0.43)
const RULE = rgb(0.73, 0.7, 0.64)
const WHITE = rgb(1, 1, 1)
const METAL = rgb(0.86, 0.85, 0.82)
const RUBBER = rgb(0.7, 0.71, 0.72)

/** Sheets that are printed on, points: ISO 216 A4, ANSI letter. */
const PAPERS = { a4: { width: 595.28, height: 841.89 }, letter: { width: 612, height: 792 } } as const
export type Paper = keyof typeof PAPERS
const MARGIN = 38

/** How the parts of a brake are inked: cut faces grey, rubber darker, everything else outline on white. */
const FILLS: Readonly<Record<string, typeof INK>> = {
  cut: METAL,
  bolt: METAL,
  frame: METAL,
  tyre: RUBBER,
  pad: RUBBER,
}
const OPEN: ReadonlySet<string> = new Set(['cable', 'housing', 'screw', 'skin', 'ghost', 'limit', 'axis'])
const WIDE: Readonly<Record<string, number>> = { cable: 1.4, housing: 3.4, screw: 2 }

export interface SetOn {
  readonly title: string
  readonly foot: string
  /** Everything that will be set: it tells which faces are needed. */
  readonly text: string
  readonly paper?: Paper
  /** Of the running text, points. */
  readonly size?: number
}

/** Sets lines, tables, columns and drawings, opening a new page when one is full. */
export class TypeSetter {
  private page!: PDFPage
  private y = 0
  private x = MARGIN
  private room: number
  private readonly widths = new Map<string, number>()

  private constructor(
    private readonly document: PDFDocument,
    private readonly faces: Readonly<Record<Face, readonly Laid[]>>,
    private readonly foot: string,
    private readonly paper: (typeof PAPERS)[Paper],
    readonly size: number,
  ) {
    this.room = paper.width - 2 * MARGIN
    this.newPage()
  }

  static async start({ title, foot, text, paper = 'a4', size = 9.5 }: SetOn): Promise<TypeSetter> {
    const document = await PDFDocument.create()
    document.registerFontkit(fontkit)
    document.setTitle(title)
    const faces = await layFaces(document, `${text}${title}${foot}`)
    return new TypeSetter(document, faces, foot, PAPERS[paper], size)
  }

  get pages(): number {
    return this.document.getPageCount()
  }

  private newPage(): void {
    this.page = this.document.addPage([this.paper.width, this.paper.height])
    this.y = this.paper.height - MARGIN
    this.draw(settable(`${this.foot} · page ${this.pages}`, this.faces.text), MARGIN, 'text', 7.5, false, 24, SLATE)
  }

  private need(height: number): void {
    if (this.y - height < MARGIN) this.newPage()
  }

  space(points: number): void {
    this.y -= points
  }

  heading(text: string): void {
    this.need(34)
    this.space(6)
    this.write(text.toUpperCase(), 'label', this.size + 1)
    this.rule()
  }

  rule(): void {
    this.page.drawLine({
      start: { x: this.x, y: this.y },
      end: { x: this.x + this.room, y: this.y },
      thickness: 0.6,
      color: RULE,
    })
    this.y -= 3
  }

  /** Columns side by side, by share of the width; what follows stands under the longest. One that runs over a page goes on alone. */
  columns(shares: readonly number[], ...set: readonly (() => void)[]): void {
    const [x, room, top, page] = [this.x, this.room, this.y, this.page]
    const total = shares.reduce((sum, share) => sum + share, 0)
    const gap = 14
    let at = x
    let lowest = top
    set.forEach((write, index) => {
      const wide = ((shares[index] ?? 0) / total) * (room - gap * (shares.length - 1))
      if (this.page === page) this.y = top
      this.x = at
      this.room = wide
      write()
      at += wide + gap
      lowest = this.page === page ? Math.min(lowest, this.y) : this.y
    })
    this.x = x
    this.room = room
    this.y = lowest
  }

  /** A paragraph, broken at words. */
  write(text: string, face: Face = 'text', size = this.size, struck = false): void {
    for (const line of this.lines(text, face, size, this.room)) {
      this.need(size * 1.4)
      this.y -= size * 1.12
      this.draw(line, this.x, face, size, struck)
      this.y -= size * 0.26
    }
  }

  /** One row of a table; columns by share of the width, long cells broken. */
  row(cells: readonly string[], shares: readonly number[], face: Face = 'text', struck = false): void {
    const { size } = this
    const total = shares.reduce((sum, share) => sum + share, 0)
    const widths = shares.map((share) => (share / total) * this.room)
    const broken = cells.map((cell, index) => this.lines(cell, face, size, (widths[index] ?? 0) - 6))
    const height = Math.max(...broken.map((lines) => lines.length)) * size * 1.3 + 2
    this.need(height)
    let { x } = this
    broken.forEach((lines, column) => {
      lines.forEach((line, index) => {
        this.draw(line, x, face, size, struck, this.y - size * 1.1 - index * size * 1.3)
      })
      x += widths[column] ?? 0
    })
    this.y -= height
  }

  /** The brake at rest, as large as fits, with a scale bar of a round length. */
  frame(
    { still, moving, cable, bounds }: Pick<Frame, 'still' | 'moving' | 'cable' | 'bounds'>,
    height: number,
    length: LengthUnit,
  ): void {
    this.need(height + 16)
    const [left, low] = bounds.min
    const [right, high] = bounds.max
    const k = Math.min(this.room / (right - left), height / (high - low))
    const top = this.y
    const across = this.x + (this.room - k * (right - left)) / 2
    for (const shape of [...still, ...moving, ...cable]) this.shape(shape, across - k * left, top - k * high, k)
    this.y = top - k * (high - low) - 6
    const unit = UNITS[length].size
    const round = (length === 'in' ? [1, 2, 4, 8] : [10, 20, 50, 100, 200]).find((each) => each * unit * k > 40) ?? 200
    const bar = round * unit
    this.page.drawLine({
      start: { x: this.x, y: this.y },
      end: { x: this.x + bar * k, y: this.y },
      thickness: 1.2,
      color: INK,
    })
    this.draw(`${round} ${length}`, this.x + bar * k + 4, 'text', 7, false, this.y - 2)
    this.y -= 8
  }

  /** A shape at its place; `k` points to a millimetre, y upwards as on the page. */
  private shape(shape: Shape, x0: number, y0: number, k: number): void {
    const thickness = WIDE[shape.role] ?? 0.7
    const pen = { borderColor: INK, borderWidth: thickness }
    const fill = OPEN.has(shape.role) ? undefined : (FILLS[shape.role] ?? WHITE)
    if (shape.kind === 'circle') {
      const [x, y] = shape.centre
      const size = Math.max(0.2, shape.radius * k)
      this.page.drawCircle({ x: x0 + k * x, y: y0 + k * y, size, ...pen, ...(fill && { color: fill }) })
      return
    }
    // drawSvgPath counts y downwards.
    const path = shape.points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${k * x},${-k * y}`).join(' ')
    const closed = shape.kind === 'polygon'
    this.page.drawSvgPath(closed ? `${path} Z` : path, {
      x: x0,
      y: y0,
      ...pen,
      ...(closed && fill && { color: fill }),
    })
  }

  /** A square of dark and light, as a camera reads it. */
  squares(modules: { readonly size: number; readonly data: Uint8Array }, side: number): void {
    this.need(side)
    const cell = side / modules.size
    for (let row = 0; row < modules.size; row += 1)
      for (let column = 0; column < modules.size; column += 1)
        if (modules.data[row * modules.size + column])
          this.page.drawRectangle({
            x: this.x + column * cell,
            y: this.y - (row + 1) * cell,
            width: cell * 1.02,
            height: cell * 1.02,
            color: INK,
          })
    this.y -= side + 4
  }

  private draw(text: string, x: number, face: Face, size: number, struck: boolean, y = this.y, ink = INK): void {
    const set = pieces(text, this.faces[face])
    let at = x
    for (const [index, piece] of set.entries()) {
      this.page.drawText(piece.text, { x: at, y, size, font: piece.font, color: struck ? SLATE : ink })
      // Most lines are one piece, and nothing comes after it: measuring costs as much as setting.
      if (struck || index < set.length - 1) at += piece.font.widthOfTextAtSize(piece.text, size)
    }
    if (!struck) return
    const middle = y + size * 0.28
    this.page.drawLine({ start: { x, y: middle }, end: { x: at, y: middle }, thickness: 0.7, color: SLATE })
  }

  /** How wide a word is set, points at size 1: words come again and again. */
  private widthOf(word: string, face: Face): number {
    const key = `${face} ${word}`
    const known = this.widths.get(key)
    if (known !== undefined) return known
    const width = pieces(word, this.faces[face]).reduce(
      (sum, { font, text }) => sum + font.widthOfTextAtSize(text, 1),
      0,
    )
    this.widths.set(key, width)
    return width
  }

  /** A text broken at words; a word longer than the line is broken where it must. */
  private lines(text: string, face: Face, size: number, width: number): string[] {
    const room = Math.max(1, width / size)
    const space = this.widthOf(' ', face)
    const lines: string[] = []
    let line = ''
    let long = 0
    for (const word of settable(text, this.faces[face])
      .split(' ')
      .flatMap((each) => this.broken(each, face, room))) {
      const wide = this.widthOf(word, face)
      if (line !== '' && long + space + wide > room) {
        lines.push(line)
        line = word
        long = wide
      } else {
        line = line === '' ? word : `${line} ${word}`
        long += wide + (long > 0 ? space : 0)
      }
    }
    return [...lines, line]
  }

  private broken(word: string, face: Face, room: number): readonly string[] {
    if (this.widthOf(word, face) <= room) return [word]
    const parts: string[] = []
    let part = ''
    let long = 0
    for (const letter of word) {
      const wide = this.widthOf(letter, face)
      if (part !== '' && long + wide > room) {
        parts.push(part)
        part = ''
        long = 0
      }
      part += letter
      long += wide
    }
    return [...parts, part]
  }

  save(): Promise<Uint8Array> {
    return this.document.save()
  }
}
