import { describe, expect, it } from 'vitest'
import { expectOk, ok, refuse } from '../outcome/outcome.ts'
import { defineCalculation, figure } from './calculation.ts'

const everyKind = defineCalculation({
  id: 'every-kind',
  title: 'Every kind of input',
  summary: 'For trying the declarations.',
  inputs: {
    length: { type: 'number', unit: 'mm', min: 0, max: 10, aboveMin: true, meaning: 'a length' },
    times: { type: 'number', unit: '', min: 1, default: 2, meaning: 'how often' },
    extra: { type: 'number', unit: 'mm', optional: true, meaning: 'more, if any' },
    at: { type: 'point', unit: 'mm', meaning: 'where' },
    washers: { type: 'list', unit: 'mm', min: 0, meaning: 'thicknesses' },
    mount: { type: 'choice', unit: '', choices: ['above', 'boss'], default: 'above', meaning: 'how it hangs' },
  },
  outputs: {
    total: { type: 'number', unit: 'mm', meaning: 'sum' },
    hangs: { type: 'boolean', unit: '', meaning: 'from above' },
  },
  sources: [{ kind: 'our-choice', title: 'Made for this test' }],
  example: { length: 1, at: [0, 0], washers: [] },
  run({ length, times, extra = 0, at, washers, mount }) {
    if (at[0] < 0) return refuse('out-of-range', 'at', `at is ${at}. Accepted: in front.`)
    return ok({
      total: length * times + extra + washers.reduce((sum, each) => sum + each, 0),
      hangs: mount === 'above',
    })
  },
  working: (i, o) => [
    { formula: 'length · times + …', numbers: `${figure(i.length)} × ${figure(i.times)} … = ${figure(o.total)}` },
  ],
})

const work = (raw: unknown) => everyKind.work(raw)
const good = { length: 3, at: [1, 2], washers: [0.5, 1] }

describe('a declared calculation', () => {
  it('fills in defaults, leaves out what is optional, and keeps its working', () => {
    const worked = expectOk(work(good))
    expect(worked.outputs).toEqual({ total: 7.5, hangs: true })
    expect(worked.inputs).toEqual({ length: 3, times: 2, at: [1, 2], washers: [0.5, 1], mount: 'above' })
    expect(worked.working).toEqual([{ formula: 'length · times + …', numbers: '3 × 2 … = 7.5' }])
    expect(expectOk(work({ ...good, extra: 1, times: 1, mount: 'boss' })).outputs).toEqual({ total: 5.5, hangs: false })
  })

  it.each([
    [{ ...good, length: 0 }, 'out-of-range', 'length', 'above 0 and at most 10 mm'],
    [{ ...good, length: 11 }, 'out-of-range', 'length', 'at most 10'],
    [{ ...good, length: Number.POSITIVE_INFINITY }, 'not-a-number', 'length', 'a number'],
    [{ ...good, length: null }, 'not-a-number', 'length', 'null'],
    [{ ...good, times: 0 }, 'out-of-range', 'times', 'at least 1'],
    [{ ...good, at: [1] }, 'not-a-point', 'at', '[x, y]'],
    [{ ...good, at: 'here' }, 'not-a-list', 'at', 'here'],
    [{ ...good, at: [-1, 0] }, 'out-of-range', 'at', 'in front'],
    [{ ...good, washers: [1, -1] }, 'out-of-range', 'washers', '-1'],
    [{ ...good, washers: [1, 'two'] }, 'not-a-number', 'washers', 'two'],
    [{ ...good, mount: 'below' }, 'not-a-choice', 'mount', 'above, boss'],
    [{ length: 3, at: [1, 2] }, 'missing', 'washers', 'thicknesses'],
    [{ ...good, lenght: 3 }, 'unknown-input', 'lenght', 'length'],
    [null, 'not-an-object', 'inputs', 'length'],
    [[1], 'not-an-object', 'inputs', 'length'],
  ])('refuses %j, naming the value and what is accepted', (raw, code, field, says) => {
    const result = work(raw)
    expect(result).toMatchObject({ ok: false, error: { code, field } })
    if (!result.ok) expect(result.error.message).toContain(says)
  })

  it('writes figures to four places, without noise', () => {
    expect([0, 1, 1 / 3, 1234.56, -0.000123456].map(figure)).toEqual(['0', '1', '0.3333', '1235', '−0.0001235'])
  })

  it('an outcome known to be good gives its value, a bad one throws its sentence', () => {
    expect(expectOk(ok(4))).toBe(4)
    expect(() => expectOk(refuse('invalid', 'x', 'Not so.'))).toThrow('invalid (x): Not so.')
  })
})
