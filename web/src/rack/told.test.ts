import type { JobRow, RackBicycle } from '@overhaul/core/http/contract'
import type { StationStatus } from '@overhaul/core/run-sheet/line'
import { describe, expect, it } from 'vitest'
import { placeOf, tellBrake } from './told.ts'

const TODAY = '2026-03-20T12:00:00.000Z'
const station = (id: string, title: string, mark: StationStatus['mark'], cause?: string) =>
  ({ id, title, mark, ...(cause && { cause }) }) as StationStatus
const LINE = [
  station('wheel', 'Wheel', 'in'),
  station('match', 'Match', 'left-out'),
  station('bite', 'Bite', 'unmeasured'),
  station('centre', 'Centre', 'unmeasured'),
]
type Row = Partial<Omit<JobRow, 'summary'>> & { summary?: Partial<JobRow['summary']> }
const job = ({ summary, ...more }: Row = {}): JobRow => ({
  id: 'j1',
  number: 142,
  brakeId: 'b',
  complaint: 'Rubs on the left',
  openedAt: '2026-03-01T09:00:00.000Z',
  releasedAt: null,
  closedAt: null,
  ...more,
  summary: { stations: LINE, nextSay: 'Measure both gaps and the bite.', station: 'bite', ...summary },
})
const brake = (row: JobRow | null, end: 'front' | 'rear' = 'rear') => ({
  id: end,
  end,
  family: 'linear-pull',
  job: row,
})
const tell = (row: JobRow | null) => tellBrake(brake(row), TODAY, 'Linear-pull')

describe('a brake on the rack, at a glance', () => {
  it('without a job: which brake it is', () => {
    expect(tell(null)).toMatchObject({
      shape: 'unmeasured',
      headline: 'No job yet',
      matter: 'Linear-pull',
      isWrong: false,
    })
  })

  it('on the bench: where, what is next, what was done last', () => {
    const last = { at: '2026-03-20T09:41:00.000Z', by: '3', say: 'gap left 1.4 mm' }
    const told = tell(job({ summary: { last } }))
    expect(told).toMatchObject({
      shape: 'unmeasured',
      headline: 'Bite',
      matter: 'Measure both gaps and the bite.',
      isWrong: false,
      complaint: 'Rubs on the left',
    })
    expect(told.last).toMatch(/^Fri 20 Mar 2026, \d\d:41 · gap left 1.4 mm$/)
  })

  it('something out of its window is the matter, by its cause, wherever the work is', () => {
    const stations = [...LINE.slice(0, 3), station('centre', 'Centre', 'high', 'gap left 2.0 mm, at most 1.8 mm')]
    expect(tell(job({ summary: { stations } }))).toMatchObject({
      shape: 'high',
      headline: 'Centre',
      matter: 'gap left 2.0 mm, at most 1.8 mm',
      isWrong: true,
    })
  })

  it('of two things out, the one at hand is told', () => {
    const stations = [
      station('wheel', 'Wheel', 'high', 'rim wall 0.4 mm'),
      station('bite', 'Bite', 'low', 'bite 13 mm, at least 15 mm'),
    ]
    expect(tell(job({ summary: { stations } }))).toMatchObject({ shape: 'low', headline: 'Bite' })
    expect(tell(job({ summary: { stations, station: 'wheel' } }))).toMatchObject({ shape: 'high', headline: 'Wheel' })
  })

  it('one told before its station was kept says what is next', () => {
    const { station: _, ...older } = job().summary
    expect(tell({ ...job(), summary: older })).toMatchObject({
      shape: 'unmeasured',
      headline: 'Open',
      matter: 'Measure both gaps and the bite.',
    })
  })

  const released = (lookAgain?: string) =>
    job({
      releasedAt: '2026-03-10T10:00:00.000Z',
      summary: { nextSay: 'Released by 5.', ...(lookAgain && { lookAgain }) },
    })

  it('released: when, by whom, and the next look; due on that day and not the day before', () => {
    expect(tell(released('2026-03-21'))).toMatchObject({
      shape: 'in',
      headline: 'Released',
      matter: 'look again by Sat 21 Mar 2026',
      last: 'Tue 10 Mar 2026 · released by 5',
    })
    expect(tell(released('2026-03-20'))).toMatchObject({ shape: 'recheck', headline: 'Due', isWrong: false })
    expect(tell(released())).not.toHaveProperty('matter')
  })

  it('closed unreleased: not to be ridden, the first finding, and how many more', () => {
    const closed = (unfit: readonly string[]) => job({ closedAt: '2026-03-12T10:00:00.000Z', summary: { unfit } })
    expect(
      tell(closed(['rim wall: under 0.7 mm it bursts', 'no slip: not done', 'pads tight: not done'])),
    ).toMatchObject({
      shape: 'high',
      headline: 'Not to be ridden',
      matter: 'rim wall: under 0.7 mm it bursts, and 2 more',
      isWrong: true,
    })
    expect(tell(closed(['rim wall: under 0.7 mm it bursts'])).matter).toBe('rim wall: under 0.7 mm it bursts')
    expect(tell(closed([])).matter).toBe('Measure both gaps and the bite.')
  })
})

describe('where a bicycle’s line leads', () => {
  const bicycle = (...brakes: RackBicycle['brakes']): RackBicycle => ({
    id: 'x',
    code: 'K7WXZ',
    name: 'Hire 07',
    description: '',
    retiredAt: null,
    brakes,
  })
  const out = job({ id: 'out', summary: { stations: [station('bite', 'Bite', 'high', 'bite 29 mm')] } })

  it('to the job that is furthest out, else to one on the bench, else to its hardware', () => {
    expect(placeOf(bicycle(brake(job({ id: 'well' }), 'front'), brake(out)))).toBe('/stand/out')
    expect(placeOf(bicycle(brake(null, 'front'), brake(job({ id: 'well' }))))).toBe('/stand/well')
    expect(placeOf(bicycle(brake(job({ closedAt: TODAY })), brake(null)))).toBe('/bicycles/x')
    expect(placeOf(bicycle())).toBe('/bicycles/x')
  })
})
