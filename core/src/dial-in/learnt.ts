import { type Belief, spreadOf, standingWalk } from './belief.ts'

/** What this brake has shown of one adjuster, against the book. */
export interface Lesson {
  readonly adjuster: string
  /** Amount it is told for, in the adjuster's unit. */
  readonly per: number
  readonly reading: string
  /** Change of the reading for that amount, once any lost motion is taken up; mm. */
  readonly learnt: number
  readonly book: number
  readonly sd: number
}

/** Told only once the readings have narrowed the effect to this share of its prior doubt. */
const NARROWED = 0.75

/** “This screw moves 0.31 mm a half turn; the book said 0.35.” Only what the readings have truly taught. */
export function lessonsSoFar(belief: Belief): readonly Lesson[] {
  const { model, layout, mean } = belief
  const spread = spreadOf(belief)
  return model.adjusters.flatMap((spec, index) => {
    const unknown = layout.effect[index] as number
    if (unknown < 0 || (spread[unknown] as number) > NARROWED * spec.effectSpread || !spec.shows || !spec.play)
      return []
    const reading = spec.book > 0 ? spec.shows.plus : spec.shows.minus
    const per = spec.unit === 'turn' ? 0.5 : 1
    const at = (factor: number) => {
      const q = standingWalk(belief).q
      const y = new Float64Array(model.readings.length)
      model.predict(q, y)
      const before = y[model.readings.indexOf(reading)] as number
      const input = layout.drives[index] as number
      q[input] = (q[input] as number) + spec.book * factor * per
      model.predict(q, y)
      return (y[model.readings.indexOf(reading)] as number) - before
    }
    const factor = Math.exp(mean[unknown] as number)
    const learnt = at(factor)
    return [
      { adjuster: spec.id, per, reading, learnt, book: at(1), sd: Math.abs(learnt) * (spread[unknown] as number) },
    ]
  })
}

/** What has been learnt so far, each lesson in one sentence. */
export const sayLessons = (belief: Belief): readonly string[] => [
  ...lessonsSoFar(belief).map((each) => {
    const spec = belief.model.adjusters.find(({ id }) => id === each.adjuster)
    return sayLesson(each, spec?.title ?? each.adjuster, spec?.unit === 'turn' ? 'half turn' : (spec?.unit ?? ''))
  }),
  ...sayCreeps(belief),
]

/** What repeats of what something moves each time it is set, once the readings have narrowed it. */
function sayCreeps(belief: Belief): readonly string[] {
  const { model, layout, mean } = belief
  const spread = spreadOf(belief)
  return model.adjusters.flatMap(({ creep }, index) => {
    const unknown = layout.creep[index] as number
    const sd = spread[unknown]
    return creep && sd !== undefined && sd <= NARROWED * creep.sd
      ? [`${creep.say(mean[unknown] as number)} (±${sd.toFixed(2)} mm).`]
      : []
  })
}

/** The lesson in one sentence. Hundredths are shown because two figures are compared, not because a hand could set them. */
function sayLesson(lesson: Lesson, title: string, unit: string): string {
  const mm = (value: number) => `${Math.abs(value).toFixed(2)} mm`
  return `The ${title} moves its pad ${mm(lesson.learnt)} a ${unit} (±${mm(lesson.sd)}); the book said ${mm(lesson.book)}.`
}
