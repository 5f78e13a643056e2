import { describe, expect, it } from 'vitest'
import { FAMILIES } from '../workshop/families.ts'
import { proposedWork } from './work.ts'

const works = (id: string) => FAMILIES.find((family) => family.id === id)?.works ?? []

// From memory, as riders say it.
describe('what a complaint sounds like', () => {
  it.each([
    ['linear-pull', 'rubs since yesterday', 'rub'],
    ['linear-pull', 'Since it fell over, scraping', 'rub'],
    ['linear-pull', 'dead, and it rubbed before', 'dead'],
    ['linear-pull', 'rubs a little', undefined],
    ['linear-pull', 'squeals', undefined],
    ['drum', 'Squeals after standing in the rain', 'damp'],
    ['drum', 'yearly service', 'service'],
    ['disc-fixed-pad', 'chain oil on it: new pads', 'new-pads'],
    ['disc-fixed-pad', 'a larger rotor', 'new-rotor'],
    ['disc-fixed-pad', 'season check', undefined],
    ['disc-two-adjusters', 'pads glazed? look at the pads', 'pads-look'],
    ['linear-pull', 'worn: new pads please', 'new-pads'],
    ['cantilever', 'new inner', 'new-cable'],
    ['drum', 'another lever', 'new-lever'],
  ])('%s: %s', (family, complaint, work) => {
    expect(proposedWork(complaint, works(family))).toBe(work)
  })
})
