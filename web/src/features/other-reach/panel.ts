import { definePanel, reads } from '../define-panel.ts'

export const panel = definePanel({ order: 40, stations: ['mount'], serves: reads('trackReach') })
