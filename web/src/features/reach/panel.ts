import { definePanel, reads } from '../define-panel.ts'

export const panel = definePanel({ order: 30, stations: ['mount'], serves: reads('trackReach') })
