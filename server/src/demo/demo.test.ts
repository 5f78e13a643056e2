import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { checkHardware, openJob } from '@overhaul/core/workshop/open'
import { PDFDocument } from 'pdf-lib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { serve } from '../app/serve.ts'
import { clientAt, testWorkshop } from '../testing/workshop.ts'
import { LOCKSIDE, STORY } from './lockside.ts'
import { workedLog } from './mechanic.ts'
import { seedDemo } from './seed.ts'

interface RackRow {
  readonly name: string
  readonly brakes: readonly {
    readonly id: string
    readonly end: string
    readonly job: {
      readonly id: string
      readonly releasedAt: string | null
      readonly complaint: string
      readonly summary: { readonly nextSay: string }
    } | null
  }[]
}

let shop: Awaited<ReturnType<typeof testWorkshop>>
let rack: readonly RackRow[]
beforeAll(async () => {
  shop = await testWorkshop()
  await seedDemo(shop.url('').replace(/\/api\/$/, ''), new Date('2026-03-20T12:00:00Z'))
  await new Promise((resolve) => setTimeout(resolve, 1500))
  rack = (await shop.get('bicycles')).body
})
afterAll(() => shop.close())

const jobs = () => rack.flatMap((each) => each.brakes.flatMap(({ job }) => (job ? [job] : [])))

describe('Lockside Hire', () => {
  it('hangs twenty-odd bicycles, each brake one that can brake', () => {
    expect(rack.length).toBe(LOCKSIDE.length)
    expect(rack.length).toBeGreaterThan(20)
    for (const { hardware } of LOCKSIDE.flatMap((each) => each.brakes)) expect(checkHardware(hardware).ok).toBe(true)
  })

  it('has jobs in every state: not begun, under way, released', () => {
    expect(jobs().filter((job) => job.releasedAt).length).toBeGreaterThan(10)
    expect(jobs().filter((job) => !job.releasedAt).length).toBeGreaterThan(5)
    expect(jobs().some((job) => job.summary.nextSay === 'Next turn is ready.')).toBe(true)
    for (const job of jobs().filter((each) => each.releasedAt)) expect(job.summary.nextSay).toMatch(/^Released by/)
  })

  it('what a released job measured of its brake stayed with the brake, with when and by whom', async () => {
    const all: { id: string; hardware: { dimensions: Record<string, { since?: string; by?: string }> } }[] = (
      await shop.get('brakes')
    ).body
    const released = rack.flatMap((each) => each.brakes).filter(({ job }) => job?.releasedAt)
    const ids = new Set(released.map((each) => each.id))
    const theirs = all.filter((brake) => ids.has(brake.id))
    expect(theirs.length).toBe(released.length)
    // All but the few whose figure was given with the brake and measured the same.
    const kept = theirs.filter(({ hardware }) => hardware.dimensions.leverReachMm?.since)
    expect(kept.length).toBeGreaterThan(0.8 * theirs.length)
    for (const { hardware } of kept) expect(hardware.dimensions.leverReachMm?.by).toEqual(expect.any(String))
  })

  it('lays each unfinished job down where it should be, and finishes the others', () => {
    const slipped = LOCKSIDE.flatMap(({ name, brakes }) =>
      brakes.flatMap(({ hardware, jobs: told }) => {
        const last = told.at(-1)
        if (!last || (name === STORY.bicycle && hardware.end === STORY.end)) return []
        const job = rack.find((each) => each.name === name)?.brakes.find(({ end }) => end === hardware.end)?.job
        return (job?.releasedAt === null) === (last.stopAt !== undefined || last.work === 'fit')
          ? []
          : [`${name} ${hardware.end}: ${job?.summary.nextSay}`]
      }),
    )
    expect(slipped).toEqual([])
  })

  it('waits with the story: a rear brake that rubs on the left, nothing done, an earlier visit to learn from', async () => {
    const story = rack.find((each) => each.name === STORY.bicycle)?.brakes.find((each) => each.end === STORY.end)
    expect(story?.job?.complaint).toContain('left')
    const { body } = await shop.get(`jobs/${story?.job?.id}`)
    expect(body.entries).toEqual([])
    expect(body.visits).toHaveLength(1)
    expect(body.visits[0].entries.length).toBeGreaterThan(20)
    expect(body.state.next.step.id).toBe('wheel-fast')
  })

  // What ships is what a mechanic who does as told comes to today: `npm run demo` writes it anew.
  it('is what the workshop begins with on its first start, moved to today', async () => {
    const data = mkdtempSync(join(tmpdir(), 'overhaul-first-'))
    const first = expectOk(await serve({ data, port: 0, host: '127.0.0.1', empty: false, share: false }))
    const { get } = clientAt(() => first.port)
    const at = async (path: string) => (await get(path)).body
    const hung = (await at('bicycles')) as RackRow[]
    expect(hung.map(({ name }) => name)).toEqual(rack.map(({ name }) => name))
    const told = (entries: readonly Record<string, unknown>[]) =>
      entries.map(({ id: _, at: __, seq: ___, lookAgain: ____, ...body }) => body)
    for (const [index, bicycle] of hung.entries())
      for (const brake of bicycle.brakes) {
        const same = rack[index]?.brakes.find(({ end }) => end === brake.end)
        if (!brake.job || !same?.job) continue
        const [shipped, made] = [await at(`jobs/${brake.job.id}`), (await shop.get(`jobs/${same.job.id}`)).body]
        expect(told(shipped.entries), `${bicycle.name} ${brake.end}`).toEqual(told(made.entries))
        expect(brake.job.summary.nextSay).toBe(same.job.summary.nextSay)
      }
    const newest =
      hung
        .flatMap(({ brakes }) => brakes.map(({ job }) => job?.releasedAt ?? ''))
        .sort()
        .at(-1) ?? ''
    expect(Date.now() - Date.parse(newest)).toBeLessThan(4 * 86_400_000)
    expect(existsSync(join(data, '.first'))).toBe(false)
    await first.close()
    rmSync(data, { recursive: true, force: true })
  })

  it('prints a sheet for every job, titled with it', async () => {
    const some = jobs()
      .filter((job) => job.releasedAt)
      .slice(0, 3)
    for (const job of some) {
      const bytes = await (await fetch(shop.url(`jobs/${job.id}/sheet.pdf?unit=in`))).arrayBuffer()
      const pdf = await PDFDocument.load(bytes)
      expect(pdf.getTitle()).toMatch(/^Job \d+ · \w+ \d+ · (front|rear)/)
      // An ordinary job on one page, letter as inches are read; with every entry behind it, on more.
      expect(pdf.getPageCount()).toBe(1)
      expect(pdf.getPage(0).getSize()).toEqual({ width: 612, height: 792 })
      const a4 = await PDFDocument.load(
        await (await fetch(shop.url(`jobs/${job.id}/sheet.pdf?paper=a4&whole=true`))).arrayBuffer(),
      )
      expect(a4.getPageCount()).toBeGreaterThan(1)
      expect(a4.getPage(0).getSize()).toEqual({ width: 595.28, height: 841.89 })
      const slip = await PDFDocument.load(await (await fetch(shop.url(`jobs/${job.id}/handover.pdf`))).arrayBuffer())
      expect(slip.getTitle()).toMatch(/(front|rear) brake · job \d+ · [2-9B-Z]{5}$/)
      expect(slip.getPageCount()).toBe(1)
    }
    expect((await shop.get(`jobs/${some[0]?.id}/sheet.pdf?unit=furlong`)).status).toBe(400)
  })
})

describe('a mechanic who does as told', () => {
  const hardware = { family: 'linear-pull', end: 'rear', dimensions: {}, practiceSeed: 112 } as const

  it('goes through the run sheet to release, every entry of it admitted in turn', () => {
    const log = workedLog(hardware, '3', new Date('2026-03-01T09:00:00Z'))
    expect(log.at(-1)).toMatchObject({ kind: 'release', initials: '3' })
    expect(new Set(log.map((entry) => entry.id)).size).toBe(log.length)
    expect([...log].map((entry) => entry.at)).toEqual([...log].map((entry) => entry.at).sort())
    expect(log.filter((entry) => entry.kind === 'turn').length).toBeGreaterThan(0)
  })

  it('can be stopped anywhere', () => {
    const log = workedLog(hardware, '3', new Date('2026-03-01T09:00:00Z'), { step: 'lever-match' })
    expect(expectOk(openJob(hardware, log)).next.step.id).toBe('lever-match')
    const turned = workedLog(hardware, '3', new Date(), { step: 'dial-in', turns: 1 })
    expect(expectOk(openJob(hardware, turned)).next.kind).toBe('turn')
    expect(turned.filter((entry) => entry.kind === 'confirm' && entry.step === 'squeezes')).toHaveLength(1)
    expect(workedLog(hardware, '3', new Date(), { step: 'motor-asked' })).toEqual([])
  })
})
