import { knownOf, type Visit } from '@overhaul/core/run-sheet/known'
import type { Entry, EntryBody } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { workChosen } from '@overhaul/core/stand/work-chosen'
import { walk } from '@overhaul/core/testing/hand'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { openJob } from '@overhaul/core/workshop/open'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { beforeAll, describe, expect, it } from 'vitest'
import { handoverPdf, sheetPdf, type Whose } from './sheet-pdf.ts'

/**
 * Sheets, slips and tags of a dozen kinds of job, printed and read back from the PDF by a reader that is not ours. What is
 * read is kept beside this test, one file a job, to be read there as whoever is handed the paper would.
 */

const DAY_MS = 86_400_000
const dayOf = (day: number) => new Date(Date.parse('2026-03-01T09:00:00Z') + day * DAY_MS).toISOString()

interface Kind {
  readonly title: string
  readonly family: string
  readonly work: string
  readonly complaint: string
  /** A motor in this wheel’s hub. */
  readonly motor?: true
  /** How it ends; released if not given. */
  readonly ends?: EntryBody
  /** Days before this one on which the brake was here already. */
  readonly before?: readonly number[]
}

const KINDS: readonly Kind[] = [
  { title: 'linear-pull-adjust', family: 'linear-pull', work: 'adjust', complaint: 'bites late' },
  { title: 'linear-pull-known', family: 'linear-pull', work: 'adjust', complaint: '', before: [-200, -90] },
  { title: 'cantilever-pads', family: 'cantilever', work: 'new-pads', complaint: 'squeals' },
  { title: 'dual-pivot-cable', family: 'dual-pivot', work: 'new-cable', complaint: 'gritty' },
  { title: 'single-pivot-rub', family: 'single-pivot', work: 'rub', complaint: 'rubs since a knock' },
  { title: 'centre-pull-lever', family: 'centre-pull', work: 'new-lever', complaint: 'lever bent' },
  { title: 'disc-fixed-pad-rotor', family: 'disc-fixed-pad', work: 'new-rotor', complaint: 'rotor worn' },
  { title: 'disc-both-move-pads', family: 'disc-both-move', work: 'new-pads', complaint: 'pads worn', motor: true },
  { title: 'disc-two-adjusters-known', family: 'disc-two-adjusters', work: 'adjust', complaint: '', before: [-120] },
  { title: 'drum-service', family: 'drum', work: 'service', complaint: 'drags' },
  {
    title: 'drum-closed',
    family: 'drum',
    work: 'adjust',
    complaint: 'to the bar',
    ends: { kind: 'close', initials: '4', why: 'linings worn out' },
  },
  {
    title: 'linear-pull-parked',
    family: 'linear-pull',
    work: 'dead',
    complaint: 'dead',
    ends: { kind: 'park', why: 'hub bearings' },
  },
]

const worksOf = (family: string) => FAMILIES.find(({ id }) => id === family)?.works ?? []

/** A visit walked to its end by a hand that does as it is told. */
function visit(hardware: Hardware, kind: Kind, day: number, before: readonly Visit[]) {
  const known = knownOf({ openedAt: dayOf(day), complaint: kind.complaint }, before)
  const { log } = walk(hardware, workChosen(worksOf(kind.family), kind.work), 'B', known)
  const ending: EntryBody = kind.ends ?? { kind: 'release', initials: '4', lookAgain: '2026-09-01' }
  const last: Entry = { ...ending, id: `end-${day}`, at: dayOf(day), by: '4', seq: log.length + 1 }
  return { known, log: [...log, last] }
}

function jobOf(kind: Kind) {
  const hardware: Hardware = {
    family: kind.family,
    end: 'rear',
    dimensions: {},
    practiceSeed: 5,
    traits: { motorAt: kind.motor ? 'this' : 'none' },
  }
  const visits: Visit[] = []
  for (const day of kind.before ?? []) {
    const { log } = visit(hardware, { ...kind, complaint: '' }, day, [...visits])
    visits.push({ hardware, entries: log, openedAt: dayOf(day) })
  }
  const { known, log } = visit(hardware, kind, 0, visits)
  const job = openJob(hardware, log, known)
  if (!job.ok) throw new Error(job.error.message)
  return job.value
}

/** The words of a PDF, page by page, a line each as they stand. */
async function readBack(pdf: Uint8Array): Promise<readonly string[]> {
  const read = await getDocument({ data: pdf, useSystemFonts: false, verbosity: 0 }).promise
  const pages: string[] = []
  for (let number = 1; number <= read.numPages; number += 1) {
    const { items } = await (await read.getPage(number)).getTextContent()
    const text = items.map((item) => ('str' in item ? `${item.str}${item.hasEOL ? '\n' : ''}` : '')).join('')
    // The workshop’s own clock says the hour; where it stands is the machine’s.
    pages.push(text.replace(/\d\d:\d\d/g, 'hh:mm'))
  }
  await read.destroy()
  return pages
}

const whoseOf = ({ complaint }: Kind): Whose => ({
  jobNumber: 12,
  complaint,
  bicycle: 'Hire 12',
  code: 'K7WXZ',
  ends: { front: { state: 'released', lookAgain: '2026-09-01' }, rear: { state: 'released', lookAgain: '2026-09-01' } },
  from: { name: 'Lockside Hire', address: '3 Lock Lane', telephone: '01632 960 117' },
})

describe.each(KINDS)('the papers of $title', (kind) => {
  let sheet: readonly string[]
  let slip: readonly string[]
  beforeAll(async () => {
    const job = jobOf(kind)
    const how = { length: 'mm', paper: 'a4' } as const
    sheet = await readBack(await sheetPdf(job, whoseOf(kind), [], { ...how, whole: false }))
    slip = await readBack(await handoverPdf(job, whoseOf(kind), how))
  })

  it('are as they are kept', async () => {
    const all = [...sheet, ...slip].map((page) => page.trim()).join('\n\n— page —\n\n')
    await expect(`${all}\n`).toMatchFileSnapshot(`papers/${kind.title}.txt`)
  })

  it('are from the workshop, and name the bicycle, the days and the job', () => {
    for (const paper of [sheet, slip]) {
      const text = paper.join('\n')
      expect(text).toContain('Lockside Hire · 3 Lock Lane · telephone 01632 960 117')
      expect(text).toContain('K7WXZ')
      expect(text).toMatch(/job 12/i)
    }
    expect(sheet.join(' ').replace(/\s+/g, ' ')).toMatch(/In(?: and out)?: Sun 1 Mar 2026/)
  })
})
