import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { believedReading } from '../dial-in/belief.ts'
import { expectOk } from '../outcome/outcome.ts'
import { jobSheet } from '../sheet/job-sheet.ts'
import { seededRandom } from '../simulate/random.ts'
import { describe as say } from '../stand/describe.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { sayMove } from '../stand/show.ts'
import { readTape } from '../tape/tape.ts'
import { vocabulary } from '../tape/words.ts'
import { refusal, written } from '../testing/stand.ts'
import { toyFamily } from '../testing/toy.ts'
import { admit } from './admit/admit.ts'
import { type Job, workOut } from './job.ts'
import { runLine } from './line.ts'
import { standOf } from './stand.ts'
import { tellNext } from './told.ts'

const HARDWARE: Hardware = { family: 'toy', end: 'rear', dimensions: {} }
const KIT = kitOf(toyFamily)
const job = (log: readonly Entry[]): Job => workOut(expectOk(standOf(toyFamily, HARDWARE, log)))

/** The brake itself, apart from its model: how far the shoe stands off, and what a click of this very knob does. */
function madeUpBrake(seed: number) {
  const random = seededRandom(seed)
  let clear = random.uniform(1.6, 1.9)
  const perClick = random.uniform(0.08, 0.11)
  return {
    turn(clicks: number, fromContact: boolean) {
      clear = Math.max(0, (fromContact ? 0 : clear) - clicks * perClick)
    },
    read: (): Readonly<Record<string, number | string>> => ({
      shoeClear: Number(clear.toFixed(2)),
      shoeBite: Number((4 * (0.6 + 2 * clear)).toFixed(1)),
      shoeSmell: 'clean',
    }),
  }
}

/** What a sound bicycle answers to the common steps. */
const COMMON: Readonly<Record<string, number | string>> = {
  leverPull: 20,
  leverFinger: 80,
  leverReach: 60,
  ridersMass: 95,
  housingKind: 'coil',
  housingOuter: 5,
  housingState: 'sound',
  housingEnds: 'right',
  innerAnchor: 'whole',
  innerHead: 'whole',
  anchorBolt: 'own',
  cableFeel: 'smooth',
  cableLined: 'lined',
  barrelOut: 1,
  reserve: 25,
  motorAt: 'none',
}

/** A line of the tape that does what the sheet asks for next. */
function asTape(at: Job, answers: Readonly<Record<string, number | string>>): string {
  const { next } = at
  switch (next.kind) {
    case 'confirm':
      return `${next.step.shorthand} ok`
    case 'measure':
    case 'mend':
      return next.readings
        .map((id) => `${(KIT.reading(id) ?? KIT.seeing(id))?.shorthand} ${answers[id] ?? 0}`)
        .join(' ')
    case 'turn':
      return next.turn.moves
        .map(({ amount, from }) => `knob ${amount > 0 ? '+' : ''}${amount}${from ? ` ${from.contact}` : ''}`)
        .join(' ')
    case 'sign':
      return 'release 7'
    default:
      throw new Error(`nothing to be done at ${next.kind}`)
  }
}

function walkByTape(seed: number) {
  const brake = madeUpBrake(seed)
  const bodies: EntryBody[] = []
  const lines: string[] = []
  for (let act = 0; act < 60; act += 1) {
    const at = job(written(...bodies))
    if (at.state.released) return { at, bodies, lines }
    const line = asTape(at, { ...COMMON, ...brake.read() })
    const read = readTape(line, { kit: KIT, model: at.model, length: 'mm' })
    expect(read.error, line).toBeUndefined()
    for (const body of read.entries) {
      const log = written(...bodies, body)
      const stand = expectOk(standOf(toyFamily, HARDWARE, log.slice(0, -1)))
      expectOk(admit(stand, log.at(-1) as Entry, () => workOut(stand).next))
      if (body.kind === 'turn') brake.turn(body.amount, body.from !== undefined)
      bodies.push(body)
    }
    lines.push(line)
  }
  throw new Error(`never released: ${lines.slice(-5).join(' | ')}`)
}

describe('a family nobody else knows of', () => {
  const { at, bodies, lines } = walkByTape(3)

  it('goes from the wheel to the release by the tape alone', () => {
    expect(lines.slice(0, 2)).toEqual(['motorat none', 'fast ok'])
    expect(lines.at(-1)).toBe('release 7')
    expect(lines).toContain('smell clean')
    expect(at.state.released?.initials).toBe('7')
  })

  it('is brought in by whole clicks of its own knob, in few turns', () => {
    const turns = bodies.flatMap((body) => (body.kind === 'turn' ? [body] : []))
    expect(turns.length).toBeGreaterThan(0)
    expect(turns.length).toBeLessThan(5)
    for (const { adjuster, unit, amount } of turns) {
      expect([adjuster, unit, Math.abs(amount % 1)]).toEqual(['knob', 'click', 0])
      expect(say({ kind: 'turn', adjuster, amount: 8, unit }, { kit: KIT, model: at.model })).toBe('knob in 8 clicks')
    }
    const clear = at.state.readings.shoeClear?.value as number
    expect(clear).toBeGreaterThanOrEqual(0.45)
    expect(clear).toBeLessThanOrEqual(0.75)
  })

  it('asks for its own readings together, and for no other brake’s', () => {
    expect(lines.find((line) => line.startsWith('clear '))).toMatch(/^clear [\d.]+ shoe [\d.]+$/)
    const words = vocabulary({ kit: KIT, model: at.model }).map((each) => each.word)
    expect(words).toEqual(expect.arrayContaining(['clear', 'shoe', 'smell', 'knob', 'wheel', 'reach']))
    expect(words).not.toContain('gl')
    expect(words).not.toContain('rim')
  })

  it('goes by its own school', () => {
    const wide = job(written({ kind: 'swap', part: 'school.clear', to: 'wide' }))
    expect(wide.windows.of.shoeClear).toMatchObject({ low: expect.closeTo(1.05, 9), high: expect.closeTo(1.35, 9) })
    expect(readTape('school wide', { kit: KIT, model: wide.model, length: 'mm' }).entries).toEqual([
      { kind: 'swap', part: 'school.clear', to: 'wide' },
    ])
  })

  it('a station it has no step at is not on its line; one it has is', () => {
    const line = runLine(job([]), job([]).advice).map(({ id, mark }) => [id, mark])
    expect(line).toContainEqual(['pads', 'unmeasured'])
    expect(line.map(([id]) => id)).not.toContain('centre')
  })

  it('its own facts unsettle its own readings', () => {
    const shaken = job(written(...bodies.slice(0, -1), { kind: 'swap', part: 'pads', to: 'new' }))
    expect(shaken.state.readings.shoeSmell?.status).toBe('recheck')
    expect(shaken.next.step.id).toBe('shoe-smelt')
  })

  it('knows a knob wound in to its first scrape and back', () => {
    const read = readTape('knob -6 ear', { kit: KIT, model: at.model, length: 'mm' })
    expect(read.entries).toEqual([
      { kind: 'turn', adjuster: 'knob', amount: -6, unit: 'click', from: { contact: 'ear' } },
    ])
    expect(say(read.entries[0] as EntryBody, { kit: KIT, model: at.model })).toContain('first scrape')
  })

  it('wound in to contact first, it stands where that says, however it was turned before', () => {
    const clearance = (...log: readonly EntryBody[]) => believedReading(job(written(...log)).belief, 'shoeClear')
    const back: EntryBody = { kind: 'turn', adjuster: 'knob', amount: -7, unit: 'click', from: { contact: 'ear' } }
    const far: EntryBody = { kind: 'turn', adjuster: 'knob', amount: 9, unit: 'click' }
    expect(clearance(back)).toBeCloseTo(0.7, 6)
    expect(clearance(far, far, back)).toBeCloseTo(0.7, 6)
    expect(clearance(back, { ...far, amount: -2 })).toBeCloseTo(0.9, 6)
    // What was read afterwards teaches what a click does: 0.84 mm in seven clicks is 0.12 mm each.
    const taught = [back, { kind: 'reading', reading: 'shoeClear', value: 0.84, unit: 'mm' } as const]
    const { knob } = job(written(...taught)).state.adjusters
    expect(knob).toMatchObject({ turned: -7, position: undefined })
    expect(clearance(...taught, back)).toBeGreaterThan(0.75)
  })

  it('far from where it should be, it is asked for from contact: the way there matters no more', () => {
    const before = bodies.slice(
      0,
      bodies.findIndex((body) => body.kind === 'reading' && body.reading === 'shoeClear'),
    )
    const far = job(
      written(
        ...before,
        { kind: 'reading', reading: 'shoeClear', value: 2.6, unit: 'mm' },
        { kind: 'reading', reading: 'shoeBite', value: 23, unit: 'mm' },
      ),
    )
    const told = tellNext(far)
    expect(told.moves).toEqual([{ adjuster: 'knob', amount: -6, unit: 'click', from: { contact: 'ear' } }])
    expect(told.expected.shoeClear?.mean).toBeCloseTo(0.6, 1)
    const [spec] = far.model.adjusters
    expect(spec && sayMove(spec, { amount: -6, from: { contact: 'ear' } })).toBe(
      'Knob in to the first scrape on a turning wheel, then knob out 6 clicks',
    )
  })

  it('is told from contact only backwards, and only where there is a contact', () => {
    const refused = (entry: EntryBody) => {
      const log = written(entry)
      const stand = expectOk(standOf(toyFamily, HARDWARE, []))
      const admitted = admit(stand, log[0] as Entry, () => workOut(stand).next)
      return admitted.ok ? undefined : admitted.error.code
    }
    const from = { contact: 'feel' } as const
    expect(refused({ kind: 'turn', adjuster: 'knob', amount: -4, unit: 'click', from })).toBeUndefined()
    expect(refused({ kind: 'turn', adjuster: 'knob', amount: 4, unit: 'click', from })).toBe('out-of-range')
    expect(refusal([], { kind: 'turn', adjuster: 'barrel', amount: 1, unit: 'turn', from })?.code).toBe('no-contact')
  })

  it('has its job sheet, with its readings, its steps and the cautions of both', () => {
    const sheet = jobSheet(at, { jobNumber: 1, bicycle: 'Toy 1', complaint: '' })
    const text = JSON.stringify(sheet)
    expect(sheet.heading).toBe('Job 1 · Toy 1 · rear · band')
    expect(sheet.unfit).toEqual([])
    for (const word of ['shoe clearance', 'shoe bite', 'shoe smelt at']) expect(text).toContain(word)
  })
})
