import { type ActSpec, loosening } from '../brake/acts.ts'

/** What can be loosened at any brake. */
export const COMMON_ACTS: readonly ActSpec[] = [
  loosening('shoes', 'shoes loosened', 'a shoe was loosened'),
  loosening('anchor', 'anchor loosened', 'the anchor was loosened'),
  loosening('mount', 'brake loosened on its mount', 'the brake was loosened on its mount'),
  loosening('lever', 'lever clamp loosened', 'the lever clamp was loosened'),
  loosening('axle', 'wheel’s fastening loosened', 'the wheel’s fastening was loosened'),
]
