import { kitOf } from '../bench/kit.ts'
import { bookDimensions, hereAt } from '../brake/dimension.ts'
import type { Family } from '../brake/family.ts'

/**
 * What there is to know of a family without a brake in hand: its hardware, what is turned, read, seen and done. Part of
 * the product’s interface: fields are added, never changed.
 */
export function catalogued(family: Family) {
  const kit = kitOf(family)
  const book = family.fit(bookDimensions(family), hereAt(family, 'rear'))
  const adjusters = book.ok ? book.value.adjusters : []
  return {
    id: family.id,
    title: family.title,
    mount: family.mount,
    track: family.track,
    dimensions: family.dimensions.map(({ id, title, unit, book: figure, bookFront, min, max, source }) => ({
      id,
      title,
      unit,
      book: figure,
      ...(bookFront !== undefined && { bookFront }),
      min,
      max,
      source,
    })),
    traits: family.traits.map(({ id, title, options }) => ({ id, title, options })),
    works: family.works,
    adjusters: adjusters.map(({ id, title, shorthand, unit, step, plus, minus, travel }) => ({
      id,
      title,
      shorthand,
      unit,
      step,
      plus,
      minus,
      ...(travel !== undefined && { travel }),
    })),
    readings: kit.readings.map(({ id, title, shorthand, unit, min, max, sd, how }) => ({
      id,
      title,
      shorthand,
      unit,
      min,
      max,
      sd,
      how,
    })),
    seen: kit.seen.map(({ id, title, shorthand, how, options }) => ({
      id,
      title,
      shorthand,
      how,
      options: options.map((each) => ({ id: each.id, title: each.title, well: each.remedy === undefined })),
    })),
    schools: kit.schools,
    steps: kit.steps.map(({ id, station, title }) => ({ id, station, title })),
  }
}
