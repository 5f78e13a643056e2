import cdf from '@stdlib/stats-base-dists-normal-cdf'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEFAULT_BITE } from '../families/rim/bite.ts'
import { windowsFor } from '../families/rim/windows.ts'
import type { EntryBody } from '../stand/entries.ts'
import { fold } from '../stand/fold.ts'
import { adviceFromLog } from '../testing/advice.ts'
import { confirm, KIT, MODEL, measured, PREPARED, reading, THROW, turn, written } from '../testing/stand.ts'
import { advise } from './advice.ts'
import { believe, lessons, spreadOf, standingWalk } from './belief.ts'
import { normalQuantile } from './draws.ts'
import { lessonsSoFar } from './learnt.ts'
import { backward, cholesky, forward } from './matrix.ts'
import { inverseMills, normalCdf } from './normal.ts'

const WINDOWS = windowsFor(THROW, DEFAULT_BITE, { lateralRunoutMm: 0.4, flexMm: 0.3 }, {})
const believed = (...bodies: readonly EntryBody[]) => {
  const state = fold(KIT, MODEL, written(...bodies))
  return { state, belief: believe(KIT, MODEL, state) }
}
const unknown = (belief: ReturnType<typeof believe>, id: string) =>
  belief.layout.unknowns.findIndex((each) => each.id === id)

/** A made-up brake seen without noise: readings straight from the model at chosen unknowns. */
function shown(q: { cable: number; balance: number; ratio?: number; freePlay?: number }): readonly EntryBody[] {
  const y = new Float64Array(MODEL.readings.length)
  MODEL.predict(Float64Array.from([q.cable, q.balance, q.ratio ?? 0, q.freePlay ?? 1, 0, 0, 0]), y)
  return measured(y[0] as number, y[1] as number, y[2] as number)
}

describe('the normal distribution', () => {
  // Reference library: @stdlib/stats-base-dists-normal-cdf.
  it('agrees with the reference library', () => {
    for (let z = -6; z <= 6; z += 0.25) expect(normalCdf(z)).toBeCloseTo(cdf(z, 0, 1), 6)
  })
  it('its quantile undoes it', () => {
    for (const p of [0.001, 0.01, 0.2, 0.5, 0.8, 0.99, 0.999]) expect(cdf(normalQuantile(p), 0, 1)).toBeCloseTo(p, 7)
  })
  // Textbook: φ(z)/Φ(z) at 0 is √(2/π); far out it goes as −z.
  it('the inverse Mills ratio is √(2/π) at the middle and −z in the tail', () => {
    expect(inverseMills(0)).toBeCloseTo(Math.sqrt(2 / Math.PI), 6)
    expect(inverseMills(-20)).toBeCloseTo(20.05, 2)
  })
})

describe('linear algebra', () => {
  it('factor and both solves undo a positive definite matrix', () => {
    const matrix = fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 16, maxLength: 16 })
    fc.assert(
      fc.property(
        matrix,
        fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 4, maxLength: 4 }),
        (m, x) => {
          const a = new Float64Array(16)
          for (let i = 0; i < 4; i += 1)
            for (let j = 0; j < 4; j += 1)
              for (let k = 0; k < 4; k += 1)
                a[i * 4 + j] = (a[i * 4 + j] as number) + (m[i * 4 + k] as number) * (m[j * 4 + k] as number)
          for (let i = 0; i < 4; i += 1) a[i * 5] = (a[i * 5] as number) + 1
          const b = Float64Array.from({ length: 4 }, (_, i) =>
            x.reduce((sum, each, j) => sum + each * (a[i * 4 + j] as number), 0),
          )
          const l = cholesky(a, 4)
          const solved = backward(l, 4, forward(l, 4, b))
          x.forEach((each, i) => {
            expect(solved[i]).toBeCloseTo(each, 6)
          })
        },
      ),
    )
  })
})

describe('belief', () => {
  it('before any reading it is the book', () => {
    const { belief } = believed()
    belief.layout.unknowns.forEach(({ mean }, index) => {
      expect(belief.mean[index]).toBeCloseTo(mean, 9)
    })
  })

  it('explains what was measured', () => {
    const { belief } = believed(...PREPARED, ...measured(0.8, 2.1, 18))
    const y = new Float64Array(MODEL.readings.length)
    MODEL.predict(standingWalk(belief).q, y)
    expect(y[0]).toBeCloseTo(0.8, 1)
    expect(y[1]).toBeCloseTo(2.1, 1)
    expect(Math.abs((y[2] as number) - 18)).toBeLessThan(2)
  })

  it('learns that a screw moves less than the book says', () => {
    const weak = 0.6
    const step = (turns: number) => turns * 0.05 * weak
    const { belief } = believed(
      ...PREPARED,
      ...shown({ cable: 9, balance: -0.05 }),
      turn('leftScrew', 1),
      confirm('squeezes', 10),
      ...shown({ cable: 9, balance: -0.05 + step(0.8) }),
      turn('leftScrew', 1),
      confirm('squeezes', 10),
      ...shown({ cable: 9, balance: -0.05 + step(1.8) }),
    )
    const effect = Math.exp(belief.mean[unknown(belief, 'leftScrew.effect')] as number)
    expect(effect).toBeGreaterThan(0.45)
    expect(effect).toBeLessThan(0.8)
    const [lesson] = lessonsSoFar(belief)
    expect(lesson?.adjuster).toBe('leftScrew')
    expect(lesson?.learnt).toBeLessThan(lesson?.book ?? 0)
  })

  it('knows more after each reading, never less', () => {
    const sure = (...bodies: readonly EntryBody[]) => {
      const { belief } = believed(...PREPARED, ...bodies)
      return spreadOf(belief)[unknown(belief, 'ratio')] as number
    }
    const first = sure(...measured(1, 1.2, 19))
    const second = sure(...measured(1, 1.2, 19), turn('anchor', 3), confirm('squeezes', 10), ...measured(1.4, 1.6, 27))
    expect(second).toBeLessThan(first)
    expect(first).toBeLessThanOrEqual(0.1)
  })

  it('“left touches first” is a reading too', () => {
    const gaps = (first: 'left' | 'right') => {
      const { belief } = believed(...PREPARED, reading('biteTravel', 20), {
        kind: 'reading',
        reading: 'firstTouch',
        value: first,
        unit: '',
      })
      return belief.mean[unknown(belief, 'balance')] as number
    }
    expect(gaps('left')).toBeLessThan(0)
    expect(gaps('right')).toBeGreaterThan(0)
    expect(gaps('left')).toBeCloseTo(-gaps('right'), 2)
  })

  it('doubts a misreading of 1 mm instead of believing it', () => {
    const good = shown({ cable: 9, balance: 0.01 })
    const bad = good.map((body) =>
      body.kind === 'reading' && body.reading === 'gapLeft' ? { ...body, value: (body.value as number) + 2 } : body,
    )
    const { belief, state } = believed(...PREPARED, ...good, ...good, ...bad)
    expect(belief.doubted.map((each) => each.reading)).toContain('gapLeft')
    expect(advise(belief, state, WINDOWS)).toMatchObject({ kind: 'measure', readings: ['gapLeft'] })
  })

  // A turn is followed by a measurement anyhow: a look before it would cost a squeeze and tell no more.
  it('what does not agree after a turn holds up no turn that is likely to do; at the same setting it is measured again', () => {
    const far = shown({ cable: 15, balance: 0.01 })
    const misread = shown({ cable: 13, balance: 0.01 }).map((body) =>
      body.kind === 'reading' && body.reading === 'gapLeft' ? { ...body, value: (body.value as number) + 2 } : body,
    )
    const turned = turn('anchor', -2)
    const squeezed = confirm('squeezes', 10)
    const after = (...bodies: readonly EntryBody[]) => {
      const { belief, state } = believed(...PREPARED, ...far, ...far, ...bodies)
      return advise(belief, state, WINDOWS)
    }
    expect(after(turned, squeezed, ...misread)).toMatchObject({ kind: 'turn', doubted: ['gapLeft'] })
    expect(after(...misread)).toMatchObject({ kind: 'measure', readings: expect.arrayContaining(['gapLeft']) })
  })

  // Textbook: ten times as far out, a reading moves a Gaussian mean ten times as far; a Student t with 4 degrees hardly more.
  it('a reading far out moves the belief hardly further than one that is a little out', () => {
    const good = shown({ cable: 9, balance: 0.01 })
    const movedBy = (out: number) => {
      const off = good.map((body) =>
        body.kind === 'reading' && body.reading === 'gapLeft' ? { ...body, value: (body.value as number) + out } : body,
      )
      const { belief } = believed(...PREPARED, ...good, ...good, ...good, ...off)
      return Math.abs((belief.mean[unknown(belief, 'balance')] as number) - 0.01)
    }
    expect(movedBy(0.2)).toBeGreaterThan(0)
    expect(movedBy(2)).toBeLessThan(4 * movedBy(0.2))
  })

  // A lever that meets the bar before the pads meet the rim shows its whole reach, however much further it would go.
  it('a bite as long as the reach says only “at least”', () => {
    const cableAt = (bite: number) => {
      const { belief } = believed(...PREPARED, ...measured(4.5, 4.5, bite))
      return belief.mean[unknown(belief, 'cable')] as number
    }
    expect(cableAt(60)).toBeCloseTo(cableAt(59), 3)
    expect(cableAt(60) - cableAt(50)).toBeGreaterThan(0.3)
  })

  it('what reads so again at the same setting is asked for no more', () => {
    const good = shown({ cable: 9, balance: 0.01 })
    const off = reading('biteTravel', 45)
    const asked = (...bodies: readonly EntryBody[]) => {
      const { belief, state } = believed(...PREPARED, ...good, ...bodies)
      const advice = advise(belief, state, WINDOWS)
      return advice.kind === 'measure' ? advice.readings : []
    }
    expect(asked(off)).toEqual(['biteTravel'])
    expect(asked(off, off)).toEqual([])
  })

  it('hands what is lasting to the brake’s next visit and forgets the rest', () => {
    const { belief } = believed(...PREPARED, ...measured(0.8, 2.1, 18))
    const learnt = lessons(belief)
    expect(Object.keys(learnt)).toContain('leftScrew.effect')
    expect(Object.keys(learnt)).not.toContain('cable')
    const next = believe(KIT, MODEL, fold(KIT, MODEL, []), { ...learnt, ratio: { mean: 0.2, sd: 0.02 } })
    expect(next.mean[unknown(next, 'ratio')]).toBeCloseTo(0.2, 6)
  })
})

describe('what is handed to the next visit', () => {
  const log = [...PREPARED, ...measured(0.8, 2.1, 18), ...measured(0.8, 2.1, 18)]
  const learntOf = (...more: readonly EntryBody[]) => lessons(believed(...log, ...more).belief)

  it('a new lever is not the one that was learnt', () => {
    expect(learntOf().lever?.sd).toBeLessThan(0.06)
    expect(learntOf({ kind: 'swap', part: 'lever', to: 'new' }).lever?.sd).toBeGreaterThan(0.14)
    expect(learntOf({ kind: 'swap', part: 'pads', to: 'new' }).lever?.sd).toBeLessThan(0.06)
  })

  it('of a new brake nothing of the old one', () => {
    const { ratio } = learntOf({ kind: 'swap', part: 'brake', to: 'new' })
    const prior = MODEL.inputs.find(({ id }) => id === 'ratio')
    expect(ratio).toMatchObject({
      mean: expect.closeTo(prior?.mean as number, 6),
      sd: expect.closeTo(prior?.sd as number, 6),
    })
  })
})

describe('advice', () => {
  it('asks for what is missing before it says anything about a screw', () => {
    const log = written(...PREPARED, reading('gapLeft', 0.2))
    expect(adviceFromLog(KIT, MODEL, log, WINDOWS)).toMatchObject({
      kind: 'measure',
      readings: ['gapRight', 'biteTravel'],
    })
  })

  it('draws the closer pad away: rubs left and bites late means left screw in or right screw out', () => {
    const { cable, balance } = { cable: 11, balance: -0.05 }
    const advice = adviceFromLog(KIT, MODEL, written(...PREPARED, ...shown({ cable, balance })), WINDOWS)
    expect(advice.kind).toBe('turn')
    if (advice.kind !== 'turn') return
    const screw = advice.turn.moves.find((move) => move.adjuster.endsWith('Screw'))
    expect(screw?.adjuster === 'leftScrew' ? (screw.amount ?? 0) > 0 : (screw?.amount ?? 0) < 0).toBe(true)
    const [left, right] = advice.turn.expected
    expect(Math.abs((left?.value ?? 0) - (right?.value ?? 9))).toBeLessThan(0.5)
    expect(advice.turn.chance).toBeGreaterThan(advice.chanceNow)
  })

  it('never asks for a step no hand can make, nor for more than two things, nor past a known end', () => {
    const gap = fc.double({ min: 0, max: 3, noNaN: true })
    fc.assert(
      fc.property(
        gap,
        gap,
        fc.double({ min: 5, max: 35, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (l, r, bite, at) => {
          const log = written(...PREPARED, reading('leftScrewIn', at), ...measured(l, r, bite))
          const advice = adviceFromLog(KIT, MODEL, log, WINDOWS)
          if (advice.kind !== 'turn') return
          expect(advice.turn.moves.length).toBeLessThanOrEqual(2)
          for (const move of advice.turn.moves) {
            const spec = MODEL.adjusters.find((each) => each.id === move.adjuster)
            expect(Math.abs(move.amount / (spec?.step ?? 1)) % 1).toBeCloseTo(0, 9)
            if (move.adjuster === 'leftScrew') {
              expect(at + move.amount).toBeGreaterThanOrEqual(-1e-9)
              expect(at + move.amount).toBeLessThanOrEqual(6 + 1e-9)
            }
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  it('says so when all is well, and when nothing can be', () => {
    const well = shown({ cable: 7.4, balance: 0 })
    expect(adviceFromLog(KIT, MODEL, written(...PREPARED, ...well), WINDOWS).kind).toBe('in-window')
    const crooked = windowsFor(THROW, DEFAULT_BITE, { lateralRunoutMm: 2.6, flexMm: 0.3 }, {})
    expect(adviceFromLog(KIT, MODEL, written(...PREPARED, ...well), crooked)).toMatchObject({ kind: 'no-setting' })
  })

  it('gives the same answer to the same log', () => {
    const log = written(...PREPARED, ...measured(0.3, 2.2, 8))
    expect(adviceFromLog(KIT, MODEL, log, WINDOWS)).toEqual(adviceFromLog(KIT, MODEL, log, WINDOWS))
  })
})
