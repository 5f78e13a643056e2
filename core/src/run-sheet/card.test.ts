import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { readIn, soundIn } from '../stand/card.ts'
import type { EntryBody } from '../stand/entries.ts'
import { walk } from '../testing/hand.ts'
import { HARDWARE as BOOK, confirm, measured, PREPARED, reading, SOUND, seen, turn, written } from '../testing/stand.ts'
import { FAMILIES } from '../workshop/families.ts'
import { openJob } from '../workshop/open.ts'
import { cardOf } from './card.ts'
import type { Known } from './known.ts'
import { tellNext } from './told.ts'

const HARDWARE = { ...BOOK, traits: { motorAt: 'none' } }
const FIRST = '2026-03-01T09:00:00Z'
const KNOWN: Known = {
  openedAt: '2026-03-31T09:00:00Z',
  complaints: [],
  visits: [
    {
      hardware: HARDWARE,
      openedAt: FIRST,
      entries: written(...SOUND, reading('lateralRunout', 0.2), reading('radialRunout', 0.1), {
        kind: 'release',
        initials: '7',
      }).map((entry, k) => ({
        ...entry,
        id: `before-${k}`,
        at: FIRST,
      })),
    },
  ],
}
const jobWith = (known: Known | undefined, ...bodies: readonly EntryBody[]) =>
  expectOk(openJob(HARDWARE, written(...bodies), known))
const cardAt = (known: Known | undefined, ...bodies: readonly EntryBody[]) => cardOf(jobWith(known, ...bodies))
const rowsAt = (known: Known | undefined, ...bodies: readonly EntryBody[]) =>
  cardAt(known, ...bodies)?.rows.map(({ step }) => step.id)

describe('a card is one posture', () => {
  it('a walk round goes from the wheel to the bolts that nobody loosened, and measures nothing', () => {
    const card = cardAt(KNOWN)
    expect(card?.title).toBe('Walk round, from the front')
    expect(card?.rows.map(({ step }) => step.id)).toEqual([
      'wheel-fast',
      'hub-play',
      'rim-sound',
      'cable-match',
      'guide-boot',
      'untouched',
      'arms-free',
      'pads-sound',
      'pads-height',
      'pads-tight',
      'cable-run',
      'fasteners',
    ])
    for (const { readings } of card?.rows ?? [])
      for (const id of readings) expect(jobWith(KNOWN).kit.reading(id)).toBeUndefined()
  })

  it('numbers come together by the tool in the hand, each once', () => {
    const looked = (cardAt(undefined)?.rows ?? []).flatMap(
      ({ sound, readings }): readonly EntryBody[] =>
        sound ?? PREPARED.filter((body) => 'reading' in body && readings.includes(body.reading)),
    )
    const feelers = cardAt(undefined, ...looked)
    expect(feelers?.posture).toBe('feeler')
    expect(feelers?.rows.flatMap(({ readings }) => readings)).toEqual([
      'lateralRunout',
      'radialRunout',
      'wheelOffset',
      'toeLeft',
      'toeRight',
    ])
    const rule = cardAt(undefined, ...looked, reading('lateralRunout', 0.3))
    expect(rule?.posture).toBe('rule')
    const all = rule?.rows.flatMap(({ readings }) => readings) ?? []
    // The reach is asked for twice on the sheet, by the match and by the lever.
    expect(all.filter((id) => id === 'leverReach')).toHaveLength(1)
    expect(all).toContain('barrelOut')
  })

  it('work of the hand is no row, and what comes behind it waits for it', () => {
    // The cable was clamped anew in this job: nothing is proven before its ten hard squeezes.
    const clamped = [
      ...PREPARED.filter((body) => !('step' in body && body.step === 'hard-squeezes')),
      turn('anchor', 2),
    ]
    const rows = rowsAt(KNOWN, ...clamped) ?? []
    expect(rows).not.toContain('walk-test')
    expect(rows).not.toContain('dial-in')
  })

  it('on a brake never seen, what proves a setting waits until it is set; on a known one it tells whether it still is', () => {
    const squeezed = confirm('hard-squeezes', 10)
    expect(rowsAt(undefined, ...PREPARED, squeezed)).toEqual(['dial-in'])
    const looked = soundIn(cardAt(KNOWN) as NonNullable<ReturnType<typeof cardAt>>)
    expect(rowsAt(KNOWN, ...looked)).toEqual(['cable-smooth', 'hard-squeezes', 'pads-back', 'spin'])
  })

  it('is none while something that was found is put right, nor where the brake is turned', () => {
    expect(cardAt(KNOWN, { kind: 'confirm', step: 'hub-play', well: false })).toBeUndefined()
    expect(cardAt(undefined, ...PREPARED, ...measured(0.3, 2.2, 9))).toBeUndefined()
  })

  it('begins with the act in hand, in every family, at every act of a whole job', () => {
    for (const family of FAMILIES) {
      const hardware = {
        family: family.id,
        end: 'rear' as const,
        dimensions: {},
        practiceSeed: 5,
        traits: { motorAt: 'none' },
      }
      const { log } = walk(hardware, [])
      for (let upTo = 0; upTo < log.length; upTo += 3) {
        const job = expectOk(openJob(hardware, log.slice(0, upTo)))
        const [first] = cardOf(job)?.rows ?? []
        if (first) expect([family.id, upTo, first.step.id]).toEqual([family.id, upTo, job.next.step.id])
      }
    }
  })
})

describe('all sound', () => {
  const soundOf = (known: Known | undefined, step: string) =>
    cardAt(known)?.rows.find((row) => row.step.id === step)?.sound

  it('is the answer kept from the visit before, else the only one that is well', () => {
    expect(soundOf(KNOWN, 'guide-boot')).toEqual([seen('guidePipe', 'hooked'), seen('guideBoot', 'there')])
    expect(soundOf(undefined, 'own-hardware')).toEqual([seen('anchorBolt', 'own')])
    expect(soundOf(undefined, 'hub-play')).toEqual([confirm('hub-play')])
  })

  it('a row with several well answers and none kept is answered by itself', () => {
    expect(soundOf(undefined, 'rim-sound')).toBeUndefined()
    expect(soundOf(undefined, 'pad-match')).toBeUndefined()
  })

  it('an answer kept on a part that was swapped since is none', () => {
    const rows = cardAt(KNOWN, { kind: 'swap', part: 'pads', to: 'new' })?.rows ?? []
    expect(rows.find(({ step }) => step.id === 'pad-match')?.sound).toBeUndefined()
  })

  it('an answer that was not well is not kept as one that is', () => {
    const [visit] = KNOWN.visits
    const worn = {
      ...KNOWN,
      visits: [{ ...visit, entries: [...(visit?.entries ?? []), ...written(seen('trackFace', 'oily'))] }],
    }
    const rows = cardAt(worn as Known)?.rows ?? []
    expect(rows.find(({ step }) => step.id === 'rim-sound')?.sound).toContainEqual(seen('trackFace', 'clean'))
  })

  it('takes a second a row to read', () => {
    const card = cardAt(KNOWN) as NonNullable<ReturnType<typeof cardAt>>
    expect([0, 3.2, 11.9, 12, 60].map((shown) => readIn(card, shown))).toEqual([12, 9, 1, 0, 0])
  })
})

describe('told over HTTP', () => {
  it('a card’s rows, the act in hand first, each with what it comes to where it is sound', () => {
    const told = tellNext(jobWith(KNOWN))
    expect(told.rows?.[0]).toEqual({
      step: told.step,
      act: told.act,
      say: told.say,
      readings: told.readings,
      sound: [confirm('wheel-fast')],
      cautions: told.cautions,
    })
    expect(told.rows).toHaveLength(12)
  })

  it('no rows where there is one thing alone; every row has its own cautions', () => {
    expect(tellNext(jobWith(undefined, ...PREPARED, ...measured(0.3, 2.2, 9))).rows).toBeUndefined()
    const { rows = [] } = tellNext(jobWith(KNOWN))
    expect(rows.find(({ step }) => step === 'cable-match')?.cautions.join(' ')).toMatch(/broken strand/)
  })
})
