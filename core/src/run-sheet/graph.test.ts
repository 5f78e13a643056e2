import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import type { Fact, Graph } from '../brake/graph.ts'
import type { Kit } from '../brake/kit.ts'
import { STATIONS } from '../brake/station.ts'
import { dualPivotFamily } from '../families/dual-pivot/family.ts'
import { findWay } from '../features/mount/ways.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { walk } from '../testing/hand.ts'
import {
  confirm,
  HARDWARE,
  KIT,
  MATCHED,
  measured,
  PREPARED,
  reading,
  refusal,
  seen,
  turn,
  WHEEL,
  written,
} from '../testing/stand.ts'
import { FAMILIES } from '../workshop/families.ts'
import { openJob, openStand } from '../workshop/open.ts'
import { establishedAs, factsOf } from './facts.ts'
import { runLine } from './line.ts'
import { sheetOf } from './status.ts'

const CALIPER: Hardware = { family: 'dual-pivot', end: 'rear', dimensions: {}, practiceSeed: 5 }
const LINEAR: Hardware = { ...HARDWARE, practiceSeed: 11 }
const work = (value: string) => seen('work', value)
const job = (bodies: readonly EntryBody[], hardware = HARDWARE) => expectOk(openJob(hardware, written(...bodies)))

const graphOf = (kit: Kit): Graph => kit.standsOn

/** Reaches from fact to fact, by Warshall’s closure over the declared edges: written apart from the product’s own search. */
function closure(graph: Graph): (ground: string, fact: string) => boolean {
  const nodes = [...new Set([...Object.keys(graph), ...Object.values(graph).flat()])]
  const index = new Map(nodes.map((node, at) => [node as string, at]))
  const reach = nodes.map((ground) => nodes.map((fact) => graph[fact]?.includes(ground as Fact) ?? false))
  for (let k = 0; k < nodes.length; k += 1)
    for (let i = 0; i < nodes.length; i += 1)
      for (let j = 0; j < nodes.length; j += 1) if (reach[i]?.[k] && reach[k]?.[j]) (reach[i] as boolean[])[j] = true
  return (ground, fact) => reach[index.get(ground) ?? -1]?.[index.get(fact) ?? -1] ?? false
}
const reaches = closure(graphOf(KIT))
/** The common part may name a step that only some brakes have, such as one that is fitted to its frame. */
const SHEETS = FAMILIES.map(kitOf)

describe.each(FAMILIES.map((family) => [family.id, kitOf(family)] as const))('the graph of a %s brake', (_, kit) => {
  const graph = graphOf(kit)
  const reached = closure(graph)
  const needed = ['gapLeft', 'gapRight', 'biteTravel']

  it('has no cycle', () => {
    for (const fact of Object.keys(graph)) expect(reached(fact, fact), fact).toBe(false)
  })

  it('speaks only of things that can be in a log', () => {
    const known = (fact: string) => {
      const [kind, id = ''] = fact.split(':')
      if (kind === 'reading') return kit.reading(id) !== undefined || kit.seeing(id) !== undefined
      if (kind === 'confirm') return SHEETS.some((each) => each.act(id) || each.step(id)?.done.kind === 'confirmed')
      if (kind === 'torque') return kit.fastener(id)?.id === id
      return ['swap', 'turn', 'plan'].includes(kind ?? '')
    }
    for (const fact of [...Object.keys(graph), ...Object.values(graph).flat()]) expect(known(fact), fact).toBe(true)
  })

  it('holds every confirmation of the sheet', () => {
    for (const step of kit.steps)
      for (const fact of factsOf(step, needed))
        if (fact.startsWith('confirm:')) expect(graph, fact).toHaveProperty([fact])
  })

  it('a step stands only on steps before it; what is tried hard or ridden alone shakes what came earlier', () => {
    for (const [at, later] of kit.steps.entries()) {
      if (['hard-squeezes', 'cut-off'].includes(later.id)) continue
      for (const earlier of kit.steps.slice(0, at)) {
        const backwards = factsOf(earlier, needed).filter(
          (fact) =>
            !factsOf(later, needed).includes(fact) && factsOf(later, needed).some((ground) => reached(ground, fact)),
        )
        expect(backwards, `${earlier.id} on ${later.id}`).toEqual([])
      }
    }
  })

  it('its steps come in working order', () => {
    const stations = STATIONS.map((each) => each.id)
    const at = kit.steps.map((step) => stations.indexOf(step.station))
    expect(at).toEqual([...at].sort((a, b) => a - b))
  })
})

describe('every step can be reached and done', () => {
  const walks = [
    walk(LINEAR, []),
    walk(LINEAR, [work('fit')]),
    walk(LINEAR, [work('rub')]),
    walk(LINEAR, [work('dead')]),
    walk(LINEAR, [{ kind: 'swap', part: 'cable', to: 'new' }]),
    walk(LINEAR, [confirm('lever-loosened'), confirm('mount-loosened'), confirm('axle-loosened')]),
    walk(LINEAR, [seen('motorAt', 'cranks'), seen('barShape', 'dropped'), confirm('lever-loosened')]),
    walk(CALIPER, [confirm('lever-loosened'), confirm('mount-loosened')]),
    walk(LINEAR, [seen('rider', 'measured')]),
    walk(LINEAR, [reading('ridersMass', 130)]),
    walk(CALIPER, []),
    walk(CALIPER, [work('fit')], 'B'),
    walk({ ...CALIPER, practiceSeed: 9 }, [work('fit')], 'D'),
  ]

  it('a hand that does as told comes to the signature, whatever the job', () => {
    for (const { last } of walks) expect(last.next.kind).toBe('sign')
  })

  it('between them they pass every step of a rim brake', () => {
    const passed = new Set(walks.flatMap((each) => each.steps))
    const rim = [...KIT.steps, ...kitOf(dualPivotFamily).steps].map((step) => step.id)
    const unpassed = rim.filter((id) => id !== 'carbon-approved' && !passed.has(id))
    expect(unpassed.sort()).toEqual([])
  })

  it('a sudden rub goes from the wheel straight to the readings', () => {
    const rub = walk(LINEAR, [work('rub')])
    expect(rub.steps.slice(0, 4)).toEqual(['motor-asked', 'wheel-seated', 'hub-play', 'wheel-true'])
    expect(rub.steps).toContain('looked-over')
    expect(rub.steps).not.toContain('lever-match')
    expect(rub.steps.length).toBeLessThan(walk(LINEAR, []).steps.length - 5)
  })

  // Handbook: a dead brake is often just an unhooked guide pipe; the quick-release is looked at before all else.
  it('a dead brake begins with its quick-release and guide pipe', () => {
    const dead = walk(LINEAR, [work('dead')])
    expect(dead.steps[0]).toBe('dead-first')
    expect(dead.steps.slice(1)).toEqual(walk(LINEAR, []).steps)
  })
})

const anyBody: fc.Arbitrary<EntryBody> = fc.oneof(
  fc.constantFrom(...KIT.steps.filter((each) => each.done.kind === 'confirmed').map((each) => confirm(each.id))),
  fc.constantFrom('leftScrew', 'rightScrew', 'barrel', 'anchor').map((id) => turn(id, 0.5)),
  fc.constantFrom(...MATCHED, ...WHEEL, ...measured(1, 1, 20), reading('reserve', 25), reading('trackReach', 28)),
  fc
    .constantFrom('pads', 'cable', 'housing', 'lever', 'wheel', 'brake')
    .map((part): EntryBody => ({ kind: 'swap', part, to: 'new' })),
  fc.constant<EntryBody>({ kind: 'plan', plan: 'mount', to: 'B', parts: [], acknowledged: [] }),
)
const anyLog = fc.array(anyBody, { maxLength: 40 })

const factOf = (entry: Entry): Fact | undefined =>
  entry.kind === 'reading'
    ? `reading:${entry.reading}`
    : entry.kind === 'confirm'
      ? `confirm:${entry.step}`
      : entry.kind === 'swap'
        ? `swap:${entry.part}`
        : entry.kind === 'turn'
          ? `turn:${entry.adjuster}`
          : entry.kind === 'plan'
            ? `plan:${entry.plan}`
            : undefined

describe('nothing stays done on stale ground', () => {
  it('what is current has had nothing done since to anything it stands on; what is not, has, and names it', () => {
    fc.assert(
      fc.property(anyLog, (bodies) => {
        const log = written(...bodies)
        const stand = expectOk(openStand(HARDWARE, log))
        for (const fact of new Set(log.flatMap((entry) => factOf(entry) ?? []))) {
          const established = establishedAs(stand, fact)
          if (!established) continue
          const at = log.findLastIndex((entry) => factOf(entry) === fact)
          const shaken = log
            .slice(at + 1)
            .some((entry) => reaches(factOf(entry) ?? '', fact) || (entry.kind === 'turn' && reaches('turn:any', fact)))
          expect(established.status, fact).toBe(shaken ? 'recheck' : 'current')
          if (shaken) expect(established.cause?.length).toBeGreaterThan(5)
        }
      }),
      { numRuns: 300 },
    )
  })

  it('no step is done while one before it that it stands on must be looked at again', () => {
    fc.assert(
      fc.property(anyLog, (bodies) => {
        const at = job([...PREPARED, ...measured(1, 1, 20), ...bodies])
        const sheet = sheetOf(at, at.advice)
        for (const [index, { step, state }] of sheet.entries()) {
          if (state !== 'done') continue
          for (const before of sheet.slice(0, index)) {
            const ground = factsOf(before.step, at.model.needed).filter((each) =>
              factsOf(step, at.model.needed).some((fact) => reaches(each, fact)),
            )
            for (const each of ground)
              expect(establishedAs(at, each)?.status, `${step.id} on ${each}`).not.toBe('recheck')
          }
        }
      }),
      { numRuns: 200 },
    )
  })

  it('a step is settled again by doing again what was shaken, and by nothing less', () => {
    const done = [...PREPARED, ...measured(1, 1, 20)]
    const changed = job([...done, { kind: 'swap', part: 'wheel', to: '622' }])
    const states = Object.fromEntries(sheetOf(changed, changed.advice).map(({ step, state }) => [step.id, state]))
    expect(states).toMatchObject({
      'wheel-seated': 'recheck',
      'wheel-true': 'recheck',
      'rim-sound': 'recheck',
      'dial-in': 'recheck',
      'lever-match': 'done',
    })
    expect(changed.next).toMatchObject({
      kind: 'confirm',
      again: 'the wheel was changed',
      step: { id: 'wheel-seated' },
    })
    const again = job([...done, { kind: 'swap', part: 'wheel', to: '622' }, confirm('wheel-seated')])
    expect(again.next.step.id).toBe('hub-play')
    expect(runLine(again, again.advice).find((each) => each.id === 'wheel')).toMatchObject({
      mark: 'recheck',
      cause: 'the wheel was changed',
    })
  })
})

describe('what is found wrong stands in the way', () => {
  const refused = (log: readonly EntryBody[], body: EntryBody, hardware = HARDWARE) => refusal(log, body, hardware)
  const skip = (step: string): EntryBody => ({ kind: 'skip', step, reason: 'in a hurry' })

  // Trade: gear housing may burst under brake load; a broken strand: do not ride.
  it.each([
    ['housingKind', 'gear', /burst.*never/],
    ['innerAnchor', 'broken', /do not ride/],
    ['innerHead', 'broken', /do not ride/],
  ])('%s %s is said in words and cannot be skipped', (id, value, words) => {
    const log = [
      ...WHEEL,
      ...MATCHED.map((body) => (body.kind === 'reading' && body.reading === id ? seen(id, value) : body)),
    ]
    const at = job(log)
    expect(at.next).toMatchObject({ kind: 'mend', step: { id: 'cable-match' }, stop: true })
    expect(at.next.kind === 'mend' && at.next.say).toMatch(words)
    expect(refused(log, skip('cable-match'))).toMatchObject({ code: 'not-skipped' })
    const skippedBefore = job([skip('cable-match'), ...log])
    expect(skippedBefore.next.step.id).toBe('cable-match')
  })

  it('pads not for carbon on a carbon rim cannot be skipped; pads for steel on alloy can, with a reason', () => {
    const rim = (material: string, pads: string) => [
      ...WHEEL,
      ...MATCHED.slice(0, -1),
      seen('rimMaterial', material),
      seen('padCompound', pads),
    ]
    expect(refused(rim('carbon', 'alloy'), skip('pad-match'))?.code).toBe('not-skipped')
    expect(refused(rim('alloy', 'steel'), skip('pad-match'))).toBeUndefined()
  })

  it('a lever that comes to the bar is said so, with what would put it right', () => {
    const at = job([
      ...WHEEL,
      ...MATCHED.map((body) =>
        body.kind === 'reading' && body.reading === 'leverPull' ? reading('leverPull', 20) : body,
      ),
    ])
    expect(at.next).toMatchObject({
      kind: 'mend',
      step: { id: 'lever-match' },
      stop: false,
      say: expect.stringContaining('comes to the bar'),
      remedy: expect.stringContaining('long-pull'),
    })
  })

  it('a thin rim asks for a new one before anything is turned', () => {
    const at = job([
      ...WHEEL.slice(0, 6),
      seen('rimMaterial', 'alloy'),
      reading('rimWall', 0.8),
      seen('wearLine', 'none'),
      seen('trackStep', 'smooth'),
      seen('trackFace', 'clean'),
    ])
    expect(at.next).toMatchObject({ kind: 'mend', readings: ['rimWall'], step: { id: 'rim-sound' } })
  })

  it('a step that does not stand on this job’s sheet can be neither done nor skipped', () => {
    expect(refused([], confirm('mount-drilled'), CALIPER)?.code).toBe('not-on-sheet')
    expect(refused([work('rub')], confirm('cable-run'))?.code).toBe('not-on-sheet')
    expect(refused([], { kind: 'reading', reading: 'housingKind', value: 'string', unit: '' })?.code).toBe(
      'not-a-choice',
    )
  })

  it('a hole wider than its tube was misread', () => {
    expect(refused([reading('mountTube', 16)], reading('holeFront', 17), CALIPER)).toMatchObject({
      code: 'impossible-mount',
      field: 'holeFront',
    })
    expect(refused([], reading('frameDepth', 0), CALIPER)).toMatchObject({ code: 'out-of-range' })
    expect(refused([], reading('frameDepth', -4), CALIPER)).toMatchObject({ code: 'out-of-range' })
    expect(refused([], reading('beadFitted', 623), CALIPER)).toMatchObject({ code: 'unknown-bead-seat' })
  })

  describe('a way of mounting', () => {
    const mounted = walk(CALIPER, [work('fit')], 'B').log.filter(
      (entry) => entry.kind === 'reading' && entry.reading !== 'work',
    )
    const fit = [work('fit'), ...mounted]
    const plan = (to: string, acknowledged: readonly string[] = findWay(to)?.cautions ?? []): EntryBody => ({
      kind: 'plan',
      plan: 'mount',
      to,
      parts: [],
      acknowledged,
    })

    it('is chosen with its cautions read', () => {
      expect(refused(fit, plan('B'), CALIPER)).toBeUndefined()
      expect(refused(fit, plan('B', ['maker', 'eyes']), CALIPER)).toMatchObject({
        code: 'caution-unread',
        message: expect.stringContaining('Drilling weakens'),
      })
    })

    it('is not chosen before the mount is measured, nor one that does not exist', () => {
      expect(refused([work('fit')], plan('B'), CALIPER)?.code).toBe('not-measured')
      expect(refused(fit, plan('Z'), CALIPER)?.code).toBe('unknown-way')
    })

    it('is never one that drills carbon', () => {
      const carbon = [...fit, seen('frameMaterial', 'carbon')]
      expect(refused(carbon, plan('B'), CALIPER)).toMatchObject({
        code: 'way-closed',
        message: expect.stringContaining('Carbon'),
      })
      expect(refused(carbon, plan('D'), CALIPER)?.message).toContain('written approval')
      const approved = [...carbon, seen('makerApproval', 'written'), reading('makerTorque', 6)]
      expect(refused(approved, plan('B'), CALIPER)?.message).toContain('Carbon is never drilled')
      expect(refused(approved, plan('D'), CALIPER)).toBeUndefined()
    })

    it('measured again, the hole calls for the choice again', () => {
      const at = job([...fit, plan('B'), reading('holeBack', 6.4)], CALIPER)
      expect(at.state.plans.mount).toMatchObject({ status: 'recheck', cause: 'hole, nut side was measured again' })
    })
  })
})
