import type { JobRow, RackBicycle, RackPart, RackWish } from '@overhaul/core/http/contract'
import { describe, expect, it } from 'vitest'
import { wantedAmong } from './remembered.ts'

const TODAY = '2026-03-20T12:00:00.000Z'

function job(number: number, more: Partial<JobRow> = {}, summary: Partial<JobRow['summary']> = {}): JobRow {
  return {
    id: `job-${number}`,
    number,
    brakeId: 'x',
    complaint: '',
    openedAt: TODAY,
    releasedAt: null,
    closedAt: null,
    summary: { stations: [], nextSay: '', ...summary },
    ...more,
  }
}
type Brake = RackBicycle['brakes'][number]
const brake = (end: Brake['end'], family: string, on: JobRow | null): Brake => ({ id: end, end, family, job: on })
const bicycle = (name: string, ...brakes: readonly Brake[]): RackBicycle => ({
  id: name,
  code: `C-${name}`,
  name,
  description: 'Step-through',
  retiredAt: null,
  brakes,
})

const at = (day: string, say = 'x') => ({ last: { at: `2026-03-${day}T09:00:00Z`, by: '1', say } })
const RAIL: readonly RackBicycle[] = [
  bicycle(
    'Hire 10',
    brake('front', 'linear-pull', job(1, { complaint: 'Quietscht beim Žluťoučký' }, { station: 'bite', ...at('10') })),
    brake('rear', 'drum', job(2, { releasedAt: TODAY }, { lookAgain: '2026-03-19' })),
  ),
  bicycle(
    'Hire 2',
    brake(
      'front',
      'drum',
      job(3, {}, { station: 'bite', stations: [{ id: 'bite', title: 'Bite', mark: 'high' }], ...at('12') }),
    ),
  ),
  bicycle('Cargo 1', brake('front', 'linear-pull', job(4, { releasedAt: TODAY }, { lookAgain: '2026-03-21' }))),
  bicycle('Tourer 1', brake('front', 'cantilever', job(5, { closedAt: TODAY })), brake('rear', 'cantilever', null)),
  { ...bicycle('Old 1', brake('front', 'drum', job(6))), retiredAt: TODAY },
]

const found = (wish: Partial<RackWish>) =>
  wantedAmong(RAIL, { part: 'hanging', q: '', sort: 'name', ...wish }, TODAY).map(({ name }) => name)

describe('what this screen has read, looked through while the server is away', () => {
  it.each<[RackPart, readonly string[]]>([
    ['hanging', ['Cargo 1', 'Hire 2', 'Hire 10', 'Tourer 1']],
    ['open', ['Hire 2', 'Hire 10']],
    ['out', ['Hire 2']],
    ['unfit', ['Tourer 1']],
    ['released', ['Cargo 1']],
    ['due', ['Hire 10']],
    ['retired', ['Old 1']],
  ])('%s', (part, names) => {
    expect(found({ part })).toEqual(names)
  })

  it.each([
    ['cargo', ['Cargo 1']],
    ['HIRE 1', ['Hire 10']],
    ['zlutoucky', ['Hire 10']],
    ['rear canti', ['Tourer 1']],
    ['3', ['Hire 2']],
    ['ire', []],
    ['cargo drum', []],
    [' · ', ['Cargo 1', 'Hire 2', 'Hire 10', 'Tourer 1']],
  ])('each word of “%s” begins a word on the tag', (q, names) => {
    expect(found({ q })).toEqual(names)
  })

  it('family and station are asked of the same brake, and so is the part', () => {
    expect(found({ family: 'linear-pull', station: 'bite' })).toEqual(['Hire 10'])
    expect(found({ family: 'drum', station: 'bite' })).toEqual(['Hire 2'])
    expect(found({ part: 'open', family: 'drum' })).toEqual(['Hire 2'])
  })

  it('the last touched stands first where that is asked', () => {
    expect(found({ sort: 'recent' }).slice(0, 2)).toEqual(['Hire 2', 'Hire 10'])
  })
})
