import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { jobSheet } from '../sheet/job-sheet.ts'
import type { EntryBody } from '../stand/entries.ts'
import { confirm, HARDWARE, refusal, SOUND, seen, written } from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'

const job = (...bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...bodies)))
const PARKED: readonly EntryBody[] = [
  seen('motorAt', 'none'),
  confirm('wheel-fast'),
  { ...confirm('hub-play'), well: false } as EntryBody,
  { kind: 'park', why: 'hub bearings' },
]

// Handbook: hub play is work of another bench (causes, “hub play”).
describe('a job that waits for another bench', () => {
  it('says so where the play is found', () => {
    expect(job(...PARKED.slice(0, 3)).next).toMatchObject({
      kind: 'confirm',
      ill: { stop: true, say: expect.stringMatching(/wheel bench.*Park the job/) },
    })
  })

  it('is open, not to be ridden, and says what it waits for', () => {
    const { state, next } = job(...PARKED)
    expect(state.parked?.why).toBe('hub bearings')
    expect(state.ended).toBeUndefined()
    expect(next.step.id).toBe('hub-play')
    expect(jobSheet(job(...PARKED), { jobNumber: 1, bicycle: 'Hire 1', complaint: '' }).result).toBe(
      'Not released: parked for hub bearings. Do not ride.',
    )
    expect(refusal(PARKED, { kind: 'release', initials: '7' })).toMatchObject({ code: 'not-ready' })
  })

  it('is taken up again by what is done to the brake, not by a note', () => {
    expect(job(...PARKED, { kind: 'note', text: 'hub is back on Friday' }).state.parked).toBeDefined()
    expect(job(...PARKED, confirm('hub-play')).state.parked).toBeUndefined()
  })

  it('waits for nothing once it has ended', () => {
    const released = job(...SOUND, { kind: 'park', why: 'hub bearings' }, { kind: 'release', initials: '7' })
    expect(released.next.kind).toBe('released')
    expect(released.state.parked).toBeUndefined()
  })

  it('needs a reason', () => {
    expect(refusal([], { kind: 'park', why: ' ' })).toMatchObject({ code: 'reason-missing' })
  })
})
