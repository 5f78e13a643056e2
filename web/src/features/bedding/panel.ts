import { asks, definePanel } from '../define-panel.ts'

export const panel = definePanel({ order: 10, stations: ['prove'], serves: asks('bedding-in') })
