import { expectOk } from '@overhaul/core/outcome/outcome'
import { openJob } from '@overhaul/core/run-sheet/job'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { confirm, HARDWARE, measured, PREPARED, reading, turn, written } from '@overhaul/core/testing/stand'
import { describe, expect, it } from 'vitest'
import { captionOf, ghostsOf, inputsNow, leadersOf, notesOf, scaleBar } from './view.ts'

const job = (...bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...bodies)))
const OUT = [...PREPARED, ...measured(0.3, 2.2, 9)]
const pose = { gapLeftMm: 0.31, gapRightMm: 2.18, rimShiftMm: 0 }

describe('what the drawing says', () => {
  it('leaders carry the readings as measured, with their state', () => {
    expect(leadersOf(job(...OUT), pose, false, 'mm')).toMatchObject([
      { reading: 'gapLeft', side: 'left', text: '0.3', mark: 'low' },
      { reading: 'gapRight', side: 'right', text: '2.2', mark: 'high' },
    ])
    expect(leadersOf(job(), pose, false, 'mm').map((each) => each.text)).toEqual(['?', '?'])
    expect(leadersOf(job(...OUT, turn('barrel', 1)), pose, false, 'mm')[0]?.mark).toBe('recheck')
    expect(leadersOf(job(...OUT), pose, false, 'in')[1]?.text).toBe('0.087')
  })

  it('under a squeeze they carry what is drawn', () => {
    expect(leadersOf(job(...OUT), pose, true, 'mm')[1]).toMatchObject({ text: '2.2', mark: 'predicted' })
    expect(leadersOf(job(...OUT), { ...pose, gapRightMm: 0 }, true, 'mm')[1]?.text).toBe('0.0')
  })

  it('a ghost stands where the next turn should bring the arms, and only then', () => {
    const turning = job(...OUT)
    expect(turning.next.kind).toBe('turn')
    expect(ghostsOf(turning)[0]?.left).toHaveLength(turning.model.outline(pose).left.length)
    expect(ghostsOf(job(...PREPARED))).toEqual([])
    expect(ghostsOf(job(...PREPARED, ...measured(1, 1, 20)))).toEqual([])
  })

  it('each screw says how far it has gone, from its end where that was counted', () => {
    const texts = (...bodies: readonly EntryBody[]) => notesOf(job(...bodies), 'mm').map((each) => each.text)
    expect(texts()).toEqual(['left screw · not turned yet', 'right screw · not turned yet'])
    expect(texts(turn('leftScrew', 0.75), turn('rightScrew', -0.5))).toEqual([
      'left screw · ¾ in so far',
      'right screw · ½ out so far',
    ])
    expect(texts(reading('leftScrewIn', 2), turn('leftScrew', 0.5))[0]).toBe('left screw · 2½ in')
  })

  it('and the next turn stands beside the part it turns, with its direction', () => {
    const { next } = job(...OUT)
    const notes = notesOf(job(...OUT), 'mm')
    const moves = next.kind === 'turn' ? next.turn.moves : []
    expect(moves.length).toBeGreaterThan(0)
    for (const move of moves) {
      const note = notes.find((each) => each.anchor === move.adjuster)
      expect(note).toBeDefined()
      if (move.adjuster.endsWith('Screw'))
        expect(note).toMatchObject({ clockwise: move.amount > 0, next: expect.stringMatching(/^[+−]/) })
    }
  })

  it('says when it is drawn from the book', () => {
    expect(captionOf(job())).toContain('book')
    expect(captionOf(job(reading('gapLeft', 1)))).toBeUndefined()
  })

  it('is drawn from the belief after every entry', () => {
    const before = inputsNow(job(...OUT))
    const after = inputsNow(job(...OUT, turn('anchor', 5), confirm('squeezes', 10)))
    expect((after[0] as number) - (before[0] as number)).toBeCloseTo(5, 0)
    expect(scaleBar('mm')).toEqual({ mm: 20, text: '20 mm' })
    expect(scaleBar('in').mm).toBe(25.4)
  })
})
