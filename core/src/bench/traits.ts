import type { TraitSpec } from '../brake/dimension.ts'
import type { SeenSpec } from '../brake/reading.ts'
import { FRONT_HAND } from '../features/lever-fit/readings.ts'
import { FROM_MEMORY } from './dimensions.ts'
import { MOTOR_AT } from './motor.ts'
import { STOPS_WITH_TRAIT } from './stops-with.ts'

/** Something seen once and kept with the brake: until then nobody has looked. */
export const asTrait = ({ id, title, options }: SeenSpec): TraitSpec => ({
  id,
  title,
  options: [{ id: 'unknown', title: 'not looked at yet' }, ...options.map(({ id, title }) => ({ id, title }))],
  usual: () => 'unknown',
  source: FROM_MEMORY,
})

/** What is kept with any brake. */
export const COMMON_TRAITS: readonly TraitSpec[] = [asTrait(FRONT_HAND), asTrait(MOTOR_AT), STOPS_WITH_TRAIT]
