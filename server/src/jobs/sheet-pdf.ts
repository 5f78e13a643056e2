import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { type HeldPart, jobSheet } from '@overhaul/core/sheet/job-sheet'
import { sayWhen } from '@overhaul/core/stand/when'
import { orThrow } from '../app/fault.ts'
import type { OpenJob } from './ledger.ts'
import { workedJob } from './summary.ts'
import { TypeSetter } from './type-setter.ts'

const MARK_WORDS = {
  in: 'in window',
  low: 'too low',
  high: 'too high',
  recheck: 'recheck',
  unmeasured: 'not measured',
  'left-out': '',
  noted: 'noted',
}
const STEP_WORDS = { done: 'done', skipped: 'SKIPPED', recheck: 'recheck', out: 'out of window', open: 'open' }

/** The job sheet as a PDF: what was found, every turn, readings before and after, cautions, release. */
export async function sheetPdf(open: OpenJob, parts: readonly HeldPart[], length: LengthUnit): Promise<Buffer> {
  const job = orThrow(workedJob(open))
  const sheet = jobSheet(
    job,
    { jobNumber: open.job.number, bicycle: open.bicycle.name, complaint: open.job.complaint, parts },
    length,
  )
  const page = await TypeSetter.start(sheet.heading, `Overhaul job sheet · ${sheet.heading}`)
  page.write(sheet.heading, 'label', 18)
  page.write(sheet.released ?? sheet.closed ?? 'Not released: work in progress, do not ride.', 'bold', 11)
  for (const finding of sheet.unfit) page.write(`• ${finding}`)
  page.write(`Complaint: ${sheet.complaint || 'none given'}. Bite school: ${sheet.school}.`)

  page.heading('Cautions')
  for (const caution of sheet.cautions) page.write(`• ${caution}`)

  page.heading('Readings, as found and now')
  const columns = [3, 2, 2, 3, 2]
  page.row(['reading', 'as found', 'now', 'window', 'state'], columns, 'bold')
  for (const each of sheet.readings)
    page.row([each.title, each.found, each.left, each.window, MARK_WORDS[each.mark]], columns)
  if (sheet.readings.length === 0) page.write('Nothing measured yet.')

  page.heading('Steps')
  for (const step of sheet.steps) page.row([step.title, STEP_WORDS[step.state], step.remark], [4, 2, 5])

  for (const { title, lines } of sheet.sections) {
    page.heading(title)
    for (const line of lines) page.write(line)
  }

  page.heading('Every entry')
  for (const line of sheet.log) page.row([sayWhen(line.at), line.by, line.text], [3, 1, 8], 'text', line.struck)

  page.heading('Figures used')
  page.write(`${sheet.figures.join('; ')}.`, 'text', 8)
  return Buffer.from(await page.save())
}
