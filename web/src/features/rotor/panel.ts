import { asks, definePanel } from '../define-panel.ts'

export const panel = definePanel({ order: 10, stations: ['wheel'], serves: asks('rotor-star') })
