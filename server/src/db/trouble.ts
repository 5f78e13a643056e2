import type { Fault } from '@overhaul/core/outcome/outcome'

/** The files of the workshop are gone, replaced or damaged: nothing more is written. */
export class DataTrouble extends Error {}

/** An entry that cannot be read any more: its job cannot be worked on, every other one can. */
export class DamagedRecord extends Error {
  constructor(jobNumber: number | undefined, seq: number) {
    super(
      `Entry ${seq} of job ${jobNumber ?? 'unknown'} is damaged and cannot be read. Every other job is as it was; a backup made before that has it whole.`,
    )
  }

  get fault(): Fault {
    return { code: 'record-damaged', field: 'id', message: this.message }
  }
}

export interface Trouble {
  readonly code: 'data-gone' | 'data-busy' | 'disk-full'
  readonly message: string
}

const SAID: readonly (readonly [sign: string, trouble: Trouble])[] = [
  [
    'SQLITE_BUSY',
    {
      code: 'data-busy',
      message:
        'Another program holds the workshop’s data. Nothing was written; what is typed waits on its screen and is tried again.',
    },
  ],
  [
    'SQLITE_FULL',
    {
      code: 'disk-full',
      message:
        'The disk is full. Nothing was written; what is typed waits on its screen until there is room. Make room, or move old backups away.',
    },
  ],
]

/** What stands behind a write that failed, where it is the machine’s trouble and passes: the client waits and tries again. */
export function troubleOf(error: unknown): Trouble | undefined {
  if (error instanceof DataTrouble) return { code: 'data-gone', message: error.message }
  const { code, cause } = (error ?? {}) as { code?: unknown; cause?: unknown }
  const said = SAID.find(([sign]) => String(code).startsWith(sign))
  return said?.[1] ?? (cause === undefined ? undefined : troubleOf(cause))
}
