import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { kitOf } from '@overhaul/core/bench/kit'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { describe, expect, it } from 'vitest'
import { sourcesIn } from './sources.ts'

/** Where it is defined, the step that asks for it, and the drawing that shows it; a panel that fills it is one more. */
const MOST = 3

/**
 * Readings by which more than their own feature goes: a calculation of another part, a second drawing, a sentence of the sheet.
 * What is new has no need to be here.
 */
const SHARED = new Set(
  [
    'reserve rider padFace leverReach leverFinger rub spin light rimMaterial',
    'stackRotor rotorWide trackDeep trackNew bracketRise spacersUnder stackTop stackBottom padEdge padHigh bracketThread',
    'armApplied armAtRest squeals squealsAfter drag wheelOffset lateralRunout rimWall rimMark trackTall padTall padLength',
    'padCompound washersNow mountBody beadFitted trackReach leverWeight leverBack frontHand barShape barrelOut ridersMass',
    'cableLined bodyClearTop bodyClearBottom padCover padHung mountWall drillHead caliperDepth mountSpacing slotLow slotHigh',
  ].flatMap((line) => line.split(' ')),
)

const ROOT = join(import.meta.dirname, '..')
const sources = ['core/src', 'server/src', 'web/src']
  .flatMap((folder) => sourcesIn(ROOT, folder))
  .filter((path) => !/\/(testing|demo)\//.test(path))
  .map((path) => ({ path, text: readFileSync(join(ROOT, path), 'utf8') }))

const homesOf = (id: string) =>
  sources.filter(({ text }) => new RegExp(`['"\`]${id}['"\`]|^\\s+${id}: [{[]`, 'm').test(text)).map(({ path }) => path)

const dialled = new Set(
  FAMILIES.flatMap(({ dial }) => [...dial.bite, ...dial.centre, ...(dial.lever ?? []), dial.beside ?? '']),
)
const ids = [
  ...new Set(FAMILIES.flatMap((family) => [...kitOf(family).readings, ...kitOf(family).seen].map((each) => each.id))),
]

describe('a reading has one home', () => {
  it('its name stands where it is defined, asked for and drawn, and nowhere else', () => {
    const spread = ids.filter((id) => {
      const homes = homesOf(id)
      const panels = homes.some((path) => path.includes('web/src/features/')) ? 1 : 0
      return !dialled.has(id) && !SHARED.has(id) && homes.length > MOST + panels
    })
    expect(spread).toEqual([])
  })

  it('those that are shared are still', () => {
    expect([...SHARED].filter((id) => !ids.includes(id) || homesOf(id).length <= MOST)).toEqual([])
  })
})
