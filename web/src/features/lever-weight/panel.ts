import { definePanel, reads } from '../define-panel.ts'

export const panel = definePanel({ order: 10, stations: ['centre'], serves: reads('leverWeight') })
