import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { handoverOf } from '@overhaul/core/sheet/handover'
import { type HeldPart, jobSheet } from '@overhaul/core/sheet/job-sheet'
import type { Subject } from '@overhaul/core/sheet/subject'
import type { EndsStand } from '@overhaul/core/sheet/tag'
import type { Workshop } from '@overhaul/core/sheet/workshop'
import { sayWhen } from '@overhaul/core/stand/when'
import QRCode from 'qrcode'
import { type Paper, TypeSetter } from './type-setter.ts'

const MARK_WORDS = {
  in: 'in window',
  carried: 'kept',
  low: 'too low',
  high: 'too high',
  recheck: 'recheck',
  unmeasured: 'not measured',
  'left-out': '',
  noted: 'noted',
}
const STEP_WORDS = { done: 'done', skipped: 'SKIPPED', recheck: 'recheck', out: 'out of window', open: 'open' }
const DRAWING_HIGH = 170
/** Of what is read only when asked for, points. */
const SMALL = 7

/** Whose paper it is, all of it known. */
export interface Whose extends Subject {
  readonly complaint: string
  readonly code: string
  /** How the brakes at both ends of the bicycle stand. */
  readonly ends: EndsStand
  readonly from: Workshop
}

export interface SheetHow {
  readonly length: LengthUnit
  readonly paper: Paper
  /** With every step, every entry and every figure behind it. */
  readonly whole: boolean
}

/** The job sheet as a PDF: result and readings first, the brake drawn, what was done, cautions; an ordinary job on one page. */
export async function sheetPdf(
  job: Job,
  whose: Whose,
  parts: readonly HeldPart[],
  { length, paper, whole }: SheetHow,
): Promise<Uint8Array> {
  const sheet = jobSheet(job, { ...whose, parts }, length)
  const page = await TypeSetter.start({
    title: sheet.heading,
    foot: `Overhaul job sheet · ${sheet.heading}`,
    text: JSON.stringify({ ...sheet, drawing: undefined }),
    paper,
    size: 8,
  })
  const list = (title: string, lines: readonly string[]) => {
    if (lines.length === 0) return
    page.heading(title)
    for (const line of lines) page.write(line)
  }
  if (sheet.from) page.write(sheet.from)
  page.write(sheet.heading, 'label', 17)
  page.write(sheet.result, 'bold', 10.5)
  for (const finding of sheet.unfit) page.write(`• ${finding}`, 'bold')
  page.write(sheet.about)

  page.columns(
    [5, 3],
    () => {
      page.heading('Readings, as found and as left')
      const columns = [31, 17, 17, 30, 16]
      page.row(['reading', 'as found', 'as left', 'window', 'state'], columns, 'bold')
      for (const each of sheet.readings)
        page.row([each.title, each.found, each.left, each.window, MARK_WORDS[each.mark]], columns)
      if (sheet.readings.length === 0) page.write('Nothing measured yet.')
      page.space(4)
      if (sheet.noted) page.write(`Measured: ${sheet.noted}.`, 'text', SMALL)
      if (sheet.kept) page.write(`Kept from earlier visits: ${sheet.kept}.`, 'text', SMALL)
      if (sheet.well) page.write(`Looked at: ${sheet.well}.`, 'text', SMALL)
    },
    () => {
      page.heading(sheet.drawing.seenFrom ? `This brake, ${sheet.drawing.seenFrom}` : 'This brake, from the saddle')
      page.frame(sheet.drawing, DRAWING_HIGH, length)
      list('What was done', sheet.done)
      list('Fasteners', sheet.fasteners)
      list('Cost', sheet.costs)
    },
  )

  list('Open, and to keep an eye on', sheet.open)
  for (const { title, lines } of sheet.sections) list(title, lines)

  page.heading('Cautions')
  const third = Math.ceil(sheet.cautions.length / 3)
  const column = (some: readonly string[]) => () => {
    for (const caution of some) page.write(`• ${caution}`, 'text', SMALL)
  }
  page.columns([1, 1, 1], ...[0, 1, 2].map((at) => column(sheet.cautions.slice(at * third, (at + 1) * third))))

  if (whole) {
    page.heading('Steps')
    for (const step of sheet.steps) page.row([step.title, STEP_WORDS[step.state], step.remark], [4, 2, 5])
    page.heading('Every entry')
    for (const line of sheet.log) page.row([sayWhen(line.at), line.by, line.text], [3, 1, 8], 'text', line.struck)
    page.heading('Figures used')
    page.write(`${sheet.figures.join('; ')}.`, 'text', 7.5)
  }
  return page.save()
}

const TAG_SIDE = 110

export interface HandoverHow {
  readonly paper: Paper
  /** Where a camera finds the bicycle by its code; missing where the workshop is not shared. */
  readonly address?: string
}

/** The slip for whoever rides it and the tag for the bicycle, to be cut apart. */
export async function handoverPdf(job: Job, whose: Whose, { paper, address }: HandoverHow): Promise<Uint8Array> {
  const { bicycle, code } = whose
  const slip = handoverOf(job, whose)
  const page = await TypeSetter.start({
    title: slip.heading,
    foot: `Overhaul handover · ${slip.heading}`,
    text: `${JSON.stringify(slip)}${code}${address ?? ''}${bicycle}`,
    paper,
    size: 10,
  })
  if (slip.from) page.write(slip.from)
  page.write('For whoever rides it', 'label', 12)
  page.write(slip.heading, 'label', 18)
  page.write(slip.result, 'bold', 12)
  for (const finding of slip.unfit) page.write(`• ${finding}`, 'bold')
  for (const { title, lines } of slip.parts) {
    page.heading(title)
    for (const line of lines) page.write(line)
  }
  page.heading(slip.cautionsAre)
  for (const caution of slip.cautions) page.write(`• ${caution}`)
  page.space(16)
  page.rule()
  page.write('Tag, to cut off', 'text', 8)
  page.columns(
    [1, 2],
    () => {
      if (address) page.squares(QRCode.create(address).modules, TAG_SIDE)
      else page.write('The workshop is not shared: no address to point a camera at.', 'text', 8)
    },
    () => {
      page.write(code, 'label', 40)
      page.write(`${bicycle} · ${slip.heading.split(' · ')[1]}`, 'label', 16)
      page.write(slip.result, 'bold', 11)
      for (const end of slip.ends) page.write(end, 'bold', 11)
      if (slip.from) page.write(slip.from, 'text', 8)
      page.write('This code finds the bicycle in the rack’s search.', 'text', 8)
    },
  )
  return page.save()
}
