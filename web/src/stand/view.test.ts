import { expectOk } from '@overhaul/core/outcome/outcome'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { confirm, HARDWARE, measured, PREPARED, reading, turn, written } from '@overhaul/core/testing/stand'
import { openJob } from '@overhaul/core/workshop/open'
import { describe, expect, it } from 'vitest'
import { scaleBar } from '../drawing/ScaleBar.tsx'
import { captionOf, fullTravel, ghostsOf, inputsNow, leadersOf, notesOf } from './view.ts'

const job = (...bodies: readonly EntryBody[]) => expectOk(openJob(HARDWARE, written(...bodies)))
const OUT = [...PREPARED, ...measured(0.3, 2.2, 9)]
const frameOf = (each: Job, travelMm = 0) => each.model.frame(inputsNow(each), { travelMm, wheelDeg: 0 })
const leaders = (each: Job, squeezing = false, length: 'mm' | 'in' = 'mm') =>
  leadersOf(each, frameOf(each), squeezing, length)

describe('what the drawing says', () => {
  it('leaders carry the readings as measured, with their state', () => {
    expect(leaders(job(...OUT))).toMatchObject([
      { reading: 'gapLeft', text: '0.3', mark: 'low' },
      { reading: 'gapRight', text: '2.2', mark: 'high' },
    ])
    expect(leaders(job()).map((each) => each.text)).toEqual(['?', '?'])
    expect(leaders(job(...OUT, turn('barrel', 1)))[0]?.mark).toBe('recheck')
    expect(leaders(job(...OUT), false, 'in')[1]?.text).toBe('0.087')
  })

  it('under a squeeze they carry what is drawn', () => {
    const turning = job(...OUT)
    expect(leaders(turning, true)[1]).toMatchObject({ mark: 'predicted', text: expect.stringMatching(/^2\.[0-4]$/) })
    expect(leadersOf(turning, frameOf(turning, 60), true, 'mm')[1]?.text).toBe('0.0')
  })

  it('a ghost stands where the next turn should bring the arms, and only then', () => {
    const turning = job(...OUT)
    expect(turning.next.kind).toBe('turn')
    expect(ghostsOf(turning)[0]).toHaveLength(frameOf(turning).moving.length)
    expect(ghostsOf(job(...PREPARED))).toEqual([])
    expect(ghostsOf(job(...PREPARED, ...measured(1, 1, 20)))).toEqual([])
  })

  it('a hard squeeze ends at the bar or where the hand’s strength ends', () => {
    const each = job(...OUT)
    const full = fullTravel(inputsNow(each), each.model, 70)
    expect(frameOf(each, full).tensionN).toBeGreaterThanOrEqual(each.model.throw.squeezeTensionN)
    expect(frameOf(each, full - 1).tensionN).toBeLessThan(each.model.throw.squeezeTensionN)
    expect(fullTravel(inputsNow(each), each.model, 12)).toBe(12)
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
      const note = notes.find((each) => each.adjuster === move.adjuster)
      expect(note).toBeDefined()
      if (move.adjuster.endsWith('Screw'))
        expect(note?.screw).toMatchObject({
          next: { clockwise: move.amount > 0, amount: expect.stringMatching(/^[+−]/) },
        })
    }
  })

  it('says when it is drawn from the book', () => {
    expect(captionOf(job(), frameOf(job()))).toContain('book')
    expect(captionOf(job(reading('gapLeft', 1)), frameOf(job()))).toBeUndefined()
  })

  it('is drawn from the belief after every entry', () => {
    const before = inputsNow(job(...OUT))
    const after = inputsNow(job(...OUT, turn('anchor', 5), confirm('squeezes', 10)))
    expect((after[0] as number) - (before[0] as number)).toBeCloseTo(5, 0)
    expect(scaleBar('mm')).toEqual({ mm: 20, text: '20 mm' })
    expect(scaleBar('in').mm).toBe(25.4)
  })
})
