import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { expectOk } from '../outcome/outcome.ts'
import { type Told, tellNext } from '../run-sheet/told.ts'
import { practiceGauge } from '../simulate/practice.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { firstRefusal } from '../testing/refusal.ts'
import { FAMILIES } from '../workshop/families.ts'
import { openJob } from '../workshop/open.ts'
import { fleetBrake } from './contest.ts'
import { type Bicycle, bookBicycle, type FleetBrake } from './fleet.ts'
import { seedsOf } from './report.ts'

const MOST_ACTS = 120
interface Ended {
  readonly told: Told
  readonly turns: number
  readonly right: boolean
  readonly log: readonly Entry[]
}

/** A script that reads only what `GET /api/jobs/:id/next` says, on a brake the product knows nothing of. */
function drive({ family, dimensions, here }: Bicycle, { brake, wheel, isRight }: FleetBrake): Ended {
  const hardware: Hardware = { family: family.id, end: here.end, dimensions: {}, practiceSeed: 1 }
  const log: Entry[] = []
  const write = (bodies: readonly EntryBody[]) => {
    const made = bodies.map((body, index): Entry => {
      const seq = log.length + index + 1
      return { ...body, id: `e${seq}`, at: '2026-03-01T09:00:00Z', by: '1', seq }
    })
    const refused = firstRefusal(hardware, log, made)
    if (refused) throw new Error(`${JSON.stringify(made[refused.index])}: ${refused.error.message}`)
    log.push(...made)
  }
  const aside = {
    ...practiceGauge(kitOf(family), 1, dimensions, here, []),
    ...Object.fromEntries(
      Object.entries(wheel).map(([id, mm]) => [id, Number(mm.toFixed(id === 'rotorRunout' ? 2 : 1))]),
    ),
    spin: 'free',
  }
  let turns = 0
  for (let act = 0; act < MOST_ACTS; act += 1) {
    const job = expectOk(openJob(hardware, log))
    const told = tellNext(job)
    const unitOf = (reading: string) => job.kit.reading(reading)?.unit ?? ''
    const read = (readings: readonly string[]): readonly EntryBody[] => {
      const { shown } = brake.gauge()
      const now: Readonly<Record<string, number | string>> = {
        ...aside,
        reserve: RESERVE_MM,
        ...shown,
        ...(family.track === 'rotor' && { rub: 'none' }),
      }
      const also = family.dial.beside
      const beside =
        also && !readings.includes(also) && readings.some((id) => job.model.needed.includes(id))
          ? [...readings, also]
          : readings
      return beside.map((reading) => ({ kind: 'reading', reading, value: now[reading] ?? '', unit: unitOf(reading) }))
    }
    if (told.act === 'confirm') {
      if (told.step.endsWith('squeezes')) brake.squeeze(10)
      write([{ kind: 'confirm', step: told.step }])
    } else if (told.act === 'measure') write(read(told.readings))
    // A small drum comes to the bar before a whole stop, whatever is set: the rider was told.
    else if (told.act === 'mend' && told.step === 'lever-match' && family.track === 'drum')
      write([{ kind: 'skip', step: told.step, reason: 'the rider was told' }])
    // Heard when it is spun once more, the barrel half a turn in; too near the bar once it has settled, half a turn out.
    else if (told.act === 'mend' && (told.step === 'drag-free' || /reserve/i.test(told.say))) {
      const { turned } = brake.turn('barrel', told.step === 'drag-free' ? -0.5 : 0.5)
      brake.squeeze(10)
      write([
        { kind: 'turn', adjuster: 'barrel', amount: turned, unit: 'turn' },
        { kind: 'confirm', step: 'squeezes', count: 10 },
      ])
    } else if (told.act === 'plan') write([{ kind: 'skip', step: told.step, reason: 'mounted already' }])
    else if (told.act === 'turn') {
      turns += 1
      write(
        told.moves.map((move): EntryBody => {
          const { turned, endReached } = brake.turn(move.adjuster, move.amount, move.from?.contact)
          // Towards contact it was wound the other way than it comes back; at its end before, it was none.
          const tried = move.from ? -move.amount : move.amount
          const end = endReached && { endReached: true, ...(turned === 0 && { tried }) }
          return {
            kind: 'turn',
            adjuster: move.adjuster,
            amount: turned,
            unit: move.unit,
            ...(move.from && !endReached && { from: move.from }),
            ...end,
          }
        }),
      )
      brake.squeeze(10)
      write([{ kind: 'confirm', step: 'squeezes', count: 10 }, ...read(told.readings)])
    } else if (told.act === 'sign') write([{ kind: 'release', initials: '1' }])
    else return { told, turns, right: isRight(), log }
  }
  throw new Error(
    `no end of it: ${log
      .slice(-6)
      .map((entry) => JSON.stringify(entry))
      .join('\n')}`,
  )
}

/** What is left at a hard squeeze hangs on the hand: well in hand on these. */
const RESERVE_MM = 22

describe('a whole job by what it is told, from every kind of start', () => {
  it.each(FAMILIES.map((family) => [family.id, family] as const))('a %s ends signed, and rightly', (_, family) => {
    const bicycle = bookBicycle(family)
    const ends = seedsOf({ brakes: 8, seed: 12 }).map((seed) => drive(bicycle, fleetBrake(bicycle, seed)))
    expect(ends.map(({ told }) => `${told.act} ${told.say}`).filter((act) => !act.startsWith('released'))).toEqual([])
    expect(ends.filter(({ right }) => !right).length).toBeLessThanOrEqual(1)
    expect(ends.reduce((sum, { turns }) => sum + turns, 0) / ends.length).toBeLessThanOrEqual(3.5)
    for (const { log } of ends)
      for (const id of [...bicycle.model.needed, 'reserve'])
        expect(log.some((entry) => entry.kind === 'reading' && entry.reading === id)).toBe(true)
  })
})
