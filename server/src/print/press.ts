import { type Outcome, ok } from '@overhaul/core/outcome/outcome'
import type { Known } from '@overhaul/core/run-sheet/known'
import type { HeldPart } from '@overhaul/core/sheet/job-sheet'
import type { Entry } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { openJob } from '@overhaul/core/workshop/open'
import { type HandoverHow, handoverPdf, type SheetHow, sheetPdf, type Whose } from './sheet-pdf.ts'

/** A job as the press is handed it: everything a sheet is made of, and nothing that has to be looked up. */
export interface Papers {
  readonly whose: Whose
  readonly hardware: Hardware
  readonly known: Known
  readonly entries: readonly Entry[]
  readonly parts: readonly HeldPart[]
}

/** What is to be printed. */
export type Order =
  | { readonly kind: 'sheet'; readonly papers: Papers; readonly how: SheetHow }
  | { readonly kind: 'handover'; readonly papers: Papers; readonly how: HandoverHow }

/** Prints in a worker. */
export default async function print({ kind, papers, how }: Order): Promise<Outcome<Uint8Array>> {
  const { whose, hardware, known, entries, parts } = papers
  const job = openJob(hardware, entries, known)
  if (!job.ok) return job
  return ok(await (kind === 'sheet' ? sheetPdf(job.value, whose, parts, how) : handoverPdf(job.value, whose, how)))
}
