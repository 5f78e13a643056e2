import { isFastener } from '../../bench/fasteners.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import type { EntryBody } from '../../stand/entries.ts'
import type { Stand } from '../stand.ts'

/** What a wrench shows at the least, and what any bolt of a bicycle bears, N·m. Our choice. */
const LEAST_TORQUE_NM = 0.1
const MOST_TORQUE_NM = 60

const namesOf = ({ family }: Stand): string => family.fasteners.map(({ id }) => id).join(', ')

const torqueFault = (field: string, valueNm: number, at: string): Outcome<never> | undefined =>
  valueNm >= LEAST_TORQUE_NM && valueNm <= MOST_TORQUE_NM
    ? undefined
    : refuse(
        'out-of-range',
        field,
        `${valueNm} N·m at the ${at}. Accepted: ${LEAST_TORQUE_NM} to ${MOST_TORQUE_NM} N·m.`,
      )

/** What a fastener was tightened to. */
export function admitTorque(stand: Stand, entry: EntryBody & { kind: 'torque' }): Outcome<EntryBody> {
  const { fastener, valueNm } = entry
  return stand.kit.fastener(fastener) || isFastener(fastener)
    ? (torqueFault('valueNm', valueNm, fastener) ?? ok(entry))
    : refuse('unknown-fastener', 'fastener', `There is no fastener “${fastener}”. Accepted: ${namesOf(stand)}.`)
}

/** The maker’s figure for a fastener. */
export function admitFigure(stand: Stand, entry: EntryBody & { kind: 'figure' }): Outcome<EntryBody> {
  const { fastener, lowNm, highNm } = entry
  if (stand.kit.fastener(fastener)?.id !== fastener)
    return refuse('unknown-fastener', 'fastener', `There is no fastener “${fastener}”. Accepted: ${namesOf(stand)}.`)
  const fault = torqueFault('lowNm', lowNm, fastener) ?? torqueFault('highNm', highNm, fastener)
  if (fault) return fault
  return lowNm <= highNm
    ? ok(entry)
    : refuse(
        'out-of-range',
        'highNm',
        `${lowNm} to ${highNm} N·m at the ${fastener}. Accepted: the lower figure first.`,
      )
}
