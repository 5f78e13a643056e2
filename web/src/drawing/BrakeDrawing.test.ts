import { expectOk } from '@overhaul/core/outcome/outcome'
import { workOut } from '@overhaul/core/run-sheet/job'
import { standOf } from '@overhaul/core/run-sheet/stand'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { reading, turn, written } from '@overhaul/core/testing/stand'
import { toyFamily } from '@overhaul/core/testing/toy'
import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import { panelsAt } from '../features/panels.ts'
import { ghostsOf, inputsNow, leadersOf, notesOf } from '../stand/view.ts'
import { BrakeDrawing } from './BrakeDrawing.tsx'
import { scaleBar } from './ScaleBar.tsx'

const job = (...bodies: readonly EntryBody[]) =>
  workOut(expectOk(standOf(toyFamily, { family: 'toy', end: 'rear', dimensions: {} }, written(...bodies))))

/** What is painted of a brake nobody has drawn before, at a finger travel. */
function painted(at: ReturnType<typeof job>, { travelMm = 0, flipped = false, focus = '' } = {}): string {
  const frame = at.model.frame(inputsNow(at), { travelMm, wheelDeg: 0, ...(focus && { focus }) })
  return renderToStaticMarkup(
    createElement(BrakeDrawing, {
      frame,
      ghosts: ghostsOf(at),
      leaders: leadersOf(at, frame, travelMm > 0, 'mm'),
      notes: notesOf(at, 'mm'),
      flipped,
      narrow: false,
      scaleBar: scaleBar('mm'),
      caption: undefined,
      onFlip: () => undefined,
      nameOf: (id) => id,
      onPick: () => undefined,
    }),
  )
}

const MEASURED = [reading('shoeClear', 1.4), reading('shoeBite', 14)]
const xOf = (svg: string, pattern: RegExp): number => Number(pattern.exec(svg)?.[1])

describe('a frame of any brake', () => {
  it('is painted with what its family draws: shapes, a leader, an inset, a handle, a label', () => {
    const svg = painted(job(...MEASURED))
    expect(svg.match(/<circle/g)?.length).toBeGreaterThanOrEqual(2)
    for (const text of ['1.4', 'clearance, 6 times larger', 'shoe', 'knob · not turned yet', '20 mm'])
      expect(svg).toContain(text)
    expect(svg).toContain('aria-label="enter shoe clearance, 1.4"')
  })

  it('stands to scale: a circle of 40 mm is twice as wide as 20 mm of its scale bar is long', () => {
    const svg = painted(job(...MEASURED))
    const radius = xOf(svg, /<circle[^>]*r="([\d.]+)"[^>]*url\(#hatch-metal\)/)
    const bar = xOf(svg, /M24,23V33M24,28H([\d.]+)/) - 24
    expect(radius / bar).toBeCloseTo(2, 3)
  })

  it('seen from the front it is mirrored, its leader on the other side', () => {
    const side = (flipped: boolean) => xOf(painted(job(...MEASURED), { flipped }), /<path d="M([\d.]+),206L/)
    expect(side(false)).toBeGreaterThan(385)
    expect(side(true)).toBeLessThan(385)
  })

  it('the dimension in hand is drawn strong; a short one else not at all', () => {
    expect(painted(job(...MEASURED))).not.toContain('data-dimension')
    expect(painted(job(...MEASURED), { focus: 'shoeClear' })).toMatch(
      /data-dimension="shoeClear"[^>]*stroke="var\(--predicted\)"/,
    )
  })

  it('an adjuster in clicks tells how far it went', () => {
    const turned = job(...MEASURED, { ...turn('knob', 5), unit: 'click' } as EntryBody)
    expect(painted(turned)).toContain('knob · 5 in so far')
  })

  it('of the panels only those that serve it are shown', () => {
    const at = job()
    expect(panelsAt('match', at).map((each) => each.id)).toEqual(['match'])
    expect(panelsAt('mount', at)).toEqual([])
    expect(panelsAt('pads', at)).toEqual([])
    expect(panelsAt('bite', at)).toEqual([])
  })
})
